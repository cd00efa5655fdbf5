const ONES =
  'nought one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
const VALUES: ReadonlyMap<string, number> = new Map([
  ...ONES.map((w, i): [string, number] => [w, i]),
  ...TENS.map((w, i): [string, number] => [w, (i + 2) * 10]),
  ['zero', 0],
  ['none', 0],
]);
const PARTS: ReadonlyMap<string, number> = new Map([
  ['half', 0.5],
  ['a half', 0.5],
  ['one half', 0.5],
  ['a quarter', 0.25],
  ['one quarter', 0.25],
  ['quarter', 0.25],
  ['three quarters', 0.75],
  ['a third', 1 / 3],
  ['one third', 1 / 3],
  ['two thirds', 2 / 3],
]);

/** Below a hundred: one word, or two ("twenty five"). */
const small = (words: readonly string[]): number | null => {
  const [first = '', second] = words;
  const value = VALUES.get(first);
  if (words.length === 1) return value ?? null;
  if (words.length !== 2 || second === undefined || value === undefined) return null;
  const ones = VALUES.get(second);
  return value >= 20 && value < 100 && ones !== undefined && ones >= 1 && ones <= 9 ? value + ones : null;
};

/** "two hundred and five": what stands before a word such as "hundred", and what follows it, each read by its own rule. */
function above(
  words: readonly string[],
  word: string,
  each: number,
  count: (words: readonly string[]) => number | null,
  rest: (words: readonly string[]) => number | null,
): number | null {
  const at = words.indexOf(word);
  const before = words.slice(0, at);
  const times = before.length === 0 || before.join(' ') === 'a' ? 1 : count(before);
  const after = words.slice(at + 1).filter((w, i) => !(i === 0 && w === 'and'));
  if (times === null || times === 0) return null;
  if (after.length === 0) return times * each;
  const more = rest(after);
  return more === null || more === 0 || more >= each ? null : times * each + more;
}

const belowThousand = (words: readonly string[]): number | null =>
  words.includes('hundred')
    ? above(words, 'hundred', 100, (w) => (w.length === 1 ? (VALUES.get(w[0] ?? '') ?? null) : null), small)
    : small(words);
const whole = (words: readonly string[]): number | null =>
  words.includes('thousand') ? above(words, 'thousand', 1000, belowThousand, belowThousand) : belowThousand(words);

/** A number in words below a million, with a half, a third or quarters; null where it is none. English. */
export function wordsAsNumber(text: string): number | null {
  const plain = text.toLowerCase().replace(/-/g, ' ').replace(/\s+/g, ' ').trim();
  const minus = /^(?:minus|negative) /.exec(plain);
  const rest = minus ? plain.slice(minus[0].length) : plain;
  const at = rest.lastIndexOf(' and ');
  const part = PARTS.get(at < 0 ? rest : rest.slice(at + 5));
  const value =
    part === undefined ? whole(rest.split(' ')) : at < 0 ? part : addIf(whole(rest.slice(0, at).split(' ')), part);
  return value === null ? null : minus ? -value : value;
}

const addIf = (a: number | null, b: number): number | null => (a === null ? null : a + b);

/** Whether a number is named in words anywhere in a text. */
export const namesNumber = (text: string): boolean =>
  text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .some((w) => VALUES.has(w) || w === 'half' || w === 'quarter' || w === 'noon' || w === 'midnight' || w === 'dozen');
