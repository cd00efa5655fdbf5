import { z } from '../../../zod';
import { textOf } from '../../../work/answer';
import { type BlockKind, itemBase, itemWords, learnerItem, learnerItemBase, withItemWords } from '../../block';
import { acceptedToo, judgedMark, noKey } from '../../parts';

const givenSchema = z.object({
  name: z.string().regex(/^[a-z][a-z0-9]{0,11}$/),
  /** As it stands in the question now. */
  value: z.number(),
  min: z.number(),
  max: z.number(),
  step: z.number().positive(),
});
export type Given = z.infer<typeof givenSchema>;
const schema = z.object({
  ...itemBase,
  kind: z.literal('number'),
  key: z.number().nullable(),
  /** What counts as right besides, as it is written. */
  also: z.array(z.string().max(60)).max(20).optional(),
  /** How far from the key still counts, in the item's unit. */
  tolerance: z.number().min(0).default(0),
  unit: z.string().max(30).default(''),
  /** Whether the same amount in another unit of the same quantity counts: 30 mm for 3 cm. */
  otherUnits: z.boolean().optional(),
  /** Numbers of the question that may be others, each with the range it is drawn from. */
  given: z.array(givenSchema).max(12).optional(),
  /** The key from the names of `given`: "a * b - 2". */
  formula: z.string().max(200).optional(),
  /** Whether signs for maths stand beside the field. */
  signs: z.boolean().optional(),
});
export type NumberBlock = z.infer<typeof schema>;
const learnerSchema = z.object({
  ...learnerItemBase,
  kind: z.literal('number'),
  unit: z.string(),
  signs: z.boolean().optional(),
});

/** A number with its unit, as it is written: "30 minutes", "£2.80", "5%". */
export function withUnit(value: number, unit: string): string {
  if (/^[£$€]$/.test(unit)) {
    const size = Math.abs(value);
    return `${value < 0 ? '-' : ''}${unit}${Number.isInteger(value) ? size : size.toFixed(2)}`;
  }
  if (unit === '%') return `${value}%`;
  return unit ? `${value} ${unit}` : `${value}`;
}

export const numberBlock: BlockKind<NumberBlock, z.infer<typeof learnerSchema>> = {
  kind: 'number',
  label: 'Number',
  schema,
  learnerSchema,
  fresh: (id) => ({
    id,
    kind: 'number',
    audience: 'learner',
    prompt: '',
    demand: 'apply',
    points: 1,
    key: null,
    tolerance: 0,
    unit: '',
  }),
  words: itemWords,
  withWords: withItemWords,
  forLearner: (b) => ({ ...learnerItem(b), kind: 'number', unit: b.unit, ...(b.signs ? { signs: true } : {}) }),
  item: {
    minutes: 1,
    keyWords: (b) => (b.key === null ? [] : [withUnit(b.key, b.unit), ...(b.also ?? [])]),
    isEmpty: (a) => textOf(a).trim() === '',
    answerWords: (_, a) => textOf(a),
    accept: (b, a, by) => {
      const { key } = b;
      if (key === null || textOf(a).trim().length > 60) return b;
      const also = b.also ?? [];
      const isSame = (given: string) =>
        by.number(given, { ...b, key }).is === 'same' || by.words(given, also, 'exact').is === 'same';
      const now = acceptedToo(also, textOf(a), isSame, 20);
      return now === also ? b : { ...b, also: now };
    },
    mark: (b, a, by) => {
      if (b.key === null) return noKey(b.points);
      const judged = by.number(textOf(a), { ...b, key: b.key });
      const isToo = judged.is !== 'same' && b.also?.length && by.words(textOf(a), b.also, 'exact').is === 'same';
      return judgedMark(b.points, isToo ? { is: 'same', why: 'An accepted answer.' } : judged);
    },
  },
};
