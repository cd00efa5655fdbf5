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
  ['hundred', 100],
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

const whole = (words: readonly string[]): number | null => {
  const [first = '', second] = words;
  const value = VALUES.get(first);
  if (words.length === 1) return value ?? null;
  if (words.length !== 2 || second === undefined) return null;
  if (second === 'hundred') return first === 'a' || first === 'one' ? 100 : null;
  const ones = VALUES.get(second);
  const isTens = value !== undefined && value >= 20 && value < 100;
  return isTens && ones !== undefined && ones >= 1 && ones <= 9 ? value + ones : null;
};

/** A number in words from nought to a hundred, with a half, a third or quarters; null where it is none. English. */
export function wordsAsNumber(text: string): number | null {
  const plain = text.toLowerCase().replace(/-/g, ' ').replace(/\s+/g, ' ').trim();
  const minus = /^(?:minus|negative) /.exec(plain);
  const rest = minus ? plain.slice(minus[0].length) : plain;
  const [before = '', after] = rest.split(' and ');
  const part = PARTS.get(after ?? before);
  const value =
    after === undefined
      ? (part ?? whole(before.split(' ')))
      : part === undefined
        ? null
        : addIf(whole(before.split(' ')), part);
  return value === null ? null : minus ? -value : value;
}

const addIf = (a: number | null, b: number): number | null => (a === null ? null : a + b);

/** Whether a number is named in words anywhere in a text. */
export const namesNumber = (text: string): boolean =>
  text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .some((w) => VALUES.has(w) || w === 'half' || w === 'quarter' || w === 'noon' || w === 'midnight' || w === 'dozen');
