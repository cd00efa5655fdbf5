import { z } from '../../zod';
import { contentSchema } from '../../activity/activity';
import { idSchema } from '../../activity/block';
import { swatchSchema } from '../../activity/swatch';
import { recordSchema } from './decided';
import { lineageStepSchema } from './lineage-step';

/**
 * A derived activity as it was given out, kept once under the address of what it holds, whoever gets it and however
 * often. Only for the teacher: it holds keys.
 */
export const frozenSchema = z.object({
  id: z.string().max(64),
  familyId: idSchema,
  versionId: idSchema.nullable(),
  versionName: z.string(),
  swatch: swatchSchema,
  revision: z.number().int(),
  /** Pages that are of another version, where a learner has different ones in different parts. */
  parts: z.array(z.object({ pageId: idSchema, versionId: idSchema.nullable() })).optional(),
  content: contentSchema,
  /** By block id. */
  lineage: z.record(z.string(), z.array(lineageStepSchema)),
  /** What was decided about it; what was frozen before there was one has none. */
  record: recordSchema.optional(),
});
export type Frozen = z.infer<typeof frozenSchema>;

/** Frozen activities by their address, those that are known here. */
export type FrozenById = Readonly<Record<string, Frozen>>;
