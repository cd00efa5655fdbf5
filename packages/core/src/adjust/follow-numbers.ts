import { type Block, keyWordsOf } from '../activity/blocks';
import type { NumberBlock } from '../activity/blocks/number';
import { wordsAsNumber } from '../work/mark/number-words';

/** A number that stands for itself in a text: not a part of another, of a date or a time. */
const NUMBER = /(?<![\d.,:/\p{L}])\d+(?:[.,]\d+)?(?![\d:/]|[.,]\d)/gu;
const valueOf = (digits: string): number => Number(digits.replace(',', '.'));

/** The numbers of a question as they were, each with what stands in its place now; several where it is not certain. */
function changesOf(was: NumberBlock, now: NumberBlock): Map<number, Set<number>> {
  const out = new Map<number, Set<number>>();
  const note = (a: number | null | undefined, b: number | null | undefined) => {
    if (a === null || a === undefined || b === null || b === undefined) return;
    out.set(a, new Set([...(out.get(a) ?? []), b]));
  };
  was.given?.forEach((g, i) => note(g.value, now.given?.[i]?.value));
  note(was.key, now.key);
  return out;
}

/** Numbers in words, as far as they are numbers of the question. */
const inWords = (text: string, changes: Map<number, Set<number>>): boolean =>
  text.split(/[^\p{L}-]+/u).some((w) => {
    const n = wordsAsNumber(w);
    return n !== null && changes.has(n) && !changes.get(n)?.has(n);
  });

export interface Followed {
  readonly text: string;
  /** Whether something in it may be of the old numbers and could not follow: then the text is as it was. */
  readonly left: boolean;
}

/**
 * Words that go with a question whose numbers became others: each number of the question is what it is now. Where a number is
 * none of the question's, or may be either of two, it is left to the teacher.
 */
export function followNumbers(text: string, was: Block, now: Block): Followed {
  const asIs = { text, left: false };
  if (was.kind !== 'number' || now.kind !== 'number') return asIs;
  if (was.prompt === now.prompt && was.key === now.key) return asIs;
  if (text === keyWordsOf(was).join(' / ')) return { text: keyWordsOf(now).join(' / '), left: false };
  const changes = changesOf(was, now);
  const constants = new Set((`${was.formula ?? ''} ${was.prompt}`.match(NUMBER) ?? []).map(valueOf));
  let left = inWords(text, changes);
  const followed = text.replace(NUMBER, (digits) => {
    const n = valueOf(digits);
    const to = changes.get(n);
    const [only] = to ?? [];
    if (only !== undefined && to?.size === 1) return String(only);
    // What the question says itself and does not change may stay.
    if (to !== undefined || !constants.has(n)) left = true;
    return digits;
  });
  return left ? { text, left } : { text: followed, left };
}

/** Whether words elsewhere on the page still speak of the old numbers: of the old answer, or of two of the numbers given. */
export function speaksOfOld(text: string, was: NumberBlock, now: NumberBlock): boolean {
  const current = new Set([now.key, ...(now.given ?? []).map((g) => g.value)]);
  const said = new Set((text.match(NUMBER) ?? []).map(valueOf).filter((n) => !current.has(n)));
  const given = (was.given ?? []).filter((g) => said.has(g.value)).length;
  return (was.key !== null && said.has(was.key)) || given >= 2;
}
