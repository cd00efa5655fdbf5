import Qty from 'js-quantities';
import { sameNoun } from '../../nouns';
import { trimOf } from '../../spaces';

/** Money, which is no physical quantity: the names of each coin and note, and how many of the smallest it is. */
const MONEY: readonly (readonly [currency: string, each: number, names: readonly string[]])[] = [
  ['pound', 100, ['£', 'gbp', 'pound', 'pounds', 'quid']],
  ['pound', 1, ['p', 'pence', 'penny', 'pennies']],
  ['euro', 100, ['€', 'eur', 'euro', 'euros']],
  ['euro', 1, ['c', 'ct', 'cent', 'cents']],
  ['dollar', 100, ['$', 'usd', 'dollar', 'dollars']],
  ['dollar', 1, ['¢', 'c', 'cent', 'cents']],
];
/** Other names for one and the same unit, that the list of units lacks. */
const NAMES: readonly (readonly string[])[] = [
  ['%', 'percent', 'per cent', 'pc'],
  ['°C', '°c', 'c', 'celsius', 'degrees celsius', 'degrees c', 'degrees', '°', 'deg c'],
  ['°F', '°f', 'f', 'fahrenheit', 'degrees fahrenheit', 'degrees f', 'degrees', '°', 'deg f'],
  ['°', 'degree', 'degrees', 'deg'],
  ['mph', 'miles per hour', 'miles an hour', 'mi/h'],
  ['km/h', 'kmh', 'kph', 'km per hour', 'kilometres per hour', 'kilometers per hour', 'km an hour'],
  ['m/s', 'metres per second', 'meters per second', 'm per second', 'm per s'],
  ['h', 'hr', 'hrs', 'hour', 'hours'],
  ['min', 'mins', 'minute', 'minutes'],
  ['s', 'sec', 'secs', 'second', 'seconds'],
];

export const tidyUnit = (unit: string): string =>
  trimOf(
    unit
      .normalize('NFKC')
      .replace(/[º˚]/g, '°')
      .replace(/\^(?=\d)/g, '')
      .replace(/[()]/g, '')
      .replace(/\s+/g, ' ')
      .trim(),
    /[.! ]/,
    'end',
  );

/** "square centimetres", "cm squared" and "cm²" as the list of units writes them. */
const forList = (unit: string): string =>
  unit
    .replace(/^(?:square|sq) (\S+)$/i, '$12')
    .replace(/^(?:cubic|cu) (\S+)$/i, '$13')
    .replace(/^(\S+) squared$/i, '$12')
    .replace(/^(\S+) cubed$/i, '$13')
    .replace(/centimetre/i, 'centimeter');

const listed = new Map<string, Qty | null>();
function quantity(unit: string): Qty | null {
  let q = listed.get(unit);
  if (q === undefined) {
    q = null;
    for (const name of [forList(unit), forList(unit.toLowerCase())])
      try {
        q ??= /^[\p{L}µ]/u.test(name) ? new Qty(`1 ${name}`) : null;
      } catch {
        // The list has no such unit: any word may be one ("limpets").
      }
    listed.set(unit, q);
  }
  return q;
}

const moneyOf = (unit: string) => MONEY.filter(([, , names]) => names.includes(unit.toLowerCase()));

export type UnitsBeside =
  | { readonly are: 'same' }
  /** The same quantity: an amount in the first unit times this is the amount in the second. */
  | { readonly are: 'convertible'; readonly factor: number }
  | { readonly are: 'other' }
  | { readonly are: 'unknown' };

/** What a unit that was typed is beside the one that is asked for. */
export function besideUnit(typed: string, asked: string): UnitsBeside {
  const [a, b] = [tidyUnit(typed), tidyUnit(asked)];
  if (a === b) return { are: 'same' };
  const [la, lb] = [a.toLowerCase(), b.toLowerCase()];
  if (NAMES.some((names) => names.includes(la) && (names.includes(b) || names.includes(lb)))) return { are: 'same' };
  for (const [currency, each] of moneyOf(lb))
    for (const [other, worth] of moneyOf(la))
      if (currency === other) return worth === each ? { are: 'same' } : { are: 'convertible', factor: worth / each };
  const [qa, qb] = [quantity(a), quantity(b)];
  if (qa && qb) {
    if (!qa.isCompatible(qb)) return { are: 'other' };
    const factor = qa.to(qb).scalar;
    return Math.abs(factor - 1) < 1e-12 ? { are: 'same' } : { are: 'convertible', factor };
  }
  if (sameNoun(la, lb)) return { are: 'same' };
  return { are: 'unknown' };
}
