import { z } from 'zod';
import { type Id, idSchema } from '../activity/block';
import { blockSchema, isItem, labelOf, wordsOf } from '../activity/blocks';
import {
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  missed,
  type Review,
  snippet,
  untouched,
} from './adjustment';
import type { Sheet } from './sheet';

/** Where an added block stands: on a page, after a block of it (null: at its top). */
export const placeShape = { page: idSchema, after: idSchema.nullable() };

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('insert-block'),
  ...placeShape,
  block: blockSchema,
});
export type InsertBlock = z.infer<typeof schema>;

interface Placed {
  readonly id: Id;
  readonly page: Id;
  readonly after: Id | null;
}

/** The place, with the page's end in place of a neighbour that is gone; undefined where the page is gone. */
export function standingPlace(a: Placed, sheet: Sheet): { pageId: Id; after: Id | null } | undefined {
  const page = sheet.page(a.page);
  if (!page) return undefined;
  const anchored = a.after === null || page.blocks.some((b) => b.id === a.after);
  return { pageId: page.id, after: anchored ? a.after : (page.blocks.at(-1)?.id ?? null) };
}

/** Upkeep of anything added at a place: it asks only when the place is gone. */
export function reviewPlace<A extends Placed>(a: A, sheet: Sheet, what: string): Review<A> {
  const page = sheet.page(a.page);
  const neighbourMoved = a.after !== null && page && !page.blocks.some((b) => b.id === a.after);
  if (page && !neighbourMoved) return untouched;
  const lastPage = sheet.allPages().at(-1);
  const home = page ?? lastPage;
  const result = home ? { ...a, page: home.id, after: home.blocks.at(-1)?.id ?? null } : null;
  return {
    outcome: 'lost',
    target: a.page,
    why: page ? 'The block it stood after is gone.' : 'The page it stood on is gone.',
    old: '',
    master: '',
    version: what,
    proposed: home ? `at the end of “${home.title}”` : '',
    choices: [
      ...(result
        ? [{ choice: 'version' as const, label: `Put it at the end of “${snippet(home?.title ?? '', 30)}”`, result }]
        : []),
      { choice: 'master' as const, label: 'Let it go', result: null },
    ],
  };
}

export const insertBlock: AdjustmentKind<InsertBlock> = {
  kind: 'insert-block',
  label: 'Add a block',
  done: 'added',
  category: 'content',
  schema,
  targets: (a) => [a.block.id],
  apply(a, sheet): Applied {
    const place = standingPlace(a, sheet);
    if (!place) return missed(a.page, 'The page it stood on is no longer there.');
    if (sheet.block(a.block.id)) return missed(a.block.id, 'It is there already.');
    return { edits: [{ edit: 'insert-block', block: a.block, ...place }], missed: [] };
  },
  describe(a) {
    const words = snippet(wordsOf(a.block)[0]?.text ?? '', 80);
    return isItem(a.block) ? `A further question is added: “${words}”.` : `${labelOf(a.block)} is added: “${words}”.`;
  },
  review: (a, sheet) => reviewPlace(a, sheet, snippet(wordsOf(a.block)[0]?.text ?? '', 120)),
};
