import { z } from '../../../zod';
import { textOf } from '../../../work/answer';
import { plainFormula } from '../../../work/formula';
import { type BlockKind, itemBase, itemWords, learnerItem, learnerItemBase, withItemWords } from '../../block';
import { acceptedToo, judgedMark, noKey } from '../../parts';

const schema = z.object({
  ...itemBase,
  kind: z.literal('short-text'),
  /** Accepted answers, any of which is right. */
  key: z.array(z.string().max(300)),
  /** Whether a slip of spelling still counts. */
  spellingTolerant: z.boolean().default(false),
  /** Whether signs for maths stand beside the field. */
  signs: z.boolean().optional(),
});
type ShortText = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('short-text'), signs: z.boolean().optional() });

export const shortText: BlockKind<ShortText, z.infer<typeof learnerSchema>> = {
  kind: 'short-text',
  label: 'Short text',
  schema,
  learnerSchema,
  fresh: (id) => ({
    id,
    kind: 'short-text',
    audience: 'learner',
    prompt: '',
    demand: 'recall',
    points: 1,
    key: [],
    spellingTolerant: false,
  }),
  words: itemWords,
  withWords: withItemWords,
  forLearner: (b) => ({ ...learnerItem(b), kind: 'short-text', ...(b.signs ? { signs: true } : {}) }),
  item: {
    minutes: 1,
    keyWords: (b) => b.key,
    isEmpty: (a) => textOf(a).trim() === '',
    answerWords: (_, a) => textOf(a),
    accept: (b, a, by) => {
      const key = acceptedToo(b.key, textOf(a), (given) => by.words(given, b.key, 'exact').is === 'same');
      return key === b.key ? b : { ...b, key };
    },
    mark: (b, a, by) => {
      const accepted = b.key.filter((k) => k.trim() !== '');
      if (accepted.length === 0) return noKey(b.points);
      const same = b.signs && accepted.some((k) => plainFormula(k) === plainFormula(textOf(a)));
      return judgedMark(
        b.points,
        same
          ? { is: 'same', why: 'An accepted answer.' }
          : by.words(textOf(a), accepted, b.spellingTolerant ? 'tolerant' : 'exact'),
      );
    },
  },
};
