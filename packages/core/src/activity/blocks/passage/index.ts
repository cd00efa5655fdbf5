import { z } from '../../../zod';
import { languageSchema } from '../../language';
import { blockBase, type BlockKind, idSchema } from '../../block';

const schema = z.object({
  ...blockBase,
  kind: z.literal('passage'),
  title: z.string().max(300),
  text: z.string().max(40000),
  /** Whether every fifth line has its number, so that a question can point at one. */
  numbered: z.boolean().default(false),
  /** The language of its words, where it is another than the activity's. */
  language: languageSchema.optional(),
});
type Passage = z.infer<typeof schema>;
const learnerSchema = z.object({
  id: idSchema,
  kind: z.literal('passage'),
  title: z.string(),
  text: z.string(),
  numbered: z.boolean(),
});

export const passage: BlockKind<Passage, z.infer<typeof learnerSchema>> = {
  kind: 'passage',
  label: 'Passage',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'passage', audience: 'learner', title: '', text: '', numbered: false }),
  words: (b) => [
    { field: 'title', label: 'Title', text: b.title },
    { field: 'text', label: 'Passage', text: b.text },
  ],
  withWords: (b, field, text) => (field === 'title' || field === 'text' ? { ...b, [field]: text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'passage', title: b.title, text: b.text, numbered: b.numbered }),
  item: null,
};
