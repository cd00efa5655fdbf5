import type { Id } from './block';
import type { Family, Revision, Version } from './family-schema';
import type { Swatch } from './swatch';

export type { Family, Revision, UpkeepRecord, Version } from './family-schema';
export type { Swatch } from './swatch';

export function latest(family: Family): Revision {
  const last = family.revisions.at(-1);
  if (!last) throw new Error(`Family ${family.id} has no revision.`);
  return last;
}

/** The mark of a version; null is the master. */
export const swatchOf = (family: Family, versionId: Id | null): Swatch =>
  (versionId === null ? undefined : versionOf(family, versionId)?.swatch) ?? family.swatch;

const indexes = new WeakMap<Family['versions'], ReadonlyMap<Id, Version>>();

/** A version by its id, found at once in a family of any size. */
export function versionOf(family: Family, id: Id): Version | undefined {
  let index = indexes.get(family.versions);
  if (!index) indexes.set(family.versions, (index = new Map(family.versions.map((v) => [v.id, v]))));
  return index.get(id);
}

/** From the version nearest the master to the version itself. Stops where a basis is missing or would go in a circle. */
export function chainOf(family: Family, versionId: Id): Version[] {
  const chain = new Set<Version>();
  let version = versionOf(family, versionId);
  while (version && !chain.has(version)) {
    chain.add(version);
    version = version.basis === null ? undefined : versionOf(family, version.basis);
  }
  return [...chain].reverse();
}

/** The versions as a tree in reading order, each with its depth. */
export function versionTree(family: Family): { version: Version; depth: number }[] {
  const out: { version: Version; depth: number }[] = [];
  const on = new Map<Id | null, Version[]>();
  for (const version of family.versions) {
    const siblings = on.get(version.basis);
    if (siblings) siblings.push(version);
    else on.set(version.basis, [version]);
  }
  const visit = (basis: Id | null, depth: number) => {
    for (const version of on.get(basis) ?? []) {
      out.push({ version, depth });
      visit(version.id, depth + 1);
    }
  };
  visit(null, 0);
  return out;
}

/** Ids of the families that versions of a family take parts from. */
export const sourceFamilies = (family: Family): string[] => [
  ...new Set(
    family.versions.flatMap((v) =>
      v.adjustments.flatMap((a) => (a.kind === 'from-activity' && a.source.familyId ? [a.source.familyId] : [])),
    ),
  ),
];
