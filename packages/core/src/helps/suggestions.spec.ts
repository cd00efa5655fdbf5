import { describe, expect, it } from '@jest/globals';
import { findBlock } from '../activity/activity';
import { latest } from '../activity/family';
import { coverage } from '../assign/check/coverage';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { peopleIn } from '../learners/people';
import { classify } from '../verdict/classify';
import { copyIdOf } from '../work/copy';
import { driftOf } from './drift';
import { seenWork, type SeenWork } from './seen';
import { type HelpSuggestion, helpSuggestions } from './suggestions';
import { takeUp, type TakingUp } from './take-up';

const TODAY = '2026-11-24';
const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const learners = Object.values(w.learners);
const families = new Map(Object.values(w.families).map((f) => [f.id, f]));
const drift = new Map([...families].map(([id, f]) => [id, driftOf(f)]));
const works = Object.values(w.handOuts).flatMap((handOut) =>
  learners.flatMap((l) => {
    const id = copyIdOf(handOut.id, l.id);
    const of = { handOut, family: families.get(handOut.familyId), frozen: w.frozen };
    return seenWork(of, l, { copy: w.copies[id], marking: w.markings[id] }, (iso) => iso.slice(0, 10)) ?? [];
  }),
);
const all = { works, learners, families, drift, today: TODAY };
const found = helpSuggestions(all);
const one = (what: HelpSuggestion['what'], learnerId?: string): HelpSuggestion => {
  const s = found.find((x) => x.what === what && x.learnerId === learnerId);
  if (!s) throw new Error(`There is no ${what}`);
  return s;
};
const on = (s: HelpSuggestion): TakingUp => {
  let n = 0;
  return {
    ...{ family: families.get(s.familyId ?? ''), learner: w.learners[s.learnerId ?? ''], held: undefined },
    ...{ at: `${TODAY}T10:00:00.000Z`, today: TODAY, author: 'Teacher', newId: () => `made-${++n}` },
    swatch: { pattern: 'cross', colour: 'c', letter: 'B' },
  };
};
const versionOf = (s: HelpSuggestion) => {
  const made = takeUp(s, on(s));
  const family = families.get(s.familyId ?? '');
  if (made?.made !== 'version' || !family) throw new Error('No version was made');
  return { version: made.version, family: { ...family, versions: [...family.versions, made.version] } };
};

describe('suggestions', () => {
  it('come of three works in a row that say the same, and say which', () => {
    expect(found.filter((s) => s.learnerId === 'l-ysolde').map((s) => [s.what, s.kind ?? s.objectiveId])).toEqual([
      ['fade', 'word-bank'],
      ['fade', 'hint'],
      ['step up', 'rp-o2'],
      ['step up', 'rp-o1'],
    ]);
    expect(one('goal met', 'l-brannoc').reasons.slice(1)).toEqual([
      'Shore words, week 1: 83 %',
      'Shore words, week 2: 83 %',
      'Shore words, week 3: 83 %',
    ]);
    expect(one('misleads')).toMatchObject({ itemId: 'wk-q6' });
  });

  const ysolde = works.filter((x) => x.learnerId === 'l-ysolde');
  const asked = (list: readonly SeenWork[]) =>
    helpSuggestions({ ...all, works: list, drift: new Map() }).filter((s) => s.what === 'fade' || s.what === 'step up');
  const words = ysolde.filter((x) => x.familyId === 'shore-words');
  const last = words.slice(-1);

  it('do not come of two, of results below, or once the last work was done without the help', () => {
    expect(asked(words).map((s) => s.what)).toContain('fade');
    expect(asked(words.slice(-2))).toEqual([]);
    const below = words.map((x) => ({ ...x, items: x.items.map((i) => ({ ...i, share: 0.89 })) }));
    expect(asked(below)).toEqual([]);
    const without = last.map((x) => ({ ...x, day: '2026-11-30', helps: [] }));
    expect(asked([...words, ...without]).map((s) => s.what)).not.toContain('fade');
  });

  it('call a question misleading only where so many miss it, or who knows the rest gets it wrong beyond chance', () => {
    // Twelve answers: who has the rest right misses it. r = -1 against, 0.1 for: 8 of 12 right tells nothing yet.
    const answers = (right: (i: number) => number) =>
      Array.from({ length: 12 }, (_, i): SeenWork => {
        const base = { ...(last[0] as SeenWork), learnerId: `x${i}` };
        const item = (id: string, share: number) => ({
          ...base.items[0],
          id,
          share,
          right: share === 1,
          ofMaster: true,
        });
        const items = [item('wk-q1', right(i)), item('wk-q2', i % 2), item('wk-q3', i % 2)];
        return { ...base, items: items.map((x) => ({ objectiveId: 'wk-o1', ...x })) };
      });
    const items = (list: readonly SeenWork[]) =>
      helpSuggestions({ ...all, works: list, drift: new Map() }).flatMap((s) => s.itemId ?? []);
    expect(items(answers((i) => 1 - (i % 2)))).toContain('wk-q1');
    expect(items(answers((i) => (i % 3 ? 1 : 0)))).not.toContain('wk-q1');
    expect(items(answers((i) => (i < 3 ? 1 : 0)))).toContain('wk-q1');
    expect(items(answers((i) => (i < 4 ? 1 : 0)))).not.toContain('wk-q1');
  });

  it('keep their key when works are added, and have another for another learner', () => {
    const [before, after] = [asked(words), asked([...words, ...last.map((x) => ({ ...x, day: '2026-11-30' }))])];
    expect(after.map((s) => s.id)).toEqual(before.map((s) => s.id));
    expect(new Set(found.map((s) => s.id)).size).toBe(found.length);
  });
});

describe('taking one up', () => {
  it('fades one help in a version of the learner’s own, with all that is left of theirs', () => {
    const s = one('fade', 'l-wilmot');
    expect(s).toMatchObject({ kind: 'hint', versionId: 'rp-core' });
    const { version, family } = versionOf(s);
    expect(version.learnerId).toBe('l-wilmot');
    const hints = (id: string) => JSON.stringify(derive(family, id).content).includes('Think of wind and sun.');
    expect([hints('rp-core'), hints(version.id)]).toEqual([true, false]);
    const text = (id: string) => findBlock(derive(family, id).content, 'rp-t1')?.block;
    expect(text(version.id)).toEqual(text('rp-core'));
  });

  it('of a help that is agreed only ends it in a review', () => {
    const s = one('fade', 'l-ysolde');
    expect(s.agreed).toBe('word bank');
    expect(takeUp(s, on(s))).toMatchObject({
      made: 'review',
      held: {
        supports: [
          { what: 'word bank', until: TODAY },
          { what: 'hints', until: '' },
        ],
      },
    });
    const goal = one('goal met', 'l-brannoc');
    expect(takeUp(goal, on(goal))).toMatchObject({ made: 'review', held: { met: ['g-brannoc'] } });
  });

  it('drafts a plan that gives the pages of the objective in the next version, and the others as before', () => {
    const s = one('step up', 'l-ysolde');
    const made = takeUp(s, on(s));
    if (made?.made !== 'plan') throw new Error('No plan was made');
    expect(made.handOut).toMatchObject({
      state: 'draft',
      learnerIds: ['l-ysolde'],
      lines: [
        {
          versionId: 'rp-sup',
          parts: [
            { pageId: 'rp-p1', versionId: 'rp-core' },
            { pageId: 'rp-p3', versionId: 'rp-core' },
          ],
        },
      ],
    });
    const family = families.get('rock-pool');
    const found = coverage(made.handOut, family, peopleIn(w, TODAY), `${TODAY}T10:00`);
    expect(found.filter((f) => f.level === 'mend')).toEqual([]);
  });

  it('leaves out what misleads, and takes back what made another task', () => {
    const item = versionOf(one('misleads'));
    expect(JSON.stringify(derive(item.family, item.version.id).content)).not.toContain('wk-q6');
    const s: HelpSuggestion = {
      ...{ id: 's', what: 'another task', familyId: 'rock-pool', versionId: 'rp-oriel', says: '', reasons: [] },
    };
    const { version, family } = versionOf(s);
    const asks = (id: string) => driftOf(family).find((d) => d.versionId === id)?.asks ?? 0;
    expect(asks(version.id)).toBeGreaterThan(asks('rp-oriel'));
    expect(classify(family, version.id).judgement).not.toBe('modification');
    expect(version.upTo).toBeLessThanOrEqual(latest(family).n);
  });

  it('makes nothing of what is gone', () => {
    const s = one('misleads');
    expect(takeUp(s, { ...on(s), family: undefined })).toBeUndefined();
    expect(takeUp({ ...s, itemId: 'gone' }, on(s))).toBeUndefined();
  });
});
