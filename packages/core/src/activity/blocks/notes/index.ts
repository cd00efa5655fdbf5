import { z } from '../../../zod';
import { textOf } from '../../../work/answer';
import {
  type BlockKind,
  freshItem,
  itemBase,
  itemWords,
  learnerItem,
  learnerItemBase,
  withItemWords,
} from '../../block';

const schema = z.object({ ...itemBase, kind: z.literal('notes') });
type Notes = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('notes') });

/** A place for words between learner and teacher: the learner writes here, the teacher's comment is the answer. */
export const notes: BlockKind<Notes, z.infer<typeof learnerSchema>> = {
  kind: 'notes',
  label: 'Notes to and fro',
  schema,
  learnerSchema,
  fresh: (id) => ({ ...freshItem(id), kind: 'notes', prompt: 'Is there anything you want to tell me?', points: 0 }),
  words: itemWords,
  withWords: withItemWords,
  forLearner: (b) => ({ ...learnerItem(b), kind: 'notes' }),
  item: {
    minutes: 1,
    keyWords: () => [],
    isEmpty: (a) => textOf(a).trim() === '',
    answerWords: (_, a) => textOf(a),
    mark: () => ({ verdict: 'yours', points: 0, outOf: 0, why: 'A note to you: answer it in a word below.' }),
  },
};
