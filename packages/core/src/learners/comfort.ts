import { idSchema } from '../activity/block';
import { z } from '../zod';

/** A learner's reading settings, kept for them everywhere. Sizes in px, spacing as a factor. */
export const comfortSchema = z.object({
  font: z.enum(['hyperlegible', 'lexend', 'serif']).default('hyperlegible'),
  size: z.number().min(16).max(40).default(19),
  spacing: z.number().min(1).max(2.5).default(1.5),
  colours: z.enum(['paper', 'cream', 'mist', 'night']).default('paper'),
});
export type Comfort = z.infer<typeof comfortSchema>;
export const PLAIN_COMFORT: Comfort = comfortSchema.parse({});

/** A learner's comfort as it is kept, under the learner's id: the desk writes it, the needs card never does. */
export const keptComfortSchema = z.object({ id: idSchema, comfort: comfortSchema });
export type KeptComfort = z.infer<typeof keptComfortSchema>;
