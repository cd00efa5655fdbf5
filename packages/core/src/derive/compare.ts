import type { Page } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import { type Family, versionOf } from '../activity/family';
import type { Adjustment } from '../adjust/registry';
import { type Derived, derive, originOf } from './derive';

/** One line of a comparison: what stands on each side, and which of the right side's adjustments made the difference. */
export interface CompareRow {
  readonly id: Id;
  readonly left: Block | null;
  readonly right: Block | null;
  readonly how: 'same' | 'changed' | 'left out' | 'added';
  readonly adjustments: readonly Adjustment[];
}

export interface ComparePage {
  readonly page: Page;
  /** Whether the right side shows the page at all. */
  readonly kept: boolean;
  readonly rows: readonly CompareRow[];
}

/**
 * A version beside what it is made on, page by page and block by block in the basis's order, added blocks where they
 * stand. `leftId` null is the master; it must be on the right version's chain for the adjustments to be named.
 */
export function compareVersions(family: Family, leftId: Id | null, rightId: Id | null): ComparePage[] {
  return compareDerived(derive(family, leftId), derive(family, rightId), chainIds(family, leftId));
}

function chainIds(family: Family, versionId: Id | null): ReadonlySet<Id> {
  const ids = new Set<Id>();
  for (let id = versionId; id !== null && !ids.has(id); id = versionOf(family, id)?.basis ?? null) ids.add(id);
  return ids;
}

function compareDerived(left: Derived, right: Derived, leftChain: ReadonlySet<Id>): ComparePage[] {
  const rightPages = new Map(right.content.pages.map((p) => [p.id, p]));
  const touchesOf = (blockId: Id): Adjustment[] => {
    const origin = originOf(right, blockId);
    const all = origin.from === 'master' ? origin.touched : [origin.from, ...origin.touched];
    return all.filter((t) => !leftChain.has(t.versionId)).map((t) => t.adjustment);
  };
  const row = (l: Block | null, r: Block | null): CompareRow => {
    const id = (l ?? r)?.id ?? '';
    const how = !l ? 'added' : !r ? 'left out' : l === r ? 'same' : 'changed';
    return { id, left: l, right: r, how, adjustments: how === 'same' ? [] : touchesOf(id) };
  };
  return left.content.pages.map((page) => {
    const other = rightPages.get(page.id);
    if (!other) return { page, kept: false, rows: page.blocks.map((b) => row(b, null)) };
    if (other === page) return { page, kept: true, rows: page.blocks.map((b) => row(b, b)) };
    const mine = new Map(other.blocks.map((b) => [b.id, b]));
    const theirs = new Set(page.blocks.map((b) => b.id));
    const rows: CompareRow[] = [];
    let at = 0;
    const added = () => {
      for (let b = other.blocks[at]; b && !theirs.has(b.id); b = other.blocks[++at]) rows.push(row(null, b));
    };
    added();
    for (const b of page.blocks) {
      const r = mine.get(b.id) ?? null;
      rows.push(row(b, r));
      if (r) {
        at++;
        added();
      }
    }
    return { page, kept: true, rows };
  });
}
