import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { isItem, labelOf, wordsOf } from '../activity/blocks';
import { fingerprint } from '../activity/fingerprint';
import { adjustmentBase, type AdjustmentKind, type Applied, snippet, untouched, accommodation } from './adjustment';
import { basisBlock, LESS_TO_DO } from './judging';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('leave-out'),
  /** A block or a page. */
  target: idSchema,
  what: z.enum(['block', 'page']),
  /** Fingerprint of the target when it was left out. */
  was: z.string().max(64),
});
export type LeaveOut = z.infer<typeof schema>;

export const leaveOut: AdjustmentKind<LeaveOut> = {
  kind: 'leave-out',
  label: 'Leave out',
  done: 'left out',
  category: 'content',
  schema,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    if (a.what === 'page') {
      const pages = sheet.allPages();
      const at = pages.findIndex((p) => p.id === a.target);
      const page = pages[at];
      if (!page) return { edits: [], missed: [{ target: a.target, why: 'The page is no longer there.' }] };
      return { edits: [{ edit: 'remove-page', page, after: pages[at - 1]?.id ?? null }], missed: [] };
    }
    const block = sheet.block(a.target);
    const place = sheet.placeOf(a.target);
    if (!block || !place) return { edits: [], missed: [{ target: a.target, why: 'The block is no longer there.' }] };
    return { edits: [{ edit: 'remove-block', block, ...place }], missed: [] };
  },
  describe(a, basis) {
    if (a.what === 'page') {
      const page = basis.pages.find((p) => p.id === a.target);
      return page
        ? `The page “${snippet(page.title)}” is left out.`
        : 'A page is left out that the basis no longer has.';
    }
    const found = findBlock(basis, a.target)?.block;
    if (!found) return 'Something is left out that the basis no longer has.';
    const words = snippet(wordsOf(found)[0]?.text ?? '');
    return isItem(found) ? `The question “${words}” is left out.` : `${labelOf(found)} “${words}” is left out.`;
  },
  judge(a, c) {
    const out = a.what === 'page' ? undefined : basisBlock(c, a.target);
    return out && !isItem(out) ? accommodation('Less on the page; no question is left out.') : LESS_TO_DO;
  },
  review(a, sheet) {
    const target = a.what === 'page' ? sheet.basisPage(a.target) : sheet.basisBlock(a.target);
    if (!target)
      return {
        outcome: 'carried',
        target: a.target,
        why: 'The basis has taken out what this version leaves out: both agree.',
        result: null,
      };
    const now = fingerprint(target);
    if (now === a.was) return untouched;
    return {
      outcome: 'carried',
      target: a.target,
      why: 'The basis changed what this version leaves out. It stays left out.',
      result: { ...a, was: now },
    };
  },
};
