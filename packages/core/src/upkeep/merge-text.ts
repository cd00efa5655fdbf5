import { diffWordsWithSpace } from 'diff';
import { diff3Merge } from 'node-diff3';

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

/** Words and marks, each with the space before it, so that joining the tokens gives the text back. */
export function tokens(text: string): string[] {
  return ` ${text}`.match(/\s*[\p{L}\p{N}'’-]+|\s*[^\s\p{L}\p{N}]|\s+$/gu) ?? [];
}

const join = (parts: readonly string[]): string => parts.join('');
const trimLead = (text: string): string => (text.startsWith(' ') ? text.slice(1) : text);

/** Three-way merge of two rewordings of `old`, word by word (diff3, as node-diff3 computes it). */
export function mergeText(old: string, master: string, version: string): TextMerge {
  const regions: MergeRegion[] = diff3Merge(tokens(master), tokens(old), tokens(version), {
    excludeFalseConflicts: true,
  }).map((r) =>
    r.conflict
      ? { kind: 'conflict', old: join(r.conflict.o), master: join(r.conflict.a), version: join(r.conflict.b) }
      : { kind: 'agreed', text: join(r.ok ?? []) },
  );
  return {
    clean: regions.every((r) => r.kind === 'agreed'),
    text: trimLead(join(regions.map((r) => (r.kind === 'agreed' ? r.text : r.version)))),
    regions,
  };
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
