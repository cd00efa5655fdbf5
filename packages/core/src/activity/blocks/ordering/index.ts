import { z } from '../../../zod';
import { chosenOf } from '../../../work/answer';
import {
  type BlockKind,
  freshItem,
  itemBase,
  itemWords,
  learnerItem,
  learnerItemBase,
  withItemWords,
} from '../../block';
import {
  faceOf,
  listWords,
  noKey,
  pieceAssets,
  pieceSchema,
  plainPiece,
  shareMark,
  shuffled,
  withListWords,
} from '../../parts';
import { longestRun, runByChance } from './run';

const schema = z.object({
  ...itemBase,
  kind: z.literal('ordering'),
  /** The entries in their right order. */
  entries: z.array(pieceSchema).max(30),
});
type Ordering = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('ordering'), entries: z.array(pieceSchema) });

export const ordering: BlockKind<Ordering, z.infer<typeof learnerSchema>> = {
  kind: 'ordering',
  label: 'Putting in order',
  schema,
  learnerSchema,
  fresh: (id, newId) => ({
    ...freshItem(id),
    kind: 'ordering',
    points: 2,
    entries: [1, 2, 3].map(() => ({ id: newId(), text: '' })),
  }),
  words: (b) => [...itemWords(b), ...listWords('entry', 'Entry', b.entries)],
  withWords: (b, field, text) =>
    field.startsWith('entry:')
      ? { ...b, entries: withListWords('entry', b.entries, field, text) }
      : withItemWords(b, field, text),
  forLearner: (b) => ({ ...learnerItem(b), kind: 'ordering', entries: shuffled(b.entries.map(plainPiece), b.id) }),
  assets: (b) => pieceAssets(b.entries),
  item: {
    minutes: 1.5,
    keyWords: (b) => b.entries.map((e) => e.text),
    isEmpty: (a) => chosenOf(a).length === 0,
    answerWords: (b, a) =>
      chosenOf(a)
        .map((id) => b.entries.find((e) => e.id === id)?.text ?? '')
        .filter(Boolean)
        .join(' → '),
    // By the longest run that rises as the right order does, against what chance gives: one entry in a wrong place does not
    // cost all those behind it, and any order at all earns nothing on the whole.
    mark: (b, a) => {
      const n = b.entries.length;
      if (n < 2) return noKey(b.points);
      const faces = b.entries.map(faceOf);
      const of = new Map(b.entries.map((e) => [e.id, faceOf(e)]));
      const run = longestRun(
        faces,
        [...new Set(chosenOf(a))].flatMap((id) => of.get(id) ?? []),
      );
      const chance = runByChance(faces);
      if (chance >= n) return noKey(b.points);
      const mark = shareMark(b.points, { hits: Math.max(0, run - chance), of: n - chance, what: '' });
      return { ...mark, why: `${run} of ${n} in order${run < n ? `; by chance it is ${chance.toFixed(1)}` : ''}.` };
    },
  },
};
