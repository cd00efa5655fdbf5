import type { Id } from '../activity/block';
import { type Content } from '../activity/activity';
import { chainOf, type Family, latest, type Version, versionOf } from '../activity/family';
import { FAMILY_FORMAT } from '../activity/family-schema';
import { swatchFrom } from '../activity/swatch';
import { type ReviewContext } from '../adjust/adjustment';
import { CannotRecord } from '../adjust/cannot-record';
import { derive } from '../derive/derive';
import { carryOver, type Settler } from '../upkeep/resolve';
import { reviewOf, type UpkeepEntry } from '../upkeep/upkeep';

/** The versions made on a version, nearest first, and those made on them. */
export function madeOn(family: Family, versionId: Id): Version[] {
  return family.versions.filter((v) => v.id !== versionId && chainOf(family, v.id).some((x) => x.id === versionId));
}

/** What a version could be moved onto: the master (null) and every version that is not itself or made on it. */
export function possibleBases(family: Family, versionId: Id): (Id | null)[] {
  const own = new Set([versionId, ...madeOn(family, versionId).map((v) => v.id)]);
  return [null, ...family.versions.map((v) => v.id).filter((id) => !own.has(id))];
}

export interface Rebased {
  readonly family: Family;
  /** What became of the version's adjustments on the other basis, as upkeep says it. */
  readonly entries: readonly UpkeepEntry[];
}

/**
 * A version moved onto another basis. Its adjustments stay; each is held against what it stands on now, as after a
 * change of the master: what goes together is carried over, the rest waits for a decision. Throws CannotRecord where a
 * circle would come of it.
 */
export function rebase(
  family: Family,
  versionId: Id,
  basis: Id | null,
  settler: Settler,
  context: ReviewContext = {},
): Rebased {
  const version = versionOf(family, versionId);
  if (!version) throw new CannotRecord('This version is no longer there.');
  if (!possibleBases(family, versionId).includes(basis))
    throw new CannotRecord(
      basis !== null && versionOf(family, basis)
        ? `“${versionOf(family, basis)?.name ?? ''}” is made on this version itself: one of them must stand on something else.`
        : 'The basis chosen is no longer there.',
    );
  const moved: Family = {
    ...family,
    versions: family.versions.map((v) => (v.id === versionId ? { ...v, basis } : v)),
  };
  return { family: carryOver(moved, settler, context), entries: reviewOf(moved, versionId, context) };
}

/** What becomes of the versions made on one that is removed. */
export type Heirs =
  /** They take over its adjustments, and stay as they are. */
  | 'take-over'
  /** They are moved onto what it stood on, and their adjustments fitted anew. */
  | 'move-up'
  /** They go with it. */
  | 'go-too';

export function withoutVersion(family: Family, versionId: Id, heirs: Heirs, settler: Settler): Family {
  const gone = versionOf(family, versionId);
  if (!gone) return family;
  if (heirs === 'go-too') {
    const out = new Set([versionId, ...madeOn(family, versionId).map((v) => v.id)]);
    return { ...family, versions: family.versions.filter((v) => !out.has(v.id)) };
  }
  const rest: Family = {
    ...family,
    versions: family.versions
      .filter((v) => v !== gone)
      .map((v) =>
        v.basis !== gone.id
          ? v
          : {
              ...v,
              basis: gone.basis,
              adjustments: heirs === 'take-over' ? [...gone.adjustments, ...v.adjustments] : v.adjustments,
            },
      ),
  };
  return heirs === 'take-over' ? rest : carryOver(rest, settler);
}

/** A version as a master of its own: what it shows becomes revision 1, every page and block with its source kept. */
export function masterFrom(
  family: Family,
  versionId: Id,
  made: { readonly id: Id; readonly at: string; readonly author: string; readonly title: string },
): Family {
  const version = versionOf(family, versionId);
  if (!version) throw new CannotRecord('This version is no longer there.');
  const { content, revision } = derive(family, versionId);
  const source = { familyId: family.id, revision, title: latest(family).content.title };
  const own: Content = {
    ...content,
    title: made.title,
    pages: content.pages.map((p) => ({
      ...p,
      source: p.source ?? { ...source, id: p.id },
      blocks: p.blocks.map((b) => ({ ...b, source: b.source ?? { ...source, id: b.id } })),
    })),
  };
  return {
    format: FAMILY_FORMAT,
    id: made.id,
    createdAt: made.at,
    swatch: swatchFrom(made.id),
    revisions: [
      {
        n: 1,
        at: made.at,
        author: made.author,
        note: `Made from “${version.name}” of “${source.title}”`.slice(0, 300),
        content: own,
      },
    ],
    versions: [],
    origin: { familyId: family.id, versionId, revision, title: source.title, versionName: version.name },
  };
}
