import { z } from '../zod';

/** A record that could not be read or was overtaken, as it is kept out of the way. */
export const asideSchema = z.object({
  id: z.string().max(64),
  /** Where it was kept: "learners/l1". */
  key: z.string().max(200),
  why: z.string(),
  at: z.string(),
  data: z.unknown(),
});
export type Aside = z.infer<typeof asideSchema>;
