import type { Page } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import { chainOf, type Family } from '../activity/family';
import type { Adjustment } from '../adjust/registry';
import { type Derived, derive, originOf } from './derive';

/** One line of a comparison: what stands on each side, and which of the right side's adjustments made the difference. */
export interface CompareRow {
  readonly id: Id;
  readonly left: Block | null;
  readonly right: Block | null;
  readonly how: 'same' | 'changed' | 'moved' | 'left out' | 'added';
  readonly adjustments: readonly Adjustment[];
}

export interface ComparePage {
  readonly page: Page;
  /** Whether the right side shows the page at all. */
  readonly kept: boolean;
  readonly rows: readonly CompareRow[];
}

/**
 * Two versions (null: the master) side by side, page by page and block by block in the left one's order, aligned by the
 * master's ids; what only the right one shows stands where it does there. Each row names the adjustments that made the
 * difference: those of the right side that the left does not share, then those of the left that the right does not.
 */
export function compareVersions(family: Family, leftId: Id | null, rightId: Id | null): ComparePage[] {
  return compareDerived(
    derive(family, leftId),
    derive(family, rightId),
    chainIds(family, leftId),
    chainIds(family, rightId),
  );
}

function chainIds(family: Family, versionId: Id | null): ReadonlySet<Id> {
  return new Set(versionId === null ? [] : chainOf(family, versionId).map((v) => v.id));
}

function compareDerived(
  left: Derived,
  right: Derived,
  leftChain: ReadonlySet<Id>,
  rightChain: ReadonlySet<Id>,
): ComparePage[] {
  const touches = (side: Derived, blockId: Id, shared: ReadonlySet<Id>): Adjustment[] => {
    const origin = originOf(side, blockId);
    const all = origin.from === 'master' ? origin.touched : [origin.from, ...origin.touched];
    return all.filter((t) => !shared.has(t.versionId)).map((t) => t.adjustment);
  };
  const row = (l: Block | null, r: Block | null): CompareRow => {
    const id = (l ?? r)?.id ?? '';
    const adjustments = [...touches(right, id, leftChain), ...touches(left, id, rightChain)];
    if (l !== r) return { id, left: l, right: r, how: !l ? 'added' : !r ? 'left out' : 'changed', adjustments };
    const moves = adjustments.filter((a) => a.kind === 'move');
    return { id, left: l, right: r, how: moves.length ? 'moved' : 'same', adjustments: moves };
  };
  // A block that stands on another page of the other side is shown where the left side has it.
  const rightBlocks = new Map(right.whole.pages.flatMap((p) => p.blocks.map((b) => [b.id, b] as const)));
  const leftIds = new Set(left.whole.pages.flatMap((p) => p.blocks.map((b) => b.id)));
  const rightPages = new Map(right.whole.pages.map((p) => [p.id, p] as const));
  const known = new Set(left.whole.pages.map((p) => p.id));
  const pages = left.whole.pages.map((page): ComparePage => {
    const other = rightPages.get(page.id);
    if (!other) {
      const rows = page.blocks.map((b) => row(b, rightBlocks.get(b.id) ?? null));
      return { page, kept: rows.some((r) => r.right), rows };
    }
    if (other.blocks === page.blocks) return { page, kept: true, rows: page.blocks.map((b) => row(b, b)) };
    const rows: CompareRow[] = [];
    const here = new Set(page.blocks.map((b) => b.id));
    let at = 0;
    // What only the right side shows, up to the next block that both sides show here.
    const added = () => {
      for (let b = other.blocks[at]; b && !here.has(b.id); b = other.blocks[++at])
        if (!leftIds.has(b.id)) rows.push(row(null, b));
    };
    added();
    for (const b of page.blocks) {
      rows.push(row(b, rightBlocks.get(b.id) ?? null));
      if (other.blocks[at]?.id === b.id) {
        at++;
        added();
      }
    }
    // What stands in another order there and was not reached on the way.
    const shown = new Set(rows.map((r) => r.id));
    for (const b of other.blocks) if (!leftIds.has(b.id) && !shown.has(b.id)) rows.push(row(null, b));
    return { page, kept: true, rows };
  });
  // Pages that only the right side has stand after the page they follow there.
  right.whole.pages.forEach((page, i) => {
    if (known.has(page.id)) return;
    const rows = page.blocks.filter((b) => !leftIds.has(b.id)).map((b) => row(null, b));
    if (rows.length === 0) return;
    const before = right.whole.pages[i - 1]?.id;
    const at = before === undefined ? 0 : pages.findIndex((p) => p.page.id === before) + 1;
    pages.splice(at || pages.length, 0, { page, kept: true, rows });
  });
  return pages;
}
