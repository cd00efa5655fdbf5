import { describe, expect, it } from '@jest/globals';
import { type Learner } from '../learners/learner';
import { datesFor, NO_DAYS_OFF, noSchoolOn } from './dates';
import { survey, w } from '../testing/demo-plan';

describe('dates for one learner', () => {
  const dated = { ...survey, opensAt: '2026-11-24T09:00', dueAt: '2026-11-27T15:00', closesAt: '2026-11-27T16:00' };
  const days = { ...NO_DAYS_OFF, off: [{ from: '2026-11-30', until: '2026-11-30', name: 'harbour day' }] };
  const oriel = w.learners['l-oriel'] as Learner;
  const jory = w.learners['l-jory'] as Learner;

  it('are everybody’s, later by the extra time that is agreed, in days of school', () => {
    expect(datesFor(dated, jory)).toMatchObject({ dueAt: '2026-11-27T15:00', why: '' });
    // 27 November 2026 is a Friday; Monday is off.
    expect(datesFor(dated, oriel, days)).toEqual({
      opensAt: '2026-11-24T09:00',
      dueAt: '2026-12-01T15:00',
      closesAt: '2026-12-01T15:00',
      why: '1 day more, as agreed',
    });
  });
  it('are what was set for them by name, whatever was agreed', () => {
    const own = { ...dated, ownDates: { 'l-oriel': { dueAt: '2026-12-24T09:00' }, 'l-jory': { dueAt: null } } };
    expect(datesFor(own, oriel)).toMatchObject({
      dueAt: '2026-12-24T09:00',
      closesAt: '2026-12-24T09:00',
      why: 'set for them',
    });
    expect(datesFor(own, jory)).toMatchObject({ dueAt: null, closesAt: '2026-11-27T16:00' });
  });
  it.each([
    ['2026-11-28', 'a Saturday'],
    ['2026-11-30', 'harbour day'],
    ['2026-12-01', ''],
  ])('%s is %s', (day, why) => expect(noSchoolOn(day, days)).toBe(why));
});
