import { differenceInCalendarDays, parseISO } from 'date-fns';

/**
 * How many days there are until a day: "today", "tomorrow", "in 3 days", "2 days ago".
 * @param at local, ISO 8601 without a zone
 * @param now the same
 * @param language as a BCP 47 code
 */
export function howSoon(at: string, now: string, language = 'en'): string {
  const days = differenceInCalendarDays(parseISO(at), parseISO(now));
  return new Intl.RelativeTimeFormat(language, { numeric: 'auto' }).format(days, 'day');
}
