import { z } from '../zod';
import { type Copy, copySchema } from '../work/copy';
import { placesOf, Problem } from './problem';

export const ANSWERS_FORMAT = 1;

const fileSchema = z.strictObject({
  kind: z.literal('lorvet-answers'),
  format: z.literal(ANSWERS_FORMAT),
  /** ISO 8601 instant at which it was written. */
  at: z.string().max(40),
  copy: copySchema,
});

/** A learner's answers to one piece of work as a file, for when the browser cannot keep them: theirs, and nothing else. */
export const writeAnswers = (copy: Copy, at: string): string =>
  JSON.stringify({ kind: 'lorvet-answers', format: ANSWERS_FORMAT, at, copy }, null, 1);

/** Reads such a file or throws a Problem. */
export function readAnswers(text: string): { copy: Copy; at: string } {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw new Problem(
      'This is no file of answers: it is damaged, or another file. Choose the one that the desk saved.',
    );
  }
  const read = fileSchema.safeParse(raw);
  if (!read.success)
    throw new Problem(
      'This is no file of answers that Lorvet knows, or a part of it is missing. Nothing was taken in.',
      placesOf(read.error),
    );
  const { copy, at } = read.data;
  if (copy.id !== `${copy.handOutId}.${copy.learnerId}`)
    throw new Problem('This file of answers does not say whose they are. Nothing was taken in.');
  return { copy, at };
}
