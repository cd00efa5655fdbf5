import { z } from '../../../zod';
import { blockBase, type BlockKind, idSchema } from '../../block';
import { listWords, withListWords } from '../../parts';

const stepsSchema = z.array(z.object({ id: idSchema, text: z.string().max(1000) })).max(30);
const schema = z.object({
  ...blockBase,
  kind: z.literal('worked-example'),
  title: z.string().max(300),
  steps: stepsSchema,
});
type WorkedExample = z.infer<typeof schema>;
const learnerSchema = z.object({
  id: idSchema,
  kind: z.literal('worked-example'),
  title: z.string(),
  steps: stepsSchema,
});

export const workedExample: BlockKind<WorkedExample, z.infer<typeof learnerSchema>> = {
  kind: 'worked-example',
  label: 'Worked example',
  schema,
  learnerSchema,
  fresh: (id, newId) => ({
    id,
    kind: 'worked-example',
    audience: 'learner',
    title: 'How it is done',
    steps: [{ id: newId(), text: '' }],
  }),
  words: (b) => [{ field: 'title', label: 'Title', text: b.title }, ...listWords('step', 'Step', b.steps)],
  withWords: (b, field, text) =>
    field === 'title' ? { ...b, title: text } : { ...b, steps: withListWords('step', b.steps, field, text) },
  forLearner: (b) => ({
    id: b.id,
    kind: 'worked-example',
    title: b.title,
    steps: b.steps.map((s) => ({ id: s.id, text: s.text })),
  }),
  item: null,
};
