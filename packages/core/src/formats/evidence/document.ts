import type { TextChange } from '../../upkeep/merge-text';

/** One thing that a document says, from the top down: words only, whatever they are printed with. */
export type DocumentPart =
  | { readonly is: 'title'; readonly text: string }
  /** `anchor` is what pages are referred to by; a heading of level 1 or 2 stands in the contents. */
  | { readonly is: 'heading'; readonly level: 1 | 2 | 3; readonly text: string; readonly anchor?: string }
  | { readonly is: 'words' | 'small' | 'said'; readonly text: string }
  | { readonly is: 'list'; readonly lines: readonly string[] }
  | { readonly is: 'facts'; readonly facts: readonly (readonly [name: string, value: string])[] }
  | {
      readonly is: 'table';
      readonly says: string;
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
    }
  /** What stood in the master beside what stood on the learner's sheet, with what changed. */
  | {
      readonly is: 'sides';
      readonly about: string;
      readonly heads: readonly [master: string, learner: string];
      readonly master: readonly TextChange[];
      readonly learner: readonly TextChange[];
      readonly below: string;
    }
  /** Names with the pages they stand on, by anchor. */
  | {
      readonly is: 'index';
      readonly entries: readonly {
        readonly name: string;
        readonly says: string;
        readonly at: readonly { readonly name: string; readonly anchor: string }[];
      }[];
    }
  | { readonly is: 'picture'; readonly assetId: string; readonly alt: string }
  | {
      readonly is: 'signatures';
      readonly roles: readonly string[];
      readonly heads: readonly [role: string, name: string, sign: string, day: string];
    }
  | { readonly is: 'contents'; readonly text: string }
  | { readonly is: 'new page' };

export interface PrintedDocument {
  /** As IANA names languages. */
  readonly language: string;
  readonly title: string;
  /** At the foot of each page, beside its number. */
  readonly foot: string;
  readonly parts: readonly DocumentPart[];
}
