import { isValid } from 'date-fns';

const TIME = /(?:^|[ ,T])(\d{1,2})(?:[:.](\d{2}))?\s*([ap])?\.?m?\.?$/i;

/** Hours and minutes at the end of a text: "14:30", "2.30 pm", "9 am". */
function timeIn(text: string): { time: readonly [number, number]; rest: string } | undefined {
  const [all, hour, minute, half] = TIME.exec(text) ?? [];
  if (all === undefined || (minute === undefined && half === undefined)) return undefined;
  const h = Number(hour);
  if (half !== undefined && (h < 1 || h > 12)) return undefined;
  const of24 = half === undefined ? h : (h % 12) + (half.toLowerCase() === 'p' ? 12 : 0);
  const m = Number(minute ?? 0);
  return of24 < 24 && m < 60 ? { time: [of24, m], rest: text.slice(0, -all.length).trim() } : undefined;
}

/** A day in digits, in the order of the pattern ("dd/mm/yy") or as the ISO writes it; two digits of a year are this century's. */
function dayIn(text: string, pattern: string): readonly [number, number, number] | undefined {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text);
  if (iso) return [Number(iso[1]), Number(iso[2]), Number(iso[3])];
  const order = [...pattern.matchAll(/dd|mm|yy/g)].map(([p]) => p);
  const found = /^(\d{1,4})[./ -](\d{1,2})[./ -](\d{1,4})\.?$/.exec(text.replaceAll(/ ?([./-]) ?/g, '$1'));
  if (!found) return undefined;
  const at = (part: string) => found[order.indexOf(part) + 1] ?? '';
  const year = at('yy');
  if (year.length === 3 || year.length === 1) return undefined;
  return [year.length === 2 ? 2000 + Number(year) : Number(year), Number(at('mm')), Number(at('dd'))];
}

const WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'];

/** A day in words: "today", "tomorrow", or the next of a weekday ("Monday", "mon"). */
function dayInWords(text: string, today: Date): readonly [number, number, number] | undefined {
  const word = text.toLowerCase().replace(/^next /, '');
  const weekday = word.length < 3 ? -1 : WEEKDAYS.findIndex((d) => d.startsWith(word));
  const later =
    word === 'today' ? 0 : word === 'tomorrow' ? 1 : weekday < 0 ? -1 : (weekday - today.getDay() + 7) % 7 || 7;
  if (later < 0) return undefined;
  const day = new Date(today.getFullYear(), today.getMonth(), today.getDate() + later);
  return [day.getFullYear(), day.getMonth() + 1, day.getDate()];
}

/**
 * A day, or a day and time, as somebody types it: in digits, or as a weekday that comes. `pattern` says the order of day, month and year; `timeWhenNone` is the
 * time of a day without one ("23:59"), null where no time is wanted.
 * @returns undefined where the text is none.
 */
export function readDay(
  text: string,
  pattern: string,
  timeWhenNone: string | null,
  today = new Date(),
): Date | undefined {
  const whole = text.trim();
  const at = timeWhenNone === null ? undefined : timeIn(whole);
  const words = (at?.rest ?? whole).replace(/,$/, '').trim();
  const day = dayInWords(words, today) ?? dayIn(words, pattern);
  if (!day) return undefined;
  const [year, month, date] = day;
  const [h = 0, m = 0] = at?.time ?? (timeWhenNone ?? '00:00').split(':').map(Number);
  const read = new Date(year, month - 1, date, h, m);
  // 31 June is no day, though a clock would take it for 1 July.
  return isValid(read) && read.getMonth() === month - 1 && read.getDate() === date && year >= 1900 && year < 2200
    ? read
    : undefined;
}
