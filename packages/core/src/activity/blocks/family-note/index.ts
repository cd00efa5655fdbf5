import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';

const fields = {
  text: z.string().max(4000),
};
const schema = z.object({ ...blockBase, kind: z.literal('family-note'), ...fields });
const learnerSchema = z.object({ id: idSchema, kind: z.literal('family-note'), ...fields });

export const familyNote: BlockKind<z.infer<typeof schema>, z.infer<typeof learnerSchema>> = {
  kind: 'family-note',
  label: 'Note for families',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'family-note', audience: 'learner', text: '' }),
  words: (b) => [{ field: 'text', label: 'Note for families', text: b.text }],
  withWords: (b, field, text) => (field === 'text' ? { ...b, text: text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'family-note', text: b.text }),
  item: null,
};
