import { daleChall } from 'dale-chall';

const daleChallWords = new Set(daleChall);

/** Whether a list of words has a word or one of its plain forms; numbers and single letters count as known. */
export function isIn(list: ReadonlySet<string>, word: string): boolean {
  const w = word.toLowerCase().replace(/['’]s$/, '');
  if (/\d/.test(w) || w.length < 2 || list.has(w)) return true;
  const endings: readonly [RegExp, string][] = [
    [/s$/, ''],
    [/es$/, ''],
    [/ies$/, 'y'],
    [/ed$/, ''],
    [/d$/, ''],
    [/ing$/, ''],
    [/ing$/, 'e'],
    [/ly$/, ''],
    [/er$/, ''],
    [/est$/, ''],
    [/(.)\1(ed|ing)$/, '$1'],
  ];
  return endings.some(([end, by]) => list.has(w.replace(end, by)));
}

const hardKnown = new Map<string, boolean>();

/** Whether the Dale–Chall list of familiar words (1995, 2,941 words) lacks a word and its plain forms. */
export function isHard(word: string): boolean {
  let hard = hardKnown.get(word);
  if (hard === undefined) hardKnown.set(word, (hard = !isIn(daleChallWords, word)));
  return hard;
}
