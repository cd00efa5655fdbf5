import { findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Block, isItem } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { plainTextOf } from '../activity/plain-text';
import { OLD_NUMBERS } from '../adjust/adjustment';
import { speaksOfOld } from '../adjust/follow-numbers';
import { derive } from './derive';

/** Words of a block that may speak of a neighbour's numbers. */
const wordsOf = (b: Block): string =>
  isItem(b) ? (b.kind === 'long-text' ? (b.starters ?? []).join('\n') : '') : plainTextOf(b);

/**
 * Where a version gives a question other numbers and something still speaks of the old ones: ids of the questions whose hint or
 * flap could not follow, and of blocks on the same page that name the old answer or the old numbers.
 */
export function numbersLeft(family: Family, versionId: Id | null): Id[] {
  if (versionId === null) return [];
  const derived = derive(family, versionId);
  const found = new Set<Id>();
  const byId = new Map(family.versions.flatMap((v) => v.adjustments.map((a) => [`${v.id} ${a.id}`, a] as const)));
  for (const r of derived.reports) {
    const a = byId.get(`${r.versionId} ${r.adjustmentId}`);
    if (r.status === 'unsettled' && r.why === OLD_NUMBERS && a && 'target' in a) found.add(a.target);
  }
  for (const page of derived.content.pages)
    for (const now of page.blocks) {
      if (now.kind !== 'number') continue;
      const touched = derived.origins.get(now.id)?.touched.some((t) => t.adjustment.kind === 'other-numbers');
      const was = touched && findBlock(latest(family).content, now.id)?.block;
      if (!was || was.kind !== 'number') continue;
      for (const b of page.blocks) if (b.audience === 'learner' && speaksOfOld(wordsOf(b), was, now)) found.add(b.id);
    }
  return [...found];
}
