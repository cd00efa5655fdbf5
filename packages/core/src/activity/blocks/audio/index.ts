import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';
import { assetIdSchema } from '../../parts';

const fields = {
  assetId: assetIdSchema,
  title: z.string().max(300),
  /** What is said in it, for those who cannot hear it. */
  transcript: z.string().max(20000),
};
const schema = z.object({ ...blockBase, kind: z.literal('audio'), ...fields });
type Recorded = z.infer<typeof schema>;
const learnerSchema = z.object({ id: idSchema, kind: z.literal('audio'), ...fields });

export const audioBlock: BlockKind<Recorded, z.infer<typeof learnerSchema>> = {
  kind: 'audio',
  label: 'Sound',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'audio', audience: 'learner', assetId: '', title: '', transcript: '' }),
  words: (b) => [
    { field: 'title', label: 'Title', text: b.title },
    { field: 'transcript', label: 'What is said', text: b.transcript },
  ],
  withWords: (b, field, text) => (field === 'title' || field === 'transcript' ? { ...b, [field]: text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'audio', assetId: b.assetId, title: b.title, transcript: b.transcript }),
  assets: (b) => (b.assetId ? [b.assetId] : []),
  item: null,
};
