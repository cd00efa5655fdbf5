import { differenceInCalendarDays, parseISO } from 'date-fns';

/**
 * How many days there are until a day: "today", "tomorrow", "in 3 days", "2 days ago".
 * @param at local, ISO 8601 without a zone
 * @param now the same
 */
export function howSoon(at: string, now: string): string {
  const days = differenceInCalendarDays(parseISO(at), parseISO(now));
  return new Intl.RelativeTimeFormat('en', { numeric: 'auto' }).format(days, 'day');
}
