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

const groupsSchema = z.array(z.object({ id: idSchema, text: z.string().max(200) })).max(8);
const schema = z.object({
  ...itemBase,
  kind: z.literal('sorting'),
  groups: groupsSchema,
  /** Each piece with the id of the group it belongs to; empty: it belongs to none. */
  pieces: z.array(z.object({ ...pieceSchema.shape, group: z.union([idSchema, z.literal('')]) })).max(60),
});
type Sorting = z.infer<typeof schema>;
const learnerSchema = z.object({
  ...learnerItemBase,
  kind: z.literal('sorting'),
  groups: groupsSchema,
  pieces: z.array(pieceSchema),
});

export const sorting: BlockKind<Sorting, z.infer<typeof learnerSchema>> = {
  kind: 'sorting',
  label: 'Sorting into groups',
  schema,
  learnerSchema,
  fresh: (id, newId) => {
    const groups = [
      { id: newId(), text: '' },
      { id: newId(), text: '' },
    ];
    const pieces = groups.flatMap((g) => [0, 1].map(() => ({ id: newId(), text: '', group: g.id })));
    return { ...freshItem(id), kind: 'sorting', points: 2, groups, pieces };
  },
  words: (b) => [...itemWords(b), ...listWords('group', 'Group', b.groups), ...listWords('piece', 'Piece', b.pieces)],
  withWords: (b, field, text) =>
    field.startsWith('group:')
      ? { ...b, groups: withListWords('group', b.groups, field, text) }
      : field.startsWith('piece:')
        ? { ...b, pieces: withListWords('piece', b.pieces, field, text) }
        : withItemWords(b, field, text),
  forLearner: (b) => ({
    ...learnerItem(b),
    kind: 'sorting',
    groups: b.groups.map((g) => ({ id: g.id, text: g.text })),
    pieces: byWords(b.pieces.map(plainPiece)),
  }),
  mixes: ['pieces'],
  assets: (b) => pieceAssets(b.pieces),
  item: {
    minutes: 2,
    keyWords: (b) => b.groups.map((g) => `${g.text}: ${names(b.pieces.filter((p) => p.group === g.id))}`),
    isEmpty: (a) => Object.keys(placedOf(a)).length === 0,
    answerWords: (b, a) =>
      b.groups.map((g) => `${g.text}: ${names(b.pieces.filter((p) => placedOf(a)[p.id] === g.id))}`).join('; '),
    mark: (b, a) => {
      const isGroup = new Set(b.groups.map((g) => g.id));
      const keyed = b.pieces.filter((p) => isGroup.has(p.group));
      const given = b.pieces.flatMap((p): [string, string][] => {
        const at = placedOf(a)[p.id];
        return at !== undefined && isGroup.has(at) ? [[faceOf(p), at]] : [];
      });
      const hits = pairHits(
        keyed.map((p) => [faceOf(p), p.group]),
        given,
      );
      const stray = b.pieces.filter((p) => !isGroup.has(p.group) && placedOf(a)[p.id]).length;
      return shareMark(b.points, { hits, of: keyed.length, what: 'pieces in their group', wrong: stray });
    },
  },
};

const names = (pieces: readonly { text: string }[]): string => pieces.map((p) => p.text).join(', ') || '…';
