import {
  type Block,
  type Content,
  type Id,
  isItem,
  keyWordsOf,
  labelOf,
  type Lexicon,
  type Page,
  type Proposal,
  snippet,
  wordsOf,
} from '@lorvet/core';

/** What is chosen on the page; nothing chosen is the whole version. */
export interface Selection {
  readonly content: Content;
  readonly blocks: readonly Block[];
  /** The pages the chosen blocks are on; all where nothing is chosen. */
  readonly pages: readonly Page[];
}

/** One value that is asked for before something is done. */
export interface Field {
  readonly name: string;
  readonly label: string;
  readonly as: 'number' | 'text' | 'lines' | 'choice';
  readonly value: string;
  readonly min?: number;
  readonly max?: number;
  readonly options?: readonly { readonly value: string; readonly label: string }[];
}
export type Values = Readonly<Record<string, string>>;

export interface Tools {
  readonly lexicon: Lexicon;
  readonly newId: () => Id;
}

/** Something that can be done here: whether it suits what is chosen, what it asks for, and the adjustments it makes. */
export interface Doing {
  readonly id: string;
  readonly label: string;
  readonly group: 'Help' | 'Way to answer' | 'Less or other' | 'More' | 'How it looks' | 'Time';
  suits(s: Selection): boolean;
  fields(s: Selection): readonly Field[];
  drafts(s: Selection, v: Values, t: Tools): readonly Proposal[];
}

export const number = (name: string, label: string, value: number, min: number, max: number): Field => ({
  name,
  label,
  as: 'number',
  value: `${value}`,
  min,
  max,
});
export const lines = (text = ''): string[] =>
  text
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean);
export const whole = (s: Selection) => s.blocks.length === 0;
export const one = (s: Selection): Block | undefined => (s.blocks.length === 1 ? s.blocks[0] : undefined);
export const some = (about: (b: Block) => boolean) => (s: Selection) => s.blocks.some(about);
export const each = (s: Selection, about: (b: Block) => boolean, make: (b: Block) => Proposal) =>
  s.blocks.filter(about).map(make);
export const pageOf = (s: Selection, b: Block) => s.pages.find((p) => p.blocks.includes(b)) as Page;
export const firstWords = (b: Block) => snippet(wordsOf(b)[0]?.text || labelOf(b), 40);
export const keyed = (b: Block) => isItem(b) && keyWordsOf(b).length > 0;
export const ids = (pages: readonly Page[]) => pages.map((p) => p.id);

/** Where among the other pages something can stand, as a choice. */
export function places(s: Selection): Field {
  const here = new Set(s.blocks.length ? ids(s.pages) : []);
  const options = s.content.pages
    .filter((p) => !here.has(p.id))
    .map((p, i) => ({ value: p.id, label: p.title || `page ${i + 1}` }));
  return {
    name: 'after',
    label: 'After',
    as: 'choice',
    value: options.at(-1)?.value ?? '',
    options: [{ value: '', label: 'nothing: it comes first' }, ...options],
  };
}
