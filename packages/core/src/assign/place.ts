import { z } from '../zod';
import { idSchema } from '../activity/block';

/** How the index of places is laid out. */
export const indexLayoutSchema = z.object({
  /** What stands above the names. */
  words: z.string().max(500).default(''),
  /** Names side by side; 0 for as many as have room. */
  columns: z.number().int().min(0).max(8).default(0),
  /** By name, under the names of their classes, or as the teacher put them. */
  order: z.enum(['name', 'class', 'own']).default('name'),
  /** As the teacher put them; who is not among them comes after them, by name. */
  ownOrder: z.array(idSchema).max(2000).default([]),
});
export type IndexLayout = z.infer<typeof indexLayoutSchema>;
/** As an index is where nobody laid it out. */
export const PLAIN_LAYOUT: IndexLayout = indexLayoutSchema.parse({});

/** Where there is a place for each: which pages are made anew for every learner, and who sees whose. */
export const placeSchema = z.object({
  /** The pages that each learner has of their own; the others are for all. */
  pageIds: z.array(idSchema).max(200),
  /** Whether names stand in the index and over the places. */
  names: z.boolean().default(true),
  /** Whether a learner sees the others' places too: then it is an album. */
  isOpen: z.boolean().default(false),
  /** Whether learners may write short comments to the others' places; the teacher sees them first. */
  comments: z.boolean().default(false),
  /** What learners wrote to the others' places, once the teacher said to it that all may read it, or that nobody may. */
  remarks: z
    .array(z.object({ id: idSchema, to: idSchema, from: idSchema, text: z.string().max(500), isShown: z.boolean() }))
    .max(5000)
    .default([]),
  /** Left out, the index is plain: by name, as many side by side as have room. */
  layout: indexLayoutSchema.optional(),
});
export type Place = z.infer<typeof placeSchema>;
