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
import { assetIdSchema, yours } from '../../parts';
import { drawingIsEmpty, drawingWords } from '../drawn';

const picture = { assetId: assetIdSchema, alt: z.string().max(1000) };
const schema = z.object({ ...itemBase, kind: z.literal('picture-writing'), ...picture });
type PictureWriting = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('picture-writing'), ...picture });

export const pictureWriting: BlockKind<PictureWriting, z.infer<typeof learnerSchema>> = {
  kind: 'picture-writing',
  label: 'Writing on a picture',
  schema,
  learnerSchema,
  fresh: (id) => ({ ...freshItem(id), kind: 'picture-writing', assetId: '', alt: '' }),
  words: (b) => [...itemWords(b), { field: 'alt', label: 'Description', text: b.alt }],
  withWords: (b, field, text) => (field === 'alt' ? { ...b, alt: text } : withItemWords(b, field, text)),
  forLearner: (b) => ({ ...learnerItem(b), kind: 'picture-writing', assetId: b.assetId, alt: b.alt }),
  assets: (b) => (b.assetId ? [b.assetId] : []),
  item: {
    minutes: 4,
    keyWords: () => [],
    isEmpty: (a) => drawingIsEmpty(drawingOf(a)),
    answerWords: (_, a) => drawingWords(drawingOf(a)),
    mark: (b) => yours(b.points),
  },
};
