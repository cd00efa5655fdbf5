import { distance } from 'fastest-levenshtein';
import { plainWords } from '../plain-words';
import type { Judged, Strictness } from './judge';
import { isKnownWord } from './known-words';
import { inOneSpelling, isShortFor, romanNumber, sameWord, sayTheSame, soundAlike, unshortened } from './near-words';
import { namesNumber, wordsAsNumber } from './number-words';
import { readQuantity } from './read-number';

const same = (why: string): Judged => ({ is: 'same', why });
const close = (why: string): Judged => ({ is: 'close', why });
const yours = (why: string): Judged => ({ is: 'yours', why });
const different = (why: string): Judged => ({ is: 'different', why });
const NOT_ACCEPTED = different('Not among the accepted answers.');
const RANK = { same: 0, close: 1, yours: 2, different: 3 } as const;

/** Of several, the one that speaks most for the answer. */
const best = (all: readonly Judged[]): Judged => all.reduce((a, b) => (RANK[b.is] < RANK[a.is] ? b : a), NOT_ACCEPTED);

/** Slips that are forgiven in a word: none up to three letters, one up to seven, two beyond. */
export const forgiven = (word: string): number => (word.length <= 3 ? 0 : word.length <= 7 ? 1 : 2);

/** Slips between two words: letters missing, too many or others, and two neighbours that changed places as one. */
export function slipsBetween(a: string, b: string): number {
  let least = distance(a, b);
  if (Math.abs(a.length - b.length) > 3) return least;
  for (let i = 0; i + 1 < b.length; i++) {
    if (b[i] === b[i + 1]) continue;
    const swapped = b.slice(0, i) + (b[i + 1] ?? '') + (b[i] ?? '') + b.slice(i + 2);
    least = Math.min(least, 1 + distance(a, swapped));
  }
  return least;
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

/** Whether a known word other than this one is a single slip away. */
function isNearer(given: string, than: string): boolean {
  const isOther = (w: string) => w !== than && isKnownWord(w);
  for (let i = 0; i <= given.length; i++) {
    const [head, tail] = [given.slice(0, i), given.slice(i)];
    if (isOther(head + tail.slice(1))) return true;
    if (tail.length > 1 && isOther(head + (tail[1] ?? '') + (tail[0] ?? '') + tail.slice(2))) return true;
    for (const c of LETTERS) if (isOther(head + c + tail) || isOther(head + c + tail.slice(1))) return true;
  }
  return false;
}

/** One word beside the one that is accepted. */
function judgeWord(given: string, key: string): Judged {
  if (given === key) return same('');
  const slips = slipsBetween(key, given);
  const said = `“${given}” for “${key}”`;
  if (slips <= forgiven(key)) {
    if (isKnownWord(given)) return yours(`${said}: near, and a word of its own.`);
    // "inpossible" is nearer to "impossible" than to "possible"; "ilegal" may be meant as the opposite.
    if ((slips > 1 && isNearer(given, key)) || (given.length > key.length && given.endsWith(key)))
      return yours(`${said}: near, but nearer to another word.`);
    return close(`Right but for spelling: ${said}.`);
  }
  if (sameWord(given, key)) return yours(`${said}: another form of the word.`);
  // Of two letters, one is half the word.
  if (slips === 1 && Math.min(key.length, given.length) > 2) return yours(`${said}: near, and a word of its own.`);
  if (Math.max(given.length, key.length) > 2 && Math.min(given.length, key.length) > 1 && soundAlike(given, key, slips))
    return yours(`${said}: it sounds alike.`);
  if (slips <= (isKnownWord(given) ? forgiven(key) : Math.max(1, Math.round(key.length * 0.4))))
    return yours(`${said}: it may be the word, with more slips than are forgiven.`);
  return NOT_ACCEPTED;
}

const ARTICLE = /^(?:a|an|the) /;
const IT_IS = /^(?:it is|it's|its|it was|this is|that is|that's|these are|they are|they're|there is|there are) (?=\S)/;

/** Words without what leads them: "it is", and the article that is set apart. */
function led(words: string): { readonly rest: string; readonly article: string } {
  const said = words.replace(IT_IS, '');
  const article = ARTICLE.exec(`${said} `)?.[0].trim() ?? '';
  const rest = article && said !== article ? said.slice(article.length + 1) : said;
  return { rest, article: rest === said ? '' : article };
}

const hasDigit = (text: string): boolean => /\d/.test(text);
/** The numbers of a text with their signs, as they stand: "8:40" has 8 and 40. */
const numbersIn = (text: string): string =>
  (
    text
      .replace(/[−–]/g, '-')
      .replace(/(?<!\d)\.(?=\d)/g, '0.')
      .match(/(?<!\d)-?\d+/g) ?? []
  )
    .map((n) => n.replace(/^(-?)0+(?=\d)/, '$1'))
    .join(' ');
const lettersIn = (text: string): string => text.replace(/\band\b|[^\p{L}]+/gu, '');
/** A number is a number whether it has room before its unit or not. */
const roomless = (text: string): string => text.replace(/(?<=\d) (?=\p{L}|%)|(?<=[£$€]) (?=\d)/gu, '');
const unhyphened = (text: string): string => text.replace(/(?<=\p{L})[-‐‑](?=\p{L})/gu, ' ');

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];
/** What a text may say as a number: "1,000" is a thousand, or one as half of Europe writes it; "50%" is a half as well. */
function valuesOf(text: string): number[] {
  const ordinal = /^(\d+) ?(?:st|nd|rd|th)$/.exec(text)?.[1];
  if (ordinal !== undefined) return [Number(ordinal)];
  const at = ORDINALS.indexOf(text);
  if (at >= 0) return [at + 1];
  const roman = romanNumber(text);
  if (roman !== null) return [roman];
  const read = readQuantity(text);
  if (!read) return [];
  const all = [read.value, ...(read.orElse === undefined ? [] : [read.orElse])];
  return read.unit === '%' ? [...all, ...all.map((v) => v / 100)] : all;
}

/** Whether two times are the same on a clock of twelve hours: 3:15 and 15:15. */
function sameTime(a: string, b: string): boolean {
  const minutes = (text: string) => {
    const m = /^(\d{1,2})[:.](\d{2})$/.exec(text);
    return m ? (Number(m[1]) % 12) * 60 + Number(m[2]) : null;
  };
  return minutes(a) !== null && minutes(a) === minutes(b);
}

/** "2 + 3x" for "3x + 2". */
function sameTerms(a: string, b: string): boolean {
  const terms = (text: string) => text.replace(/ /g, '').split('+').sort().join('+');
  return a.includes('+') && b.includes('+') && terms(a) === terms(b);
}

/** Words with numbers in them: no slip is forgiven, and what may be the same number written otherwise is asked. */
function judgeNumbers(given: string, key: string): Judged {
  if (roomless(given) === roomless(key)) return same('An accepted answer.');
  const strokes = [given, key].map((t) => /\d ?\/ ?\d/.test(t));
  const [a, b] = [numbersIn(given), numbersIn(key)];
  // Also with other words: "2 pounds" is £2, and "3 mm" is not 3 cm.
  if (a !== '' && a === b && strokes[0] === strokes[1])
    return yours(
      lettersIn(given) === lettersIn(key)
        ? 'The same figures, written in another way.'
        : 'The same figures, with other words.',
    );
  const zeros = (text: string) => text.replace(/(?<=\d)o|o(?=\d)/g, '0');
  if (zeros(given) === zeros(key)) return yours('A letter in place of a figure.');
  if (sameTime(given, key)) return yours('The same time, by another clock.');
  if (sameTerms(given, key)) return yours('The same, in another order.');
  const [mine, theirs] = [valuesOf(given), valuesOf(key)];
  if (mine.some((x) => theirs.some((y) => Math.abs(x - y) < 1e-9)))
    return yours('The same number, written in another way.');
  if (mine.length && theirs.length) return NOT_ACCEPTED;
  if (hasDigit(key) && !hasDigit(given) && namesNumber(given))
    return yours('A number in words, where the accepted answer has figures.');
  return NOT_ACCEPTED;
}

const holds = (words: readonly string[], part: readonly string[]): boolean =>
  words.some((_, i) => part.every((p, k) => words[i + k] === p));

/** What is neither the same nor near, but has the accepted answer in it, or stands in it. */
function judgeMore(typed: readonly string[], accepted: readonly string[]): Judged {
  // "And" and "or" join the parts of an answer, and is none.
  const [given = [], key = []] = [typed, accepted].map((words) => words.filter((w) => w !== 'and' && w !== 'or'));
  if (key.length === 0 || given.length === 0) return NOT_ACCEPTED;
  if (given.length > key.length && holds(given, key)) return yours('The accepted answer stands in it, with more.');
  if (given.length < key.length && given.length * 2 >= key.length && holds(key, given))
    return yours('A part of the accepted answer.');
  if (given.length > 1 && [...given].sort().join(' ') === [...key].sort().join(' '))
    return yours('The words of the accepted answer in another order.');
  return NOT_ACCEPTED;
}

/** What is the same words, written as others write them; or what only a person can take for the same. */
function otherForm(a: string, b: string): { readonly why: string; readonly isSame: boolean } | null {
  const alike = (form: (words: string) => string) => form(a) === form(b);
  const words = (text: string) => text.split(' ').map(inOneSpelling).join(' ');
  if (alike(words)) return { why: 'The same word, as it is spelt in another country.', isSame: true };
  if (alike(unshortened)) return { why: 'The same words, shortened.', isSame: true };
  if (!hasDigit(a) && alike((t) => t.replace(/\./g, ''))) return { why: 'The same but for points.', isSame: true };
  if (sayTheSame(a, b)) return { why: 'It may say the same.', isSame: false };
  if (isShortFor(a, b) || isShortFor(b, a)) return { why: 'It may be short for it.', isSame: false };
  if (!hasDigit(a) && !hasDigit(b) && alike((t) => t.replace(/ /g, '')))
    return [a, b].every((t) => t.split(' ').every(isKnownWord))
      ? { why: 'Parted or joined in another way.', isSame: false }
      : { why: 'Right but for a space.', isSame: true };
  return null;
}

function judgeOne(given: string, key: string, how: Exclude<Strictness, 'listed'>): Judged {
  if (roomless(given) === roomless(key)) return same('An accepted answer.');
  const [mine, theirs] = [led(unhyphened(given)), led(unhyphened(key))];
  if (mine.rest === theirs.rest) {
    // "a owl" for "an owl": the article may be what is asked.
    if (mine.article && theirs.article && mine.article !== theirs.article)
      return yours(`The same but for “${mine.article}” in place of “${theirs.article}”.`);
    if (how === 'tolerant') return same('An accepted answer, but for the words that lead it.');
    return yours('The same but for a hyphen or the words that lead it.');
  }
  const other = otherForm(mine.rest, theirs.rest);
  if (other) return how === 'tolerant' && other.isSame ? same(other.why) : yours(other.why);
  const more = judgeMore(mine.rest.split(' '), theirs.rest.split(' '));
  if (hasDigit(given) || hasDigit(key)) return best([judgeNumbers(mine.rest, theirs.rest), more]);
  const asNumber = wordsAsNumber(theirs.rest);
  if (asNumber !== null && wordsAsNumber(mine.rest) === asNumber) return yours('The same number, in other words.');
  if (how !== 'tolerant') return more;
  const [words, keyWords] = [mine.rest.split(' '), theirs.rest.split(' ')];
  if (words.length === keyWords.length) {
    const each = words.map((w, i) => judgeWord(w, keyWords[i] ?? ''));
    const worst = each.reduce((a, b) => (RANK[b.is] > RANK[a.is] ? b : a));
    return best([worst, more]);
  }
  const room = slipsBetween(words.join(''), keyWords.join(''));
  if (room <= 1 && keyWords.join('').length > 3) return yours('Parted or joined in another way.');
  return more;
}

const accentsOf = (text: string): string => (text.normalize('NFD').match(/\p{M}/gu) ?? []).join('');

/**
 * How typed words stand beside the accepted ones. Case, room, accents and closing signs never count. Where slips of spelling
 * are forgiven, it is word by word and never where a figure stands; "the" and "it is" before an answer are set aside. What
 * may be meant, but is another word or says more, is the teacher's to judge: see docs/decisions/0031.
 */
export function judgeWords(given: string, accepted: readonly string[], how: Strictness): Judged {
  const mine = plainWords(given);
  const theirs = accepted.map(plainWords).filter((t) => t !== '');
  if (mine === '') return different('Nothing was given.');
  if (theirs.includes(mine)) {
    // "ano" is not "año"; on many keyboards it is all that can be typed.
    const isBare =
      how === 'exact' && !accepted.some((a) => plainWords(a) === mine && accentsOf(a) === accentsOf(given));
    return isBare ? yours('The same but for an accent.') : same('An accepted answer.');
  }
  if (how === 'listed') return NOT_ACCEPTED;
  return best(theirs.map((t) => judgeOne(mine, t, how)));
}
