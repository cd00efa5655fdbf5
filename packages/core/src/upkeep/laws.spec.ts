import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Content, findBlock } from '../activity/activity';
import { wordsAt } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { recordInPlace } from '../adjust/record';
import { derive } from '../derive/derive';
import { demoWorkspace } from '../demo/index';
import { editMaster, familyOf, inPlace, masters, stamp, steps, withVersions } from '../testing/random-family';
import { carryOver, type Decision, pendingUpkeep, resolveUpkeep, saveRevision } from './resolve';
import { upkeep, waits } from './upkeep';
import { assertLaw, runs, SAYS_NOTHING } from '../testing/laws';

const settler = { at: '2026-09-03T08:00:00.000Z', by: 'T' };
function waitingDemo(): Family {
  return demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;
}

const setting = fc.tuple(masters, fc.array(fc.nat(5), { minLength: 1, maxLength: 4 }), steps(10), steps(6));
// Parents first: a change of a parent is upkeep for its children, which is another matter.
const before = ([m, bases, done]: [Content, number[], Parameters<typeof inPlace>[1][], unknown]): Family =>
  [...done]
    .sort((a, b) => (a.on % bases.length) - (b.on % bases.length))
    .reduce(inPlace, withVersions(familyOf(m), bases));

describe('upkeep', () => {
  it('asks nothing when nothing changed', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const family = before(s);
        expect(upkeep(family, 1).entries).toEqual([]);
        expect(carryOver(family, settler)).toEqual(family);
      }),
    );
  });

  it('loses nothing of either side without a decision', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const old = before(s);
        const content = s[3].reduce(editMaster, latest(old).content);
        const { family } = saveRevision(old, content, '', settler);
        const waiting = new Set(
          pendingUpkeep(family)
            .entries.filter(waits)
            .map((e) => e.adjustmentId),
        );
        for (const v of family.versions) {
          const was = old.versions.find((o) => o.id === v.id);
          const derived = derive(family, v.id).content;
          for (const a of was?.adjustments ?? []) {
            const now = v.adjustments.find((x) => x.id === a.id);
            if (waiting.has(a.id)) expect(now).toBeDefined();
            // The version's side: a carried rewording still says every word that the version put in.
            if (a.kind === 'reword' && now?.kind === 'reword' && !waiting.has(a.id) && now.now !== a.now) {
              const had = new Set(a.was.split(/\s+/));
              for (const w of a.now.split(/\s+/)) if (!had.has(w)) expect(now.now).toContain(w);
            }
            if (a.kind === 'reword' && !now) {
              // Gone without a decision only where the basis says the same by itself.
              const basis = findBlock(derive(family, v.basis).content, a.target)?.block;
              expect(basis && wordsAt(basis, a.field)).toBe(a.now);
            }
          }
          // The master's side: every block is shown, or left out by an adjustment that can be named.
          const d = derive(family, v.id);
          for (const p of content.pages)
            for (const b of p.blocks) expect(findBlock(derived, b.id) !== undefined || d.leftOut.has(b.id)).toBe(true);
        }
      }),
      runs(300),
    );
  });

  it('taking the master’s for all leaves no rewording in the way of the master’s words', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const old = before(s);
        const content = s[3].reduce(editMaster, latest(old).content);
        let { family } = saveRevision(old, content, '', settler);
        for (let i = 0; i < 40; i++) {
          const [first] = pendingUpkeep(family).entries.filter(waits);
          if (!first) break;
          family = resolveUpkeep(
            family,
            [{ versionId: first.versionId, adjustmentId: first.adjustmentId, choice: 'master' }],
            settler,
          );
        }
        expect(pendingUpkeep(family).entries.filter(waits)).toEqual([]);
        expect(family.versions.every((v) => v.upTo === latest(family).n)).toBe(true);
        for (const v of family.versions)
          expect(
            derive(family, v.id).reports.filter((r) => r.status === 'skipped' || r.status === 'unsettled'),
          ).toEqual([]);
      }),
      runs(300),
    );
  });

  it('taking the master’s for all gives what the same version gives without those adjustments', () => {
    assertLaw(
      setting,
      (s) => {
        const old = before(s);
        const content = s[3].reduce(editMaster, latest(old).content);
        const saved = saveRevision(old, content, '', settler).family;
        const asked = pendingUpkeep(saved).entries.filter(waits);
        const letGo = asked.filter((e) => e.choices.some((c) => c.choice === 'master' && c.result === null));
        if (asked.length === 0 || letGo.length !== asked.length) return SAYS_NOTHING;
        const done = resolveUpkeep(
          saved,
          asked.map(({ versionId, adjustmentId }) => ({ versionId, adjustmentId, choice: 'master' })),
          settler,
        );
        const gone = new Set(asked.map((e) => e.adjustmentId));
        const fresh = carryOver(
          {
            ...saved,
            versions: saved.versions.map((v) => ({ ...v, adjustments: v.adjustments.filter((a) => !gone.has(a.id)) })),
          },
          settler,
        );
        // What follows from an answer may ask anew: of those that are still, both show the same.
        if (pendingUpkeep(done).entries.length || pendingUpkeep(fresh).entries.length) return SAYS_NOTHING;
        for (const v of done.versions) expect(derive(done, v.id).content).toEqual(derive(fresh, v.id).content);
        return undefined;
      },
      { usual: 300, least: 0.05 },
    );
  });

  it('does not depend on the order of edits that have nothing to do with each other', () => {
    const edit = fc.record({ where: fc.nat(40), words: fc.constantFrom('one', 'two words', 'three of them') });
    assertLaw(
      fc.tuple(masters, edit, edit),
      ([m, a, b]) => {
        const family = withVersions(familyOf(m), [0]);
        const blocks = m.pages.flatMap((p) => p.blocks).filter((x) => x.kind === 'text' || 'prompt' in x);
        const [x, y] = [blocks[a.where % Math.max(1, blocks.length)], blocks[b.where % Math.max(1, blocks.length)]];
        if (!x || !y || x === y) return SAYS_NOTHING;
        const say = (f: Family, on: typeof x, text: string): Family => {
          const field = on.kind === 'text' ? 'text' : 'prompt';
          const version = recordInPlace(f, 'v0', { did: 'words', blockId: on.id, field, text }, stamp);
          return { ...f, versions: [version] };
        };
        const one = derive(say(say(family, x, a.words), y, b.words), 'v0').content;
        const other = derive(say(say(family, y, b.words), x, a.words), 'v0').content;
        expect(one).toEqual(other);
        return undefined;
      },
      { usual: 100, least: 0.3 },
    );
  });

  it('deriving changes nothing that is derived: again, or with what it gives as the master', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const family = before(s);
        for (const v of family.versions) {
          const { content } = derive(family, v.id);
          expect(derive(JSON.parse(JSON.stringify(family)) as Family, v.id).content).toEqual(content);
          expect(derive(familyOf(content), null).content).toBe(content);
        }
      }),
    );
  });

  it('does not depend on the order in which independent questions are answered', () => {
    const family = waitingDemo();
    const decisions: Decision[] = pendingUpkeep(family)
      .entries.filter(waits)
      .map((e) => ({ versionId: e.versionId, adjustmentId: e.adjustmentId, choice: 'version' }));
    expect(decisions.length).toBeGreaterThan(1);
    const strip = (f: Family) => f.versions.map((v) => ({ ...v, upkeepLog: [] }));
    expect(strip(resolveUpkeep(family, decisions, settler))).toEqual(
      strip(resolveUpkeep(family, [...decisions].reverse(), settler)),
    );
  });
});
