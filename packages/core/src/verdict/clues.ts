import { wordsAsNumber } from '../work/mark/number-words';

const letters = (word: string): string[] => [...word.toLowerCase()].filter((c) => /\p{L}/u.test(c));
const sorted = (word: string): string => letters(word).sort().join('');

/** "c-r-a-b" and "C R A B": the letters of a word, each for itself. */
export const spelt = (text: string, word: string): boolean =>
  new RegExp(`(?<!\\p{L})${letters(word).join('[-. –]{1,3}')}(?!\\p{L})`, 'iu').test(text);

/** "c _ a b": the word with some of its letters left open, and half of them or more there. */
function showsLetters(text: string, word: string): boolean {
  const own = letters(word);
  if (own.length < 3) return false;
  for (const shape of text.toLowerCase().match(/(?:[\p{L}_*•·]{1,3} ?){3,}/gu) ?? []) {
    const signs = [...shape.replace(/\s/g, '')];
    if (!signs.some((s) => /[_*•·]/.test(s)) || signs.length !== own.length) continue;
    const open = signs.filter((s) => /[_*•·]/.test(s)).length;
    if (open * 2 <= own.length && signs.every((s, i) => /[_*•·]/.test(s) || s === own[i])) return true;
  }
  return false;
}

/** The letters of a word in another order: "bcar". */
const shuffles = (text: string, word: string): boolean =>
  word.length >= 4 &&
  (text.match(/\p{L}{4,}/gu) ?? []).some(
    (w) => w.length === word.length && w.toLowerCase() !== word.toLowerCase() && sorted(w) === sorted(word),
  );

/** Numbers in words as figures, so that what is reckoned with them can be read. */
const inFigures = (text: string): string =>
  text.replace(/\b\p{L}+(?:-\p{L}+)?\b/gu, (w) => {
    const value = wordsAsNumber(w);
    return value === null || w.toLowerCase() === 'none' ? w : String(value);
  });

const N = '(?<![\\d.])(-?\\d{1,9}(?:\\.\\d{1,9})?)';
type Reckon = (a: number, b: number) => number;
const CLUES: readonly (readonly [RegExp, Reckon])[] = [
  [new RegExp(`${N} (?:more|bigger|greater|larger|higher|longer) than ${N}`, 'gi'), (a, b) => b + a],
  [new RegExp(`${N} (?:less|fewer|smaller|lower|shorter) than ${N}`, 'gi'), (a, b) => b - a],
  [new RegExp(`${N} (?:\\+|plus|and) ${N}`, 'gi'), (a, b) => a + b],
  [new RegExp(`${N} (?:-|–|−|minus|less|take away) ${N}`, 'gi'), (a, b) => a - b],
  [new RegExp(`${N} (?:x|×|\\*|times) ${N}`, 'gi'), (a, b) => a * b],
  [new RegExp(`${N} (?:÷|:|divided by|/) ${N}`, 'gi'), (a, b) => a / b],
  [new RegExp(`(?:double|twice) (?:of )?${N}()`, 'gi'), (a) => 2 * a],
  [new RegExp(`half (?:of )?${N}()`, 'gi'), (a) => a / 2],
  // Between two numbers with one between them.
  [new RegExp(`between ${N} and ${N}`, 'gi'), (a, b) => (Math.abs(b - a) === 2 ? (a + b) / 2 : NaN)],
  [new RegExp(`(?:after|comes after|follows) ${N}()`, 'gi'), (a) => a + 1],
  [new RegExp(`(?:before|comes before) ${N}()`, 'gi'), (a) => a - 1],
];

/** Whether something that a text reckons, and what stood before does not, comes to one of these numbers. */
function reckonsTo(text: string, before: string, numbers: readonly number[]): boolean {
  const [said, known] = [inFigures(text), inFigures(before)];
  return CLUES.some(([clue, reckon]) =>
    [...said.matchAll(clue)].some((m) => {
      const value = reckon(Number(m[1]), Number(m[2]));
      // What the question itself names is no clue: "3 and 4 together".
      const isAsked = [m[1], m[2]].every((n) => !n || new RegExp(`(?<!\\d)${n}(?!\\d)`).test(known));
      return numbers.includes(value) && !isAsked;
    }),
  );
}

/**
 * How a text leads to an answer without saying it: its letters, some or mixed up, all its words apart, or a number that is
 * reckoned in one step. Null where nothing of the kind was found.
 */
export function clueIn(
  text: string,
  before: string,
  { words, numbers }: { readonly words: readonly string[]; readonly numbers: readonly number[] },
): string | null {
  for (const key of words) {
    const [one = '', ...more] = key.split(/\s+/);
    if (more.length === 0) {
      if (showsLetters(text, one)) return `It shows most letters of ${key}`;
      if (shuffles(text, one)) return `It has the letters of ${key} in another order`;
    }
    const said: string[] = text.toLowerCase().match(/\p{L}+/gu) ?? [];
    const own: string[] = key.toLowerCase().match(/\p{L}{3,}/gu) ?? [];
    if (own.length > 1 && own.every((w) => said.includes(w)) && !own.every((w) => before.toLowerCase().includes(w)))
      return `It has all words of ${key}`;
  }
  const [n] = numbers;
  return n !== undefined && reckonsTo(text, before, numbers) ? `It says how to come to ${n} in one step` : null;
}
