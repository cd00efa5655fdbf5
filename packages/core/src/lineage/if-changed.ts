import { type Content, findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { withWords, wordsOf } from '../activity/blocks';
import { type Family, latest, versionTree } from '../activity/family';
import { contentAddress } from '../activity/fingerprint';
import { withBlocks } from '../activity/with-blocks';
import type { ReviewContext } from '../adjust/adjustment';
import { derive } from '../derive/derive';
import { reviewOf, type UpkeepEntry, waits } from '../upkeep/upkeep';

/** What would become of one version. */
export interface WouldBe {
  readonly versionId: Id;
  readonly name: string;
  readonly then: 'changes with it' | 'is asked about it' | 'stays as it is' | 'has it not';
  readonly why: readonly string[];
}

/** What would follow of a change to a block of the master, for every version: by trying it, on a copy. */
export interface WouldFollow {
  /** Were its words others; empty where it has none. */
  readonly changed: readonly WouldBe[];
  /** Were it taken out. */
  readonly removed: readonly WouldBe[];
}

/** Undefined where the master has no such block: what a version added is changed in the version. */
export function ifChanged(family: Family, blockId: Id, context: ReviewContext = {}): WouldFollow | undefined {
  const { content } = latest(family);
  const block = findBlock(content, blockId)?.block;
  if (!block) return undefined;
  const field = wordsOf(block).find((w) => w.text);
  const other = field && withWords(block, field.field, `${field.text} (other words)`);
  const without = {
    ...content,
    pages: content.pages.map((p) => ({ ...p, blocks: p.blocks.filter((b) => b.id !== blockId) })),
  };
  return {
    changed: other ? tried(family, withBlocks(content, [other]), blockId, context) : [],
    removed: tried(family, without, blockId, context),
  };
}

/** Every version as it would be with another revision of the master. */
function tried(family: Family, content: Content, blockId: Id, context: ReviewContext): WouldBe[] {
  const last = latest(family);
  const { draft: _, ...rest } = family;
  const next: Family = { ...rest, revisions: [...family.revisions, { ...last, n: last.n + 1, content }] };
  const blockOf = (f: Family, versionId: Id): string => {
    const block = findBlock(derive(f, versionId).content, blockId)?.block;
    return block ? contentAddress(block) : '';
  };
  return versionTree(family).map(({ version: { id: versionId, name } }): WouldBe => {
    const open = new Set(reviewOf(family, versionId, context).filter(waits).map(questionOf));
    const asked = reviewOf(next, versionId, context).filter((e) => waits(e) && !open.has(questionOf(e)));
    if (asked.length) return { versionId, name, then: 'is asked about it', why: [...new Set(asked.map((e) => e.why))] };
    const [was, is] = [blockOf(family, versionId), blockOf(next, versionId)];
    return { versionId, name, then: was === is ? (was ? 'stays as it is' : 'has it not') : 'changes with it', why: [] };
  });
}

const questionOf = (e: UpkeepEntry): string => `${e.adjustmentId}\n${e.groupKey}`;
