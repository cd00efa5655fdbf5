import { z } from '../../../zod';
import { placedOf } from '../../../work/answer';
import {
  type BlockKind,
  freshItem,
  idSchema,
  itemBase,
  itemWords,
  learnerItem,
  learnerItemBase,
  withItemWords,
} from '../../block';
import {
  aloneAt,
  assetIdSchema,
  byWords,
  faceOf,
  listWords,
  pairHits,
  pieceAssets,
  pieceSchema,
  plainPiece,
  shareMark,
  withListWords,
} from '../../parts';

/** The two halves have ids of their own, so that what a learner receives says nothing of which go together. */
const pairSchema = z.object({
  id: idSchema,
  text: z.string().max(500),
  assetId: assetIdSchema.optional(),
  match: pieceSchema,
});
const schema = z.object({
  ...itemBase,
  kind: z.literal('matching'),
  pairs: z.array(pairSchema).max(40),
  /** Right halves that belong to nothing. */
  extra: z.array(pieceSchema).max(20),
});
type Matching = z.infer<typeof schema>;
const learnerSchema = z.object({
  ...learnerItemBase,
  kind: z.literal('matching'),
  left: z.array(pieceSchema),
  right: z.array(pieceSchema),
});

export const matching: BlockKind<Matching, z.infer<typeof learnerSchema>> = {
  kind: 'matching',
  label: 'Matching',
  schema,
  learnerSchema,
  fresh: (id, newId) => ({
    ...freshItem(id),
    kind: 'matching',
    points: 3,
    pairs: [1, 2, 3].map(() => ({ id: newId(), text: '', match: { id: newId(), text: '' } })),
    extra: [],
  }),
  words: (b) => [
    ...itemWords(b),
    ...listWords('left', 'Left', b.pairs),
    ...listWords('right', 'Right', [...b.pairs.map((p) => p.match), ...b.extra]),
  ],
  withWords: (b, field, text) => {
    if (field.startsWith('left:')) return { ...b, pairs: withListWords('left', b.pairs, field, text) };
    if (!field.startsWith('right:')) return withItemWords(b, field, text);
    return {
      ...b,
      pairs: b.pairs.map((p) => (field === `right:${p.match.id}` ? { ...p, match: { ...p.match, text } } : p)),
      extra: withListWords('right', b.extra, field, text),
    };
  },
  forLearner: (b) => ({
    ...learnerItem(b),
    kind: 'matching',
    left: b.pairs.map(plainPiece),
    right: byWords([...b.pairs.map((p) => p.match), ...b.extra].map(plainPiece)),
  }),
  mixes: ['left', 'right'],
  assets: (b) => pieceAssets([...b.pairs, ...b.pairs.map((p) => p.match), ...b.extra]),
  item: {
    minutes: 2,
    keyWords: (b) => b.pairs.map((p) => `${p.text} – ${p.match.text}`),
    isEmpty: (a) => Object.keys(placedOf(a)).length === 0,
    answerWords: (b, a) => {
      const right = new Map([...b.pairs.map((p) => p.match), ...b.extra].map((p) => [p.id, p.text]));
      const at = new Map(Object.entries(placedOf(a)).map(([piece, place]) => [place, piece]));
      return b.pairs.map((p) => `${p.text} – ${right.get(at.get(p.id) ?? '') ?? '…'}`).join('; ');
    },
    // Halves and labels that show the same are the same; a label with more than one half has none.
    mark: (b, a) => {
      const left = new Map(b.pairs.map((p) => [p.id, faceOf(p)]));
      const right = new Map([...b.pairs.map((p) => p.match), ...b.extra].map((p) => [p.id, faceOf(p)]));
      const given = aloneAt(placedOf(a)).map(([half, at]) => [left.get(at) ?? at, right.get(half) ?? half] as const);
      const hits = pairHits(
        b.pairs.map((p) => [faceOf(p), faceOf(p.match)]),
        given,
      );
      return shareMark(b.points, { hits, of: b.pairs.length, what: 'pairs right' });
    },
  },
};
