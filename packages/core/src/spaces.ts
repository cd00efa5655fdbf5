/**
 * The spaces in and round words, taken apart in time that grows with the length alone: what comes from a file or a
 * learner may be twenty thousand dots or spaces, and a pattern that tries each of them again takes minutes.
 */

/** A text as the spaces before it, itself without them, and the spaces behind it. */
export function inSpaces(text: string): { readonly lead: string; readonly body: string; readonly tail: string } {
  const body = text.trim();
  const at = body === '' ? text.length : text.length - text.trimStart().length;
  return { lead: text.slice(0, at), body, tail: text.slice(at + body.length) };
}

/** The parts of a list in words, each without the spaces round it; empty ones are none. `at` is what parts them. */
export const partsAt = (text: string, at: RegExp): string[] =>
  text
    .split(at)
    .map((p) => p.trim())
    .filter((p) => p !== '');

/** A text as its words and its other characters, each with the spaces before it; spaces at the end are one of their own. */
export function wordTokens(text: string): string[] {
  const tokens: string[] = [];
  let space = '';
  for (const [part] of text.matchAll(/\s+|[\p{L}\p{N}'’-]+|[^\s\p{L}\p{N}]/gu)) {
    if (part.trim() === '') space = part;
    else {
      tokens.push(space + part);
      space = '';
    }
  }
  if (space) tokens.push(space);
  return tokens;
}

/** Words without the characters at both ends that `out`, a test for one character, names. In time that grows with them. */
export function trimOf(words: string, out: RegExp, sides: 'both' | 'end' = 'both'): string {
  const all = [...words];
  let from = 0;
  let to = all.length;
  while (sides === 'both' && from < to && out.test(all[from] ?? '')) from++;
  while (to > from && out.test(all[to - 1] ?? '')) to--;
  return all.slice(from, to).join('');
}

/** Words as a sentence: a name such as "Jory S." brings its own point. */
export const asSentence = (words: string): string => (/[.!?…]$/.test(words) ? words : `${words}.`);
