import { distance } from 'fastest-levenshtein';

/** Lower case, one space between words, no accents, no closing punctuation. */
export function plainWords(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[’']/g, "'")
    .replace(/(?<![.,;:!?])[.,;:!?]+(?=\s|$)/g, '')
    .replace(/\s+/g, ' ')
    .trim();
}

/**
 * How far a typed answer is from the accepted ones.
 * 'close' is given only when asked for: one slip up to seven letters, two beyond, none up to three.
 */
export function matchWords(
  given: string,
  accepted: readonly string[],
  spellingTolerant: boolean,
): 'same' | 'close' | 'different' {
  const mine = plainWords(given);
  const theirs = accepted.map(plainWords).filter((t) => t !== '');
  if (mine === '') return 'different';
  if (theirs.includes(mine)) return 'same';
  if (!spellingTolerant) return 'different';
  const slips = (length: number) => (length <= 3 ? 0 : length <= 7 ? 1 : 2);
  const near = (t: string) => Math.abs(mine.length - t.length) <= 2 && distance(mine, t) <= slips(t.length);
  return theirs.some(near) ? 'close' : 'different';
}
