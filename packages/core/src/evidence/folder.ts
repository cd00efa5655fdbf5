import { idSchema } from '../activity/block';
import { daySchema } from '../learners/days';
import { goalSchema } from '../learners/learner';
import { agreedSupportSchema } from '../learners/supports';
import { z } from '../zod';
import type { Evidence } from './evidence';

/** As many observations are kept of one learner. */
export const MOST_FOLDER_NOTES = 500;
export const LONGEST_FOLDER_NOTE = 4000;

/** An observation of the teacher's, or a photograph. */
export const folderNoteSchema = z.object({
  id: idSchema,
  on: daySchema,
  text: z.string().max(LONGEST_FOLDER_NOTE),
  assetId: z.string().max(80).optional(),
  handOutId: idSchema.optional(),
});
export type FolderNote = z.infer<typeof folderNoteSchema>;

/** A review that was held: what was said, what changed on the card, and what stood on it before. */
export const reviewSchema = z.object({
  id: idSchema,
  on: daySchema,
  /** Days of the evidence that was looked at. */
  from: daySchema,
  until: daySchema,
  said: z.string().max(LONGEST_FOLDER_NOTE),
  /** In words, one for each thing that changed. */
  changes: z.array(z.string().max(500)).max(200),
  was: z.object({
    supports: z.array(agreedSupportSchema).max(40),
    goals: z.array(goalSchema).max(20),
  }),
});
export type Review = z.infer<typeof reviewSchema>;
export const MOST_REVIEWS = 100;

/** A review that is being held: the card as it is to be after it. */
export const heldReviewSchema = z.object({
  said: z.string().max(LONGEST_FOLDER_NOTE),
  supports: z.array(agreedSupportSchema).max(40),
  goals: z.array(goalSchema).max(20),
  /** Goals that are met: they go from the card, and are named as met. */
  met: z.array(idSchema).max(20),
});
export type HeldReview = z.infer<typeof heldReviewSchema>;

/**
 * What the teacher adds to a learner's evidence, under the learner's id: never what can be looked up. A piece is named by
 * its key; see `pieceKey`.
 */
export const folderSchema = z.object({
  id: idSchema,
  notes: z.array(folderNoteSchema).max(MOST_FOLDER_NOTES).default([]),
  /** Pieces that are not shown to others, and those that are stressed. */
  leftOut: z.array(z.string().max(200)).max(5000).default([]),
  stressed: z.array(z.string().max(200)).max(5000).default([]),
  reviews: z.array(reviewSchema).max(MOST_REVIEWS).default([]),
  /** The one that is being held now. */
  held: heldReviewSchema.optional(),
});
export type Folder = z.infer<typeof folderSchema>;

export const emptyFolder = (learnerId: string): Folder => ({
  id: learnerId,
  notes: [],
  leftOut: [],
  stressed: [],
  reviews: [],
});

/** The key of a piece of evidence: a whole work, or one adjustment in it, or an observation. */
export const pieceKey = (handOutId: string, adjustmentId?: string): string =>
  adjustmentId === undefined ? handOutId : `${handOutId}/${adjustmentId}`;
export const noteKey = (noteId: string): string => `note/${noteId}`;

/** The evidence with what the teacher added in its period, and without what they left out. */
export function withFolder(evidence: Evidence, folder: Folder | undefined): Evidence {
  if (!folder) return evidence;
  const out = new Set(folder.leftOut);
  const { from, until } = evidence.period;
  const isIn = (on: string) => on === '' || ((from === '' || on >= from) && (until === '' || on <= until));
  return {
    ...evidence,
    works: evidence.works.flatMap((w) => {
      if (out.has(pieceKey(w.handOutId))) return [];
      const adjustments = w.adjustments.filter((a) => !out.has(pieceKey(w.handOutId, a.adjustmentId)));
      if (adjustments.length === w.adjustments.length) return [w];
      const kept = new Set(adjustments.map((a) => a.adjustmentId));
      // What only an adjustment that is left out made goes with it.
      const sides = w.sides.filter((s) => s.adjustmentIds.length === 0 || s.adjustmentIds.some((id) => kept.has(id)));
      return [{ ...w, adjustments, sides }];
    }),
    notes: folder.notes
      .filter((n) => isIn(n.on) && !out.has(noteKey(n.id)))
      .sort((a, b) => a.on.localeCompare(b.on))
      .map((n) => ({
        id: n.id,
        on: n.on,
        text: n.text,
        assetId: n.assetId ?? '',
        handOutId: n.handOutId ?? '',
      })),
    reviews: folder.reviews
      .filter((r) => isIn(r.on))
      .map(({ on, said, changes }) => ({ on, said, changes: [...changes] })),
    stressed: [...folder.stressed],
  };
}
