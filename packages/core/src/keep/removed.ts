import { z } from '../zod';
import { idSchema } from '../activity/block';
import { versionSchema } from '../activity/family-schema';
import { namedAudienceSchema } from '../learners/audience';
import { comfortSchema } from '../learners/comfort';
import { learnerSchema } from '../learners/learner';
import { classSchema, groupSchema } from '../learners/people';
import { recipeSchema } from '../recipe/recipe';
import { listedObjectiveSchema, templateSchema } from '../kept';

const base = {
  id: idSchema,
  /** ISO instant of the removal. */
  at: z.string().max(40),
  /** What it is called, for the list under Keeping. */
  title: z.string().max(300),
  /** What went with it, in words: "7 submitted, 3 complete"; may be empty. */
  says: z.string().max(300),
};

/**
 * Something that was removed, and all that is needed to have it back whole. Large things stay where they are kept and
 * are named here; small ones are in here.
 */
export const removedSchema = z.discriminatedUnion('what', [
  z.object({ ...base, what: z.literal('hand-out'), target: idSchema }),
  z.object({ ...base, what: z.literal('activity'), target: idSchema }),
  /** A version with those made on it that went along, each with its place in the family's list. */
  z.object({
    ...base,
    what: z.literal('version'),
    familyId: idSchema,
    versions: z.array(z.object({ at: z.number().int().min(0), version: versionSchema })).min(1),
  }),
  z.object({
    ...base,
    what: z.literal('learner'),
    learner: learnerSchema,
    comfort: comfortSchema.optional(),
    classIds: z.array(idSchema),
    groupIds: z.array(idSchema),
    /** Lines of plans that were not given out yet. */
    lines: z.array(z.object({ handOutId: idSchema, versionId: idSchema.nullable() })),
  }),
  z.object({ ...base, what: z.literal('class'), record: classSchema }),
  z.object({ ...base, what: z.literal('group'), record: groupSchema }),
  z.object({ ...base, what: z.literal('audience'), record: namedAudienceSchema }),
  z.object({ ...base, what: z.literal('template'), record: templateSchema }),
  z.object({ ...base, what: z.literal('recipe'), record: recipeSchema }),
  z.object({ ...base, what: z.literal('objective'), record: listedObjectiveSchema }),
]);
export type Removed = z.infer<typeof removedSchema>;
