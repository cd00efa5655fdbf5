import { z } from 'zod';
import { idSchema } from '../activity/block';
import { assetsOf, fixedPictureSchema, pageMarkSchema, pageSizeSchema } from '../activity/activity';
import { type Block, blockKinds, forLearner, learnerBlockSchema } from '../activity/blocks';
import { rectSchema } from '../activity/parts';
import { swatchSchema } from '../activity/family';
import type { Frozen, HandOut } from './hand-out';

/** All that a learner may receive. Built from this list of fields, never by taking things away. */
export const learnerPackageSchema = z.strictObject({
  handOutId: idSchema,
  title: z.string(),
  note: z.string(),
  way: z.enum(['one-each', 'to-read']),
  swatch: swatchSchema.nullable(),
  dueAt: z.string().nullable(),
  pages: z.array(
    z.strictObject({
      id: idSchema,
      title: z.string(),
      orientation: z.enum(['portrait', 'landscape']),
      size: pageSizeSchema,
      fixed: fixedPictureSchema.nullable(),
      places: z.record(idSchema, rectSchema),
      mark: pageMarkSchema.nullable(),
      blocks: z.array(learnerBlockSchema),
    }),
  ),
  /** Ids of the pictures, sounds and videos it shows. */
  assetIds: z.array(z.string()),
});
export type LearnerPackage = z.infer<typeof learnerPackageSchema>;

/** A title of the activity is the learner's to see; a version's name is not. */
export function learnerPackage(
  handOut: Pick<HandOut, 'id' | 'title' | 'note' | 'way' | 'dueAt'>,
  frozen: Frozen,
): LearnerPackage {
  const mine = frozen.content.pages.filter((p) => (p.audience ?? 'learner') === 'learner');
  const kept = mine.map((p) => ({ page: p, blocks: p.blocks.filter(isLearners) }));
  const pages = kept.map(({ page: p, blocks }) => ({
    id: p.id,
    title: p.title,
    orientation: p.orientation,
    size: p.size ?? ('A4' as const),
    fixed: p.fixed ? { assetId: p.fixed.assetId, alt: p.fixed.alt } : null,
    places: Object.fromEntries(
      blocks.flatMap((b) => {
        const r = p.places?.[b.id];
        return r ? [[b.id, { x: r.x, y: r.y, w: r.w, h: r.h }]] : [];
      }),
    ),
    mark: p.mark ? { day: p.mark.day, subject: p.mark.subject, colour: p.mark.colour, sign: p.mark.sign } : null,
    blocks: blocks.map(forLearner),
  }));
  return {
    handOutId: handOut.id,
    title: handOut.title,
    note: handOut.note,
    way: handOut.way,
    swatch: frozen.swatch
      ? { pattern: frozen.swatch.pattern, colour: frozen.swatch.colour, letter: frozen.swatch.letter }
      : null,
    dueAt: handOut.dueAt,
    pages,
    assetIds: [...assetsOf({ pages: kept.map(({ page, blocks }) => ({ ...page, blocks })) })],
  };
}

const isLearners = (b: Block): boolean => b.audience === 'learner' && blockKinds[b.kind].learnerSchema.type !== 'never';
