import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';

const schema = z.object({
  ...blockBase,
  kind: z.literal('heading'),
  text: z.string().max(400),
  level: z.union([z.literal(1), z.literal(2)]).default(1),
});
type Heading = z.infer<typeof schema>;
const learnerSchema = z.object({
  id: idSchema,
  kind: z.literal('heading'),
  text: z.string(),
  level: z.union([z.literal(1), z.literal(2)]),
});

export const heading: BlockKind<Heading, z.infer<typeof learnerSchema>> = {
  kind: 'heading',
  label: 'Heading',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'heading', audience: 'learner', text: '', level: 1 }),
  words: (b) => [{ field: 'text', label: 'Heading', text: b.text }],
  withWords: (b, field, text) => (field === 'text' ? { ...b, text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'heading', text: b.text, level: b.level }),
  item: null,
};
