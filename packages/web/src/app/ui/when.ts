import { parseISO } from 'date-fns';

const READ: Intl.DateTimeFormatOptions = {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
};
/** Made once for a language: it costs more than all that it writes. */
const forms = new Map<string, Intl.DateTimeFormat>();

/** A local date and time for reading, in the form that the browser is set to, or of a language: "Tue 1 Dec, 09:00", "Tue, Dec 1, 9:00 AM". */
export function whenIn(local: string, language: string = navigator.language): string {
  const form = forms.get(language) ?? new Intl.DateTimeFormat(language, READ);
  forms.set(language, form);
  return form.format(parseISO(local));
}

let dayInOwnForm: Intl.DateTimeFormat | undefined;
/** A day for reading, in the form that the browser is set to: "26 Nov 2026"; what is no day, as it stands. */
export function dayIn(instant: string): string {
  const day = parseISO(instant);
  if (Number.isNaN(day.getTime())) return instant;
  return (dayInOwnForm ??= new Intl.DateTimeFormat(navigator.language, { dateStyle: 'medium' })).format(day);
}

/** The first day that a browser writes takes it long: made out beforehand, in a task of its own, nobody waits for it. */
export async function daysReady(): Promise<void> {
  await new Promise((done) => setTimeout(done));
  dayIn('2000-01-01');
}

let nearInOwnForm: Intl.DateTimeFormat | undefined;
/** A day for reading, without the year where it is within half a year of another (ISO): "17 Dec". */
export function nearDay(day: string, today: string): string {
  const months =
    Number(day.slice(0, 4)) * 12 + Number(day.slice(5, 7)) - Number(today.slice(0, 4)) * 12 - Number(today.slice(5, 7));
  if (Math.abs(months) > 6) return dayIn(day);
  return (nearInOwnForm ??= new Intl.DateTimeFormat(navigator.language, { day: 'numeric', month: 'short' })).format(
    parseISO(day),
  );
}
