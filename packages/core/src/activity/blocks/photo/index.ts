import { z } from 'zod';
import { mediaOf } from '../../../work/answer';
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

/** How many tries may be kept side by side. */
const most = z.number().int().min(1).max(6);
const schema = z.object({ ...itemBase, kind: z.literal('photo'), most: most.default(3) });
type Taken = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('photo'), most });

export const photo: BlockKind<Taken, z.infer<typeof learnerSchema>> = {
  kind: 'photo',
  label: 'Photograph',
  schema,
  learnerSchema,
  fresh: (id) => ({ ...freshItem(id), kind: 'photo', most: 3 }),
  words: itemWords,
  withWords: withItemWords,
  forLearner: (b) => ({ ...learnerItem(b), kind: 'photo', most: b.most }),
  item: {
    minutes: 3,
    keyWords: () => [],
    isEmpty: (a) => mediaOf(a).takes.length === 0,
    answerWords: (_, a) => {
      const n = mediaOf(a).takes.length;
      return n === 0 ? '' : n === 1 ? 'a photograph' : `${n} photographs, the best one chosen`;
    },
    mark: (b) => yours(b.points),
  },
};
