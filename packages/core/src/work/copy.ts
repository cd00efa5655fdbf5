import { z } from 'zod';
import { idSchema } from '../activity/block';
import type { HandOut } from '../assign/hand-out';
import { answerSchema, verdictSchema } from './answer';

/** One try at the work. Answers are kept until the teacher deletes the copy. */
export const goSchema = z.object({
  n: z.number().int().min(1),
  startedAt: z.string(),
  submittedAt: z.string().nullable(),
  answers: z.record(z.string(), answerSchema),
});
export type Go = z.infer<typeof goSchema>;

/** What a learner did with what they got. Written by the desk only. */
export const copySchema = z.object({
  id: idSchema,
  handOutId: idSchema,
  learnerId: idSchema,
  /** Key of the hand-out's `frozen`. */
  frozen: z.string().max(64),
  goes: z.array(goSchema),
});
export type Copy = z.infer<typeof copySchema>;

export const markSchema = z.object({
  verdict: verdictSchema.exclude(['empty', 'yours']),
  points: z.number().min(0),
});
export type Mark = z.infer<typeof markSchema>;

/** What the teacher says to one go. */
export const responseSchema = z.object({
  go: z.number().int().min(1),
  /** The teacher's own marks, by item id, in place of the computed ones. */
  marks: z.record(z.string(), markSchema),
  comments: z.record(z.string(), z.string().max(2000)),
  comment: z.string().max(2000),
  decision: z.enum(['another go', 'complete']).nullable(),
  decidedAt: z.string().nullable(),
});
export type Response = z.infer<typeof responseSchema>;

/** Everything the teacher said to one copy. Written by Marking only, so that desk and teacher never write one record. */
export const markingSchema = z.object({ id: idSchema, copyId: idSchema, responses: z.array(responseSchema) });
export type Marking = z.infer<typeof markingSchema>;

export type CopyState = 'not open yet' | 'to start' | 'working' | 'submitted' | 'another go' | 'complete';

/** A hand-out and a learner make one copy: its id is the two together. */
export const copyIdOf = (handOutId: string, learnerId: string): string => `${handOutId}.${learnerId}`;

export const responseTo = (marking: Marking | undefined, go: number): Response | undefined =>
  marking?.responses.find((r) => r.go === go);

export const emptyResponse = (go: number): Response => ({
  go,
  marks: {},
  comments: {},
  comment: '',
  decision: null,
  decidedAt: null,
});

/** `now` is local, 'yyyy-MM-ddTHH:mm'. */
export function copyState(
  handOut: Pick<HandOut, 'opensAt'>,
  copy: Copy | undefined,
  marking: Marking | undefined,
  now: string,
): CopyState {
  if (handOut.opensAt !== null && handOut.opensAt > now) return 'not open yet';
  const go = copy?.goes.at(-1);
  if (!go) return 'to start';
  const said = responseTo(marking, go.n)?.decision;
  if (said === 'complete') return 'complete';
  if (said === 'another go') return 'another go';
  if (go.submittedAt) return 'submitted';
  return go.n > 1 && responseTo(marking, go.n - 1)?.decision === 'another go' ? 'another go' : 'working';
}

/**
 * The go a learner may write in now: the open one, or a new one when another go was asked for, or when fewer than
 * `most` were used and the work is not complete. Undefined: nothing to do.
 */
export function openGo(
  copy: Copy | undefined,
  marking: Marking | undefined,
  most = 1,
): 'first' | 'next' | Go | undefined {
  const go = copy?.goes.at(-1);
  if (!go) return 'first';
  if (!go.submittedAt) return go;
  const decision = responseTo(marking, go.n)?.decision;
  return decision === 'another go' || (decision !== 'complete' && go.n < most) ? 'next' : undefined;
}
