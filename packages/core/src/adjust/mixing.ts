import { type Block, blockKinds, type LearnerBlock } from '../activity/blocks';
import { fingerprint } from '../activity/fingerprint';

const listsOf = (kind: Block['kind']): readonly string[] => blockKinds[kind].mixes ?? [];

export const canMix = (block: Block): boolean => listsOf(block.kind).length > 0;

/** A learner's block with its pieces in the order that follows from a seed; the same seed gives the same order. */
export function mixedForLearner(block: LearnerBlock, seed: string): LearnerBlock {
  const lists = listsOf(block.kind);
  if (lists.length === 0) return block;
  const held = block as unknown as Readonly<Record<string, readonly { id: string }[]>>;
  const out = { ...held };
  for (const name of lists) {
    const list = held[name] ?? [];
    const at = new Map(list.map((p) => [p.id, fingerprint([seed, block.id, p.id])]));
    out[name] = [...list].sort((a, b) => ((at.get(a.id) ?? '') < (at.get(b.id) ?? '') ? -1 : 1));
  }
  return out as unknown as LearnerBlock;
}
