import type { Id } from '../activity/block';
import type { Family, Version } from '../activity/family';
import { sheetBefore } from '../derive/derive';
import { type Adjustment, kindOfAdjustment } from './registry';
import type { Sheet } from './sheet';

/** Ids of what an adjustment adds; none where it adds nothing. */
function addedBy(a: Adjustment): readonly Id[] {
  switch (a.kind) {
    case 'insert-block':
    case 'worked-example':
    case 'extension-item':
      return [a.block.id];
    case 'word-bank':
    case 'glossary':
    case 'steps-to-tick':
      return [a.blockId];
    case 'insert-page':
    case 'from-activity':
      return kindOfAdjustment(a).targets(a);
    default:
      return [];
  }
}

/** What stands before a block or page on a sheet and is none of `ids` itself: null is first; undefined where it is not there. */
function standsBefore(sheet: Sheet, id: Id, ids: readonly Id[]): Id | null | undefined {
  const page = sheet.pageOf(id);
  const list = page ? page.blocks : sheet.allPages();
  const here = list.findIndex((x) => x.id === id);
  if (here < 0) return undefined;
  for (let at = here - 1; at >= 0; at--) {
    const before = list[at]?.id;
    if (before !== undefined && !ids.includes(before)) return before;
  }
  return null;
}

/** What an adjustment puts its own behind. */
const placeOf = (a: Adjustment | undefined): Id | null =>
  !a ? null : 'after' in a ? a.after : a.kind === 'steps-to-tick' ? a.target : null;

/**
 * The version without one of its adjustments. What was put behind a block or page that it added stands behind what stood
 * before that one by then; what was done to it goes with it.
 */
export function withoutAdjustment(family: Family, version: Version, adjustmentId: Id): Version {
  const gone = version.adjustments.find((a) => a.id === adjustmentId);
  const added = gone ? addedBy(gone) : [];
  const isAdded = (id: Id): boolean => added.includes(id);
  let now = version;
  for (const a of version.adjustments)
    if (a !== gone && 'target' in a && isAdded(a.target)) now = withoutAdjustment(family, now, a.id);
  const adjustments = now.adjustments.flatMap((a): Adjustment[] => {
    if (a.id === adjustmentId) return [];
    if (!('after' in a) || a.after === null || !isAdded(a.after)) return [a];
    const before = standsBefore(sheetBefore(family, now, a.id), a.after, added);
    // One that is switched off stands nowhere: there its own place is all that is known.
    return [{ ...a, after: before === undefined ? placeOf(gone) : before }];
  });
  return { ...version, adjustments };
}
