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
import { pieceAssets, plainPiece, shareMark } from '../../parts';
import { choiceOptions, optionTexts, optionWords, withOptionWords } from '../choice';

const schema = z.object({
  ...itemBase,
  kind: z.literal('multiple-choice'),
  options: choiceOptions,
  /** Ids of the right options. */
  key: z.array(idSchema),
});
type MultipleChoice = z.infer<typeof schema>;
const learnerSchema = z.object({
  ...learnerItemBase,
  kind: z.literal('multiple-choice'),
  options: z.array(optionSchema),
});

export const multipleChoice: BlockKind<MultipleChoice, z.infer<typeof learnerSchema>> = {
  kind: 'multiple-choice',
  label: 'Multiple choice',
  schema,
  learnerSchema,
  fresh: (id, newId) => ({
    id,
    kind: 'multiple-choice',
    audience: 'learner',
    prompt: '',
    demand: 'recall',
    points: 2,
    options: [
      { id: newId(), text: '' },
      { id: newId(), text: '' },
      { id: newId(), text: '' },
      { id: newId(), text: '' },
    ],
    key: [],
  }),
  words: (b) => [...itemWords(b), ...optionWords(b.options)],
  withWords: (b, field, text) =>
    field.startsWith('option:')
      ? { ...b, options: withOptionWords(b.options, field, text) }
      : withItemWords(b, field, text),
  forLearner: (b) => ({
    ...learnerItem(b),
    kind: 'multiple-choice',
    options: b.options.map(plainPiece),
  }),
  mixes: ['options'],
  assets: (b) => pieceAssets(b.options),
  item: {
    minutes: 0.8,
    keyWords: (b) => optionTexts(b.options, b.key),
    isEmpty: (a) => chosenOf(a).length === 0,
    answerWords: (b, a) => optionTexts(b.options, chosenOf(a)).join(', '),
    // On sets: each right choice earns its share, each wrong one takes as much back, or more where there are fewer wrong
    // ones than right, so that ticking everything earns nothing.
    mark: (b, a) => {
      const isKey = new Map(b.options.map((o) => [o.id, b.key.includes(o.id)]));
      const of = [...isKey.values()].filter(Boolean).length;
      const chosen = [...new Set(chosenOf(a))].filter((id) => isKey.has(id));
      const hits = chosen.filter((id) => isKey.get(id)).length;
      const wrongOnes = Math.max(1, isKey.size - of);
      return shareMark(b.points, {
        hits,
        of,
        what: 'right choices',
        wrong: chosen.length - hits,
        cost: of / Math.min(of, wrongOnes),
      });
    },
  },
};
