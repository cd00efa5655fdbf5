import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { wordsOf } from '../activity/blocks';
import {
  accommodation,
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  lostTarget,
  missed,
  nothing,
  snippet,
  untouched,
} from './adjustment';
import { reviewPlace, standingPlace } from './insert-block';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('move'),
  what: z.enum(['block', 'page']),
  target: idSchema,
  /** For a block: the page it goes to. */
  page: idSchema.optional(),
  /** The sibling it stands after; null is first. */
  after: idSchema.nullable(),
});
export type Move = z.infer<typeof schema>;

export const move: AdjustmentKind<Move> = {
  kind: 'move',
  label: 'Move',
  done: 'moved',
  category: 'presentation',
  schema,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    if (a.what === 'page') {
      const pages = sheet.allPages();
      const at = pages.findIndex((p) => p.id === a.target);
      const page = pages[at];
      if (!page) return missed(a.target, 'The page is no longer there.');
      const from = pages[at - 1]?.id ?? null;
      const to = a.after === null || (sheet.page(a.after) && a.after !== a.target) ? a.after : from;
      return to === from ? nothing : { edits: [{ edit: 'move-page', page, from, to }], missed: [] };
    }
    const block = sheet.block(a.target);
    const from = sheet.placeOf(a.target);
    if (!block || !from) return missed(a.target, 'The block is no longer there.');
    const to = standingPlace({ id: a.id, page: a.page ?? from.pageId, after: a.after }, sheet);
    if (!to) return missed(a.target, 'The page it goes to is no longer there.');
    if (to.after === a.target || (to.pageId === from.pageId && to.after === from.after)) return nothing;
    return { edits: [{ edit: 'move-block', block, from, to }], missed: [] };
  },
  describe(a, basis) {
    if (a.what === 'page')
      return `The page “${snippet(basis.pages.find((p) => p.id === a.target)?.title ?? '')}” stands elsewhere.`;
    const block = findBlock(basis, a.target)?.block;
    const to = basis.pages.find((p) => p.id === a.page)?.title ?? '';
    return `“${snippet(block ? (wordsOf(block)[0]?.text ?? '') : '')}” stands elsewhere, on “${snippet(to, 40)}”.`;
  },
  judge: () => accommodation('The same questions in another order.'),
  review(a, sheet) {
    const here = a.what === 'page' ? sheet.page(a.target) : sheet.basisBlock(a.target);
    if (!here) return lostTarget(a.target, 'What it moved is gone.', '', '');
    if (a.what === 'page' || !a.page) return untouched;
    return reviewPlace({ ...a, page: a.page }, sheet, 'moved here');
  },
};
