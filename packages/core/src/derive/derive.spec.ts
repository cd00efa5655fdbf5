import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { blocksOf } from '../activity/activity';
import { chainOf, type Family } from '../activity/family';
import { inverseOf } from '../adjust/adjustment';
import { kindOfAdjustment } from '../adjust/registry';
import { recordInPlace } from '../adjust/record';
import { Sheet } from '../adjust/sheet';
import { demoWorkspace } from '../demo/index';
import { familyOf, inPlace, masters, stamp, steps, withVersions } from '../testing/random-family';
import { compareVersions } from './compare';
import { derive, originOf } from './derive';

const families = fc
  .tuple(masters, fc.array(fc.nat(5), { minLength: 1, maxLength: 4 }), steps(14))
  .map(([m, bases, done]) => done.reduce(inPlace, withVersions(familyOf(m), bases)));

const demo = () => demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;

describe('derive', () => {
  it('is total, has no id twice, and gives a part no adjustment touched as the very object of the master', () => {
    fc.assert(
      fc.property(families, (family) => {
        const master = new Map([...blocksOf(derive(family, null).content)].map((p) => [p.block.id, p.block]));
        for (const v of family.versions) {
          const derived = derive(family, v.id);
          const ids = [...blocksOf(derived.content)].map((p) => p.block.id);
          expect(new Set(ids).size).toBe(ids.length);
          for (const { block } of blocksOf(derived.content)) {
            const origin = originOf(derived, block.id);
            if (origin.from === 'master' && origin.touched.length === 0) expect(block).toBe(master.get(block.id));
          }
        }
      }),
    );
  });

  it('does not alter the basis: the master is deeply equal after every derivation', () => {
    fc.assert(
      fc.property(families, (family) => {
        const before = JSON.stringify(family);
        for (const v of family.versions) derive(family, v.id);
        expect(JSON.stringify(family)).toBe(before);
      }),
    );
  });

  it('is taken back by the inverse of every adjustment', () => {
    fc.assert(
      fc.property(families, (family) => {
        for (const v of family.versions) {
          const sheet = new Sheet(derive(family, null).content);
          for (const a of chainOf(family, v.id).flatMap((x) => x.adjustments)) {
            const kind = kindOfAdjustment(a);
            const before = structuredClone(sheet.content());
            const back = inverseOf(kind, a, sheet);
            const there = kind.apply(a, sheet, {}).edits;
            there.forEach((e) => sheet.apply(e));
            const after = structuredClone(sheet.content());
            back.forEach((e) => sheet.apply(e));
            expect(sheet.content()).toEqual(before);
            there.forEach((e) => sheet.apply(e));
            expect(sheet.content()).toEqual(after);
          }
        }
      }),
    );
  });

  it('lets a version on a version say both changes, each with its own adjustment', () => {
    const family = demo();
    const oriel = derive(family, 'rp-oriel');
    expect(originOf(oriel, 'rp-q1').touched.map((t) => t.versionId)).toEqual(['rp-sup', 'rp-oriel']);
    const q1 = oriel.content.pages[0]?.blocks.find((b) => b.id === 'rp-q1');
    expect(q1?.kind === 'single-choice' && q1.options.map((o) => o.text)).toEqual(['Mussel', 'Jellyfish']);
    expect(oriel.leftOut.get('rp-q10')?.versionId).toBe('rp-oriel');
  });

  it('fills personal fields for a learner and leaves them as written without one', () => {
    const family = demo();
    const words = (learner?: Record<string, string>) =>
      JSON.stringify(derive(family, 'rp-sup', learner ? { learner } : {}).content).match(
        /\[name\]|Tamsin|You, choose/g,
      );
    expect(words()).toEqual(['[name]']);
    expect(words({ name: 'Tamsin' })).toEqual(['Tamsin']);
    expect(words({})).toEqual(['You, choose']);
  });

  it('skips what is switched off or not in force on the day', () => {
    const family = demo();
    const sup = family.versions.find((v) => v.id === 'rp-sup');
    const first = sup?.adjustments[0];
    if (!sup || first?.kind !== 'reword') throw new Error('the demo changed');
    const text = (change: object, at?: string) => {
      const v = { ...sup, adjustments: [{ ...first, ...change }] };
      const d = derive({ ...family, versions: [v] }, 'rp-sup', at ? { at } : {});
      return d.content.pages[0]?.blocks.find((b) => b.id === 'rp-t1');
    };
    expect(text({})).toMatchObject({ text: first.now });
    expect(text({ off: true })).not.toMatchObject({ text: first.now });
    expect(text({ until: '2026-11-01' }, '2026-11-02')).not.toMatchObject({ text: first.now });
    expect(text({ until: '2026-11-02' }, '2026-11-02')).toMatchObject({ text: first.now });
  });
});

describe('recordInPlace', () => {
  const only = (family: Family, id = 'rp-core') => family.versions.find((v) => v.id === id)?.adjustments ?? [];
  const act = (family: Family, done: Parameters<typeof recordInPlace>[2]): Family => {
    const changed = recordInPlace(family, 'rp-core', done, stamp);
    return { ...family, versions: family.versions.map((v) => (v.id === 'rp-core' ? changed : v)) };
  };

  it('makes one rewording of many keystrokes, and none of words taken back', () => {
    const before = demo();
    const was = 'Why is it made like that?';
    const words = (text: string) => ({ did: 'words', blockId: 'rp-q3', field: 'prompt', text }) as const;
    const twice = act(act(before, words('What falls?')), words(`What falls? ${was}`));
    expect(only(twice).length).toBe(only(before).length + 1);
    const master = derive(before, null).content.pages[0]?.blocks.find((b) => b.id === 'rp-q3');
    const back = act(twice, words(master && 'prompt' in master ? master.prompt : ''));
    expect(only(back)).toEqual(only(before));
  });

  it('changes an added block itself, and takes it away when it is removed', () => {
    const before = demo();
    const block = { id: 'new', kind: 'text' as const, audience: 'learner' as const, text: 'One' };
    const added = act(before, { did: 'insert-block', pageId: 'rp-p1', after: null, block });
    const changed = act(added, { did: 'words', blockId: 'new', field: 'text', text: 'Two' });
    expect(only(changed).at(-1)).toMatchObject({ kind: 'insert-block', block: { text: 'Two' } });
    expect(only(act(changed, { did: 'remove-block', blockId: 'new' }))).toEqual(only(before));
  });

  it('refuses to leave out the key of a choice', () => {
    expect(() => act(demo(), { did: 'remove-options', blockId: 'rp-q1', optionIds: ['rp-q1-1'] })).toThrow(/key/);
  });

  it('puts back a block and a page', () => {
    const before = demo();
    const out = act(before, { did: 'remove-block', blockId: 'rp-q4' });
    expect(act(out, { did: 'put-back', id: 'rp-q4' }).versions).toEqual(before.versions);
    const kept = act(before, { did: 'keep-pages', pageIds: ['rp-p1', 'rp-p2'] });
    expect(derive(kept, 'rp-core').content.pages.map((p) => p.id)).toEqual(['rp-p1', 'rp-p2']);
    expect(act(kept, { did: 'put-back', id: 'rp-p3' }).versions).toEqual(before.versions);
  });
});

describe('compareVersions', () => {
  it('names every block of both sides once, in the order of the basis', () => {
    fc.assert(
      fc.property(families, (family) => {
        for (const v of family.versions) {
          const rows = compareVersions(family, v.basis, v.id).flatMap((p) => p.rows);
          const left = rows.flatMap((r) => (r.left ? [r.left.id] : []));
          const right = rows.flatMap((r) => (r.right ? [r.right.id] : []));
          expect(left).toEqual([...blocksOf(derive(family, v.basis).content)].map((p) => p.block.id));
          const there = [...blocksOf(derive(family, v.id).content)].map((p) => p.block.id);
          // What was moved stands where the basis has it; without moves the order is the version's too.
          const moved = family.versions.some((x) => x.adjustments.some((a) => a.kind === 'move'));
          expect(moved ? [...right].sort() : right).toEqual(moved ? [...there].sort() : there);
          for (const r of rows) expect(r.how === 'same' || r.how === 'moved').toBe(r.left === r.right);
          for (const r of rows) if (r.how !== 'same') expect(r.adjustments.length).toBeGreaterThan(0);
        }
      }),
    );
  });
});
