import type { Audience, Id } from './block';

/** What of a page is needed to count its questions: a page as it is made, or as a learner gets it. */
export interface CountedPage {
  readonly audience?: Audience | undefined;
  readonly blocks: readonly { readonly id: Id; readonly audience?: Audience; readonly prompt?: string }[];
}

/**
 * The numbers under which learners see the questions of some pages, by the questions' ids, from 1 in the order they
 * stand. Only what is the learners' counts; a part for the teacher takes no number. The one place where questions are
 * counted: what a learner sees as 3 is 3 everywhere.
 */
export function questionNumbers(pages: readonly CountedPage[]): ReadonlyMap<Id, number> {
  const numbers = new Map<Id, number>();
  for (const page of pages) {
    if ((page.audience ?? 'learner') !== 'learner') continue;
    for (const b of page.blocks)
      if ('prompt' in b && (b.audience ?? 'learner') === 'learner') numbers.set(b.id, numbers.size + 1);
  }
  return numbers;
}
