import { z } from '../../../zod';
import { pointsOf } from '../../../work/answer';
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
import { assetIdSchema, noKey, rectSchema, shareMark } from '../../parts';

const picture = { assetId: assetIdSchema, alt: z.string().max(1000) };
const schema = z.object({
  ...itemBase,
  kind: z.literal('spots'),
  ...picture,
  /** The areas to be found. */
  targets: z.array(z.object({ id: idSchema, text: z.string().max(200), ...rectSchema.shape })).max(40),
});
type Spots = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('spots'), ...picture });

export const spots: BlockKind<Spots, z.infer<typeof learnerSchema>> = {
  kind: 'spots',
  label: 'Marking spots on a picture',
  schema,
  learnerSchema,
  fresh: (id) => ({ ...freshItem(id), kind: 'spots', assetId: '', alt: '', targets: [] }),
  words: (b) => [...itemWords(b), { field: 'alt', label: 'Description', text: b.alt }],
  withWords: (b, field, text) => (field === 'alt' ? { ...b, alt: text } : withItemWords(b, field, text)),
  forLearner: (b) => ({ ...learnerItem(b), kind: 'spots', assetId: b.assetId, alt: b.alt }),
  assets: (b) => (b.assetId ? [b.assetId] : []),
  item: {
    minutes: 1,
    keyWords: (b) => b.targets.map((t, i) => t.text || `area ${i + 1}`),
    isEmpty: (a) => pointsOf(a).length === 0,
    answerWords: (b, a) => {
      const hit = b.targets
        .filter((t) => pointsOf(a).some((p) => inside(p, t)))
        .map((t, i) => t.text || `area ${i + 1}`);
      return `${pointsOf(a).length} marked${hit.length ? `: ${hit.join(', ')}` : ''}`;
    },
    mark: (b, a) => {
      if (b.targets.length === 0) return noKey(b.points);
      const points = pointsOf(a);
      const hits = b.targets.filter((t) => points.some((p) => inside(p, t))).length;
      const wrong = points.filter((p) => !b.targets.some((t) => inside(p, t))).length;
      return shareMark(b.points, { hits, of: b.targets.length, what: 'areas found', wrong });
    },
  },
};

const inside = (p: { x: number; y: number }, r: { x: number; y: number; w: number; h: number }): boolean =>
  p.x >= r.x && p.x <= r.x + r.w && p.y >= r.y && p.y <= r.y + r.h;
