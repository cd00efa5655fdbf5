import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';

const fields = {
  title: z.string().max(200),
};
const schema = z.object({ ...blockBase, kind: z.literal('contents'), ...fields });
const learnerSchema = z.object({ id: idSchema, kind: z.literal('contents'), ...fields });

export const contentsList: BlockKind<z.infer<typeof schema>, z.infer<typeof learnerSchema>> = {
  kind: 'contents',
  label: 'Contents list',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'contents', audience: 'learner', title: 'What is in here' }),
  words: (b) => [{ field: 'title', label: 'Title', text: b.title }],
  withWords: (b, field, text) => (field === 'title' ? { ...b, title: text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'contents', title: b.title }),
  item: null,
};
