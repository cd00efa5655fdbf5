import { idSchema } from '../activity/block';
import { z } from '../zod';

/** A suggestion that was dismissed, under its key, with why: it does not come again. */
export const dismissedSchema = z.object({
  id: idSchema,
  reason: z.string().min(1).max(300),
  /** ISO instant. */
  at: z.string().max(40),
});
export type Dismissed = z.infer<typeof dismissedSchema>;
