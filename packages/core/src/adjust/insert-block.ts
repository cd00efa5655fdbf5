import { z } from '../zod';
import { type Id, idSchema } from '../activity/block';
import { type Block, blockSchema, isItem, labelOf, wordsOf } from '../activity/blocks';
import {
  accommodation,
  addition,
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  ask,
  type Category,
  type Judged,
  missed,
  type Review,
  snippet,
  untouched,
} from './adjustment';
import type { Sheet } from './sheet';
import { questionShape, readsOtherwise } from './written-for';

/** Where an added block stands: on a page, after a block of it (null: at its top). */
export const placeShape = { page: idSchema, after: idSchema.nullable() };

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

/** Upkeep of anything added at a place: it goes where its neighbour goes, and asks only when the place is gone. */
export function reviewPlace<A extends Placed>(a: A, sheet: Sheet, what: string): Review<A> {
  const page = sheet.page(a.page);
  const alone = a.after !== null && page && !page.blocks.some((b) => b.id === a.after);
  if (page && !alone) return untouched;
  const neighbour = a.after === null ? undefined : sheet.pageOf(a.after);
  if (neighbour)
    return {
      outcome: 'carried',
      target: a.page,
      why: `The block it stands after is on “${snippet(neighbour.title, 40)}” now, and it goes with it.`,
      result: { ...a, page: neighbour.id },
    };
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

/** A kind of adjustment that adds one block at a place: the kinds differ in what they are for. */
export function insertingKind<K extends string>(
  kind: K,
  face: {
    readonly label: string;
    readonly done: string;
    readonly category: Category;
    /** Whether it is there for the question behind it. */
    readonly isFor?: boolean;
    readonly judge: (block: Block) => Judged;
    readonly says: (block: Block) => string;
  },
) {
  const schema = z.object({
    ...adjustmentBase,
    kind: z.literal(kind),
    ...placeShape,
    block: blockSchema,
    ...questionShape,
  });
  type Inserting = z.infer<typeof schema>;
  const made: AdjustmentKind<Inserting> & { readonly schema: typeof schema } = {
    kind,
    label: face.label,
    done: face.done,
    category: face.category,
    schema,
    targets: (a) => [a.block.id],
    apply(a, sheet): Applied {
      const place = standingPlace(a, sheet);
      if (!place) return missed(a.page, 'The page it stood on is no longer there.');
      if (sheet.block(a.block.id)) return missed(a.block.id, 'It is there already.');
      return { edits: [{ edit: 'insert-block', block: a.block, ...place }], missed: [] };
    },
    describe: (a) => face.says(a.block),
    judge: (a) => face.judge(a.block),
    review(a, sheet, { before }) {
      const shown = snippet(wordsOf(a.block)[0]?.text ?? '', 120);
      const place = reviewPlace(a, sheet, shown);
      const page = face.isFor && place.outcome === 'untouched' ? sheet.page(a.page) : undefined;
      const at = page?.blocks.findIndex((b) => b.id === a.after) ?? -1;
      // What it helps with: the first question behind it.
      const item = page?.blocks.slice(at + 1).find((b) => isItem(b) && b.audience === 'learner');
      const other = item && isItem(item) ? readsOtherwise(a.question, item, before) : null;
      if (!item || !isItem(item) || !other) return place;
      return ask({
        target: a.page,
        field: 'example',
        why: 'The question behind it reads otherwise: the example may not fit it any more.',
        old: other.was,
        master: item.prompt,
        version: shown,
        keep: { ...a, question: item.prompt } as Inserting,
      });
    },
  };
  return made;
}

const words = (b: Block) => snippet(wordsOf(b)[0]?.text ?? '', 80);

export const insertBlock = insertingKind('insert-block', {
  label: 'Add a block',
  done: 'added',
  category: 'content',
  judge: (b) =>
    isItem(b)
      ? addition('A further question; nothing is taken away.')
      : accommodation('Something to read is added; no answer was found in it.'),
  says: (b) => (isItem(b) ? `A further question is added: “${words(b)}”.` : `${labelOf(b)} is added: “${words(b)}”.`),
});
export type InsertBlock = z.infer<(typeof insertBlock)['schema']>;
