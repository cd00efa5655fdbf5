import { z } from '../../../zod';
import { chosenOf } from '../../../work/answer';
import {
  type BlockKind,
  idSchema,
  itemBase,
  itemWords,
  learnerItem,
  learnerItemBase,
  optionSchema,
  withItemWords,
} from '../../block';
import { faceOf, noKey, pieceAssets, plainPiece } from '../../parts';
import { choiceOptions, optionTexts, optionWords, withOptionWords } from '../choice';

const schema = z.object({
  ...itemBase,
  kind: z.literal('single-choice'),
  options: choiceOptions,
  /** Id of the right option; empty while none is named. */
  key: z.union([idSchema, z.literal('')]),
  /** Ids of options that count as right besides. */
  also: z.array(idSchema).max(20).optional(),
});
type SingleChoice = z.infer<typeof schema>;
const learnerSchema = z.object({
  ...learnerItemBase,
  kind: z.literal('single-choice'),
  options: z.array(optionSchema),
});

/** Whether a choice shows the same as the key, or as what is accepted besides. */
const isRight = (b: Pick<SingleChoice, 'options' | 'key' | 'also'>, chosen: SingleChoice['options'][number]): boolean =>
  b.options.some((o) => (o.id === b.key || b.also?.includes(o.id)) && faceOf(o) === faceOf(chosen));

export const singleChoice: BlockKind<SingleChoice, z.infer<typeof learnerSchema>> = {
  kind: 'single-choice',
  label: 'Single choice',
  schema,
  learnerSchema,
  fresh: (id, newId) => ({
    id,
    kind: 'single-choice',
    audience: 'learner',
    prompt: '',
    demand: 'recall',
    points: 1,
    options: [
      { id: newId(), text: '' },
      { id: newId(), text: '' },
      { id: newId(), text: '' },
    ],
    key: '',
  }),
  words: (b) => [...itemWords(b), ...optionWords(b.options)],
  withWords: (b, field, text) =>
    field.startsWith('option:')
      ? { ...b, options: withOptionWords(b.options, field, text) }
      : withItemWords(b, field, text),
  forLearner: (b) => ({
    ...learnerItem(b),
    kind: 'single-choice',
    options: b.options.map(plainPiece),
  }),
  mixes: ['options'],
  assets: (b) => pieceAssets(b.options),
  item: {
    minutes: 0.5,
    keyWords: (b) => optionTexts(b.options, [b.key, ...(b.also ?? [])]),
    isEmpty: (a) => chosenOf(a).length === 0,
    answerWords: (b, a) => optionTexts(b.options, chosenOf(a)).join(', '),
    accept: (b, a) => {
      const chosen = b.options.find((o) => o.id === chosenOf(a)[0]);
      return chosen && b.key !== '' && !isRight(b, chosen) && (b.also ?? []).length < 20
        ? { ...b, also: [...(b.also ?? []), chosen.id] }
        : b;
    },
    mark: (b, a) => {
      const key = b.options.find((o) => o.id === b.key);
      const chosen = b.options.find((o) => o.id === chosenOf(a)[0]);
      if (!key) return noKey(b.points);
      const right = chosen !== undefined && isRight(b, chosen);
      const isKey = chosen !== undefined && faceOf(chosen) === faceOf(key);
      return {
        verdict: right ? 'right' : 'not-yet',
        points: right ? b.points : 0,
        outOf: b.points,
        why: isKey ? 'The key was chosen.' : right ? 'An accepted answer.' : 'Another choice than the key.',
      };
    },
  },
};
