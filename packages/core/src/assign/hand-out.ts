import { z } from 'zod';
import { contentSchema } from '../activity/activity';
import { idSchema } from '../activity/block';
import { swatchSchema } from '../activity/family';

/** One step of the way from a block back to the master, in words, as it was when the work was frozen. */
export const lineageStepSchema = z.object({
  versionId: idSchema,
  versionName: z.string(),
  adjustmentId: idSchema,
  sentence: z.string(),
});
export type LineageStep = z.infer<typeof lineageStepSchema>;

/** A derived activity as it was given out, found by its content's address. Only for the teacher: it holds keys. */
export const frozenSchema = z.object({
  hash: z.string().max(64),
  familyId: idSchema,
  versionId: idSchema.nullable(),
  versionName: z.string(),
  swatch: swatchSchema.nullable(),
  revision: z.number().int(),
  at: z.string(),
  content: contentSchema,
  lineage: z.record(z.string(), z.array(lineageStepSchema)),
});
export type Frozen = z.infer<typeof frozenSchema>;

/** One crossing of the loom. A learner may stand on two lines by mistake: `coverage` says so. */
export const lineSchema = z.object({ learnerId: idSchema, versionId: idSchema.nullable() });
export type Line = z.infer<typeof lineSchema>;

export const wayToGiveSchema = z.enum(['one-each', 'to-read']);
export type WayToGive = z.infer<typeof wayToGiveSchema>;

export const handOutSchema = z.object({
  id: idSchema,
  familyId: idSchema,
  title: z.string().min(1).max(200),
  way: wayToGiveSchema,
  note: z.string().max(1000).default(''),
  classIds: z.array(idSchema),
  groupIds: z.array(idSchema),
  learnerIds: z.array(idSchema),
  lines: z.array(lineSchema),
  /** Local date and time, 'yyyy-MM-ddTHH:mm'; null opens at once, or is due never. */
  opensAt: z.string().nullable(),
  dueAt: z.string().nullable(),
  /** Learners the teacher has looked as. */
  lookedAs: z.array(idSchema),
  state: z.enum(['draft', 'given']),
  givenAt: z.string().nullable(),
  /** Once given: what each learner got, by learner id, as a key of `frozen`. */
  given: z.record(z.string(), z.string()),
  frozen: z.record(z.string(), frozenSchema),
});
export type HandOut = z.infer<typeof handOutSchema>;

/** Draft, scheduled (given out, opening later), given out. `now` in the form of `opensAt`. */
export function handOutState(h: HandOut, now: string): 'draft' | 'scheduled' | 'given out' {
  if (h.state === 'draft') return 'draft';
  return h.opensAt !== null && h.opensAt > now ? 'scheduled' : 'given out';
}
