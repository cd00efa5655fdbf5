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
import { pieceAssets, plainPiece } from '../../parts';
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
    mark: (b, a) => {
      const here = new Set(b.options.map((o) => o.id));
      const key = b.key.filter((id) => here.has(id));
      if (key.length === 0) return { verdict: 'yours', points: 0, outOf: b.points, why: 'No key is set.' };
      const chosen = chosenOf(a);
      const hits = chosen.filter((id) => key.includes(id)).length;
      const misses = chosen.length - hits;
      // Each right choice earns its share, each wrong one takes a share back: ticking everything earns nothing extra.
      const share = Math.max(0, (hits - misses) / key.length);
      return {
        verdict: share === 1 ? 'right' : share > 0 ? 'partly' : 'not-yet',
        points: Math.round(share * b.points * 100) / 100,
        outOf: b.points,
        why: `${hits} of ${key.length} right choices${misses > 0 ? `, ${misses} wrong` : ''}.`,
      };
    },
  },
};
