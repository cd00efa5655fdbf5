import { z } from '../zod';
import { idSchema } from '../activity/block';
import { adjustmentBase, type AdjustmentKind, type Applied, untouched } from './adjustment';
import { LESS_TO_DO } from './judging';
import type { Edit, Sheet } from './sheet';
import { counted } from '../counted';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('keep-pages'),
  pages: z.array(idSchema).min(1),
  /** All pages the basis had when this was written, so that a new one can be offered. */
  known: z.array(idSchema),
});
export type KeepPages = z.infer<typeof schema>;

const titles = (sheet: Sheet, ids: readonly string[]) =>
  ids.map((id) => sheet.page(id)?.title || 'untitled page').join('\n');

export const keepPages: AdjustmentKind<KeepPages> = {
  kind: 'keep-pages',
  label: 'Keep only some pages',
  done: 'pages kept',
  category: 'content',
  schema,
  targets: (a) => a.pages,
  apply(a, sheet): Applied {
    const edits: Edit[] = [];
    let after: string | null = null;
    for (const page of sheet.allPages()) {
      // A page that this version has added itself is no page of the basis, and stays.
      if (a.pages.includes(page.id) || !sheet.basisPage(page.id)) after = page.id;
      else edits.push({ edit: 'remove-page', page, after });
    }
    const missed = a.pages
      .filter((id) => !sheet.page(id))
      .map((target) => ({ target, why: 'The page is no longer there.' }));
    // With none of its pages left, keeping nothing would empty the sheet.
    return missed.length === a.pages.length ? { edits: [], missed } : { edits, missed };
  },
  describe(a, basis) {
    const kept = basis.pages.filter((p) => a.pages.includes(p.id));
    return `Only ${kept.length} of ${basis.pages.length} pages are kept: ${kept.map((p) => `“${p.title}”`).join(', ')}.`;
  },
  judge: () => LESS_TO_DO,
  review(a, sheet) {
    const here = sheet.base.pages.map((p) => p.id);
    const gone = a.pages.filter((id) => !here.includes(id));
    const fresh = here.filter((id) => !a.known.includes(id));
    const kept = a.pages.filter((id) => here.includes(id));
    const target = fresh[0] ?? gone[0] ?? '';
    if (gone.length === 0 && fresh.length === 0) return untouched;
    if (fresh.length > 0)
      return {
        outcome: 'to-decide',
        target,
        why: 'The basis has a new page, and this version keeps only chosen pages.',
        old: titles(sheet, kept),
        master: titles(sheet, here),
        version: titles(sheet, kept),
        proposed: titles(sheet, [...kept, ...fresh]),
        choices: [
          {
            choice: 'version',
            label: 'Do not take the new page',
            result: kept.length ? { ...a, pages: kept, known: here } : null,
          },
          {
            choice: 'combined',
            label: 'Take the new page too',
            result: { ...a, pages: here.filter((id) => kept.includes(id) || fresh.includes(id)), known: here },
          },
          { choice: 'master', label: 'Show all pages', result: null },
        ],
      };
    return {
      outcome: 'lost',
      target,
      why: counted(
        gone.length,
        'A page that this version keeps is no longer in the basis.',
        '{n} pages that this version keeps are no longer in the basis.',
      ),
      old: `${a.pages.length} pages`,
      master: titles(sheet, here),
      version: titles(sheet, kept),
      proposed: titles(sheet, kept),
      choices: [
        {
          choice: 'version',
          label: 'Keep the pages that are left',
          result: kept.length ? { ...a, pages: kept, known: here } : null,
        },
        { choice: 'master', label: 'Show all pages', result: null },
      ],
    };
  },
};
