import { type Content, findBlock } from '../../activity/activity';
import type { Id } from '../../activity/block';
import { type Family, latest, swatchOf, versionOf } from '../../activity/family';
import { contentAddress } from '../../activity/fingerprint';
import type { PersonalValues } from '../../adjust/adjustment';
import { kindOfAdjustment } from '../../adjust/registry';
import { basisContent, derive, deriveFor, type Derived, type Touch } from '../../derive/derive';
import { type GoalWords, recordOf } from './record';
import { type Frozen, type Given, type LineageStep, type Parts, withOwn } from '../hand-out';

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

/** What stands on a sheet, and of which derivation each block is. */
interface Composed {
  readonly revision: number;
  readonly content: Content;
  readonly sources: readonly (readonly [Derived, Id | null])[];
  sourceOf(blockId: Id): Derived | undefined;
}

/** A version's content with some of its pages taken from others; a page that the other leaves out is left out. */
function composed(family: Family, versionId: Id | null, parts: Parts, at: string): Composed {
  const base = derive(family, versionId, { at });
  const { revision } = base;
  const versions = new Map<Id | null, Derived>([[versionId, base]]);
  for (const p of parts) if (!versions.has(p.versionId)) versions.set(p.versionId, derive(family, p.versionId, { at }));
  if (parts.length === 0) {
    return { revision, content: base.content, sources: [[base, versionId]], sourceOf: () => base };
  }
  const by = new Map(parts.map((p) => [p.pageId, versions.get(p.versionId)]));
  const order = latest(family).content.pages.map((p) => p.id);
  const own = base.whole.pages.filter((p) => !by.has(p.id));
  const taken = [...by].flatMap(([id, d]) => d?.whole.pages.find((p) => p.id === id) ?? []);
  // Pages that the master has stand in its order; what a version added stays behind the page it followed.
  const place = (id: Id, i: number): number => {
    const at = order.indexOf(id);
    if (at >= 0) return at;
    const before = base.whole.pages.slice(0, i).findLast((p) => order.includes(p.id));
    return before ? order.indexOf(before.id) + 0.5 : -1;
  };
  const pages = [...own, ...taken]
    .map((page) => ({
      page,
      at: place(
        page.id,
        base.whole.pages.findIndex((p) => p.id === page.id),
      ),
    }))
    .sort((a, b) => a.at - b.at)
    .map((x) => x.page);
  const from = new Map(
    pages.flatMap((p) => {
      const source = by.get(p.id) ?? base;
      return p.blocks.map((b) => [b.id, source] as const);
    }),
  );
  return {
    revision,
    content: { ...base.whole, pages },
    sources: [...versions].map(([id, d]) => [d, id] as const),
    sourceOf: (id) => from.get(id),
  };
}

/**
 * The activity of a version as it is on a day (ISO), held fast: its content, where it came from, and the way back of
 * every block in words, what was decided about it; with `parts`, some of its pages from other versions. Its id is the address of all that: the same
 * activity is the same record, whoever gets it. What a learner's own values make another is a short list of blocks beside
 * it.
 */
export function freezing(
  family: Family,
  versionId: Id | null,
  at: string,
  parts: Parts = [],
  goalWords: GoalWords = () => undefined,
): Freezing {
  const version = versionId === null ? undefined : versionOf(family, versionId);
  const { content, sources, sourceOf, revision } = composed(family, version?.id ?? null, parts, at);
  const lineage: Record<string, LineageStep[]> = {};
  for (const [derived] of sources)
    for (const blockId of derived.origins.keys())
      if (sourceOf(blockId) === derived && findBlock(content, blockId))
        lineage[blockId] = stepsOf(family, touchesOf(derived, blockId));
  const held = {
    familyId: family.id,
    versionId: version?.id ?? null,
    versionName: version?.name ?? 'Master',
    swatch: swatchOf(family, versionId),
    revision,
    ...(parts.length ? { parts: [...parts] } : {}),
    content,
    lineage,
    record: recordOf(family, content, sources, at, goalWords),
  };
  const frozen: Frozen = { id: contentAddress(held), ...held };
  const plain = new Set(content.pages.flatMap((p) => p.blocks));
  return {
    frozen,
    givenTo(learner) {
      const own = sources.flatMap(([derived, id]) => {
        const mine = deriveFor(derived, family, id, { at, learner });
        if (mine === derived) return [];
        const pages = parts.length ? mine.whole.pages : mine.content.pages;
        return pages.flatMap((p) =>
          p.blocks.flatMap((block) => {
            if (plain.has(block) || sourceOf(block.id) !== derived || !findBlock(content, block.id)) return [];
            const known = touchesOf(derived, block.id).length;
            return [{ block, steps: stepsOf(family, touchesOf(mine, block.id).slice(known)) }];
          }),
        );
      });
      return { frozen: frozen.id, ...(own.length ? { own } : {}) };
    },
  };
}

/** What a version gives on a day, as it would be held fast. */
export const contentOn = (family: Family, versionId: Id | null, at: string, parts: Parts = []): Content =>
  composed(family, versionId === null ? null : (versionOf(family, versionId)?.id ?? null), parts, at).content;

/** A version held fast, without a learner's values in it. */
export const freeze = (family: Family, versionId: Id | null, at: string, parts?: Parts): Frozen =>
  freezing(family, versionId, at, parts).frozen;

/** A version held fast as one learner gets it. */
export function freezeFor(
  family: Family,
  versionId: Id | null,
  at: string,
  learner: PersonalValues,
  parts?: Parts,
): Frozen {
  const one = freezing(family, versionId, at, parts);
  return withOwn(one.frozen, one.givenTo(learner));
}

/** A version held fast for whoever gets it: what is personal in it says nothing of anybody. */
export function freezeForAll(family: Family, versionId: Id | null, at: string): Frozen {
  const { id: _, ...held } = freezeFor(family, versionId, at, {});
  return { id: contentAddress(held), ...held };
}
