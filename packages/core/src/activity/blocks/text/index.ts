import { z } from '../../../zod';
import { languageSchema } from '../../language';
import { blockBase, type BlockKind, idSchema } from '../../block';

const schema = z.object({
  ...blockBase,
  kind: z.literal('text'),
  text: z.string().max(20000),
  /** The language of its words, where it is another than the activity's. */
  language: languageSchema.optional(),
});
type Text = z.infer<typeof schema>;
const learnerSchema = z.object({ id: idSchema, kind: z.literal('text'), text: z.string() });

export const textBlock: BlockKind<Text, z.infer<typeof learnerSchema>> = {
  kind: 'text',
  label: 'Text',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'text', audience: 'learner', text: '' }),
  words: (b) => [{ field: 'text', label: 'Text', text: b.text }],
  withWords: (b, field, text) => (field === 'text' ? { ...b, text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'text', text: b.text }),
  item: null,
};
