import { readQuantity } from './read-number';

/** Words that say how near a number is: with them it is no key. */
const ROUGH =
  /^(?:about|around|approx\.?|approximately|circa|ca\.?|nearly|almost|over|under|more than|less than|at least|up to)$/i;

/**
 * The number that a key says, with its unit; or in words why it is none. A name with a number ("Bus 14"), a place in a row
 * ("1st") and what can be read in two ways ("1.200") are the teacher's to write otherwise.
 */
export function keyNumber(key: string): { readonly value: number; readonly unit: string } | string {
  const read = readQuantity(key);
  const isNone = `The key “${key}” is not a number.`;
  if (!read) return isNone;
  const { value, orElse, unit } = read;
  if (ROUGH.test(unit) || /^(?:st|nd|rd|th)$/i.test(unit) || /^e\d/i.test(unit)) return isNone;
  if (/^\p{L}{2,} ?\d/u.test(key.trim()) && !/^(?:usd|eur|gbp|chf)\b/i.test(key.trim())) return isNone;
  // "1,200" is English for 1200.
  if (orElse !== undefined && orElse > value)
    return `The key “${key}” can be read as ${value} or as ${orElse}: write it without the point, or with other decimals.`;
  return { value, unit };
}
