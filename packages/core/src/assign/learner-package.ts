import { z } from 'zod';
import { idSchema } from '../activity/block';
import { blockKinds, forLearner, learnerBlockSchema } from '../activity/blocks';
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
      blocks: z.array(learnerBlockSchema),
    }),
  ),
  /** Ids of the pictures it shows. */
  assetIds: z.array(z.string()),
});
export type LearnerPackage = z.infer<typeof learnerPackageSchema>;

/** A title of the activity is the learner's to see; a version's name is not. */
export function learnerPackage(
  handOut: Pick<HandOut, 'id' | 'title' | 'note' | 'way' | 'dueAt'>,
  frozen: Frozen,
): LearnerPackage {
  const pages = frozen.content.pages.map((p) => ({
    id: p.id,
    title: p.title,
    orientation: p.orientation,
    blocks: p.blocks
      .filter((b) => b.audience === 'learner' && blockKinds[b.kind].learnerSchema.type !== 'never')
      .map(forLearner),
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
    assetIds: [
      ...new Set(pages.flatMap((p) => p.blocks.flatMap((b) => (b.kind === 'picture' && b.assetId ? [b.assetId] : [])))),
    ],
  };
}
