import { describe, expect, it } from '@jest/globals';
import { people, survey } from '../testing/demo-plan';
import { calendarDates, datesOfLearner, writeCalendar } from './icalendar';

const AT = '2026-11-24T08:00:00.000Z';
const plan = { ...survey, title: 'Pools; and, tides', opensAt: '2026-11-30T09:00', dueAt: '2026-12-01T15:00' };

describe('a calendar file', () => {
  it('has each date that is set once, as the wall’s clock shows it, with its title escaped', () => {
    const file = writeCalendar('Heron class', calendarDates(plan), AT);
    expect(file.match(/BEGIN:VEVENT/g)).toHaveLength(2);
    expect(file).toContain('DTSTART:20261130T090000\r\n');
    expect(file).toContain('SUMMARY:Pools\\; and\\, tides: due');
    expect(file).toMatch(/^BEGIN:VCALENDAR\r\nVERSION:2\.0/);
    expect(file.split('\r\n').every((l) => new TextEncoder().encode(l).length <= 75)).toBe(true);
  });

  it('of one learner has the dates that hold for them, and no word of a version', () => {
    const oriel = people.learners.find((l) => l.id === 'l-oriel');
    if (!oriel) throw new Error('the demo changed');
    const due = datesOfLearner(plan, oriel).find((d) => d.what === 'due');
    expect(due?.at).toBe('2026-12-02T15:00');
    const file = writeCalendar('Oriel P.', datesOfLearner(plan, oriel), AT);
    expect(file).not.toMatch(/Supported|Core|Extended|rp-/);
  });

  it('names the same date the same each time, so that a newer file changes it', () => {
    const uids = (at: string) => writeCalendar('x', calendarDates({ ...plan, dueAt: at }), AT).match(/UID:.*/g);
    expect(uids('2026-12-02T09:00')).toEqual(uids('2026-12-01T15:00'));
  });
});
