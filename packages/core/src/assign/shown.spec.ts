import { describe, expect, it } from '@jest/globals';
import { peopleIn } from '../learners/people';
import { type Family, versionOf } from '../activity/family';
import { recordInPlace } from '../adjust/record';
import { demoWorkspace } from '../demo/index';
import { ageOn, personalValues } from '../learners/learner';
import { stamp } from '../testing/random-family';
import { mayLift } from '../work/answer';
import { openGo } from '../work/copy';
import { coverage } from './check/coverage';
import { freeze } from './held/freeze';
import { learnerPackage } from './learner-package';
import { flapsOf } from './learner-sheet';
import { oneByOne } from './one-by-one';

const demo = demoWorkspace(Date.UTC(2026, 10, 24));
const pool = demo.families['rock-pool'] as Family;
const NOW = '2026-11-24T09:00:00.000Z';
const plan = { id: 'h', title: 'T', note: '', way: 'one-each' as const, dueAt: '2026-11-28T15:00' };
type Done = Parameters<typeof recordInPlace>[2];
const given = (done: Done, seed?: string) => {
  const version = recordInPlace(pool, 'rp-core', done, stamp);
  const family = { ...pool, versions: pool.versions.map((v) => (v.id === 'rp-core' ? version : v)) };
  return learnerPackage(plan, freeze(family, 'rp-core', NOW), seed);
};

describe('what a version says of the whole reaches the learner', () => {
  it('more days until it is due, print, goes, one at a time', () => {
    const drafts = [
      { kind: 'extra-time' as const, percent: 25, days: 4 },
      { kind: 'goes' as const, most: 3 },
      { kind: 'one-at-a-time' as const },
    ];
    const sheet = given({ did: 'adjust', drafts });
    expect(sheet.dueAt).toBe('2026-12-02T15:00');
    expect(sheet.show).toEqual({ oneAtATime: true, print: null, goes: 3 });
  });

  it('choices in another order for each learner and go, the same after a reload', () => {
    const mix: Done = { did: 'adjust', drafts: [{ kind: 'mix-up', targets: ['rp-q1', 'rp-q2'] }] };
    const order = (seed: string) =>
      given(mix, seed)
        .pages.flatMap((p) => p.blocks)
        .flatMap((b) => (b.kind === 'multiple-choice' ? [b.options.map((o) => o.id).join()] : []))[0];
    expect(order('a.1')).toBe(order('a.1'));
    expect(new Set(['a.1', 'a.2', 'b.1', 'c.1', 'd.1'].map(order)).size).toBeGreaterThan(2);
  });
});

describe('a flap', () => {
  const under = 'only the flap says this';
  const flap = (lifts?: 'anything' | 'submitted') => ({
    did: 'adjust' as const,
    drafts: [{ kind: 'flap' as const, target: 'rp-q4', text: under, was: [], ...(lifts ? { lifts } : {}) }],
  });
  const after = (done: Done) =>
    given(done)
      .pages.flatMap((p) => p.blocks)
      .flatMap((b) => (b.id === 'rp-q4' && 'flap' in b && typeof b.flap === 'object' ? [b.flap] : []))[0];
  const typed = (text: string) => ({ kind: 'text' as const, text });

  it('has its words apart from what a learner receives, to come with the lifting', () => {
    const version = recordInPlace(pool, 'rp-core', flap(), stamp);
    const family = { ...pool, versions: pool.versions.map((v) => (v.id === 'rp-core' ? version : v)) };
    const frozen = freeze(family, 'rp-core', NOW);
    expect(JSON.stringify(learnerPackage(plan, frozen))).not.toContain(under);
    expect(flapsOf(frozen).under).toEqual({ 'rp-q4': under });
  });

  it('is lifted after what the teacher says counts as an answer', () => {
    const [few, any, handed] = [after(flap()), after(flap('anything')), after(flap('submitted'))];
    if (!few || !any || !handed) throw new Error('there is no flap');
    expect([
      mayLift(few, typed('x'), false),
      mayLift(few, typed('c  r'), false),
      mayLift(few, typed('cra'), false),
    ]).toEqual([false, false, true]);
    expect([mayLift(any, typed('x'), false), mayLift(any, typed(' '), false)]).toEqual([true, false]);
    expect([mayLift(handed, typed('crab'), false), mayLift(handed, typed('crab'), true)]).toEqual([false, true]);
  });
});

describe('one question at a time', () => {
  it('asks every question once, with the text it is about, and loses nothing a learner can answer', () => {
    const { pages } = learnerPackage(plan, freeze(pool, null, NOW));
    const single = oneByOne(pages);
    const prompts = (list: typeof pages) => list.flatMap((p) => p.blocks.filter((b) => 'prompt' in b).map((b) => b.id));
    expect(prompts(single)).toEqual(prompts(pages));
    for (const p of single) expect(p.blocks.filter((b) => 'prompt' in b).length).toBeLessThanOrEqual(1);
    const q3 = single.find((p) => p.blocks.some((b) => b.id === 'rp-q3'));
    expect(q3?.blocks.some((b) => b.id === 'rp-t1')).toBe(true);
  });
});

describe('how many goes there are', () => {
  const go = (n: number, submittedAt: string | null) => ({ n, startedAt: NOW, submittedAt, answers: {} });
  const copy = (n: number) => ({ id: 'c', handOutId: 'h', learnerId: 'l', frozen: 'f', goes: [go(n, NOW)] });
  it('lets a learner begin again until they are used', () => {
    expect(openGo(copy(1), {})).toBeUndefined();
    expect(openGo(copy(1), {}, 2)).toBe('next');
    expect(openGo(copy(2), {}, 2)).toBeUndefined();
  });
});

describe('personal fields', () => {
  const oriel = Object.values(demo.learners).find((l) => l.id === 'l-oriel');
  if (!oriel) throw new Error('the demo changed');
  it('come from the card, the age from the day', () => {
    expect(personalValues(oriel, undefined, '2026-11-24')).toMatchObject({
      'chosen name': 'Ori',
      birthday: '9 April',
      age: '10',
      pet: 'a cat called Moss',
    });
    expect([ageOn('2016-04-09', '2026-04-08'), ageOn('2016-04-09', '2026-04-09')]).toEqual([9, 10]);
  });

  it('that nobody fills are named before giving out, never left as holes', () => {
    const asked: Done = { did: 'words', blockId: 'rp-q9', field: 'prompt', text: 'What would [pet] do, [name]?' };
    const version = recordInPlace(pool, 'rp-core', asked, stamp);
    const family = { ...pool, versions: pool.versions.map((v) => (v.id === 'rp-core' ? version : v)) };
    const people = peopleIn(demo, '2026-11-24');
    const base = demo.handOuts['h-survey'];
    const who = people.learners.find((l) => l.id === 'l-jory');
    if (!base || !who) throw new Error('the demo changed');
    const lines = [{ learnerId: who.id, versionId: 'rp-core' }];
    const checks = coverage({ ...base, state: 'draft', lines }, family, people, '2026-11-24T09:00');
    expect(checks.filter((c) => c.code === 'unfilled').map((c) => c.title)).toEqual(['[pet] is not known for Jory S.']);
    expect(versionOf(family, 'rp-core')?.adjustments.some((a) => a.kind === 'personal-fields')).toBe(true);
  });
});
