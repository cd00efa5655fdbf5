import { describe, expect, it } from '@jest/globals';
import { classOf, peopleIn } from './people';
import type { Family } from '../activity/family';
import { bandsOf, recipientsOf } from '../assign/recipients';
import { giveOut } from '../assign/give-out';
import { handOutState, type HandOut } from '../assign/hand-out';
import { CLEARLY_BETTER, suggest } from '../assign/suggest';
import { demoWorkspace } from '../demo/index';
import { agreed } from './supports';
import { ageOn, EMPTY_NEEDS, goalOf, type Learner, NO_PERSON, personalValues, personalVersions } from './learner';

const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const people = peopleIn(w, '2026-11-24');
const pool = w.families['rock-pool'] as Family;
const learner = (card: Partial<Learner>): Learner => ({
  ...NO_PERSON,
  id: 'l-x',
  name: 'Keyne Roskilly',
  needs: EMPTY_NEEDS,
  ...card,
});

describe('what a card gives to personal fields', () => {
  it('is the first name, or the name the learner goes by', () => {
    const day = '2026-11-24';
    expect(personalValues(learner({}), undefined, day)).toMatchObject({ name: 'Keyne', 'chosen name': 'Keyne' });
    expect(personalValues(learner({ chosenName: 'Kez' }), undefined, day)).toMatchObject({ 'chosen name': 'Kez' });
  });
  it.each([
    ['2015-11-24', '2026-11-24', 11],
    ['2015-11-25', '2026-11-24', 10],
    ['2016-02-29', '2026-02-28', 9],
    ['2016-02-29', '2026-03-01', 10],
  ])('born %s, on %s: %s years', (born, day, years) => expect(ageOn(born, day)).toBe(years));
  it('is empty where nothing is known, so that a check can find it', () => {
    expect(personalValues(learner({}), undefined, '2026-11-24')).toMatchObject({
      birthday: '',
      age: '',
      interest: '',
      interests: '',
      class: '',
    });
  });
  it('holds what the teacher defined, but never in place of what there is', () => {
    const own = learner({ fields: { bus: '14', name: 'Somebody else' } });
    expect(personalValues(own, people.classes[0], '2026-11-24')).toMatchObject({
      bus: '14',
      name: 'Keyne',
      class: people.classes[0]?.name,
    });
  });
  it('says a birthday as one says it', () => {
    expect(personalValues(learner({ birthday: '2015-05-03' }), undefined, '2026-11-24')['birthday']).toBe('3 May');
  });
});

describe('an audience', () => {
  const all = { classIds: ['c-heron', 'c-kestrel'], groupIds: people.groups.map((g) => g.id), learnerIds: ['l-oriel'] };
  it('has every learner once, whatever they are chosen by', () => {
    const ids = recipientsOf(all, people).map((l) => l.id);
    expect(ids.length).toBe(new Set(ids).size);
    expect(ids.length).toBe(23);
    expect(recipientsOf({ classIds: [], groupIds: [], learnerIds: ['nobody'] }, people)).toEqual([]);
  });
  it('stands under headings, nobody under two and nobody under none', () => {
    const bands = bandsOf(all, people);
    const ids = bands.flatMap((b) => b.learners.map((l) => l.id));
    expect([...ids].sort()).toEqual(
      recipientsOf(all, people)
        .map((l) => l.id)
        .sort(),
    );
    const lone = bandsOf({ classIds: [], groupIds: [], learnerIds: ['l-x'] }, { ...people, learners: [learner({})] });
    expect(lone.map((b) => b.name)).toEqual(['Others']);
  });
  it('knows whose class a learner is in', () => {
    expect(classOf('l-oriel', people)?.id).toBe('c-heron');
    expect(classOf('l-x', people)).toBeUndefined();
  });
});

describe('a suggestion', () => {
  const one = ({
    supports = [],
    reads,
    wantsMore = false,
  }: {
    supports?: string[];
    reads?: number;
    wantsMore?: boolean;
  }) =>
    suggest(pool, [
      learner({
        needs: {
          ...EMPTY_NEEDS,
          wantsMore,
          supports: supports.map(agreed),
          levels: reads === undefined ? [] : [{ skill: 'reading', scale: 'grade', value: reads, on: '' }],
        },
      }),
    ])[0];
  it('for a card that says nothing there is none', () => {
    expect(one({})).toMatchObject({ fit: 'no opinion', versionId: undefined });
  });
  it('weighs an agreed support before all, and says what no version has', () => {
    expect(one({ supports: ['word bank'], reads: 2 })).toMatchObject({ fit: 'fits', versionId: 'rp-sup', lacks: [] });
    expect(one({ supports: ['hints'], reads: 7 })).toMatchObject({ fit: 'none fits', missing: ['hints'] });
  });
  it('gives more to those who wish for more, and to nobody else', () => {
    expect(one({ wantsMore: true, reads: 9 })?.versionId).toBe('rp-ext');
    expect(one({ reads: 9 })?.versionId).not.toBe('rp-ext');
  });
  it('never offers what was made for another learner', () => {
    for (const s of suggest(pool, people.learners))
      if (s.learnerId !== 'l-oriel') expect([...s.betterBy.keys()]).not.toContain('rp-oriel');
  });
  it('says how much better it is than each of the others', () => {
    const s = one({ supports: ['word bank', 'hints'], reads: 3 });
    expect(s?.betterBy.get(s.versionId ?? '')).toBe(0);
    expect(s?.betterBy.get('rp-ext')).toBeGreaterThan(CLEARLY_BETTER);
    for (const by of s?.betterBy.values() ?? []) expect(by).toBeGreaterThanOrEqual(0);
  });
});

describe('giving out', () => {
  const survey: HandOut = { ...(w.handOuts['h-survey'] as HandOut), state: 'draft', given: {} };
  it('gives each learner of the audience one thing, equal ones kept once', () => {
    const { handOut, frozen } = giveOut(survey, pool, people, '2026-11-24T08:00:00.000Z');
    expect(Object.keys(handOut.given).sort()).toEqual(
      recipientsOf(survey, people)
        .map((l) => l.id)
        .sort(),
    );
    const got = new Set(Object.values(handOut.given).map((g) => g.frozen));
    expect(frozen.map((f) => f.id).sort()).toEqual([...got].sort());
  });
  it('gives nothing to a learner without a line, and the first of two', () => {
    const lines = [
      { learnerId: 'l-oriel', versionId: 'rp-core' },
      { learnerId: 'l-oriel', versionId: 'rp-sup' },
    ];
    const { handOut, frozen } = giveOut({ ...survey, lines }, pool, people, '2026-11-24T08:00:00.000Z');
    expect(Object.keys(handOut.given)).toEqual(['l-oriel']);
    expect(frozen.map((f) => f.versionId)).toEqual(['rp-core']);
  });
  it.each([
    ['draft', null, 'draft'],
    ['given', null, 'given out'],
    ['given', '2026-11-24T09:00', 'given out'],
    ['given', '2026-11-24T09:01', 'scheduled'],
  ] as const)('%s, opening %s: %s', (state, opensAt, is) =>
    expect(handOutState({ ...survey, state, opensAt }, '2026-11-24T09:00')).toBe(is),
  );
});

describe('people and versions', () => {
  it('goals are found by whoever has them', () => {
    const [goal] = people.learners.flatMap((l) => l.needs.goals);
    expect(goal && goalOf(people.learners, goal.id)).toBe(goal);
    expect(goalOf(people.learners, 'none')).toBeUndefined();
  });
  it('a learner’s own versions are known', () => {
    expect(personalVersions(pool, 'l-oriel').map((v) => v.id)).toEqual(['rp-oriel']);
    expect(personalVersions(pool, 'l-jory')).toEqual([]);
  });
});
