import type { Rect } from '../activity/parts';

/** Where a part stood on its page, in hundredths; only what was read from a laid-out page has one. */
interface Stood {
  readonly box?: Rect;
  /** What stands together in a frame of its own: a quotation, a box, what unfolds. Its number in the file. */
  readonly frame?: number;
}

/** One part of what was read, whatever it was read from: what the proposals are made of. */
export type Part = Stood &
  (
    | {
        readonly kind: 'heading';
        readonly text: string;
        readonly level: 1 | 2;
        /** 1 is the highest; its level where it is not said. */ readonly rank?: number;
      }
    | { readonly kind: 'paragraph'; readonly text: string; readonly marker?: string }
    /** Entries with bullets before them. */
    | { readonly kind: 'list'; readonly items: readonly string[] }
    /** A table; cells in rows, an empty cell is an empty text. */
    | { readonly kind: 'table'; readonly rows: readonly (readonly string[])[] }
    /** A picture by its place in the material's list of pictures. */
    | { readonly kind: 'picture'; readonly picture: number; readonly alt: string }
    /** A line to write on. */
    | { readonly kind: 'rule' }
    /** An empty box to write or draw in. */
    | { readonly kind: 'box' }
  );

export interface MaterialPage {
  /** From 1, as in the file. */
  readonly n: number;
  readonly parts: readonly Part[];
  /** Width and height in points; for files that are not laid out in pages, none. */
  readonly size?: { readonly width: number; readonly height: number };
  /** Whether there was no text on it, only a picture. */
  readonly pictureOnly?: boolean;
}

/** Everything read from one file. */
export interface Material {
  readonly name: string;
  readonly pages: readonly MaterialPage[];
  /** What could not be kept, in words, each with its place. */
  readonly left: readonly string[];
}
