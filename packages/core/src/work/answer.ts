import { z } from 'zod';

/** What a learner gave for one item in one go. Choices are option ids. */
export const answerSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('choice'), chosen: z.array(z.string().max(64)).max(100) }),
  z.object({ kind: z.literal('text'), text: z.string().max(20000) }),
]);
export type Answer = z.infer<typeof answerSchema>;

/** 'yours' means that only the teacher can judge it. */
export const verdictSchema = z.enum(['right', 'partly', 'not-yet', 'empty', 'yours']);
export type Verdict = z.infer<typeof verdictSchema>;

/** Points are in the item's own points, 0 up to `outOf`. */
export interface ItemMark {
  readonly verdict: Verdict;
  readonly points: number;
  readonly outOf: number;
  /** A short reason for the teacher. */
  readonly why: string;
}

export const textOf = (answer: Answer): string => (answer.kind === 'text' ? answer.text : '');
export const chosenOf = (answer: Answer): readonly string[] => (answer.kind === 'choice' ? answer.chosen : []);
