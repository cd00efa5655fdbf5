import { expose } from 'comlink';
import nlp from 'compromise/two';
import { kindsOf, type WordKind } from '../word-kinds';
import { partSpans } from '../word-parts';
import type { Span, Words } from '../word-text';

const api = {
  /** Of each text, every other part of its words. */
  async parts(texts: readonly Words[]): Promise<Span[][]> {
    return await Promise.all(texts.map(partSpans));
  },

  /** Of each text, the kinds of its words; none where it is not English. */
  kinds(texts: readonly Words[]): { kind: WordKind; span: Span }[][] {
    return texts.map((t) => (t.lang.startsWith('en') ? kindsOf(t, nlp) : []));
  },
};

export type WordsApi = typeof api;
expose(api);
