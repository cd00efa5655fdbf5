import { z } from '../zod';
import { idSchema } from '../activity/block';
import { learnerBlockSchema } from '../activity/blocks';

/**
 * The places of everybody, where learners may see each other's: whose they are, on which sheets, and what may be read
 * beside them. The work itself is in the copies.
 */
export const albumSchema = z.strictObject({
  id: idSchema,
  title: z.string(),
  /** The pages that each place is made of. */
  pageIds: z.array(idSchema),
  comments: z.boolean(),
  /** What stands above the index, and how many names are side by side in it (0: as many as have room). */
  words: z.string().default(''),
  columns: z.number().int().min(0).max(8).default(0),
  places: z.array(
    z.strictObject({
      /** Under whom the work is kept. */
      id: idSchema,
      /** Empty where places have no names. */
      name: z.string(),
      /** The heading it stands under; empty for none. */
      under: z.string().default(''),
      sheet: z.string().max(64),
      own: z.array(learnerBlockSchema),
    }),
  ),
  /** What may be read by all: to whose place, and by whom (empty where places have no names). */
  remarks: z.array(z.strictObject({ id: idSchema, to: idSchema, from: z.string(), text: z.string() })),
});
export type Album = z.infer<typeof albumSchema>;
