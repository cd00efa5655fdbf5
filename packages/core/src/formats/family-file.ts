import { doubledIds } from '../activity/activity';
import type { Id } from '../activity/block';
import { chainOf, type Family, familySchema, latest, versionOf } from '../activity/family';
import { forOthers } from '../adjust/for-others';
import { assetsOfFamily } from '../bank/assets';
import { madeOn } from '../chain/chain';
import type { Asset } from '../workspace';
import { type Pack, readPack, writePack } from './packed';
import { Problem } from './problem';

export const FAMILY_FILE_FORMAT = 1;

const PACK: Pack<Family> = {
  kind: 'family',
  format: FAMILY_FILE_FORMAT,
  schema: familySchema,
  what: 'family file',
  holds: 'family of Lorvet',
  by: 'Save to a file',
};

/**
 * A family as one passes it on: without versions made for one learner and those on them, and without reasons, goals and
 * the record of who decided what, which speak of learners. What a removed version was the basis of goes with it.
 */
export function passedOn(family: Family): Family {
  const personal = family.versions.filter((v) => v.learnerId);
  const out = new Set(personal.flatMap((v) => [v.id, ...madeOn(family, v.id).map((x) => x.id)]));
  return {
    ...family,
    versions: family.versions
      .filter((v) => !out.has(v.id))
      .map((v) => ({ ...v, upkeepLog: [], adjustments: v.adjustments.map(forOthers) })),
  };
}

/** A ZIP with manifest.json, family.json and the bytes of each asset under its address. */
export function writeFamily(family: Family, assets: Readonly<Record<string, Asset>>, at: string): Uint8Array {
  const own = passedOn(family);
  return writePack(
    PACK,
    own,
    [...assetsOfFamily(own)].flatMap((id) => assets[id] ?? []),
    at,
  );
}

/** What of a family cannot be right, in words: ids that stand twice, a basis that is made on itself or is not there. */
export function unsoundIn(family: Family): string[] {
  const { title } = latest(family).content;
  const doubled = family.revisions.flatMap((r) =>
    doubledIds(r.content).map((id) => `${r.content.title}, revision ${r.n}: “${id}” stands twice`),
  );
  const circles = family.versions.flatMap((v) => {
    const top = chainOf(family, v.id)[0];
    return top && top.basis !== null && versionOf(family, top.basis)
      ? [`${title}: the version “${v.name}” is made on itself in a circle`]
      : [];
  });
  return [...doubled, ...circles];
}

/** Reads a family file whole, under an id of its own, or throws a Problem: there is no half of it. */
export function readFamily(bytes: Uint8Array, newId: () => Id): { family: Family; assets: Asset[] } {
  const { record, assets, wrong: lost } = readPack(bytes, PACK);
  const wrong = [...unsoundIn(record), ...lost];
  const numbers = record.revisions.map((r) => r.n);
  if (numbers.some((n, i) => n !== i + 1)) wrong.push(`Its revisions are numbered ${numbers.join(', ')}`);
  if (wrong.length)
    throw new Problem('The family in this file cannot be right. Nothing was changed.', wrong.slice(0, 8));
  return { family: { ...passedOn(record), id: newId() }, assets };
}
