import { findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Family, versionOf } from '../activity/family';
import { contentAddress } from '../activity/fingerprint';
import type { PersonalValues } from '../adjust/adjustment';
import { kindOfAdjustment } from '../adjust/registry';
import { basisContent, derive } from '../derive/derive';
import type { Frozen, LineageStep } from './hand-out';

/**
 * The activity of a version as it is now, held fast: its content, where it came from, and the way back of every block
 * in words. The same content has the same `hash`.
 */
export function freeze(family: Family, versionId: Id | null, at: string, learner?: PersonalValues): Frozen {
  const version = versionId === null ? undefined : versionOf(family, versionId);
  const derived = derive(family, version?.id ?? null, { at, ...(learner ? { learner } : {}) });
  const lineage: Record<string, LineageStep[]> = {};
  for (const [blockId, origin] of derived.origins) {
    if (!findBlock(derived.content, blockId)) continue;
    const touches = origin.from === 'master' ? origin.touched : [origin.from, ...origin.touched];
    lineage[blockId] = touches.flatMap(({ versionId: id, adjustment }) => {
      const v = versionOf(family, id);
      if (!v) return [];
      const sentence = kindOfAdjustment(adjustment).describe(adjustment, basisContent(family, v));
      return [{ versionId: id, versionName: v.name, adjustmentId: adjustment.id, sentence }];
    });
  }
  return {
    hash: contentAddress(derived.content),
    familyId: family.id,
    versionId: version?.id ?? null,
    versionName: version?.name ?? 'Master',
    swatch: version?.swatch ?? null,
    revision: derived.revision,
    at,
    content: derived.content,
    lineage,
  };
}
