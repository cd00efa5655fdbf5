import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';
import { assetIdSchema } from '../../parts';

const fields = {
  assetId: assetIdSchema,
  title: z.string().max(300),
  /** What is said in it, for those who cannot hear it. */
  transcript: z.string().max(20000),
};
const schema = z.object({ ...blockBase, kind: z.literal('video'), ...fields });
type Recorded = z.infer<typeof schema>;
const learnerSchema = z.object({ id: idSchema, kind: z.literal('video'), ...fields });

export const videoBlock: BlockKind<Recorded, z.infer<typeof learnerSchema>> = {
  kind: 'video',
  label: 'Video',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'video', audience: 'learner', assetId: '', title: '', transcript: '' }),
  words: (b) => [
    { field: 'title', label: 'Title', text: b.title },
    { field: 'transcript', label: 'What is said', text: b.transcript },
  ],
  withWords: (b, field, text) => (field === 'title' || field === 'transcript' ? { ...b, [field]: text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'video', assetId: b.assetId, title: b.title, transcript: b.transcript }),
  assets: (b) => (b.assetId ? [b.assetId] : []),
  item: null,
};
