import { diffArrays, diffWordsWithSpace } from 'diff';
import { diff3Merge } from 'node-diff3';
import { fromRichTokens, richTokens } from '../activity/rich-tokens';
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

const merge = (old: string, master: string, version: string, { apart, together }: Manner): TextMerge =>
  new Merged(diff3Merge(apart(master), apart(old), apart(version), { excludeFalseConflicts: true }), together);

/** Three-way merge of two rewordings of `old`, word by word (diff3, as node-diff3 computes it). */
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

/** What changed between two texts, in phrases, for showing: leaving out the new gives `was`, leaving out the gone `now`. */
export function textChanges(was: string, now: string): TextChange[] {
  if (was === now) return was ? [{ kind: 'same', text: was }] : [];
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
