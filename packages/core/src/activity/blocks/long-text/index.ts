import { z } from 'zod';
import { textOf } from '../../../work/answer';
import { type BlockKind, itemBase, itemWords, learnerItem, learnerItemBase, withItemWords } from '../../block';

const schema = z.object({
  ...itemBase,
  kind: z.literal('long-text'),
  /** What a good answer says: for the teacher, never marked by rule. */
  key: z.string().max(4000),
  lines: z.number().int().min(2).max(40).default(4),
});
type LongText = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('long-text'), lines: z.number() });

export const longText: BlockKind<LongText, z.infer<typeof learnerSchema>> = {
  kind: 'long-text',
  label: 'Long text',
  schema,
  learnerSchema,
  fresh: (id) => ({
    id,
    kind: 'long-text',
    audience: 'learner',
    prompt: '',
    demand: 'explain',
    points: 3,
    key: '',
    lines: 4,
  }),
  words: itemWords,
  withWords: withItemWords,
  forLearner: (b) => ({ ...learnerItem(b), kind: 'long-text', lines: b.lines }),
  item: {
    minutes: 4,
    keyWords: (b) => (b.key.trim() ? [b.key] : []),
    isEmpty: (a) => textOf(a).trim() === '',
    answerWords: (_, a) => textOf(a),
    mark: (b) => ({ verdict: 'yours', points: 0, outOf: b.points, why: 'Yours to mark.' }),
  },
};
