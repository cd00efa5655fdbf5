import { z } from 'zod';
import { idSchema } from '../activity/block';
import { assetsOf, fixedPictureSchema, pageMarkSchema, pageSizeSchema, settingsSchema } from '../activity/activity';
import { type Block, blockKinds, forLearner, learnerBlockSchema } from '../activity/blocks';
import { rectSchema } from '../activity/parts';
import { mixedContent } from '../adjust/mixing';
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
  /** How it is shown, where that is not as usual; how many goes there are. */
  show: z.strictObject({
    oneAtATime: z.boolean(),
    print: settingsSchema.shape.print.unwrap().nullable(),
    goes: z.number().int().nullable(),
  }),
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
  /** Names the learner and the go: pieces that are to be mixed up are, the same way each time. */
  seed?: string,
): LearnerPackage {
  const content = seed === undefined ? frozen.content : mixedContent(frozen.content, seed);
  const { oneAtATime, print, goes, extraTime } = content.settings ?? {};
  const mine = content.pages.filter((p) => (p.audience ?? 'learner') === 'learner');
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
    dueAt: handOut.dueAt && laterBy(handOut.dueAt, extraTime?.days ?? 0),
    show: {
      oneAtATime: oneAtATime ?? false,
      print: print ? { size: print.size, spacing: print.spacing, font: print.font, colours: print.colours } : null,
      goes: goes ?? null,
    },
    pages,
    assetIds: [...assetsOf({ pages: kept.map(({ page, blocks }) => ({ ...page, blocks })) })],
  };
}

/** A local date and time so many days later. */
function laterBy(local: string, days: number): string {
  const date = new Date(`${local.slice(0, 10)}T12:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return `${date.toISOString().slice(0, 10)}${local.slice(10)}`;
}

const isLearners = (b: Block): boolean => b.audience === 'learner' && blockKinds[b.kind].learnerSchema.type !== 'never';
