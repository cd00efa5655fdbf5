import { describe, expect, it } from '@jest/globals';
import { demoWorkspace } from '../demo/index';
import { type Condition, evaluateAudience, type NamedAudience, namedAudienceSchema, sayAudience } from './audience';
import { asGrade, levelIn, levelsNow, readingGrade, withLevel } from './levels';
import { cardFor, EMPTY_NEEDS, type Learner, NO_PERSON } from './learner';
import { companyIn, groupsOn, NEW_CLASS, NEW_GROUP, pairOf, peopleIn } from './people';
import { agreed, extraDaysOn, supportsOn } from './supports';

const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const people = peopleIn(w, '2026-11-24');
const rule = (a: Partial<NamedAudience>): NamedAudience => namedAudienceSchema.parse({ id: 'a', name: 'A', ...a });
const who = (a: Partial<NamedAudience>, p = people) => evaluateAudience(rule(a), p).map((x) => x.learner.id);

describe('an audience', () => {
  const heron: Condition = { is: 'in', part: 'class', ids: ['c-heron'] };
  const below: Condition = { is: 'level', skill: 'Reading', side: 'below', scale: 'grade', value: 3.6 };

  it('is whoever all of its conditions hold of, and says why', () => {
    const found = evaluateAudience(rule({ conditions: [heron, below] }), people);
    expect(found.map((x) => x.learner.id)).toEqual(['l-brannoc', 'l-oriel']);
    expect(found[1]?.why).toMatch(/^in Heron class, reading at grade 2.8, 2026-11-\d\d$/);
    expect(sayAudience(rule({ conditions: [heron, below] }), people)).toBe(
      'in Heron class and Reading below grade 3.6',
    );
  });
  it('or one of them; those by name with them, and some without', () => {
    const a = {
      conditions: [below, { is: 'support', what: 'Large print' }] as NamedAudience['conditions'],
      match: 'any' as const,
    };
    expect(who(a)).toEqual(['l-brannoc', 'l-oriel', 'l-merryn', 'l-ansel', 'l-zennor']);
    expect(who({ ...a, also: ['l-talan', 'gone'], but: ['l-oriel'] })).toEqual([
      'l-brannoc',
      'l-merryn',
      'l-ansel',
      'l-zennor',
      'l-talan',
    ]);
    expect(who({ also: ['l-jory'] })).toEqual(['l-jory']);
    expect(who({})).toEqual([]);
  });
  it('is evaluated anew: who joins a class or ends a support is in or out', () => {
    const print = { conditions: [{ is: 'support', what: 'large print' }] as NamedAudience['conditions'] };
    const merryn = w.learners['l-merryn'] as Learner;
    const ended = {
      ...merryn,
      needs: { ...merryn.needs, supports: [{ ...agreed('large print'), until: '2026-11-23' }] },
    };
    const later = peopleIn({ ...w, learners: { ...w.learners, 'l-merryn': ended } }, '2026-11-24');
    expect([who(print), who(print, later)]).toEqual([['l-merryn', 'l-zennor'], ['l-zennor']]);
  });
  it('holds levels against each other on scales of age, and other scales only against themselves', () => {
    const is = (scale: 'age' | 'step' | 'percent', skill = 'reading', value = 8.6) =>
      who({ conditions: [{ is: 'level', skill, side: 'below', scale, value }] });
    expect(is('age')).toEqual(who({ conditions: [{ ...below }] }));
    expect(is('percent')).toEqual([]);
    expect(is('step', 'number', 4)).toEqual(['l-oriel', 'l-ansel', 'l-zennor']);
  });
  it('says what is gone', () => {
    expect(sayAudience(rule({ conditions: [{ is: 'in', part: 'group', ids: ['x'] }] }), people)).toBe(
      'in a group that is gone',
    );
  });
});

describe('levels', () => {
  const at = (value: number, on: string, skill = 'reading') => ({ skill, scale: 'grade' as const, value, on });
  it('of a skill: the newest counts, earlier ones stay', () => {
    const levels = [at(3, '2026-09-01'), at(2, ''), at(7, '2026-10-01', 'number')];
    expect(levelIn(levels, 'READING')?.value).toBe(3);
    expect(levelsNow(levels).map((l) => `${l.skill} ${l.value}`)).toEqual(['reading 3', 'number 7']);
    const later = withLevel(levels, at(3.5, '2026-11-01'));
    expect([later.length, readingGrade(later)]).toEqual([4, 3.5]);
    expect(withLevel(later, at(4, '2026-11-01', 'Reading'))).toHaveLength(4);
  });
  it.each([
    ['grade', 3, 3],
    ['year', 4, 3],
    ['age', 8, 3],
    ['percent', 60, undefined],
    ['step', 4, undefined],
  ] as const)('%s %s is grade %s', (scale, value, grade) => expect(asGrade({ scale, value })).toBe(grade));
});

describe('a card', () => {
  const needs = {
    ...EMPTY_NEEDS,
    works: 'A timer.',
    note: 'For me.',
    supports: [
      { ...agreed('hints'), from: '2026-09-01', until: '2026-12-01' },
      { ...agreed('extra time'), days: 2 },
    ],
    seenBy: { works: 'family', supports: 'team' } as const,
  };
  it('shows others what they may see and no more', () => {
    expect(cardFor(needs, 'family')).toEqual({ ...EMPTY_NEEDS, works: 'A timer.', seenBy: needs.seenBy });
    expect(cardFor(needs, 'team')).toMatchObject({ works: 'A timer.', note: '', supports: needs.supports });
    expect(cardFor(needs, 'teacher').note).toBe('For me.');
  });
  it('holds supports for a time', () => {
    expect(supportsOn(needs.supports, '2026-12-02')).toEqual(['extra time']);
    expect(supportsOn(needs.supports)).toEqual(['hints', 'extra time']);
    expect(extraDaysOn(needs.supports, '2026-12-02')).toBe(2);
  });
});

describe('people', () => {
  it('groups meet for a time, and who was together is known', () => {
    const g = { ...NEW_GROUP, id: 'g', name: 'G', learnerIds: ['b', 'a', 'c'], until: '2026-11-01' };
    expect(groupsOn([g], '2026-11-01').length + groupsOn([g], '2026-11-02').length).toBe(1);
    expect(companyIn([g, { learnerIds: ['a', 'b'] }]).get(pairOf('a', 'b'))).toBe(2);
  });
  it('somebody may be in two classes, and is a recipient once', () => {
    const club = { ...NEW_CLASS, id: 'c-club', name: 'Boat club', learnerIds: ['l-jory', 'l-talan'] };
    const p = peopleIn(
      {
        ...w,
        classes: { ...w.classes, 'c-club': club },
        learners: { x: { ...NO_PERSON, id: 'x', name: 'X', needs: EMPTY_NEEDS }, ...w.learners },
      },
      '',
    );
    expect(who({ conditions: [{ is: 'in', part: 'class', ids: ['c-heron', 'c-club'] }] }, p)).toHaveLength(15);
  });
});
