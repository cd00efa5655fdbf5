import type { Content } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import { fingerprint } from '../activity/fingerprint';

/** The lists of a block whose order says nothing of the key, so that they may come in any. */
function mixable(block: Block): readonly string[] {
  switch (block.kind) {
    case 'single-choice':
    case 'multiple-choice':
      return ['options'];
    case 'matching':
      return ['pairs', 'extra'];
    case 'sorting':
      return ['pieces'];
    default:
      return [];
  }
}

export const canMix = (block: Block): boolean => mixable(block).length > 0;

/** A block with its pieces in the order that follows from a seed; the same seed gives the same order. */
export function mixed(block: Block, seed: string): Block {
  const lists = mixable(block);
  if (lists.length === 0) return block;
  const held = block as unknown as Record<string, readonly { id: Id }[]>;
  const out = { ...held };
  for (const name of lists) {
    const list = held[name] ?? [];
    const at = new Map(list.map((p) => [p.id, fingerprint([seed, block.id, p.id])]));
    out[name] = [...list].sort((a, b) => ((at.get(a.id) ?? '') < (at.get(b.id) ?? '') ? -1 : 1));
  }
  return out as unknown as Block;
}

/** A content whose `settings.mix` is carried out for one learner and go. */
export function mixedContent(content: Content, seed: string): Content {
  const ids = new Set(content.settings?.mix ?? []);
  if (ids.size === 0) return content;
  return {
    ...content,
    pages: content.pages.map((p) =>
      p.blocks.some((b) => ids.has(b.id))
        ? { ...p, blocks: p.blocks.map((b) => (ids.has(b.id) ? mixed(b, seed) : b)) }
        : p,
    ),
  };
}
