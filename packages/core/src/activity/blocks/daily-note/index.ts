import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';

const fields = {
  /** ISO date it is for; empty for any day. */
  day: z.string().regex(/^(\d{4}-\d{2}-\d{2})?$/),
  text: z.string().max(4000),
};
const schema = z.object({ ...blockBase, kind: z.literal('daily-note'), ...fields });
const learnerSchema = z.object({ id: idSchema, kind: z.literal('daily-note'), ...fields });

export const dailyNote: BlockKind<z.infer<typeof schema>, z.infer<typeof learnerSchema>> = {
  kind: 'daily-note',
  label: 'Daily note',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'daily-note', audience: 'learner', day: '', text: '' }),
  words: (b) => [{ field: 'text', label: 'Daily note', text: b.text }],
  withWords: (b, field, text) => (field === 'text' ? { ...b, text: text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'daily-note', day: b.day, text: b.text }),
  item: null,
};
