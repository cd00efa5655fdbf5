import { idSchema } from '../activity/block';
import { z } from '../zod';

export const MOST_CRITERIA = 12;
export const MOST_LEVELS = 8;

const levelSchema = z.object({ id: idSchema, text: z.string().min(1).max(300), points: z.number().min(0).max(100) });
const criterionSchema = z.object({
  id: idSchema,
  text: z.string().min(1).max(300),
  /** From least to most. */
  levels: z.array(levelSchema).min(1).max(MOST_LEVELS),
});
/** What is looked at in a longer answer, and the levels that it may reach in each. */
export const rubricSchema = z.object({ criteria: z.array(criterionSchema).min(1).max(MOST_CRITERIA) });
export type Rubric = z.infer<typeof rubricSchema>;

/** A level that was given, in its words as they were then. */
export const givenLevelSchema = z.strictObject({
  criterionId: idSchema,
  criterion: z.string().max(300),
  levelId: idSchema,
  level: z.string().max(300),
  points: z.number().min(0),
  outOf: z.number().min(0),
});
export type GivenLevel = z.infer<typeof givenLevelSchema>;
