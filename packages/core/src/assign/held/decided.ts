import { z } from '../../zod';
import { idSchema } from '../../activity/block';
import { judgementSchema } from '../../adjust/adjustment';

const computedSchema = z.enum([...judgementSchema.options, 'to judge']);

/** One adjustment as it was when work was frozen: who made it, why, and what it was taken for. */
export const decidedSchema = z.object({
  versionId: idSchema,
  versionName: z.string().max(200),
  adjustmentId: idSchema,
  kind: z.string().max(40),
  name: z.string().max(120).optional(),
  sentence: z.string(),
  author: z.string().max(120),
  /** ISO 8601 instant at which it was written. */
  at: z.string().max(40),
  /** ISO dates in force, both included. */
  from: z.string().max(40).optional(),
  until: z.string().max(40).optional(),
  reason: z.string().max(500).optional(),
  /** The goal it serves, in the words that it had; its words are not known where it was on no card any more. */
  goal: z.object({ id: idSchema, text: z.string() }).optional(),
  /** What was computed, and the teacher's own judgement where there is one; none for what was not in force. */
  verdict: z.object({ judgement: computedSchema, why: z.string(), question: z.string().optional() }).optional(),
  overruled: z.object({ judgement: judgementSchema, reason: z.string().max(500) }).optional(),
  /** What became of it. */
  status: z.enum(['applied', 'skipped', 'off', 'unsettled']),
  statusWhy: z.string().optional(),
});
export type Decided = z.infer<typeof decidedSchema>;

/** What was decided about a version, held fast with it: for a review, when the version has long become another. */
export const recordSchema = z.object({
  /** The whole of each version on the sheet. */
  verdicts: z.array(
    z.object({
      versionId: idSchema,
      judgement: z.enum([...computedSchema.options, 'same']),
      why: z.array(z.string()),
    }),
  ),
  /** From the master on, each in its place. */
  adjustments: z.array(decidedSchema),
  /** Pages and blocks of the basis that are not on the sheet, with the first of their words. */
  leftOut: z.array(z.object({ id: idSchema, words: z.string(), versionId: idSchema, adjustmentId: idSchema })),
});
export type HeldRecord = z.infer<typeof recordSchema>;
