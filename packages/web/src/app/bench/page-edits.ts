import { type Block, type Content, copyOfPage, type Id, type Page, type Rect, readingOrder } from '@lorvet/core';
import { placeBlock } from './master-edits';

export function changePage(content: Content, pageId: Id, change: (page: Page) => Page): Content {
  return { ...content, pages: content.pages.map((p) => (p.id === pageId ? change(p) : p)) };
}

/** A clean copy of the page, after it. */
export function doublePage(content: Content, pageId: Id, newId: () => Id): Content {
  const at = content.pages.findIndex((p) => p.id === pageId);
  const page = content.pages[at];
  if (!page) return content;
  const copy = { ...copyOfPage(page, newId), title: `${page.title} (copy)`.slice(0, 200) };
  return { ...content, pages: [...content.pages.slice(0, at + 1), copy, ...content.pages.slice(at + 1)] };
}

export function movePage(content: Content, pageId: Id, by: -1 | 1): Content {
  const pages = [...content.pages];
  const at = pages.findIndex((p) => p.id === pageId);
  const [page] = at < 0 ? [] : pages.splice(at, 1);
  if (!page || at + by < 0 || at + by > pages.length) return content;
  pages.splice(at + by, 0, page);
  return { ...content, pages };
}

/** Puts a new block on the page's picture, at the end of its reading order. */
export function layBlock(content: Content, page: Page, block: Block, rect: Rect): Content {
  const placed = placeBlock(content, block, page.id, page.blocks.at(-1)?.id ?? null);
  return changePage(placed, page.id, (p) => ({ ...p, places: { ...p.places, [block.id]: rect } }));
}

export function moveOnPage(content: Content, pageId: Id, blockId: Id, rect: Rect | null): Content {
  return changePage(content, pageId, (p) => {
    const { [blockId]: _, ...rest } = p.places ?? {};
    return { ...p, places: rect ? { ...rest, [blockId]: rect } : rest };
  });
}

/** Blocks in the order in which their places are read: line by line; those without a place stay behind them. */
export function orderByPlace(content: Content, pageId: Id): Content {
  return changePage(content, pageId, (p) => {
    const order = readingOrder(p.places ?? {});
    const laid = order.flatMap((id) => p.blocks.find((b) => b.id === id) ?? []);
    return { ...p, blocks: [...laid, ...p.blocks.filter((b) => !order.includes(b.id))] };
  });
}
