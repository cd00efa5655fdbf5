import { z } from '../zod';
import {
  assetsOf,
  fixedPictureSchema,
  itemsOf,
  pageMarkSchema,
  pageSizeSchema,
  settingsSchema,
} from '../activity/activity';
import { idSchema } from '../activity/block';
import {
  type Block,
  blockKinds,
  forLearner,
  keyWordsOf,
  type LearnerBlock,
  learnerBlockSchema,
} from '../activity/blocks';
import { swatchSchema } from '../activity/swatch';
import { rectSchema } from '../activity/parts';
import { mixedForLearner } from '../adjust/mixing';
import type { Frozen, Given } from './hand-out';

export const sheetPageSchema = z.strictObject({
  id: idSchema,
  title: z.string(),
  orientation: z.enum(['portrait', 'landscape']),
  size: pageSizeSchema,
  fixed: fixedPictureSchema.nullable(),
  places: z.record(idSchema, rectSchema),
  mark: pageMarkSchema.nullable(),
  blocks: z.array(learnerBlockSchema),
});
export type SheetPage = z.infer<typeof sheetPageSchema>;

/** How a sheet is shown, where that is not as usual; how many goes there are. */
export const sheetShowSchema = z.strictObject({
  oneAtATime: z.boolean(),
  print: settingsSchema.shape.print.unwrap().nullable(),
  goes: z.number().int().nullable(),
});

/**
 * What a frozen activity holds for learners, kept once under the same address: built from this list of fields, never by
 * taking things away. A learner's own blocks and the order of what is mixed are laid on when it is opened.
 */
export const learnerSheetSchema = z.strictObject({
  id: z.string().max(64),
  swatch: swatchSchema,
  show: sheetShowSchema,
  /** Days after the due date of the hand-out that this sheet may still be submitted. */
  days: z.number().int(),
  /** Ids of the blocks whose pieces and choices come in another order for each learner and go. */
  mix: z.array(idSchema),
  pages: z.array(sheetPageSchema),
  /** Ids of the pictures, sounds and videos it shows. */
  assetIds: z.array(z.string()),
});
export type LearnerSheet = z.infer<typeof learnerSheetSchema>;

export const isLearners = (b: Block): boolean =>
  b.audience === 'learner' && blockKinds[b.kind].learnerSchema.type !== 'never';

export function learnerSheet(frozen: Pick<Frozen, 'id' | 'swatch' | 'content'>): LearnerSheet {
  const { content, swatch } = frozen;
  const { oneAtATime, print, goes, extraTime, mix } = content.settings ?? {};
  const mine = content.pages.filter((p) => (p.audience ?? 'learner') === 'learner');
  // A page on which a learner could see nothing, but for its title, is no page of theirs.
  const kept = mine
    .map((p) => ({ page: p, blocks: p.blocks.filter(isLearners) }))
    .filter(({ page, blocks }) => blocks.length > 0 || page.fixed);
  const ids = new Set(kept.flatMap((k) => k.blocks.map((b) => b.id)));
  return {
    id: frozen.id,
    swatch: { pattern: swatch.pattern, colour: swatch.colour, letter: swatch.letter },
    show: {
      oneAtATime: oneAtATime ?? false,
      print: print ? { size: print.size, spacing: print.spacing, font: print.font, colours: print.colours } : null,
      goes: goes ?? null,
    },
    days: extraTime?.days ?? 0,
    mix: (mix ?? []).filter((id) => ids.has(id)),
    pages: kept.map(({ page: p, blocks }) => ({
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
    })),
    assetIds: [...assetsOf({ pages: kept.map(({ page, blocks }) => ({ ...page, blocks })) })],
  };
}

/** What stands under the flaps of a frozen activity, by block. It is no part of a sheet: the words come with the lifting. */
export const flapsSchema = z.strictObject({ id: z.string().max(64), under: z.record(idSchema, z.string()) });
export type Flaps = z.infer<typeof flapsSchema>;

export function flapsOf(frozen: Pick<Frozen, 'id' | 'content'>): Flaps {
  const blocks = frozen.content.pages.flatMap((p) => ((p.audience ?? 'learner') === 'learner' ? p.blocks : []));
  const under = blocks.flatMap((b) => (isLearners(b) && 'flap' in b && b.flap ? [[b.id, b.flap] as const] : []));
  return { id: frozen.id, under: Object.fromEntries(under) };
}

/** A learner's own blocks as the learner may see them. */
export const ownForLearner = (given: Pick<Given, 'own'>): LearnerBlock[] =>
  (given.own ?? []).flatMap(({ block }) => (isLearners(block) ? [forLearner(block)] : []));

/** The pages of a sheet with a learner's own blocks in them, mixed up for one go where they are to be. */
export function pagesFor(sheet: LearnerSheet, own: readonly LearnerBlock[], seed: string | undefined): SheetPage[] {
  const mine = new Map(own.map((b) => [b.id, b]));
  const mix = seed === undefined ? new Set<string>() : new Set(sheet.mix);
  if (mine.size === 0 && mix.size === 0) return sheet.pages;
  return sheet.pages.map((p) => ({
    ...p,
    blocks: p.blocks.map((b) => {
      const block = mine.get(b.id) ?? b;
      return mix.has(b.id) ? mixedForLearner(block, seed ?? '') : block;
    }),
  }));
}

/** The answers to the questions of a frozen activity, by item, in words: no part of a sheet, and shown once it is time. */
export const keysSchema = z.strictObject({ id: z.string().max(64), words: z.record(idSchema, z.string()) });
export type Keys = z.infer<typeof keysSchema>;

export function keysFor(frozen: Pick<Frozen, 'id' | 'content'>): Keys {
  const words = itemsOf(frozen.content).map((i) => [i.id, keyWordsOf(i).join(' / ')] as const);
  return { id: frozen.id, words: Object.fromEntries(words.filter(([, said]) => said)) };
}
