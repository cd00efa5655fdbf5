import { z } from '../../../zod';
import { drawingOf } from '../../../work/answer';
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
import { drawingIsEmpty, drawingWords } from '../drawn';

const height = z.enum(['low', 'middle', 'tall']);
const schema = z.object({ ...itemBase, kind: z.literal('drawing'), height: height.default('middle') });
type Drawing = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('drawing'), height });

export const drawing: BlockKind<Drawing, z.infer<typeof learnerSchema>> = {
  kind: 'drawing',
  label: 'Drawing',
  schema,
  learnerSchema,
  fresh: (id) => ({ ...freshItem(id), kind: 'drawing', height: 'middle' }),
  words: itemWords,
  withWords: withItemWords,
  forLearner: (b) => ({ ...learnerItem(b), kind: 'drawing', height: b.height }),
  item: {
    minutes: 5,
    keyWords: () => [],
    isEmpty: (a) => drawingIsEmpty(drawingOf(a)),
    answerWords: (_, a) => drawingWords(drawingOf(a)),
    mark: (b) => yours(b.points),
  },
};
