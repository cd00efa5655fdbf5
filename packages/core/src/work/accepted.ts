import { idSchema } from '../activity/block';
import { z } from '../zod';
import { answerSchema } from './answer';

/** An answer that the teacher accepts besides the key, for everybody who has the question, whichever version they have. */
export const acceptedSchema = z.object({
  id: idSchema,
  itemId: idSchema,
  answer: answerSchema,
  at: z.string().max(40),
});
export type Accepted = z.infer<typeof acceptedSchema>;
