import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';

const schema = z.object({ ...blockBase, kind: z.literal('divider') });
const learnerSchema = z.object({ id: idSchema, kind: z.literal('divider') });

export const divider: BlockKind<z.infer<typeof schema>, z.infer<typeof learnerSchema>> = {
  kind: 'divider',
  label: 'Divider',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'divider', audience: 'learner' }),
  words: () => [],
  withWords: (b) => b,
  forLearner: (b) => ({ id: b.id, kind: 'divider' }),
  item: null,
};
