import { z } from '../../../zod';
import { type Answer, chosenOf, placedOf } from '../../../work/answer';
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
  noKey,
  pairHits,
  pieceAssets,
  pieceSchema,
  plainPiece,
  rectSchema,
  shareMark,
  withListWords,
} from '../../parts';

const wordSchema = z.object({ id: idSchema, text: z.string().max(200) });
const onPicture = z.object({
  on: z.literal('picture'),
  assetId: assetIdSchema,
  alt: z.string().max(1000),
  places: z.array(z.object({ id: idSchema, text: z.string().max(200), ...rectSchema.shape })).max(60),
});
/** Counters into frames of five or ten: what counts is how many cells are filled. */
const inFrames = z.object({
  on: z.literal('frames'),
  size: z.union([z.literal(5), z.literal(10)]),
  frames: z.number().int().min(1).max(6),
});
const onLine = z.object({
  on: z.literal('line'),
  from: z.number(),
  to: z.number(),
  step: z.number().positive(),
});
const inTable = z.object({
  on: z.literal('table'),
  columns: z.array(wordSchema).max(8),
  rows: z.array(wordSchema).max(20),
});
const boardSchema = z.discriminatedUnion('on', [onPicture, inFrames, onLine, inTable]);
export type Board = z.infer<typeof boardSchema>;

const schema = z.object({
  ...itemBase,
  kind: z.literal('pieces'),
  board: boardSchema,
  /** Each piece with the id of its place; empty: it belongs nowhere. */
  pieces: z.array(z.object({ ...pieceSchema.shape, place: z.string().max(130) })).max(60),
  /** In frames: how many counters are right; null while none is set. */
  count: z.number().int().min(0).max(60).nullable(),
});
type Pieces = z.infer<typeof schema>;
const learnerSchema = z.object({
  ...learnerItemBase,
  kind: z.literal('pieces'),
  board: boardSchema,
  pieces: z.array(pieceSchema),
});

/** What is chosen where a learner says that no counter lies there: an untouched frame says nothing. */
export const NO_COUNTERS = 'none';
const countersIn = (a: Answer): number => chosenOf(a).filter((id) => id !== NO_COUNTERS).length;

/** A place a piece can go to; `many` where several may lie together. */
export interface PiecePlace {
  readonly id: string;
  readonly text: string;
  readonly many: boolean;
}

/** The places of a board in reading order. A number line has at most 101 marks. */
export function placesOfBoard(board: Board): PiecePlace[] {
  switch (board.on) {
    case 'picture':
      return board.places.map((p, i) => ({ id: p.id, text: p.text || `Place ${i + 1}`, many: false }));
    case 'frames':
      return Array.from({ length: board.size * board.frames }, (_, i) => ({
        id: `c${i + 1}`,
        text: `Cell ${i + 1}`,
        many: false,
      }));
    case 'line':
      return lineMarks(board).map((n) => ({ id: `n${n}`, text: `${n}`, many: true }));
    case 'table':
      return board.rows.flatMap((r) =>
        board.columns.map((c) => ({ id: `${r.id}:${c.id}`, text: `${r.text}, ${c.text}`, many: true })),
      );
  }
}

function lineMarks(line: z.infer<typeof onLine>): number[] {
  const n = Math.min(100, Math.max(0, Math.floor((line.to - line.from) / line.step + 1e-9)));
  return Array.from({ length: n + 1 }, (_, i) => Number((line.from + i * line.step).toFixed(6)));
}

export const piecesBlock: BlockKind<Pieces, z.infer<typeof learnerSchema>> = {
  kind: 'pieces',
  label: 'Pieces to places',
  schema,
  learnerSchema,
  fresh: (id) => ({
    ...freshItem(id),
    kind: 'pieces',
    points: 2,
    board: { on: 'frames', size: 10, frames: 1 },
    pieces: [],
    count: null,
  }),
  words: (b) => [
    ...itemWords(b),
    ...listWords('piece', 'Piece', b.pieces),
    ...(b.board.on === 'table'
      ? [...listWords('column', 'Column', b.board.columns), ...listWords('row', 'Row', b.board.rows)]
      : []),
  ],
  withWords: (b, field, text) => {
    if (field.startsWith('piece:')) return { ...b, pieces: withListWords('piece', b.pieces, field, text) };
    if (b.board.on !== 'table') return withItemWords(b, field, text);
    const columns = withListWords('column', b.board.columns, field, text);
    const rows = withListWords('row', b.board.rows, field, text);
    if (columns === b.board.columns && rows === b.board.rows) return withItemWords(b, field, text);
    return { ...b, board: { ...b.board, columns, rows } };
  },
  forLearner: (b) => ({
    ...learnerItem(b),
    kind: 'pieces',
    board: boardSchema.parse(b.board),
    pieces: byWords(b.pieces.map(plainPiece)),
  }),
  assets: (b) => [...(b.board.on === 'picture' && b.board.assetId ? [b.board.assetId] : []), ...pieceAssets(b.pieces)],
  item: {
    minutes: 2,
    keyWords: (b) => {
      if (b.board.on === 'frames') return b.count === null ? [] : [`${b.count} counters`];
      const places = new Map(placesOfBoard(b.board).map((p) => [p.id, p.text]));
      return b.pieces.flatMap((p) => (places.has(p.place) ? [`${p.text} → ${places.get(p.place)}`] : []));
    },
    isEmpty: (a) => Object.keys(placedOf(a)).length === 0 && chosenOf(a).length === 0,
    answerWords: (b, a) => {
      if (b.board.on === 'frames') return `${countersIn(a)} counters`;
      const places = new Map(placesOfBoard(b.board).map((p) => [p.id, p.text]));
      return b.pieces.map((p) => `${p.text} → ${places.get(placedOf(a)[p.id] ?? '') ?? '…'}`).join('; ');
    },
    emptyIsKey: (b) => b.board.on === 'frames' && b.count === 0,
    mark: (b, a) => {
      if (b.board.on === 'frames') {
        if (b.count === null) return noKey(b.points);
        const n = countersIn(a);
        const right = n === b.count;
        return {
          verdict: right ? 'right' : 'not-yet',
          points: right ? b.points : 0,
          outOf: b.points,
          why: right ? 'The right number of counters.' : `${n} counters, where ${b.count} are right.`,
        };
      }
      const places = new Map(placesOfBoard(b.board).map((p) => [p.id, p]));
      const keyed = b.pieces.filter((p) => places.has(p.place));
      const stray = b.pieces.filter((p) => !places.has(p.place) && placedOf(a)[p.id]).length;
      const alone = new Map(aloneAt(placedOf(a)));
      const given = b.pieces.flatMap((p): [string, string][] => {
        const at = placedOf(a)[p.id] ?? '';
        return places.get(at)?.many || alone.has(p.id) ? [[faceOf(p), at]] : [];
      });
      const hits = pairHits(
        keyed.map((p) => [faceOf(p), p.place]),
        given,
      );
      return shareMark(b.points, { hits, of: keyed.length, what: 'pieces in their place', wrong: stray });
    },
  },
};
