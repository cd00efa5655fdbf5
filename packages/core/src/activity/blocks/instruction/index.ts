import { z } from 'zod';
import { blockBase, type BlockKind, idSchema } from '../../block';

const schema = z.object({ ...blockBase, kind: z.literal('instruction'), text: z.string().max(20000) });
type Instruction = z.infer<typeof schema>;
const learnerSchema = z.object({ id: idSchema, kind: z.literal('instruction'), text: z.string() });

export const instructionBlock: BlockKind<Instruction, z.infer<typeof learnerSchema>> = {
  kind: 'instruction',
  label: 'Instruction',
  schema,
  learnerSchema,
  fresh: (id) => ({ id, kind: 'instruction', audience: 'learner', text: '' }),
  words: (b) => [{ field: 'text', label: 'Instruction', text: b.text }],
  withWords: (b, field, text) => (field === 'text' ? { ...b, text } : b),
  forLearner: (b) => ({ id: b.id, kind: 'instruction', text: b.text }),
  item: null,
};
