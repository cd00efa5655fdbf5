import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { blocksOf } from '../activity/activity';
import { type Family, latest, versionOf } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { compareVersions } from '../derive/compare';
import { familyOf, inPlace, masters, steps, withVersions } from '../testing/random-family';
import { pendingUpkeep } from '../upkeep/resolve';
import { madeOn, masterFrom, possibleBases, rebase, withoutVersion } from './chain';
import { runs } from '../testing/laws';

const pool = demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;
const settler = { at: '2026-09-03T08:00:00.000Z', by: 'T' };
const shown = (f: Family, id: string) => derive(f, id).content;
const families = fc
  .tuple(masters, fc.array(fc.nat(5), { minLength: 2, maxLength: 5 }), steps(14))
  .map(([m, bases, done]) => done.reduce(inPlace, withVersions(familyOf(m), bases)));

describe('moving a version to another basis', () => {
  it('keeps every adjustment, or asks about it', () => {
    fc.assert(
      fc.property(families, fc.nat(9), fc.nat(9), (family, which, where) => {
        const v = family.versions[which % family.versions.length];
        if (!v) return;
        const bases = possibleBases(family, v.id);
        const { family: moved, entries } = rebase(family, v.id, bases[where % bases.length] ?? null, settler);
        const asked = new Set(entries.map((e) => e.adjustmentId));
        const now = versionOf(moved, v.id)?.adjustments ?? [];
        for (const a of v.adjustments) expect(now.includes(a) || asked.has(a.id)).toBe(true);
        expect(() => derive(moved, v.id)).not.toThrow();
      }),
      runs(60),
    );
  });

  it('says what lost its place, as upkeep does', () => {
    const { entries } = rebase(pool, 'rp-oriel', 'rp-core', settler);
    // Supported words question 1 with three choices; on Core it has four, and the one left out is still there.
    expect(entries.map((e) => e.outcome)).toEqual(expect.arrayContaining(['carried']));
    expect(shown(rebase(pool, 'rp-oriel', 'rp-core', settler).family, 'rp-oriel').pages.length).toBe(3);
  });

  it('never makes a circle', () => {
    expect(() => rebase(pool, 'rp-sup', 'rp-oriel', settler)).toThrow(/is made on this version itself/);
    expect(() => rebase(pool, 'rp-sup', 'rp-sup', settler)).toThrow(/one of them/);
    expect(() => rebase(pool, 'rp-sup', 'gone', settler)).toThrow(/no longer there/);
    expect(possibleBases(pool, 'rp-sup')).toEqual([null, 'rp-core', 'rp-ext']);
  });
});

describe('removing a basis', () => {
  it('leaves those made on it as they are, or moves them up, or takes them too', () => {
    expect(madeOn(pool, 'rp-sup').map((v) => v.id)).toEqual(['rp-oriel']);
    const over = withoutVersion(pool, 'rp-sup', 'take-over', settler);
    expect(shown(over, 'rp-oriel')).toEqual(shown(pool, 'rp-oriel'));
    const up = withoutVersion(pool, 'rp-sup', 'move-up', settler);
    expect(versionOf(up, 'rp-oriel')).toMatchObject({ basis: null });
    expect(versionOf(up, 'rp-oriel')?.adjustments.length).toBe(versionOf(pool, 'rp-oriel')?.adjustments.length);
    expect(withoutVersion(pool, 'rp-sup', 'go-too', settler).versions.map((v) => v.id)).toEqual(['rp-core', 'rp-ext']);
  });
});

describe('a version as a master of its own', () => {
  it('shows the same, knows where it comes from, and asks nothing', () => {
    const own = masterFrom(pool, 'rp-oriel', { id: 'own', at: settler.at, author: 'T', title: 'Pools, short' });
    const strip = (pages: readonly { id: string; blocks: readonly { id: string }[] }[]) =>
      pages.map((p) => [p.id, p.blocks.map((b) => b.id)]);
    expect(strip(latest(own).content.pages)).toEqual(strip(shown(pool, 'rp-oriel').pages));
    expect([...blocksOf(latest(own).content)].every(({ block }) => block.source?.familyId === 'rock-pool')).toBe(true);
    expect(own.origin).toMatchObject({ versionName: 'Supported, Oriel', title: 'Rock-pool survey' });
    expect(pendingUpkeep(own).entries).toEqual([]);
  });
});

describe('two versions compared with each other', () => {
  it('stand aligned by the master’s blocks, each difference with what made it on either side', () => {
    const rows = compareVersions(pool, 'rp-core', 'rp-oriel').flatMap((p) => p.rows);
    const q9 = rows.find((r) => r.id === 'rp-q9');
    expect(q9?.how).toBe('left out');
    expect(q9?.adjustments.map((a) => a.kind)).toEqual(['leave-out', 'hint']);
    expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
    expect(rows.filter((r) => r.how === 'same').every((r) => r.left === r.right)).toBe(true);
  });
});
