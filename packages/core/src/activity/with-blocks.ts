import type { Content } from './activity';

/** The content with some of its blocks in place of those of the same ids. */
export function withBlocks(content: Content, blocks: readonly { readonly id: string }[]): Content {
  if (blocks.length === 0) return content;
  const by = new Map(blocks.map((b) => [b.id, b as Content['pages'][number]['blocks'][number]]));
  return {
    ...content,
    pages: content.pages.map((p) =>
      p.blocks.some((b) => by.has(b.id)) ? { ...p, blocks: p.blocks.map((b) => by.get(b.id) ?? b) } : p,
    ),
  };
}
