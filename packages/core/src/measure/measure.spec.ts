import { describe, expect, it } from '@jest/globals';
import { type Family, latest } from '../activity/family';
import type { Adjustment } from '../adjust/registry';
import { recordInPlace } from '../adjust/record';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { stamp } from '../testing/random-family';
import { classify, counts } from '../verdict/classify';
import { measure } from './measure';
import { isHard } from './hard';
import { readability } from './readability';

const pool = demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;
type Done = Parameters<typeof recordInPlace>[2];
const act = (family: Family, id: string, done: Done): Family => {
  const changed = recordInPlace(family, id, done, stamp);
  return { ...family, versions: family.versions.map((v) => (v.id === id ? changed : v)) };
};
const last = (family: Family, id: string) => family.versions.find((v) => v.id === id)?.adjustments.at(-1) as Adjustment;
const judged = (done: Done, id = 'rp-core') => {
  const family = act(pool, id, done);
  const verdict = classify(family, id).adjustments.get(last(family, id).id);
  return verdict && counts(verdict);
};

describe('classify', () => {
  it('calls it a modification when the last item of an objective goes, alone or together with others', () => {
    expect(judged({ did: 'remove-block', blockId: 'rp-q9' })).toBe('accommodation');
    const both = act(act(pool, 'rp-core', { did: 'remove-block', blockId: 'rp-q9' }), 'rp-core', {
      did: 'remove-block',
      blockId: 'rp-q10',
    });
    expect(classify(both, 'rp-core').judgement).toBe('modification');
    expect(classify(both, 'rp-core').why.join()).toContain('Explain adaptations');
    expect(judged({ did: 'keep-pages', pageIds: ['rp-p1'] })).toBe('modification');
  });

  it('calls it a modification when the answer is given away', () => {
    expect(judged({ did: 'hint', blockId: 'rp-q4', text: 'It is a crab.' })).toBe('modification');
    expect(judged({ did: 'hint', blockId: 'rp-q4', text: 'It has ten legs.' })).toBe('accommodation');
    expect(
      judged({ did: 'words', blockId: 'rp-q8', field: 'prompt', text: 'There are 7 limpets more. How many?' }),
    ).toBe('modification');
    expect(judged({ did: 'remove-options', blockId: 'rp-q1', optionIds: ['rp-q1-2', 'rp-q1-3', 'rp-q1-4'] })).toBe(
      'modification',
    );
    expect(judged({ did: 'remove-options', blockId: 'rp-q1', optionIds: ['rp-q1-4'] })).toBe('accommodation');
    expect(judged({ did: 'word-bank', pageId: 'rp-p1', after: null })).toBe('modification');
    expect(judged({ did: 'word-bank', pageId: 'rp-p2', after: null })).toBe('to judge');
  });

  it('keeps the teacher’s judgement beside the computed one, and lets it count', () => {
    const family = act(pool, 'rp-core', { did: 'hint', blockId: 'rp-q4', text: 'It is a crab.' });
    const overrule = { judgement: 'accommodation' as const, reason: 'the word is on the wall' };
    const versions = family.versions.map((v) =>
      v.id === 'rp-core'
        ? { ...v, adjustments: v.adjustments.map((a, i, all) => (i === all.length - 1 ? { ...a, overrule } : a)) }
        : v,
    );
    const result = classify({ ...family, versions }, 'rp-core');
    expect(result.why.join()).not.toContain('crab');
    expect(result.adjustments.get(last(family, 'rp-core').id)).toMatchObject({
      judgement: 'modification',
      overruled: overrule,
    });
  });

  it('calls further questions alone an addition', () => expect(classify(pool, 'rp-ext').judgement).toBe('addition'));
});

describe('readability', () => {
  // Counted by hand: 4 sentences, 38 words, 41 syllables.
  const TEXT =
    'The sea goes out two times a day. Then the crabs hide under a flat stone and wait there. A little rain makes the pool less salty. The gulls walk on the wet sand to look for food.';

  it('agrees with the published formulas on a text counted by hand', () => {
    const r = readability(TEXT);
    expect([r.sentences, r.words]).toEqual([4, 38]);
    const syllables = 41;
    expect(r.figures.kincaid).toBeCloseTo(0.39 * (38 / 4) + 11.8 * (syllables / 38) - 15.59, 1);
    expect(r.figures.ease).toBeCloseTo(206.835 - 1.015 * (38 / 4) - 84.6 * (syllables / 38), 0);
  });

  it('gives no figure for a text too short for it', () => {
    expect(readability('A crab. A limpet.').figures).toEqual({});
    const figures = readability(TEXT).figures;
    expect([figures.spache === undefined, figures.fog, figures.smog]).toEqual([false, undefined, undefined]);
  });

  it('knows common words in their plain forms, and counts no number and no letter as hard', () => {
    expect(['walks', 'hiding', 'stopped', 'carries', 'quickly', '1984', 'a'].filter(isHard)).toEqual([]);
    expect(['limpet', 'adaptation', 'withstand'].filter((w) => !isHard(w))).toEqual([]);
  });
});

describe('measure', () => {
  it('counts what a learner reads: no note, no key; and says what is dropped', () => {
    const m = measure(latest(pool).content);
    const without = {
      ...latest(pool).content,
      pages: latest(pool).content.pages.map((p) => ({
        ...p,
        blocks: p.blocks.filter((b) => b.kind !== 'teacher-note'),
      })),
    };
    expect(measure(without).words).toBe(m.words);
    expect([m.pages, m.items]).toEqual([3, 11]);
    const oriel = measure(derive(pool, 'rp-oriel').content);
    expect(oriel.objectivesDropped.map((o) => o.text)).toEqual(['Explain adaptations']);
    expect(oriel.supports).toContain('word bank');
    expect(oriel.minutes).toBeLessThan(m.minutes);
  });
});
