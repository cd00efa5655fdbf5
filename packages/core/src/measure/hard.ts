import { daleChall } from 'dale-chall';

const daleChallWords = new Set(daleChall);

/** Endings that a form adds, each with what the word has in its place; `$1` is the letter that was doubled. */
const ENDINGS: readonly (readonly [RegExp, string])[] = [
  [/s$/, ''],
  [/es$/, ''],
  [/ies$/, 'y'],
  [/ves$/, 'f'],
  [/ves$/, 'fe'],
  [/ed$/, ''],
  [/d$/, ''],
  [/ied$/, 'y'],
  [/ing$/, ''],
  [/ing$/, 'e'],
  [/ying$/, 'ie'],
  [/ly$/, ''],
  [/ily$/, 'y'],
  [/ly$/, 'le'],
  [/er$/, ''],
  [/r$/, ''],
  [/est$/, ''],
  [/st$/, ''],
  [/ier$/, 'y'],
  [/iest$/, 'y'],
  [/([b-df-hj-np-tv-z])\1(?:ed|ing|er|est|y)$/, '$1'],
  [/n't$/, ''],
  [/'(?:ll|re|ve|d|m)$/, ''],
];
/** British spellings as the lists, which are American, write them. */
const SPELLINGS: readonly (readonly [RegExp, string])[] = [
  [/our/, 'or'],
  [/tre(s?)$/, 'ter$1'],
  [/is(e|es|ed|ing|er|ers)$/, 'iz$1'],
  [/ys(e|es|ed|ing)$/, 'yz$1'],
  [/ll(ed|ing|er|ers)$/, 'l$1'],
  [/ogue$/, 'og'],
  [/ence$/, 'ense'],
  [/mme(s?)$/, 'm$1'],
];
const BRITISH: Readonly<Record<string, string>> = {
  grey: 'gray',
  mum: 'mother',
  mummy: 'mother',
  dad: 'father',
  daddy: 'father',
  plough: 'plow',
  tyre: 'tire',
  pyjamas: 'pajamas',
  storey: 'story',
  cheque: 'check',
  kerb: 'curb',
  aeroplane: 'airplane',
  jewellery: 'jewelry',
  moustache: 'mustache',
  axe: 'ax',
  biscuit: 'cookie',
  autumn: 'fall',
  football: 'football',
};

const inList = (list: ReadonlySet<string>, w: string): boolean =>
  list.has(w) || ENDINGS.some(([end, by]) => end.test(w) && list.has(w.replace(end, by)));

/** Whether a list of words has a word or one of its plain forms, also as it is spelt in Britain; numbers and letters count as known. */
export function isIn(list: ReadonlySet<string>, word: string): boolean {
  const w = word.toLowerCase().replace(/[’‘]/g, "'").replace(/'s$/, '').replace(/\.$/, '');
  if (/\d/.test(w) || w.length < 2 || /^(?:\p{L}\.)+\p{L}?$/u.test(w) || inList(list, w)) return true;
  if (/[-‐‑]/.test(w)) return w.split(/[-‐‑]/).every((part) => part === '' || isIn(list, part));
  const singular = w.replace(/s$/, '');
  const other = BRITISH[w] ?? BRITISH[singular];
  if (other && inList(list, other)) return true;
  return SPELLINGS.some(([from, to]) => from.test(w) && inList(list, w.replace(from, to)));
}

const hardKnown = new Map<string, boolean>();

/** Whether the Dale–Chall list of familiar words (1995, 2,941 words) lacks a word and its plain forms. */
export function isHard(word: string): boolean {
  let hard = hardKnown.get(word);
  if (hard === undefined) hardKnown.set(word, (hard = !isIn(daleChallWords, word)));
  return hard;
}
