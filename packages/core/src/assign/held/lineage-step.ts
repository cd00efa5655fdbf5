import { z } from '../../zod';
import { idSchema } from '../../activity/block';

/** One step of the way from a block back to the master, in words, as it was when the work was frozen. */
export const lineageStepSchema = z.object({
  versionId: idSchema,
  versionName: z.string(),
  adjustmentId: idSchema,
  sentence: z.string(),
});
export type LineageStep = z.infer<typeof lineageStepSchema>;
