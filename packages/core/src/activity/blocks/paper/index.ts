import { z } from '../../../zod';
import { chosenOf } from '../../../work/answer';
import {
  type BlockKind,
  freshItem,
  itemBase,
  itemWords,
  learnerItem,
  learnerItemBase,
  withItemWords,
} from '../../block';
import { yours } from '../../parts';

const schema = z.object({ ...itemBase, kind: z.literal('paper'), key: z.string().max(4000) });
type Paper = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('paper') });

/** Done on paper: the learner only says that it is done. */
export const paper: BlockKind<Paper, z.infer<typeof learnerSchema>> = {
  kind: 'paper',
  label: 'On paper',
  schema,
  learnerSchema,
  fresh: (id) => ({ ...freshItem(id), kind: 'paper', key: '' }),
  words: itemWords,
  withWords: withItemWords,
  forLearner: (b) => ({ ...learnerItem(b), kind: 'paper' }),
  item: {
    minutes: 5,
    keyWords: (b) => (b.key.trim() ? [b.key] : []),
    isEmpty: (a) => chosenOf(a).length === 0,
    answerWords: (_, a) => (chosenOf(a).length ? 'done on paper' : ''),
    mark: (b) => yours(b.points),
  },
};
