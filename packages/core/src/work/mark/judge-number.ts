import { plainWords } from '../plain-words';
import type { AskedNumber, Judged } from './judge';
import { type ReadNumber, readQuantity } from './read-number';
import { sameNoun } from '../../nouns';
import { besideUnit, tidyUnit } from './units';

const yours = (why: string): Judged => ({ is: 'yours', why });

/** Numbers as a teacher reads them: no long tails. */
const shown = (n: number): string => String(Number(n.toPrecision(8)));

/** Whether all the words behind a number are words of the question: "3 shells" where shells were asked for. */
function namesTheAsked(unit: string, prompt: string): boolean {
  const words = (text: string) => plainWords(text).match(/[\p{L}\p{N}]+/gu) ?? [];
  const asked = words(prompt);
  const named = words(unit);
  return named.length > 0 && named.every((w) => asked.some((p) => sameNoun(w, p)));
}

/** A fraction that is a whole number, or any that can be made simpler where the question asks for the simplest. */
function isUnreduced(given: string, prompt: string): boolean {
  const fraction = /(\d{1,9}) ?\/ ?(\d{1,9})/.exec(given);
  if (!fraction) return false;
  let [a, b] = [Number(fraction[1]), Number(fraction[2])];
  const isWhole = b !== 0 && a % b === 0;
  while (b) [a, b] = [b, a % b];
  return isWhole || (a > 1 && /\b(?:simpl|lowest|reduce|smallest)/i.test(prompt));
}

/** How a typed number stands beside the key. What cannot be read for certain is the teacher's, never nought. */
export function judgeNumber(given: string, asked: AskedNumber): Judged {
  const { key, tolerance } = asked;
  const read = readQuantity(given);
  if (!read) return yours(`“${given.trim()}” could not be read as one number.`);
  const away = (n: number) => Math.abs(n - key);
  // A billionth of slack, since 0.1 + 0.2 is not 0.3 in binary.
  const slack = 1e-9 * Math.max(1, Math.abs(key));
  const hits = (n: number) => away(n) <= tolerance + slack;
  const judged = (factor: number): Judged => {
    const value = read.value * factor;
    if (hits(value) && isUnreduced(given, asked.prompt))
      return yours('The right number, as a fraction that can be made simpler.');
    if (hits(value)) return { is: 'same', why: away(value) > slack ? 'Within the tolerance.' : 'The right number.' };
    if (read.orElse !== undefined && hits(read.orElse * factor))
      return yours(`“${given.trim()}” can be read as ${shown(read.value)} or as ${shown(read.orElse)}.`);
    // "12,34" for 1234: a comma where nobody writes one.
    if (given.includes(',') && readQuantity(given.replace(/,/g, ''))?.value === key)
      return yours(`“${given.trim()}” has its comma in an unusual place.`);
    return { is: 'different', why: `Off by ${shown(away(value))}.` };
  };
  return withUnit(read, asked, judged);
}

function withUnit(read: ReadNumber, asked: AskedNumber, judged: (factor: number) => Judged): Judged {
  const [typed, unit] = [tidyUnit(read.unit), tidyUnit(asked.unit)];
  const plain = judged(1);
  if (typed === '') {
    // "a half" where percent are asked for.
    const isPart = plain.is === 'different' && besideUnit(unit, '%').are === 'same' && judged(100).is === 'same';
    return isPart ? yours('The right part, not in percent.') : plain;
  }
  if (unit === '') {
    if (namesTheAsked(typed, asked.prompt)) return plain;
    if (besideUnit(typed, '%').are === 'same')
      return /%|per ?cent/i.test(asked.prompt) ? plain : inPercent(judged, plain);
    return plain.is === 'different'
      ? yours(`“${typed}” was not asked for.`)
      : yours(`The right number, with “${typed}”.`);
  }
  const beside = besideUnit(typed, unit);
  switch (beside.are) {
    case 'same':
      return plain;
    case 'convertible': {
      const converted = judged(beside.factor);
      if (converted.is === 'different' && plain.is !== 'different' && !asked.otherUnits)
        return yours(`The right number, but “${typed}” in place of “${unit}”.`);
      if (converted.is !== 'same' || asked.otherUnits) return converted;
      return yours(`The same amount in another unit: ${typed} in place of ${unit}.`);
    }
    case 'other':
      return plain.is === 'different'
        ? { is: 'different', why: `${plain.why} “${typed}” is another unit, too.` }
        : yours(`The right number, but “${typed}” in place of “${unit}”.`);
    case 'unknown':
      return namesTheAsked(typed, `${unit} ${asked.prompt}`)
        ? plain
        : yours(`“${typed}” is not known beside “${unit}”.`);
  }
}

/** "50%" where no unit was asked for: a half, or fifty of a question that asks in percent. */
function inPercent(judged: (factor: number) => Judged, plain: Judged): Judged {
  const part = judged(0.01);
  if (part.is === 'same') return part;
  return plain.is === 'different' ? plain : yours('The right number, with “%”.');
}
