import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';

const schema = z.object({
  ...blockBase,
  kind: z.literal('picture'),
  /** Content hash of the asset; empty until one is chosen. */
  assetId: z.string().max(80),
  alt: z.string().max(1000),
});
type Picture = z.infer<typeof schema>;
const learnerSchema = z.object({ id: idSchema, kind: z.literal('picture'), assetId: z.string(), alt: z.string() });

export const picture: BlockKind<Picture, z.infer<typeof learnerSchema>> = {
  kind: 'picture',
  label: 'Picture',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'picture', audience: 'learner', assetId: '', alt: '' }),
  words: (b) => [{ field: 'alt', label: 'Description', text: b.alt }],
  withWords: (b, field, text) => (field === 'alt' ? { ...b, alt: text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'picture', assetId: b.assetId, alt: b.alt }),
  assets: (b) => (b.assetId ? [b.assetId] : []),
  item: null,
};
