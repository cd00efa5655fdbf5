import type { IndexPatch } from '@lorvet/core/desk';
import type { Kind } from './record-places';

/** A record that was still to be written when the page went. */
export interface LateEntry {
  readonly kind: Kind;
  readonly id: string;
  readonly value: unknown;
  readonly base: unknown;
  readonly rev: number;
}
export interface Late {
  readonly generation: string;
  readonly entries: readonly LateEntry[];
  readonly patches: readonly IndexPatch[];
}

const KEY = 'lorvet-late-';

/**
 * What was still to be written when a page is put away, written at once: this storage takes it before the page is gone,
 * where the other answers later. It is small, and emptied as soon as everything is where it belongs.
 */
export function putLate(tab: string, late: Late | null): void {
  try {
    if (late) localStorage.setItem(KEY + tab, JSON.stringify(late));
    else localStorage.removeItem(KEY + tab);
  } catch {
    // No room for it there: what is under way elsewhere is all that can be done.
  }
}

/** What pages left behind that are gone, each with its tab. */
export function lateOnes(): { tab: string; late: Late }[] {
  const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '');
  return keys.flatMap((key) => {
    if (!key.startsWith(KEY)) return [];
    try {
      const late = JSON.parse(localStorage.getItem(key) ?? '') as Late;
      if (Array.isArray(late.entries) && Array.isArray(late.patches)) return [{ tab: key.slice(KEY.length), late }];
    } catch {
      // Cut short: there is nothing to be had from it.
    }
    localStorage.removeItem(key);
    return [];
  });
}
