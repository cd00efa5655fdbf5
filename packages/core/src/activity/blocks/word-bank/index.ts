import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';

const schema = z.object({
  ...blockBase,
  kind: z.literal('word-bank'),
  title: z.string().max(200),
  words: z.array(z.string().max(120)).max(60),
});
type WordBank = z.infer<typeof schema>;
const learnerSchema = z.object({
  id: idSchema,
  kind: z.literal('word-bank'),
  title: z.string(),
  words: z.array(z.string()),
});

export const wordBankBlock: BlockKind<WordBank, z.infer<typeof learnerSchema>> = {
  kind: 'word-bank',
  label: 'Word bank',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'word-bank', audience: 'learner', title: 'Words you can use', words: [] }),
  words: (b) => [{ field: 'title', label: 'Title', text: b.title }],
  withWords: (b, field, text) => (field === 'title' ? { ...b, title: text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'word-bank', title: b.title, words: [...b.words] }),
  item: null,
};
