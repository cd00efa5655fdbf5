import { doubleMetaphone } from 'double-metaphone';
import { stemmer } from 'stemmer';
import { sameNoun } from '../../nouns';

/** Whether two words sound alike (Philips 2000, double metaphone), with no more than half of their letters other. English. */
export function soundAlike(a: string, b: string, slips: number): boolean {
  if (slips > Math.ceil(Math.max(a.length, b.length) / 2)) return false;
  const sounds = doubleMetaphone(a).filter((s) => s !== '');
  return doubleMetaphone(b).some((s) => sounds.includes(s));
}

/** Forms of one word: plural and singular, "rain" and "raining" (the stem by Porter 1980). English. */
export const sameWord = (a: string, b: string): boolean => sameNoun(a, b) || stemmer(a) === stemmer(b);

/** Spelt in one way in Britain and in another in America; word by word, and with the endings that follow them. */
const TWO_WAYS = new Map(
  `aluminium aluminum|analyse analyze|behaviour behavior|catalogue catalog|centre center|centimetre centimeter|cheque check|
  colour color|cosy cozy|defence defense|dialogue dialog|favourite favorite|favour favor|flavour flavor|fibre fiber|grey gray|
  harbour harbor|honour honor|humour humor|jewellery jewelry|kilometre kilometer|labour labor|licence license|litre liter|
  metre meter|millimetre millimeter|mould mold|moustache mustache|mum mom|neighbour neighbor|odour odor|organise organize|
  plough plow|programme program|pyjamas pajamas|realise realize|recognise recognize|rumour rumor|sceptical skeptical|
  sulphur sulfur|theatre theater|traveller traveler|tyre tire|vapour vapor|woollen woolen|yoghurt yogurt`
    .split('|')
    .flatMap((pair) => {
      const [british = '', american = ''] = pair.trim().split(' ');
      return [
        [american, british],
        [`${american}s`, `${british}s`],
      ] as const;
    }),
);
export const inOneSpelling = (word: string): string => TWO_WAYS.get(word) ?? word;

const SHORT: readonly (readonly [RegExp, string])[] = [
  [/\bcan't\b|\bcannot\b/g, 'can not'],
  [/\bwon't\b/g, 'will not'],
  [/n't\b/g, ' not'],
  [/'re\b/g, ' are'],
  [/'ll\b/g, ' will'],
  [/\bi'm\b/g, 'i am'],
  [/\b(it|he|she|that|there|what|who)'s\b/g, '$1 is'],
];
/** "don't" as "do not". */
export const unshortened = (words: string): string => SHORT.reduce((w, [short, full]) => w.replace(short, full), words);

const DAYS_AND_MONTHS =
  'monday tuesday wednesday thursday friday saturday sunday january february march april june july august september october november december'.split(
    ' ',
  );
/** What chemistry writes short, as far as a school asks for it. */
const FORMULAS = new Map([
  ['co2', 'carbon dioxide'],
  ['co', 'carbon monoxide'],
  ['h2o', 'water'],
  ['o2', 'oxygen'],
  ['h2', 'hydrogen'],
  ['n2', 'nitrogen'],
  ['nacl', 'salt'],
]);

/** "UK" for "United Kingdom", "Mon" for "Monday", "CO2" for "carbon dioxide". */
export function isShortFor(short: string, words: string): boolean {
  const bare = short.replace(/\./g, '');
  if (FORMULAS.get(bare) === words) return true;
  const all = words.split(' ').filter((w) => !['of', 'the', 'and'].includes(w));
  if (all.length > 1) return bare.length > 1 && bare === all.map((w) => w.charAt(0)).join('');
  return bare.length >= 3 && words !== bare && DAYS_AND_MONTHS.includes(words) && words.startsWith(bare.slice(0, 4));
}

const YES_NO: readonly (readonly string[])[] = [
  ['yes', 'y', 'yep', 'yeah', 'yea', 'yup', 'true', 't', 'right', 'correct', 'ok'],
  ['no', 'n', 'nope', 'nah', 'false', 'f', 'wrong', 'incorrect', 'not true'],
];
/** Whether both say yes, or both say no, in other words. */
export const sayTheSame = (a: string, b: string): boolean => YES_NO.some((ws) => ws.includes(a) && ws.includes(b));

const ROMAN: readonly (readonly [string, number])[] = [
  ['x', 10],
  ['ix', 9],
  ['v', 5],
  ['iv', 4],
  ['i', 1],
];
/** A Roman number up to thirty-nine; null where it is none. */
export function romanNumber(word: string): number | null {
  if (!/^x{0,3}(?:ix|iv|v?i{0,3})$/.test(word) || word === '') return null;
  let rest = word;
  let value = 0;
  for (const [sign, worth] of ROMAN)
    while (rest.startsWith(sign)) {
      value += worth;
      rest = rest.slice(sign.length);
    }
  return value;
}
