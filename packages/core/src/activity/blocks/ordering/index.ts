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
  listWords,
  noKey,
  pieceAssets,
  pieceSchema,
  plainPiece,
  shareMark,
  shuffled,
  withListWords,
} from '../../parts';

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
    // By neighbours: each entry that comes somewhere before the next one of the right order counts, so that one entry
    // in a wrong place does not cost all those behind it.
    mark: (b, a) => {
      if (b.entries.length < 2) return noKey(b.points);
      const at = new Map(chosenOf(a).map((id, i) => [id, i]));
      const steps = b.entries.slice(1).map((e, i) => [at.get(b.entries[i]?.id ?? ''), at.get(e.id)] as const);
      const hits = steps.filter(([x, y]) => x !== undefined && y !== undefined && x < y).length;
      return shareMark(b.points, hits, steps.length, 'neighbours in order');
    },
  },
};
