import equal from 'fast-deep-equal';
import { z } from '../zod';
import { type Answer, answerIsEmpty, answerSchema } from './answer';
import type { Go } from './copy';

/** That a flap was lifted for the first time in a go, and what the answer was then. */
export const liftedSchema = z.object({
  /** An ISO instant. */
  at: z.string().max(40),
  answer: answerSchema.optional(),
});
export type Lifted = z.infer<typeof liftedSchema>;

/** A go with a flap lifted at an instant (ISO); only the first time counts: what was seen stays seen. */
export function withLifted(go: Go, item: string, at: string): Go {
  if (go.lifted && Object.hasOwn(go.lifted, item)) return go;
  const answer = go.answers[item];
  return { ...go, lifted: { ...go.lifted, [item]: { at, ...(answer ? { answer } : {}) } } };
}

/** What was lifted in either of two states of one go: of each flap the first time. */
export function joinedLifted(a: Go['lifted'], b: Go['lifted']): Record<string, Lifted> {
  const out = { ...a };
  for (const [item, mine] of Object.entries(b ?? {})) {
    const other = out[item];
    const first =
      other && (other.at < mine.at || (other.at === mine.at && JSON.stringify(other) <= JSON.stringify(mine)));
    out[item] = first ? other : mine;
  }
  return out;
}

/** What a flap that was lifted says of an answer: whether there was one before, and whether it is another since. */
export function liftedBefore(
  go: Go,
  item: string,
): {
  readonly at: string;
  readonly was: Answer | undefined;
  readonly is: 'before an answer' | 'changed after' | 'as before';
} | null {
  const lifted = go.lifted && Object.hasOwn(go.lifted, item) ? go.lifted[item] : undefined;
  if (!lifted) return null;
  const { at, answer: was } = lifted;
  const isSame = equal(was, go.answers[item]);
  return { at, was, is: isSame ? 'as before' : answerIsEmpty(was) ? 'before an answer' : 'changed after' };
}
