import { trimOf } from '../../spaces';
import { onOneLine } from '../formula';
import { wordsAsNumber } from './number-words';

/** A number as it was typed, with what stood about it. */
export interface ReadNumber {
  /** What it says, as English writes numbers. */
  readonly value: number;
  /** What else it may say: "1.000" is a thousand in half of Europe. */
  readonly orElse?: number;
  /** The words before or behind it, as typed. */
  readonly unit: string;
}

/** Digits with room, points, commas and strokes between them. */
const DIGITS = /^(?:\d[\d.,'’/ ]*|[.,]\d+)/;

/** A number out of its digits and signs, and what else it may be. */
function valuesOf(digits: string): readonly [number, number?] | null {
  const t = digits
    .replace(/’/g, "'")
    .replace(/ ?\/ ?/g, '/')
    .trim();
  const fraction = /^(?:(\d+) )?(\d+)\/(\d+)$/.exec(t);
  if (fraction) {
    const [, whole = '0', top, bottom] = fraction;
    return Number(bottom) === 0 ? null : [Number(whole) + Number(top) / Number(bottom)];
  }
  const joined = /^\d{1,3}(?:[ ']\d{3})+(?=\D|$)/.test(t) ? t.replace(/[ '](?=\d{3})/g, '') : t;
  if (!/^[\d.,]+$/.test(joined)) return null;
  const signs = [...joined.matchAll(/[.,]/g)].map((m) => m[0]);
  const plain = (text: string) => Number(text.replace(/[.,]$/, '').replace(',', '.'));
  if (signs.length === 0) return [Number(joined)];
  const [first = '', last = ''] = [signs[0], signs.at(-1)];
  // Threes behind each sign, or twos and then three as in India.
  const isGrouped = (text: string, sign: string) =>
    text
      .split(sign)
      .every((g, i, all) =>
        i === 0 ? /^\d{1,3}$/.test(g) && g !== '0' : g.length === 3 || (i < all.length - 1 && g.length === 2),
      );
  if (signs.length === 1) {
    if (!isGrouped(joined, first)) return [plain(joined)];
    const grouped = Number(joined.replace(first, ''));
    return first === ',' ? [grouped, plain(joined)] : [plain(joined), grouped];
  }
  // The same sign throughout parts thousands; two signs: the last one is the decimal one.
  if (signs.every((s) => s === first)) return isGrouped(joined, first) ? [Number(joined.replaceAll(first, ''))] : null;
  if (signs.slice(0, -1).some((s) => s !== first)) return null;
  const at = joined.lastIndexOf(last);
  const [whole, part] = [joined.slice(0, at), joined.slice(at + 1)];
  return isGrouped(whole, first) ? [Number(`${whole.replaceAll(first, '')}.${part || '0'}`)] : null;
}

/**
 * A number as people type it: with a unit before or behind, a decimal point or comma, thousands parted by room, point, comma
 * or a stroke above, simple fractions ("1/2", "2 1/2", "2½"), any dash as minus, words up to a hundred. Null where it is none, or
 * where there is more than one.
 */
export function readQuantity(text: string): ReadNumber | null {
  const t = onOneLine(text)
    .normalize('NFKC')
    .replace(/[‐‑‒–—]/g, '-')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/^(?:it is |it's |\p{L} ?=|=) ?/iu, '')
    .replace(/^(?:minus|negative) (?=[\d.])/i, '-')
    .trim();
  const sign = (rest: string) => /^(?:- ?|\+ ?)/.exec(rest)?.[0] ?? '';
  const outer = sign(t);
  let rest = t.slice(outer.length);
  const before = /^[^\d.,+-]+/.exec(rest)?.[0] ?? '';
  const numberAhead = /^[.,]?\d/;
  if (before && numberAhead.test(rest.slice(before.length + sign(rest.slice(before.length)).length)))
    rest = rest.slice(before.length);
  else if (before || !numberAhead.test(rest)) return inWords(t);
  const inner = rest === t.slice(outer.length) ? '' : sign(rest);
  rest = rest.slice(inner.length);
  const digits = trimOf(DIGITS.exec(rest)?.[0] ?? '', /[ .,'’/]/, 'end');
  const behind = rest
    .slice(digits.length)
    .replace(/^[.,](?=\s|$)/, '')
    .trim();
  const values = valuesOf(digits);
  if (!values || (outer && inner)) return null;
  const led = rest === t.slice(outer.length) ? '' : before.trim();
  // A second number, or words on both sides, say more than a number. In "cm2" and "m^2" the figure is the unit's.
  if (/(?<![\p{L}^])\d/u.test(behind) || (led && behind)) return null;
  const minus = (outer + inner).includes('-') ? -1 : 1;
  const [value, orElse] = values;
  // No minus nought.
  const signed = (n: number) => (n === 0 ? 0 : n * minus);
  return { value: signed(value), ...(orElse === undefined ? {} : { orElse: signed(orElse) }), unit: led || behind };
}

/** "three", "twenty-five minutes": as many of the first words as are a number. */
function inWords(text: string): ReadNumber | null {
  const words = trimOf(text, /[.!]/, 'end').split(/(?<=\p{L})-(?=\p{L})| /u);
  for (let n = Math.min(words.length, 6); n > 0; n--) {
    const value = wordsAsNumber(words.slice(0, n).join(' '));
    if (value !== null) return { value, unit: words.slice(n).join(' ') };
  }
  return null;
}

/** A number with nothing about it, that can be read in one way only; null where it is none. */
export function readNumber(text: string): number | null {
  const read = readQuantity(text);
  return read && read.unit === '' && read.orElse === undefined ? read.value : null;
}
