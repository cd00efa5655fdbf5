import type { Plain } from '../ui/say/say';
import { type Span, type Words, wordsOf } from './word-text';

/** Kinds of word that are told apart, in the order in which they are looked for. */
export const WORD_KINDS = [
  { kind: 'noun', tag: '(#Noun && !#Pronoun)', name: 'thing or name' },
  { kind: 'verb', tag: '#Verb', name: 'doing' },
  { kind: 'adjective', tag: '#Adjective', name: 'how it is' },
  { kind: 'adverb', tag: '#Adverb', name: 'how it is done' },
] as const satisfies readonly { kind: string; tag: string; name: Plain }[];

export type WordKind = (typeof WORD_KINDS)[number]['kind'];

type Nlp = (text: string) => {
  match(tag: string): { json(how: { offset: true; text: false }): Found[] };
};
interface Found {
  readonly offset?: { readonly start: number; readonly length: number };
}

/** The kinds of the words of an English text, each word once. */
export function kindsOf(unit: Words, nlp: Nlp): { kind: WordKind; span: Span }[] {
  const doc = nlp(unit.text);
  const words = wordsOf(unit);
  return WORD_KINDS.flatMap(({ kind, tag }) =>
    doc
      .match(tag)
      .json({ offset: true, text: false })
      .flatMap(({ offset }) => {
        // It says where a word begins; that stops and commas are none of it, is ours.
        const span = offset && words.find((w) => w.from >= offset.start && w.from < offset.start + offset.length);
        return span ? [{ kind, span }] : [];
      }),
  );
}
