import { describe, expect, it } from '@jest/globals';
import { peopleIn } from '../learners/people';
import fc from 'fast-check';
import type { Family } from '../activity/family';
import { giveOut } from '../assign/give-out';
import { packageOf } from '../assign/learner-package';
import { frozenFor, type HandOut } from '../assign/hand-out';
import { learnerPackage } from '../assign/learner-package';
import { demoWorkspace } from '../demo/index';
import { emptyResponse } from '../work/copy';
import { type CollectionName, COLLECTIONS, listOf } from '../collections';
import type { Workspace } from '../workspace';
import { indexChanges, indexOf } from './index-changes';
import type { RecordChange } from './work-changes';
import { countHolders, type HandOutHead, holdersOf } from './head-parts';
import { countStates, type Index, patchedIndex, statesIn } from './index-parts';

const demo = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const people = peopleIn(demo, '2026-11-24');

describe('the index', () => {
  it('says what the lists need, and how far everybody is', () => {
    const index = indexOf(demo);
    expect(index.familyHeads['rock-pool']).toMatchObject({ title: 'Rock-pool survey', revision: 3, waiting: 4 });
    expect(holdersOf(index.handOutHeads['h-survey'] as HandOutHead)).toHaveLength(14);
    expect(countHolders(index.handOutHeads['h-survey'] as HandOutHead)).toBe(14);
    expect(statesIn(index.states['h-survey']).get('l-jory')).toBe('complete');
    expect(statesIn(index.states['h-survey']).get('l-tamsin')).toBe('another go');
    expect(countStates(index.states['h-survey'])).toMatchObject({ submitted: 7, complete: 3, 'another go': 1 });
    expect(index.door['door']?.classes.map((c) => c.learners.length)).toEqual([14, 9]);
  });

  it('gives the desk the very package that the frozen activity gives, mixed the same way', () => {
    const index = indexOf(demo);
    for (const h of listOf(demo.handOuts))
      for (const learnerId of Object.keys(h.given)) {
        const work = index.slips[learnerId]?.works[h.id];
        const sheet = index.sheets[work?.sheet ?? ''];
        const frozen = frozenFor(h, demo.frozen, learnerId);
        if (!work || !sheet || !frozen) throw new Error('nothing was slipped');
        const seed = `${h.id}.${learnerId}.1`;
        // Who has extra time has another due date.
        const { dueAt } = work;
        expect(packageOf(h.id, work, sheet, seed)).toEqual({ ...learnerPackage(h, frozen, seed), dueAt });
      }
  });

  it('keeps what was said where the way of giving changes, and hides a hand-out that was removed until it is back', () => {
    const h = demo.handOuts['h-survey'] as HandOut;
    const index = indexOf(demo);
    const change = (collection: CollectionName, id: string, before: unknown, after: unknown): RecordChange[] => [
      { collection, id, before, after },
    ];
    const noMarks = { ...demo, markings: {}, handOuts: { ...demo.handOuts, [h.id]: { ...h, note: 'Anew' } } };
    const noted = patchedIndex(index, indexChanges(change('handOuts', h.id, h, noMarks.handOuts[h.id]), noMarks));
    expect(noted.slips['l-tamsin']?.works[h.id]).toMatchObject({
      note: 'Anew',
      said: index.slips['l-tamsin']?.works[h.id]?.said,
    });
    const r = { id: 'r', at: '', title: '', says: '', what: 'hand-out' as const, target: h.id };
    const without = { ...demo, removed: { r } };
    const removed = patchedIndex(index, indexChanges(change('removed', 'r', undefined, r), without));
    expect(removed.handOutHeads[h.id]).toBeUndefined();
    expect(removed.slips['l-tamsin']?.works[h.id]).toBeUndefined();
    expect(patchedIndex(removed, indexChanges(change('removed', 'r', r, undefined), demo))).toEqual(index);
  });

  /** Something that is done to a workspace, by a number. */
  const doings: readonly ((w: Workspace, n: number) => Workspace)[] = [
    (w, n) => {
      const copy = listOf(w.copies)[n % Math.max(1, listOf(w.copies).length)];
      if (!copy) return w;
      const goes = copy.goes.map((g) => ({ ...g, submittedAt: n % 2 ? '2026-11-24' : null }));
      return { ...w, copies: { ...w.copies, [copy.id]: { ...copy, goes } } };
    },
    (w, n) => {
      const copy = listOf(w.copies)[n % Math.max(1, listOf(w.copies).length)];
      if (!copy) return w;
      const decision = ([null, 'complete', 'another go'] as const)[n % 3] ?? null;
      const marking = { id: copy.id, copyId: copy.id, responses: [{ ...emptyResponse(1), decision, comment: `${n}` }] };
      return { ...w, markings: { ...w.markings, [copy.id]: marking } };
    },
    (w, n) => {
      const { [`l-${n}`]: _, ...learners } = w.learners;
      const id = Object.keys(learners)[n % Object.keys(learners).length] ?? '';
      const learner = learners[id];
      return learner ? { ...w, learners: { ...learners, [id]: { ...learner, name: `N${n}` } } } : w;
    },
    (w) => {
      const h = w.handOuts['h-bike'] as HandOut;
      const given = giveOut(h, w.families['puncture'] as Family, people, '2026-11-24T09:00:00.000Z');
      const frozen = Object.fromEntries(given.frozen.map((f) => [f.id, f]));
      return { ...w, handOuts: { ...w.handOuts, [h.id]: given.handOut }, frozen: { ...w.frozen, ...frozen } };
    },
    (w, n) => {
      const id = `r${n % 3}`;
      const target = ['h-survey', 'h-bus', 'h-bike'][n % 3] ?? '';
      if (w.removed[id]) {
        const { [id]: _, ...removed } = w.removed;
        return { ...w, removed };
      }
      return { ...w, removed: { ...w.removed, [id]: { id, at: '', title: '', says: '', what: 'hand-out', target } } };
    },
    (w, n) => {
      const family = w.families['rock-pool'];
      if (!family) return w;
      const versions = family.versions.map((v, i) => (i === n % 4 ? { ...v, name: `V${n}` } : v));
      return { ...w, families: { ...w.families, 'rock-pool': { ...family, versions } } };
    },
  ];
  const between = (a: Workspace, b: Workspace): RecordChange[] =>
    COLLECTIONS.flatMap((collection) =>
      [...new Set([...Object.keys(a[collection]), ...Object.keys(b[collection])])].flatMap((id) =>
        a[collection][id] === b[collection][id]
          ? []
          : [{ collection, id, before: a[collection][id], after: b[collection][id] }],
      ),
    );

  it('after any changes is what it would be from the start', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(5), fc.nat(40)), { maxLength: 12 }), (steps) => {
        let w: Workspace = demo;
        let index = indexOf(w);
        for (const [what, n] of steps) {
          const next = doings[what]?.(w, n) ?? w;
          index = patchedIndex(index, indexChanges(between(w, next), next));
          w = next;
        }
        const whole = indexOf(w);
        // Sheets stay when what they were given in goes: it may come back. So does a slip with nothing on it.
        const lean = (i: Index) => ({
          ...i,
          sheets: {},
          flaps: {},
          slips: Object.fromEntries(Object.entries(i.slips).filter(([, x]) => Object.keys(x.works).length > 0)),
        });
        expect(lean(index)).toEqual(lean(whole));
        for (const id of Object.keys(whole.sheets))
          expect([index.sheets[id], index.flaps[id]]).toEqual([whole.sheets[id], whole.flaps[id]]);
      }),
    );
  });
});
