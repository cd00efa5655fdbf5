import { z } from '../zod';
import { pageSchema } from '../activity/activity';
import { idSchema } from '../activity/block';
import { isItem } from '../activity/blocks';
import {
  accommodation,
  addition,
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  missed,
  snippet,
  untouched,
} from './adjustment';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('insert-page'),
  /** The page it stands after; null is first. */
  after: idSchema.nullable(),
  page: pageSchema,
});
export type InsertPage = z.infer<typeof schema>;

export const insertPage: AdjustmentKind<InsertPage> = {
  kind: 'insert-page',
  label: 'Add a page',
  done: 'page added',
  category: 'content',
  schema,
  targets: (a) => [a.page.id, ...a.page.blocks.map((b) => b.id)],
  apply(a, sheet): Applied {
    if (sheet.page(a.page.id)) return missed(a.page.id, 'It is there already.');
    // Where its neighbour is gone, it stands last.
    const after = a.after === null || sheet.page(a.after) ? a.after : (sheet.allPages().at(-1)?.id ?? null);
    return { edits: [{ edit: 'insert-page', page: a.page, after }], missed: [] };
  },
  describe: (a) => `A page is added: “${snippet(a.page.title)}”.`,
  judge: (a) =>
    a.page.blocks.some(isItem)
      ? addition('A further page of questions; nothing is taken away.')
      : accommodation('Something to read is added; no answer was found in it.'),
  review(a, sheet) {
    if (a.after === null || sheet.page(a.after)) return untouched;
    const last = sheet.allPages().at(-1)?.id ?? null;
    return {
      outcome: 'carried',
      target: a.page.id,
      why: 'The page it stood after is gone: it stands last now.',
      result: { ...a, after: last },
    };
  },
};
