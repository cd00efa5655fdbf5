import { diffArrays, diffWordsWithSpace } from 'diff';
import { diff3Merge } from 'node-diff3';
import { fromRichTokens, richTokens } from '../activity/rich-tokens';
import { sentencesIn } from '../measure/sentences';
import { wordTokens } from '../spaces';

/** One stretch of a three-way merge. In a conflict all three sides are given. */
export type MergeRegion =
  | { readonly kind: 'agreed'; readonly text: string }
  | { readonly kind: 'conflict'; readonly old: string; readonly master: string; readonly version: string };

export interface TextMerge {
  /** Whether the two changes go together without a decision. */
  readonly clean: boolean;
  /** Both changes joined; where they meet, the version's words. */
  readonly text: string;
  readonly regions: readonly MergeRegion[];
}

/** Tokens of texts met lately are kept up to so many: a correction meets the same two texts in every version. */
const TOKENS_KEPT = 100_000;
const taken = new Map<string, string[]>();
let tokensTaken = 0;

/** Words and marks, each with the space before it, so that joining the tokens gives the text back. */
export function tokens(text: string): string[] {
  const known = taken.get(text);
  if (known) return known;
  const fresh = wordTokens(` ${text}`);
  if ((tokensTaken += fresh.length) > TOKENS_KEPT) {
    taken.clear();
    tokensTaken = fresh.length;
  }
  taken.set(text, fresh);
  return fresh;
}

const join = (parts: readonly string[]): string => parts.join('');
const trimLead = (text: string): string => (text.startsWith(' ') ? text.slice(1) : text);

/** How a text is taken apart for merging, and put together again. */
interface Manner {
  readonly apart: (text: string) => string[];
  readonly together: (parts: readonly string[]) => string;
}

const PLAIN: Manner = { apart: tokens, together: (parts) => trimLead(join(parts)) };
/** Words with their marks: strong words, lists and paragraphs stay whole. */
const RICH: Manner = { apart: richTokens, together: fromRichTokens };
const hasMarks = (text: string): boolean => /[*_\\]|^[^\S\n\r\u2028\u2029]*(?:[-+]|\d+[.)])\s/m.test(text);

type Found = ReturnType<typeof diff3Merge<string>>;

/** What node-diff3 finds; its regions are put into words only for showing, since most merges are asked for their text. */
class Merged implements TextMerge {
  readonly clean: boolean;
  readonly text: string;

  constructor(
    private readonly found: Found,
    private readonly together: Manner['together'],
  ) {
    this.clean = found.every((r) => !r.conflict);
    const [first] = found;
    this.text = together(found.length === 1 && first ? sideOf(first) : found.flatMap(sideOf));
  }

  get regions(): readonly MergeRegion[] {
    const { together } = this;
    return this.found.map((r): MergeRegion =>
      r.conflict
        ? {
            kind: 'conflict',
            old: together(r.conflict.o),
            master: together(r.conflict.a),
            version: together(r.conflict.b),
          }
        : { kind: 'agreed', text: together(r.ok ?? []) },
    );
  }
}

const sideOf = (r: Found[number]): string[] => r.conflict?.b ?? r.ok ?? [];

/** Three-way merge of two rewordings of `old`, word by word (diff3, as node-diff3 computes it). */
export const mergeWords = (
  old: string,
  master: string,
  version: string,
  { apart, together }: Manner = PLAIN,
): TextMerge =>
  new Merged(diff3Merge(apart(master), apart(old), apart(version), { excludeFalseConflicts: true }), together);

/** Words that go together by the word, and yet nobody wrote what comes of it: that is proposed, and asked about. */
const asked = (text: string, regions: readonly MergeRegion[]): TextMerge => ({ clean: false, text, regions });

/** Sentences of texts met lately, as their tokens are kept. */
const said = new Map<string, readonly string[]>();
function saidIn(text: string): readonly string[] {
  let known = said.get(text);
  if (!known) {
    if (said.size > SENTENCES_KEPT) said.clear();
    // Most are one sentence: no sign that could end one stands within.
    said.set(text, (known = /[.!?…\n]./s.test(text) ? sentencesIn(text) : [text.trim()]));
  }
  return known;
}
const SENTENCES_KEPT = 2_000;

/** The sentences of a text, each with the room before it, so that joining them gives the text back. */
function sentences(text: string): string[] {
  const out: string[] = [];
  let at = 0;
  for (const s of sentencesIn(text)) {
    const end = text.indexOf(s, at) + s.length;
    out.push(text.slice(at, end));
    at = end;
  }
  if (at < text.length) out.push(text.slice(at));
  return out;
}

/** Which of the old sentences a text has not as they were, in their order: it changed them, took them out or moved them. */
function touched(old: readonly string[], now: readonly string[]): Set<number> {
  const out = new Set<number>();
  if (old.length === 1 && now.length === 1) return old[0] === now[0] ? out : out.add(0);
  let at = 0;
  for (const part of diffArrays([...old], [...now])) {
    if (part.added) continue;
    if (part.removed) for (let i = 0; i < part.value.length; i++) out.add(at + i);
    at += part.value.length;
  }
  return out;
}

const numbers = (text: string): string => (text.match(/\d+(?:[.,:]\d+)*/g) ?? []).sort().join(' ');
const plain = (sentence: string): string =>
  sentence
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
    .toLowerCase();

/** Whether a sentence stands twice in a text that none of the sides has twice. */
function isDoubled(text: string, sides: readonly string[]): boolean {
  const count = (t: string) => {
    const n = new Map<string, number>();
    for (const s of saidIn(t)) n.set(plain(s), (n.get(plain(s)) ?? 0) + 1);
    return n;
  };
  const counts = sides.map(count);
  return [...count(text)].some(([s, n]) => n > 1 && s !== '' && counts.every((c) => (c.get(s) ?? 0) < n));
}

const SMALL_WORDS = new Set(
  'the and but for not with from into his her its their our your this that these those they she you who are was were has have had does did can will there then when where what how all out one'.split(
    ' ',
  ),
);
const counted = (text: string): Map<string, number> => {
  const n = new Map<string, number>();
  for (const w of plain(text).split(' ')) if (w.length > 2 && !SMALL_WORDS.has(w)) n.set(w, (n.get(w) ?? 0) + 1);
  return n;
};

/** Whether one side says anew what the other took out altogether: "the text" beside what is a poem now. */
function saysWhatIsGone(old: string, one: string, other: string): boolean {
  const [before, left, said] = [counted(old), counted(one), counted(other)];
  return [...before].some(([w, n]) => !left.has(w) && (said.get(w) ?? 0) > n);
}

const PRONOUN = /^["'“‘]?(?:it|they|he|she|this|these|those|him|her|them)\b/i;
const begins = (sentence: string): string => plain(sentence).split(' ').slice(0, 2).join(' ');

/**
 * Whether one side changed who or what a sentence is about, and the other the sentence behind it that speaks of that as "it"
 * or "they".
 */
function speaksOf(
  parts: readonly string[],
  one: ReadonlySet<number>,
  now: readonly string[],
  other: ReadonlySet<number>,
): boolean {
  const isLeft = (i: number): boolean => now.some((s) => begins(s) === begins(parts[i] ?? ''));
  return [...one].some((i) => other.has(i + 1) && PRONOUN.test(parts[i + 1] ?? '') && !isLeft(i));
}

/** Whether what the two sides touch apart from each other belongs together all the same. */
function isTorn(old: string, master: string, version: string, theirs: Set<number>, mine: Set<number>): boolean {
  return (
    (numbers(master) !== numbers(old) && numbers(version) !== numbers(old)) ||
    saysWhatIsGone(old, master, version) ||
    saysWhatIsGone(old, version, master) ||
    speaksOf(saidIn(old), theirs, saidIn(master), mine) ||
    speaksOf(saidIn(old), mine, saidIn(version), theirs)
  );
}

function merge(old: string, master: string, version: string, manner: Manner): TextMerge {
  const byWord = mergeWords(old, master, version, manner);
  // Where one side changed nothing, or both the same, there is nothing to join.
  if (!byWord.clean || master === old || version === old || master === version) return byWord;
  const [theirs, mine] = [touched(saidIn(old), saidIn(master)), touched(saidIn(old), saidIn(version))];
  const isShared = [...theirs].some((i) => mine.has(i));
  if (!isShared && !isTorn(old, master, version, theirs, mine) && !isDoubled(byWord.text, [old, master, version]))
    return byWord;
  const isOne = [old, master, version].every((t) => saidIn(t).length === 1);
  if (isOne) return asked(byWord.text, [{ kind: 'conflict', old, master, version }]);
  // By whole sentences where that shows which; else the whole text is one question.
  const bySentence = diff3Merge(sentences(master), sentences(old), sentences(version), { excludeFalseConflicts: true });
  if (isShared && bySentence.some((r) => r.conflict)) {
    const found = new Merged(bySentence, (all) => all.join('').trimStart());
    return asked(byWord.text, found.regions);
  }
  return asked(byWord.text, [{ kind: 'conflict', old, master, version }]);
}

/**
 * Three-way merge of two rewordings of `old`. Words of different sentences go together. A sentence that both sides touched,
 * numbers that both changed, a sentence that would stand twice, words of one side that the other took out, and an "it" whose
 * sentence before is about something else now are asked about: by the word they would go together, and say what nobody wrote.
 */
export const mergeText = (old: string, master: string, version: string): TextMerge =>
  merge(old, master, version, PLAIN);

/** The same for marked words (see `readRich`): a word and its marks are merged as one. */
export const mergeRich = (old: string, master: string, version: string): TextMerge =>
  [old, master, version].some(hasMarks) ? merge(old, master, version, RICH) : mergeText(old, master, version);

/**
 * Where `now` is to be cut so that it parts as `was` is parted after `head`; null where the place was reworded itself.
 * Gives the two parts of `now`.
 */
export function cutAlike(was: string, head: string, now: string): readonly [string, string] | null {
  const cut = tokens(head).length;
  const mine = tokens(now);
  let atWas = 0;
  let atNow = 0;
  const parts = diffArrays(tokens(was), mine);
  for (const [i, p] of parts.entries()) {
    const n = p.value.length;
    if (!p.added && !p.removed) {
      const inside = cut > atWas && cut < atWas + n;
      const atStart = cut === atWas && !parts[i - 1]?.added && !parts[i - 1]?.removed;
      const atEnd = cut === atWas + n && !parts[i + 1]?.added && !parts[i + 1]?.removed;
      if (inside || atStart || atEnd) {
        const at = atNow + cut - atWas;
        return [trimLead(join(mine.slice(0, at))).trim(), join(mine.slice(at)).trim()];
      }
    }
    if (!p.added) atWas += n;
    if (!p.removed) atNow += n;
  }
  return null;
}

export interface TextChange {
  readonly kind: 'same' | 'gone' | 'new';
  readonly text: string;
}

/** Fewer words than this between two changes are read as part of one change. */
const LEAST_SAME_WORDS = 3;
const wordCount = (text: string): number => text.split(/\s+/).filter(Boolean).length;

/** What changed between texts met lately, as their tokens are kept: all learners of a version have the same pair. */
const changed = new Map<string, readonly TextChange[]>();
const CHANGES_KEPT = 500;

/** What changed between two texts, in phrases, for showing: leaving out the new gives `was`, leaving out the gone `now`. */
export function textChanges(was: string, now: string): readonly TextChange[] {
  if (was === now) return was ? [{ kind: 'same', text: was }] : [];
  const key = `${was.length} ${was}${now}`;
  let known = changed.get(key);
  if (!known) {
    if (changed.size >= CHANGES_KEPT) changed.clear();
    changed.set(key, (known = freshChanges(was, now)));
  }
  return known;
}

function freshChanges(was: string, now: string): TextChange[] {
  const parts = diffWordsWithSpace(was, now);
  const out: TextChange[] = [];
  let gone = '';
  let fresh = '';
  const flush = () => {
    if (gone) out.push({ kind: 'gone', text: gone });
    if (fresh) out.push({ kind: 'new', text: fresh });
    gone = fresh = '';
  };
  parts.forEach((p, i) => {
    if (p.removed) gone += p.value;
    else if (p.added) fresh += p.value;
    else if ((gone || fresh) && i < parts.length - 1 && wordCount(p.value) < LEAST_SAME_WORDS) {
      gone += p.value;
      fresh += p.value;
    } else {
      flush();
      out.push({ kind: 'same', text: p.value });
    }
  });
  flush();
  return out;
}
