import { z } from '../zod';
import { type Content, type Page, pageIndex } from '../activity/activity';
import { type Id, idSchema } from '../activity/block';
import { type Block, isItem } from '../activity/blocks';
import { accommodation, adjustmentBase, type AdjustmentKind, type Applied, untouched } from './adjustment';
import type { Edit } from './sheet';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('chunk'),
  /** Most blocks on a page. */
  most: z.number().int().min(1).max(50),
  /** Pages it divides; all where it is empty. */
  pages: z.array(idSchema),
});
export type Chunk = z.infer<typeof schema>;

/** What the items after it are asked about, so that they must stay on its page. */
const NEEDED = new Set<Block['kind']>(['passage', 'picture', 'table', 'audio', 'video', 'document', 'word-bank']);

/**
 * Divides blocks into chunks of at most `most`, without parting an item from the passage, picture or table it needs:
 * such a block and the items after it, up to the next block that is none of these, stay together even where they are
 * more. Headings, texts and instructions go with what follows them.
 */
export function chunksOf(blocks: readonly Block[], most: number): Block[][] {
  const groups: Block[][] = [];
  let group: Block[] = [];
  let holds = false;
  const close = () => {
    if (group.length) groups.push(group);
    group = [];
    holds = false;
  };
  for (const b of blocks) {
    const asks = isItem(b);
    const startsAnew = !asks && group.some(isItem);
    if (startsAnew || (asks && !holds && group.some(isItem))) close();
    group.push(b);
    if (NEEDED.has(b.kind)) holds = true;
  }
  close();
  const chunks: Block[][] = [];
  for (const g of groups) {
    const last = chunks.at(-1);
    if (last && last.length + g.length <= most) last.push(...g);
    else chunks.push([...g]);
  }
  return chunks;
}

/** Id of the page that a smaller one is a part of; its own where it is whole. */
export const wholePageId = (id: Id): Id => id.replace(/~\d+$/, '');

/** The page of the basis that a page of the version is, or is a part of. */
export const pageInBasis = (basis: Content, id: Id): Id => (pageIndex(basis).has(id) ? id : wholePageId(id));

/** A place on a smaller page of the version's own as one on the page it is a part of: that is what adjustments know. */
export function wholePlace(
  basis: Content,
  content: Content,
  pageId: Id,
  after: Id | null,
): { page: Id; after: Id | null } {
  const page = pageInBasis(basis, pageId);
  if (page === pageId || after !== null) return { page, after };
  const at = content.pages.findIndex((p) => p.id === pageId);
  return { page, after: content.pages[at - 1]?.blocks.at(-1)?.id ?? null };
}

/** Id of a page's n-th part; the basis may be in smaller parts already. */
function freeId(page: Page, n: number, taken: ReadonlySet<Id>): Id {
  let id: Id;
  do id = `${page.id.slice(0, 58)}~${n++}`;
  while (taken.has(id));
  return id;
}

export const chunk: AdjustmentKind<Chunk> = {
  kind: 'chunk',
  label: 'Pages in smaller parts',
  done: 'in smaller parts',
  category: 'presentation',
  schema,
  last: true,
  targets: (a) => a.pages,
  apply(a, sheet): Applied {
    const edits: Edit[] = [];
    const taken = new Set(sheet.allPages().map((p) => p.id));
    for (const page of sheet.allPages()) {
      // A page over a picture cannot be divided: its places lie on the picture.
      if (page.fixed || (a.pages.length && !a.pages.includes(page.id)) || (page.audience ?? 'learner') !== 'learner')
        continue;
      const parts = chunksOf(page.blocks, a.most);
      let before = page.id;
      parts.slice(1).forEach((blocks, i) => {
        const id = freeId(page, i + 2, taken);
        taken.add(id);
        const { source: _, places: __, ...rest } = page;
        edits.push({
          edit: 'insert-page',
          page: { ...rest, id, title: `${page.title} (${i + 2})`.slice(0, 200), blocks: [] },
          after: before,
        });
        before = id;
        let after: Id | null = null;
        const from = parts[0]?.at(-1)?.id ?? null;
        for (const block of blocks) {
          edits.push({ edit: 'move-block', block, from: { pageId: page.id, after: from }, to: { pageId: id, after } });
          after = block.id;
        }
      });
    }
    return { edits, missed: [] };
  },
  describe(a, basis) {
    const pages = basis.pages.filter((p) => !a.pages.length || a.pages.includes(p.id));
    const parts = pages.reduce((n, p) => n + (p.fixed ? 1 : chunksOf(p.blocks, a.most).length), 0);
    return `${pages.length} ${pages.length === 1 ? 'page comes' : 'pages come'} in ${parts} smaller ones, with about ${a.most} ${a.most === 1 ? 'block' : 'blocks'} each.`;
  },
  judge: () => accommodation('The same questions, fewer on a page.'),
  review(a, sheet) {
    const gone = a.pages.filter((id) => !sheet.page(id));
    if (gone.length === 0) return untouched;
    const left = a.pages.filter((id) => sheet.page(id));
    return {
      outcome: 'carried',
      target: gone[0] ?? '',
      why: 'A page it divided is gone from the basis.',
      result: left.length ? { ...a, pages: left } : null,
    };
  },
};
