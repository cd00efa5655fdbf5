import { startsMarked } from './marks';
import type { Part } from './material';

/** A part and the page it stands on, by its place among the material's pages. */
export interface Placed {
  readonly page: number;
  readonly part: Part;
}

/** Ranks below every heading's: a bold line, and words within the text. */
export const BOLD = 7;
export const WORDS = 8;

export const linesOf = (p: Part): string[] =>
  p.kind === 'paragraph'
    ? (p.marker ? `${p.marker} ${p.text}` : p.text).split('\n')
    : p.kind === 'heading'
      ? [p.text]
      : p.kind === 'list'
        ? [...p.items]
        : [];

export const isBold = (p: Part): boolean =>
  p.kind === 'paragraph' && p.marker === undefined && p.text.length < 90 && /^\*\*[^*]+\*\*\s?:?$/.test(p.text.trim());
export const rankOf = (p: Part): number | null =>
  p.kind === 'heading' ? (p.rank ?? p.level) : isBold(p) && !startsMarked(bare(p)) ? BOLD : null;
export const bare = (p: Part): string => linesOf(p).join(' ').replace(/\*/g, '').trim();
