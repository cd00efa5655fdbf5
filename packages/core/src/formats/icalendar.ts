import ical, { ICalEventTransparency } from 'ical-generator';
import { datesFor, type SchoolDays } from '../assign/dates';
import type { HandOut } from '../assign/hand-out';
import type { Learner } from '../learners/learner';

/** One day or moment of a hand-out, as a calendar shows it. */
export interface CalendarDate {
  /** The same for the same date of the same hand-out: a calendar that reads a newer file changes it. */
  readonly id: string;
  readonly what: 'opens' | 'due' | 'closes' | 'answers';
  /** Local, 'yyyy-MM-ddTHH:mm'. */
  readonly at: string;
  readonly title: string;
}

const SAYS = { opens: 'opens', due: 'due', closes: 'closes', answers: 'answers come out' } as const;

/** The dates of a hand-out that are set: everybody's, or those of one learner. */
export function calendarDates(
  handOut: Pick<HandOut, 'id' | 'title' | 'opensAt' | 'dueAt' | 'closesAt' | 'answersAt'>,
): CalendarDate[] {
  const { id, title, opensAt, dueAt, closesAt, answersAt } = handOut;
  const all = { opens: opensAt, due: dueAt, closes: closesAt, answers: answersAt };
  return (['opens', 'due', 'closes', 'answers'] as const).flatMap((what) => {
    const at = all[what];
    return at ? [{ id: `${id}-${what}`, what, at, title: `${title}: ${SAYS[what]}` }] : [];
  });
}

/** The same as they are for one learner, who may have more time. */
export const datesOfLearner = (handOut: HandOut, learner: Learner, days?: SchoolDays): CalendarDate[] =>
  calendarDates({ ...handOut, ...datesFor(handOut, learner, days) });

/** A local date and time as the moment that reads the same in UTC: it is written without a zone, as the clock on the wall shows it. */
const asOnTheWall = (local: string): Date => new Date(`${local.slice(0, 16)}:00Z`);

/**
 * An iCalendar file (RFC 5545). Times are written without a zone: they are those of the school's wall. `at` is the ISO
 * instant at which it is made.
 */
export function writeCalendar(name: string, dates: readonly CalendarDate[], at: string): string {
  const calendar = ical({ name, prodId: { company: 'Lorvet', product: 'Hand-outs', language: 'EN' } });
  for (const d of dates)
    calendar.createEvent({
      id: `${d.id}@lorvet`,
      stamp: new Date(at),
      start: asOnTheWall(d.at),
      end: asOnTheWall(d.at),
      floating: true,
      summary: d.title,
      transparency: ICalEventTransparency.TRANSPARENT,
    });
  return calendar.toString();
}
