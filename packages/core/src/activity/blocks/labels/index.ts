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
  pieceSchema,
  plainPiece,
  shareMark,
  withListWords,
} from '../../parts';

const at = { x: z.number().min(0).max(100), y: z.number().min(0).max(100) };
const picture = { assetId: assetIdSchema, alt: z.string().max(1000) };
const schema = z.object({
  ...itemBase,
  kind: z.literal('labels'),
  ...picture,
  /** Numbered spots on the picture, in hundredths, each with its label. */
  spots: z.array(z.object({ id: idSchema, ...at, label: pieceSchema })).max(40),
  /** Labels that belong to no spot. */
  extra: z.array(pieceSchema).max(20),
});
type Labels = z.infer<typeof schema>;
const learnerSchema = z.object({
  ...learnerItemBase,
  kind: z.literal('labels'),
  ...picture,
  spots: z.array(z.object({ id: idSchema, ...at })),
  labels: z.array(pieceSchema),
});

export const labels: BlockKind<Labels, z.infer<typeof learnerSchema>> = {
  kind: 'labels',
  label: 'Labels on a picture',
  schema,
  learnerSchema,
  fresh: (id) => ({ ...freshItem(id), kind: 'labels', points: 3, assetId: '', alt: '', spots: [], extra: [] }),
  words: (b) => [
    ...itemWords(b),
    { field: 'alt', label: 'Description', text: b.alt },
    ...listWords('label', 'Label', [...b.spots.map((s) => s.label), ...b.extra]),
  ],
  withWords: (b, field, text) => {
    if (field === 'alt') return { ...b, alt: text };
    if (!field.startsWith('label:')) return withItemWords(b, field, text);
    return {
      ...b,
      spots: b.spots.map((s) => (field === `label:${s.label.id}` ? { ...s, label: { ...s.label, text } } : s)),
      extra: withListWords('label', b.extra, field, text),
    };
  },
  forLearner: (b) => ({
    ...learnerItem(b),
    kind: 'labels',
    assetId: b.assetId,
    alt: b.alt,
    spots: b.spots.map((s) => ({ id: s.id, x: s.x, y: s.y })),
    labels: byWords([...b.spots.map((s) => s.label), ...b.extra].map(plainPiece)),
  }),
  assets: (b) => (b.assetId ? [b.assetId] : []),
  item: {
    minutes: 2,
    keyWords: (b) => b.spots.map((s, i) => `${i + 1}: ${s.label.text}`),
    isEmpty: (a) => Object.keys(placedOf(a)).length === 0,
    answerWords: (b, a) => {
      const words = new Map([...b.spots.map((s) => s.label), ...b.extra].map((l) => [l.id, l.text]));
      const given = new Map(Object.entries(placedOf(a)).map(([label, spot]) => [spot, label]));
      return b.spots.map((s, i) => `${i + 1}: ${words.get(given.get(s.id) ?? '') ?? '…'}`).join('; ');
    },
    mark: (b, a) => {
      const faces = new Map([...b.spots.map((s) => s.label), ...b.extra].map((l) => [l.id, faceOf(l)]));
      const hits = pairHits(
        b.spots.map((s) => [faceOf(s.label), s.id]),
        aloneAt(placedOf(a)).map(([label, spot]) => [faces.get(label) ?? label, spot]),
      );
      return shareMark(b.points, { hits, of: b.spots.length, what: 'labels right' });
    },
  },
};
