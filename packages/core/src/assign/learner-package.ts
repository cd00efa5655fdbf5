import { z } from '../zod';
import { idSchema } from '../activity/block';
import { swatchSchema } from '../activity/swatch';
import { type Frozen, type HandOut, wayToGiveSchema } from './hand-out';
import { type LearnerSheet, learnerSheet, pagesFor, sheetPageSchema, sheetShowSchema } from './learner-sheet';
import { type Slipped, slipped } from './slip';

/** All that a learner may receive of one piece of work. Built from this list of fields, never by taking things away. */
export const learnerPackageSchema = z.strictObject({
  handOutId: idSchema,
  title: z.string(),
  note: z.string(),
  way: wayToGiveSchema,
  swatch: swatchSchema,
  dueAt: z.string().nullable(),
  show: sheetShowSchema,
  pages: z.array(sheetPageSchema),
  /** Ids of the pictures, sounds and videos it shows. */
  assetIds: z.array(z.string()),
});
export type LearnerPackage = z.infer<typeof learnerPackageSchema>;

/** What the desk puts before a learner. `seed` names the learner and the go: what is to be mixed up is, the same each time. */
export function packageOf(handOutId: string, work: Slipped, sheet: LearnerSheet, seed?: string): LearnerPackage {
  return {
    handOutId,
    title: work.title,
    note: work.note,
    way: work.way,
    swatch: sheet.swatch,
    dueAt: work.dueAt,
    show: sheet.show,
    pages: pagesFor(sheet, work.own, seed),
    assetIds: sheet.assetIds,
  };
}

/** The same straight from a frozen activity. A title of the activity is the learner's to see; a version's name is not. */
export function learnerPackage(
  handOut: Pick<HandOut, 'id' | 'title' | 'note' | 'way' | 'dueAt'>,
  frozen: Frozen,
  seed?: string,
): LearnerPackage {
  const sheet = learnerSheet(frozen);
  return packageOf(
    handOut.id,
    slipped({ ...handOut, opensAt: null, givenAt: null }, { frozen: frozen.id }, sheet),
    sheet,
    seed,
  );
}
