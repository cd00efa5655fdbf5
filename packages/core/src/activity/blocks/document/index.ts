import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';
import { assetIdSchema } from '../../parts';

const fields = { assetId: assetIdSchema, title: z.string().max(300) };
const schema = z.object({ ...blockBase, kind: z.literal('document'), ...fields });
const learnerSchema = z.object({ id: idSchema, kind: z.literal('document'), ...fields });

/** A PDF to open beside the sheet, such as the questions of an answer sheet. */
export const documentBlock: BlockKind<z.infer<typeof schema>, z.infer<typeof learnerSchema>> = {
  kind: 'document',
  label: 'Document (PDF)',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'document', audience: 'learner', assetId: '', title: '' }),
  words: (b) => [{ field: 'title', label: 'Title', text: b.title }],
  withWords: (b, field, text) => (field === 'title' ? { ...b, title: text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'document', assetId: b.assetId, title: b.title }),
  assets: (b) => (b.assetId ? [b.assetId] : []),
  item: null,
};
