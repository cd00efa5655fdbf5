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
const schema = z.object({ ...itemBase, kind: z.literal('voice'), most: most.default(3) });
type Taken = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('voice'), most });

export const voice: BlockKind<Taken, z.infer<typeof learnerSchema>> = {
  kind: 'voice',
  label: 'Voice',
  schema,
  learnerSchema,
  fresh: (id) => ({ ...freshItem(id), kind: 'voice', most: 3 }),
  words: itemWords,
  withWords: withItemWords,
  forLearner: (b) => ({ ...learnerItem(b), kind: 'voice', most: b.most }),
  item: {
    minutes: 2,
    keyWords: () => [],
    isEmpty: (a) => mediaOf(a).takes.length === 0,
    answerWords: (_, a) => {
      const n = mediaOf(a).takes.length;
      return n === 0 ? '' : n === 1 ? 'a recording' : `${n} recordings, the best one chosen`;
    },
    mark: (b) => yours(b.points),
  },
};
