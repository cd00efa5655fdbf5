import type { Learner } from '../learners/learner';
import { extraDaysOn } from '../learners/supports';
import { z } from '../zod';
import { idSchema } from '../activity/block';
import { daySchema } from '../learners/days';
import type { HandOut } from './hand-out';
import { counted } from '../counted';

/** The one calendar of the school. */
export const SCHOOL_ID = 'school';

/** Days without school: each from a day to another, both included. Weekends are days without school of themselves. */
export const schoolDaysSchema = z.object({
  id: idSchema,
  off: z
    .array(z.object({ from: daySchema, until: daySchema, name: z.string().max(80) }))
    .max(400)
    .default([]),
  /** Days of the week without school: 0 is Sunday. */
  weekend: z.array(z.number().int().min(0).max(6)).max(6).default([0, 6]),
});
export type SchoolDays = z.infer<typeof schoolDaysSchema>;
export const NO_DAYS_OFF: SchoolDays = schoolDaysSchema.parse({ id: SCHOOL_ID });

const WEEKDAYS = ['a Sunday', 'a Monday', 'a Tuesday', 'a Wednesday', 'a Thursday', 'a Friday', 'a Saturday'];
const weekdayOf = (day: string): number => new Date(`${day.slice(0, 10)}T12:00:00Z`).getUTCDay();

/** Why there is no school on a day, in words; empty where there is. */
export function noSchoolOn(day: string, days: SchoolDays): string {
  const date = day.slice(0, 10);
  const off = days.off.find((o) => o.from <= date && date <= (o.until || o.from));
  if (off) return off.name || 'a day without school';
  return days.weekend.includes(weekdayOf(date)) ? (WEEKDAYS[weekdayOf(date)] ?? '') : '';
}

/** A local date and time so many days later; with `days`, so many days of school. */
export function laterBy(local: string, n: number, days?: SchoolDays): string {
  const date = new Date(`${local.slice(0, 10)}T12:00:00Z`);
  const day = () => date.toISOString().slice(0, 10);
  for (let left = n, tried = 0; left > 0 && tried < 3660; tried++) {
    date.setUTCDate(date.getUTCDate() + 1);
    if (!days || !noSchoolOn(day(), days)) left--;
  }
  return `${day()}${local.slice(10)}`;
}

/** The same time on the next day with school, where there is none on its own. */
export function nextSchoolDay(local: string, days: SchoolDays = NO_DAYS_OFF): string {
  let at = local;
  for (let tried = 0; tried < 366 && noSchoolOn(at, days); tried++) at = laterBy(at, 1);
  return at;
}

/** How many days later, in whole weeks, a local date is today or to come; 0 where it is so already. */
export function weeksUntil(local: string, today: string): number {
  const days =
    (Date.parse(`${today.slice(0, 10)}T12:00:00Z`) - Date.parse(`${local.slice(0, 10)}T12:00:00Z`)) / 86_400_000;
  return days > 0 ? 7 * Math.ceil(days / 7) : 0;
}

/** The dates that hold for one learner, and why they are other than everybody's. */
export interface LearnerDates {
  readonly opensAt: string | null;
  readonly dueAt: string | null;
  readonly closesAt: string | null;
  /** In words: “2 days more, as agreed”; empty where they are everybody's. */
  readonly why: string;
}

/**
 * Dates for one learner: set for them by name, else everybody's, with the extra time that is agreed for the due date in
 * days of school. What closes before it is due then closes when it is due.
 */
export function datesFor(
  handOut: Pick<HandOut, 'opensAt' | 'dueAt' | 'closesAt' | 'ownDates'>,
  learner: Learner,
  days: SchoolDays = NO_DAYS_OFF,
): LearnerDates {
  const own = Object.hasOwn(handOut.ownDates, learner.id) ? handOut.ownDates[learner.id] : undefined;
  const opensAt = own?.opensAt === undefined ? handOut.opensAt : own.opensAt;
  if (own?.dueAt !== undefined || own?.closesAt !== undefined) {
    const dueAt = own.dueAt === undefined ? handOut.dueAt : own.dueAt;
    const closesAt = own.closesAt === undefined ? handOut.closesAt : own.closesAt;
    return { opensAt, dueAt, closesAt: notBefore(closesAt, dueAt), why: 'set for them' };
  }
  const extra = handOut.dueAt ? extraDaysOn(learner.needs.supports, handOut.dueAt) : 0;
  const dueAt = handOut.dueAt && extra > 0 ? laterBy(handOut.dueAt, extra, days) : handOut.dueAt;
  return {
    opensAt,
    dueAt,
    closesAt: notBefore(handOut.closesAt, dueAt),
    why: extra > 0 ? counted(extra, '{n} day more, as agreed', '{n} days more, as agreed') : own ? 'set for them' : '',
  };
}

const notBefore = (closesAt: string | null, dueAt: string | null): string | null =>
  closesAt !== null && dueAt !== null && closesAt < dueAt ? dueAt : closesAt;
