import type { Translation } from 'primeng/api';

/** How dates and times are written where the teacher's browser is at home. */
export interface OwnForm {
  /** PrimeNG's pattern of a day: "dd/mm/yy". */
  readonly day: string;
  readonly hours: '12' | '24';
  /** A day and time so written, for a word on how to write one. */
  readonly example: (withTime: boolean) => string;
  /** Names of days and months, and the day a week begins with (0 is Sunday). */
  readonly words: Translation;
}

const DAY: Intl.DateTimeFormatOptions = { day: '2-digit', month: '2-digit', year: 'numeric' };
const TIME: Intl.DateTimeFormatOptions = { ...DAY, hour: '2-digit', minute: '2-digit' };
const PATTERNS: Readonly<Record<string, string>> = { day: 'dd', month: 'mm', year: 'yy' };

/** The browser's own record of a week, where it has one; else Monday. */
function firstDay(language: string): number {
  const locale: Intl.Locale & { weekInfo?: { firstDay: number }; getWeekInfo?: () => { firstDay: number } } =
    new Intl.Locale(language);
  return ((locale.getWeekInfo?.() ?? locale.weekInfo)?.firstDay ?? 1) % 7;
}

/** @param language a BCP 47 tag, such as `navigator.language`. */
export function ownForm(language: string): OwnForm {
  // Digits and calendar as the field reads them: 0 to 9, Gregorian.
  const tag = `${language}-u-nu-latn-ca-gregory`;
  const parts = new Intl.DateTimeFormat(tag, DAY).formatToParts(new Date(2026, 10, 26));
  const day = parts
    .map((p) => PATTERNS[p.type] ?? (p.type === 'literal' ? p.value.replace(/[^\d./ -]/g, '') : ''))
    .join('')
    .trim();
  const hours = new Intl.DateTimeFormat(tag, TIME).resolvedOptions().hour12 ? '12' : '24';
  const named = (of: Intl.DateTimeFormatOptions, count: number, at: (i: number) => Date) => {
    const form = new Intl.DateTimeFormat(tag, of);
    return Array.from({ length: count }, (_, i) => form.format(at(i)));
  };
  // 1 November 2026 is a Sunday.
  const days = (weekday: 'long' | 'short' | 'narrow') => named({ weekday }, 7, (i) => new Date(2026, 10, 1 + i));
  const months = (month: 'long' | 'short') => named({ month }, 12, (i) => new Date(2026, i, 15));
  const written = (d: string) => d.replace('dd', '26').replace('mm', '11').replace('yy', '2026');
  return {
    day,
    hours,
    example: (withTime) => written(day) + (withTime ? (hours === '12' ? ' 02:30 PM' : ' 14:30') : ''),
    words: {
      dayNames: days('long'),
      dayNamesShort: days('short'),
      dayNamesMin: days('short').map((d) => d.slice(0, 2)),
      monthNames: months('long'),
      monthNamesShort: months('short'),
      firstDayOfWeek: firstDay(language),
      am: 'AM',
      pm: 'PM',
    },
  };
}
