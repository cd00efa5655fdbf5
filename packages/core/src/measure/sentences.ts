/** Short forms that end in a point within a sentence. */
const NEVER_LAST = new Set(
  'mr mrs ms dr prof rev st sr jr vs e.g i.e eg ie approx fig figs capt col gen lt sgt mt messrs bzw z.b d.h ca nr sra sres srta mme mlle'.split(
    ' ',
  ),
);
/** Those that only stand before a number. */
const BEFORE_NUMBER = new Set(
  'no nos p pp vol ch pl jan feb mar apr jun jul aug sep sept oct nov dec mon tue tues wed thu thur thurs fri sat sun'.split(
    ' ',
  ),
);
/** Those that are short forms where the sentence goes on in small letters. */
const BEFORE_SMALL = new Set('temp min max sec hr hrs wk dept est incl resp'.split(' '));
/** Those after which a sentence goes on unless a new one plainly begins. */
const MAY_BE_LAST = new Set('a.m p.m etc ltd inc co'.split(' '));
const DAYS =
  /^(?:Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day|^(?:January|February|March|April|May|June|July|August|September|October|November|December)\b/;
/** Who speaks, after what is said: "Stop!" Jory said. */
const SAID =
  /^(?:\p{Lu}[\p{L}.'’-]* )?(?:used to say|would say|had said|said|says|asked|asks|cried|shouted|called|replied|answered|whispered|laughed|yelled|muttered|thought|added|sighed|explained)\b/u;
const END = /(?:\.{1,4}|[!?]{1,4}|…)[)\]"'”’»]{0,3}(?=\s|$)/gu;
/** A mark before the first word of a line: "- ", "2.", "b)". */
const LINE_MARK = /^\s*(?:[-–•*+]\s|\(?(?:\d{1,3}[.)]|[a-z][.)]|[A-Z]\))\s)/u;

/** Whether a sentence ends at a sign; `before` is what stands ahead of it, `after` what follows the room behind it. */
function endsAt(before: string, sign: string, after: string): boolean {
  if (after === '') return true;
  const isSmall = /^\p{Ll}/u.test(after);
  const isQuoted = /["'”’»]$/.test(sign);
  if (isQuoted && (isSmall || SAID.test(after))) return false;
  if (/^(?:\.\.|…)/.test(sign)) return !isSmall;
  if (!sign.startsWith('.')) return true;
  const last = (before.slice(-20).split(/\s/).at(-1) ?? '').replace(/^["'“‘(«[]+/, '');
  const word = last.toLowerCase();
  if (NEVER_LAST.has(word)) return false;
  if (BEFORE_NUMBER.has(word) && /^\d/.test(after)) return false;
  if (MAY_BE_LAST.has(word)) return /^[\p{Lu}"“‘]/u.test(after) && !DAYS.test(after);
  // An initial of a name; "I" is a word.
  if (/^\p{L}$/u.test(last) && last !== 'I') return false;
  // "temp. of the sea": a word without a vowel is a short form.
  if (isSmall && (BEFORE_NUMBER.has(word) || BEFORE_SMALL.has(word) || !/[aeiouyà-ÿ]/i.test(word))) return false;
  // "U.S.A. The": letters with points go on unless a word that begins sentences follows.
  if (/^(?:\p{L}\.)+\p{L}$/u.test(last)) return /^(?:The|It|He|She|They|We|In|But|And|Then|There|This)\b/.test(after);
  return true;
}

/** The sentences of one line, as stretches of the text. */
function inLine(text: string, from: number, to: number): [number, number][] {
  const line = text.slice(from, to);
  const mark = LINE_MARK.exec(line)?.[0].length ?? 0;
  const out: [number, number][] = [];
  let start = from + mark;
  for (const m of line.matchAll(END)) {
    const end = m.index + m[0].length;
    if (m.index < mark) continue;
    if (!endsAt(line.slice(0, m.index), m[0], line.slice(end).trimStart())) continue;
    out.push([start, from + end]);
    start = from + end;
  }
  if (text.slice(start, to).trim()) out.push([start, to]);
  return out;
}

/** A sentence without the marks of the list entries in it. */
export const withoutMarks = (sentence: string): string =>
  sentence
    .split('\n')
    .map((line) => line.replace(LINE_MARK, ''))
    .join('\n');

/** The number of an entry that stands in the middle of a line: "Read it. 2. Write." */
const IS_MARK = /^\s*\(?\d{1,2}[.)]\s*$/;

const isClosed = (s: string): boolean => /[.!?…]["'”’)»]*\s*$/u.test(s);

/** Whether the first of these lines goes on in small letters from the one before, and comes to the end of a sentence. */
function goesOn(lines: readonly string[]): boolean {
  const isSmall = (line: string) => /^\s*\p{Ll}/u.test(line) && !LINE_MARK.test(line);
  const until = lines.findIndex((line) => !isSmall(line));
  const own = until < 0 ? lines : lines.slice(0, until);
  return own.some((line) => /[.!?…](?:\s|$)/.test(line));
}

/**
 * Sentences as a person counts them: short forms, initials, decimals and times end none; what is said and who says it are one;
 * a line is at least one, and the entries of a list that goes on from "you need:" are one with it. Each is a stretch of the text.
 */
export function sentencesIn(text: string): string[] {
  const spans: [number, number][] = [];
  let at = 0;
  let isList = false;
  const lines = text.split('\n');
  for (const [i, line] of lines.entries()) {
    const to = at + line.length;
    const found = inLine(text, at, to).filter(
      ([a, b]) => /[\p{L}\p{N}]/u.test(text.slice(a, b)) && !IS_MARK.test(text.slice(a, b)),
    );
    const last = spans.at(-1);
    const [only] = found;
    const before = last ? text.slice(...last) : '';
    const mayGoOn: boolean = (isList || /:\s*$/.test(before)) && !isClosed(before);
    isList = mayGoOn && found.length === 1 && LINE_MARK.test(line);
    if (isList && last && only) last[1] = only[1];
    else if (last && only && !isClosed(before) && before.split(/\s+/).length > 2 && goesOn(lines.slice(i))) {
      last[1] = only[1];
      spans.push(...found.slice(1));
    } else spans.push(...found);
    at = to + 1;
  }
  return spans.map(([a, b]) => text.slice(a, b).trim());
}
