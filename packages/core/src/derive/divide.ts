import { type Content, type Page, pageIndex } from '../activity/activity';
import type { Id } from '../activity/block';

/** Ids of the blocks of a page before which a new page begins; none where it stays whole. */
export type BreaksOf = (page: Page) => readonly Id[];

const parts = new WeakMap<Page, { readonly key: string; readonly pages: readonly Page[] }>();

/** Ids for the parts of a page after its first, that no page has yet. */
function idsFor(page: Page, count: number, taken: Set<Id>): Id[] {
  const ids: Id[] = [];
  for (let n = 2; ids.length < count; n++) {
    const id = `${page.id.slice(0, 58)}~${n}`;
    if (taken.has(id)) continue;
    taken.add(id);
    ids.push(id);
  }
  return ids;
}

/** A page parted before some of its blocks: the very same parts for as long as page, breaks and ids stay the same. */
function parted(page: Page, breaks: readonly Id[], ids: readonly Id[]): readonly Page[] {
  const key = `${breaks.join('\n')}\n\n${ids.join('\n')}`;
  const known = parts.get(page);
  if (known?.key === key) return known.pages;
  const starts = [0, ...breaks.map((id) => page.blocks.findIndex((b) => b.id === id)), page.blocks.length];
  const { source: _, places: __, ...rest } = page;
  const pages = starts.slice(0, -1).map((from, i): Page => {
    const blocks = page.blocks.slice(from, starts[i + 1]);
    return i === 0
      ? { ...page, blocks }
      : { ...rest, id: ids[i - 1] ?? '', title: `${page.title} (${i + 1})`.slice(0, 200), blocks };
  });
  parts.set(page, { key, pages });
  return pages;
}

/**
 * A content with its pages divided, laid on last: where several divisions speak of a page, the one that makes the most
 * parts of it holds. A page over a picture cannot be divided, for its places lie on the picture; nor is one that is not
 * the learners'. Pages that are not divided are the very objects they were.
 */
export function divide(whole: Content, divisions: readonly BreaksOf[]): Content {
  if (divisions.length === 0) return whole;
  const taken = new Set(whole.pages.map((p) => p.id));
  let any = false;
  const pages = whole.pages.flatMap((page) => {
    if (page.fixed || (page.audience ?? 'learner') !== 'learner') return [page];
    let breaks: readonly Id[] = [];
    for (const of of divisions) {
      const own = of(page);
      if (own.length > breaks.length) breaks = own;
    }
    if (breaks.length === 0) return [page];
    any = true;
    return parted(page, breaks, idsFor(page, breaks.length, taken));
  });
  return any ? { ...whole, pages } : whole;
}

/** The whole page that a page shown is, or is a part of; its own id where there is no such page. */
export function wholePageId(whole: Content, id: Id): Id {
  const index = pageIndex(whole);
  for (let at = id; ; at = at.replace(/~\d+$/, '')) {
    if (index.has(at)) return at;
    if (!/~\d+$/.test(at)) return id;
  }
}

/** A place on a part of a page as the one on the whole page: after what stands before it there. */
export function wholePlace(
  whole: Content,
  shown: Content,
  pageId: Id,
  after: Id | null,
): { page: Id; after: Id | null } {
  const page = wholePageId(whole, pageId);
  if (page === pageId || after !== null) return { page, after };
  const at = shown.pages.findIndex((p) => p.id === pageId);
  return { page, after: shown.pages[at - 1]?.blocks.at(-1)?.id ?? null };
}
