import { z } from '../../../zod';
import { textOf } from '../../../work/answer';
import { plainFormula } from '../../../work/formula';
import { matchWords } from '../../../work/match-words';
import { type BlockKind, itemBase, itemWords, learnerItem, learnerItemBase, withItemWords } from '../../block';

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
    mark: (b, a) => {
      const accepted = b.key.filter((k) => k.trim() !== '');
      if (accepted.length === 0) return { verdict: 'yours', points: 0, outOf: b.points, why: 'No key is set.' };
      const same = b.signs && accepted.some((k) => plainFormula(k) === plainFormula(textOf(a)));
      const match = same ? 'same' : matchWords(textOf(a), accepted, b.spellingTolerant);
      const right = match !== 'different';
      return {
        verdict: right ? 'right' : 'not-yet',
        points: right ? b.points : 0,
        outOf: b.points,
        why:
          match === 'same'
            ? 'An accepted answer.'
            : match === 'close'
              ? 'Right but for spelling.'
              : 'Not among the accepted answers.',
      };
    },
  },
};
