import type { Id } from '../activity/block';
import type { Version } from '../activity/family';
import { type Adjustment, kindOfAdjustment } from './registry';

/** What an adjustment adds: the ids of it, and what its first stands after; null where it adds nothing. */
function addedBy(a: Adjustment): { ids: readonly Id[]; after: Id | null } | null {
  switch (a.kind) {
    case 'insert-block':
    case 'worked-example':
    case 'extension-item':
      return { ids: [a.block.id], after: a.after };
    case 'word-bank':
    case 'glossary':
      return { ids: [a.blockId], after: a.after };
    case 'steps-to-tick':
      return { ids: [a.blockId], after: a.target };
    case 'insert-page':
    case 'from-activity':
      return { ids: kindOfAdjustment(a).targets(a), after: a.after };
    default:
      return null;
  }
}

/**
 * The version without one of its adjustments. What stood after a block it added now stands where that block stood, and
 * what was done to that block goes with it.
 */
export function withoutAdjustment(version: Version, adjustmentId: Id): Version {
  const gone = version.adjustments.find((a) => a.id === adjustmentId);
  const rest = version.adjustments.filter((a) => a.id !== adjustmentId);
  const added = gone && addedBy(gone);
  if (!added) return { ...version, adjustments: rest };
  return {
    ...version,
    adjustments: rest
      .filter((a) => !('target' in a && added.ids.includes(a.target)))
      .map((a) => ('after' in a && a.after !== null && added.ids.includes(a.after) ? { ...a, after: added.after } : a)),
  };
}
