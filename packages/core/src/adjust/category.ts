import { z } from '../zod';

/** The practice category an adjustment or a support belongs to, as plans and reviews ask for it. */
export const categorySchema = z.enum([
  'presentation',
  'response',
  'timing',
  'setting',
  'content',
  'support',
  'challenge',
]);
export type Category = z.infer<typeof categorySchema>;
