import { z } from '../../../zod';
import { chosenOf } from '../../../work/answer';
import {
  type BlockKind,
  freshItem,
  idSchema,
  itemBase,
  itemWords,
  learnerItem,
  learnerItemBase,
  withItemWords,
} from '../../block';
import { listWords, shareMark, withListWords } from '../../parts';

export const stepsSchema = z.array(z.object({ id: idSchema, text: z.string().max(500) })).max(40);
const schema = z.object({ ...itemBase, kind: z.literal('steps'), steps: stepsSchema });
type Steps = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('steps'), steps: stepsSchema });

export const steps: BlockKind<Steps, z.infer<typeof learnerSchema>> = {
  kind: 'steps',
  label: 'Steps to tick off',
  schema,
  learnerSchema,
  fresh: (id, newId) => ({
    ...freshItem(id),
    kind: 'steps',
    prompt: 'Tick each step when it is done.',
    steps: [1, 2, 3].map(() => ({ id: newId(), text: '' })),
  }),
  words: (b) => [...itemWords(b), ...listWords('step', 'Step', b.steps)],
  withWords: (b, field, text) =>
    field.startsWith('step:')
      ? { ...b, steps: withListWords('step', b.steps, field, text) }
      : withItemWords(b, field, text),
  forLearner: (b) => ({ ...learnerItem(b), kind: 'steps', steps: b.steps.map((s) => ({ id: s.id, text: s.text })) }),
  item: {
    minutes: 3,
    keyWords: () => [],
    isEmpty: (a) => chosenOf(a).length === 0,
    answerWords: (b, a) =>
      `${b.steps.filter((s) => chosenOf(a).includes(s.id)).length} of ${b.steps.length} steps ticked`,
    mark: (b, a) =>
      shareMark(b.points, b.steps.filter((s) => chosenOf(a).includes(s.id)).length, b.steps.length, 'steps ticked'),
  },
};
