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
import { yours } from '../../parts';

const startersSchema = z.array(z.string().max(200)).max(12);
const schema = z.object({
  ...itemBase,
  kind: z.literal('long-text'),
  /** What a good answer says: for the teacher, never marked by rule. */
  key: z.string().max(4000),
  lines: z.number().int().min(2).max(40).default(4),
  /** Beginnings a learner may take up. */
  starters: startersSchema.optional(),
  /** Whether signs for maths stand beside the field. */
  signs: z.boolean().optional(),
});
type LongText = z.infer<typeof schema>;
const learnerSchema = z.object({
  ...learnerItemBase,
  kind: z.literal('long-text'),
  lines: z.number(),
  starters: startersSchema.optional(),
  signs: z.boolean().optional(),
});

export const longText: BlockKind<LongText, z.infer<typeof learnerSchema>> = {
  kind: 'long-text',
  label: 'Long text',
  schema,
  learnerSchema,
  fresh: (id) => ({ ...freshItem(id), kind: 'long-text', demand: 'explain', points: 3, key: '', lines: 4 }),
  words: itemWords,
  withWords: withItemWords,
  forLearner: (b) => ({
    ...learnerItem(b),
    kind: 'long-text',
    lines: b.lines,
    ...(b.starters?.length
      ? { starters: [...b.starters] }
      : {
          ...(b.signs ? { signs: true } : {}),
        }),
  }),
  item: {
    minutes: 4,
    keyWords: (b) => (b.key.trim() ? [b.key] : []),
    isEmpty: (a) => textOf(a).trim() === '',
    answerWords: (_, a) => textOf(a),
    mark: (b) => yours(b.points),
  },
};
