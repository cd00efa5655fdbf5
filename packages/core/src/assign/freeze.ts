import { findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Family, swatchOf, versionOf } from '../activity/family';
import { contentAddress } from '../activity/fingerprint';
import type { PersonalValues } from '../adjust/adjustment';
import { kindOfAdjustment } from '../adjust/registry';
import { basisContent, derive, deriveFor, type Derived, type Touch } from '../derive/derive';
import { type Frozen, type Given, type LineageStep, withOwn } from './hand-out';

/** The way of adjustments in words, each spoken of on its own basis. */
function stepsOf(family: Family, touches: readonly Touch[]): LineageStep[] {
  return touches.flatMap(({ versionId: id, adjustment }) => {
    const v = versionOf(family, id);
    if (!v) return [];
    const sentence = kindOfAdjustment(adjustment).describe(adjustment, basisContent(family, v));
    return [{ versionId: id, versionName: v.name, adjustmentId: adjustment.id, sentence }];
  });
}

function touchesOf(derived: Derived, blockId: Id): readonly Touch[] {
  const origin = derived.origins.get(blockId);
  if (!origin) return [];
  return origin.from === 'master' ? origin.touched : [origin.from, ...origin.touched];
}

/** A version held fast, and what is needed to give it to one learner after another. */
export interface Freezing {
  readonly frozen: Frozen;
  /** What a learner gets, whose card gives these values. */
  givenTo(learner: PersonalValues): Given;
}

/**
 * The activity of a version as it is on a day (ISO), held fast: its content, where it came from, and the way back of
 * every block in words. Its id is the address of all that: the same activity is the same record, whoever gets it. What a
 * learner's own values make another is a short list of blocks beside it.
 */
export function freezing(family: Family, versionId: Id | null, at: string): Freezing {
  const version = versionId === null ? undefined : versionOf(family, versionId);
  const derived = derive(family, version?.id ?? null, { at });
  const lineage: Record<string, LineageStep[]> = {};
  for (const blockId of derived.origins.keys())
    if (findBlock(derived.content, blockId)) lineage[blockId] = stepsOf(family, touchesOf(derived, blockId));
  const held = {
    familyId: family.id,
    versionId: version?.id ?? null,
    versionName: version?.name ?? 'Master',
    swatch: swatchOf(family, versionId),
    revision: derived.revision,
    content: derived.content,
    lineage,
  };
  const frozen: Frozen = { id: contentAddress(held), ...held };
  const plain = new Set(derived.content.pages.flatMap((p) => p.blocks));
  return {
    frozen,
    givenTo(learner) {
      const own = deriveFor(derived, family, frozen.versionId, { at, learner });
      if (own === derived) return { frozen: frozen.id };
      const blocks = own.content.pages.flatMap((p) => p.blocks.filter((b) => !plain.has(b)));
      if (blocks.length === 0) return { frozen: frozen.id };
      return {
        frozen: frozen.id,
        own: blocks.map((block) => {
          const known = touchesOf(derived, block.id).length;
          return { block, steps: stepsOf(family, touchesOf(own, block.id).slice(known)) };
        }),
      };
    },
  };
}

/** A version held fast, without a learner's values in it. */
export const freeze = (family: Family, versionId: Id | null, at: string): Frozen =>
  freezing(family, versionId, at).frozen;

/** A version held fast as one learner gets it. */
export function freezeFor(family: Family, versionId: Id | null, at: string, learner: PersonalValues): Frozen {
  const one = freezing(family, versionId, at);
  return withOwn(one.frozen, one.givenTo(learner));
}
