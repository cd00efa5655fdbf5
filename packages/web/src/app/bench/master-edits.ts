import { type Block, type Content, type Id, isItem } from '@lorvet/core';

/** The content with a block put on a page, after one of its blocks (null: at its top). */
export function placeBlock(content: Content, block: Block, pageId: Id, after: Id | null): Content {
  return {
    ...content,
    pages: content.pages.map((p) => {
      if (p.id !== pageId) return p;
      const at = after === null ? 0 : p.blocks.findIndex((b) => b.id === after) + 1;
      return { ...p, blocks: [...p.blocks.slice(0, at), block, ...p.blocks.slice(at)] };
    }),
  };
}

export function withoutBlock(content: Content, blockId: Id): Content {
  return {
    ...content,
    pages: content.pages.map((p) =>
      p.blocks.some((b) => b.id === blockId) ? { ...p, blocks: p.blocks.filter((b) => b.id !== blockId) } : p,
    ),
  };
}

/** One place up or down; at the edge of a page, on to the next one. */
export function moveBlock(content: Content, blockId: Id, by: -1 | 1): Content {
  const from = content.pages.findIndex((p) => p.blocks.some((b) => b.id === blockId));
  const page = content.pages[from];
  const at = page?.blocks.findIndex((b) => b.id === blockId) ?? -1;
  const block = page?.blocks[at];
  if (!page || !block) return content;
  const rest = withoutBlock(content, blockId);
  const target = at + by;
  if (target >= 0 && target < page.blocks.length) {
    const left = page.blocks.filter((b) => b !== block);
    return placeBlock(rest, block, page.id, left[target - 1]?.id ?? null);
  }
  const next = content.pages[from + by];
  if (!next) return content;
  return placeBlock(rest, block, next.id, by < 0 ? (next.blocks.at(-1)?.id ?? null) : null);
}

export function withPage(content: Content, id: Id): Content {
  const page = { id, title: `Page ${content.pages.length + 1}`, orientation: 'portrait' as const, blocks: [] };
  return { ...content, pages: [...content.pages, page] };
}

/** Without one of its objectives: the items that asked for it are for none. */
export function withoutObjective(content: Content, id: Id): Content {
  return {
    ...content,
    objectives: content.objectives.filter((o) => o.id !== id),
    pages: content.pages.map((p) => ({
      ...p,
      blocks: p.blocks.map((b) => {
        if (!isItem(b) || b.objectiveId !== id) return b;
        const { objectiveId: _, ...rest } = b;
        return rest as Block;
      }),
    })),
  };
}
