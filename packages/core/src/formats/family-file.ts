import { doubledIds } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Family, latest, type Version } from '../activity/family';
import { familySchema } from '../activity/family-schema';
import { forOthers } from '../adjust/for-others';
import { assetsOfFamily } from '../bank/assets';
import { madeOn } from '../chain/chain';
import { namesIn } from '../learners/names';
import type { Asset } from '../workspace';
import { migrateFamily } from './migrations';
import { type Pack, readPack, writePack } from './packed';
import { Problem } from './problem';

export const FAMILY_FILE_FORMAT = 3;

const PACK: Pack<Family> = {
  kind: 'family',
  format: FAMILY_FILE_FORMAT,
  schema: familySchema,
  migrate: migrateFamily,
  what: 'family file',
  holds: 'family of Lorvet',
  by: 'Save to a file',
};

/**
 * A family as one passes it on: without versions made for one learner and those on them, and without reasons, goals,
 * names of adjustments and the record of who decided what, which speak of learners. What a removed version was the basis
 * of goes with it. A version whose name holds one of `names` is called by its letter, a purpose that does is left out.
 */
export function passedOn(family: Family, names: ReadonlySet<string> = new Set()): Family {
  const personal = family.versions.filter((v) => v.learnerId);
  const out = new Set(personal.flatMap((v) => [v.id, ...madeOn(family, v.id).map((x) => x.id)]));
  const speaks = (text: string): boolean => namesIn(text, names).length > 0;
  const { origin, ...rest } = family;
  return {
    ...rest,
    ...(origin ? { origin: { ...origin, versionName: '' } } : {}),
    versions: family.versions
      .filter((v) => !out.has(v.id))
      .map((v) => ({
        ...v,
        name: speaks(v.name) ? `Version ${v.swatch.letter}` : v.name,
        purpose: speaks(v.purpose) ? '' : v.purpose,
        upkeepLog: [],
        adjustments: v.adjustments.map(forOthers),
      })),
  };
}

/** Where names of learners stand in what is passed on, in words of the activity itself: nobody but its teacher can mend that. */
export function namesPassedOn(family: Family, names: ReadonlySet<string>): string[] {
  const places = new Map<string, string>();
  const visit = (value: unknown): void => {
    if (typeof value === 'string') {
      for (const n of namesIn(value, names))
        if (!places.has(n)) places.set(n, `${n}, in “${value.replace(/\s+/g, ' ').trim().slice(0, 60)}”`);
    } else if (typeof value === 'object' && value !== null) Object.values(value).forEach(visit);
  };
  visit(passedOn(family, names));
  return [...places.values()];
}

/** A ZIP with manifest.json, family.json and the bytes of each asset under its address. */
export function writeFamily(
  family: Family,
  assets: Readonly<Record<string, Asset>>,
  at: string,
  names: ReadonlySet<string> = new Set(),
): Uint8Array {
  const own = passedOn(family, names);
  return writePack(
    PACK,
    own,
    [...assetsOfFamily(own)].flatMap((id) => assets[id] ?? []),
    at,
  );
}

/** The ids that stand more than once in a list. */
function twiceIn(ids: readonly Id[]): Id[] {
  const seen = new Set<Id>();
  return ids.filter((id) => seen.has(id) || !seen.add(id));
}

/**
 * What of a family cannot be right, in words, where every part of it fits its schema: ids that stand twice, numbers of
 * revisions, a basis that is not there or leads back to its own version.
 */
export function unsoundIn(family: Family): string[] {
  const { title } = latest(family).content;
  const numbers = family.revisions.map((r) => r.n);
  const out = numbers.some((n, i) => n !== i + 1) ? [`${title}: its revisions are numbered ${numbers.join(', ')}`] : [];
  for (const r of family.revisions)
    for (const id of doubledIds(r.content)) out.push(`${r.content.title}, revision ${r.n}: “${id}” stands twice`);
  for (const id of family.draft ? doubledIds(family.draft) : []) out.push(`${title}, unsaved: “${id}” stands twice`);
  for (const id of twiceIn(family.versions.map((v) => v.id))) out.push(`${title}: two versions are called “${id}”`);
  for (const id of twiceIn(family.versions.flatMap((v) => v.adjustments.map((a) => a.id))))
    out.push(`${title}: two adjustments are called “${id}”`);
  const byId = new Map(family.versions.map((v) => [v.id, v]));
  const sound = new Set<Id>();
  for (const v of family.versions) {
    if (v.basis !== null && !byId.has(v.basis))
      out.push(`${title}: what the version “${v.name}” is made on is not there`);
    if (v.upTo > numbers.length) out.push(`${title}: the version “${v.name}” is ahead of its master`);
    const way = new Set<Id>();
    let at: Version | undefined = v;
    while (at && !sound.has(at.id) && !way.has(at.id)) {
      way.add(at.id);
      at = at.basis === null ? undefined : byId.get(at.basis);
    }
    if (at && way.has(at.id)) out.push(`${title}: the version “${v.name}” is made on itself in a circle`);
    way.forEach((id) => sound.add(id));
  }
  return out;
}

/** Reads a family file whole, under an id of its own, or throws a Problem: there is no half of it. */
export function readFamily(bytes: Uint8Array, newId: () => Id): { family: Family; assets: Asset[] } {
  const { record, assets, wrong: lost } = readPack(bytes, PACK);
  const wrong = [...unsoundIn(record), ...lost];
  if (wrong.length)
    throw new Problem('The family in this file cannot be right. Nothing was changed.', wrong.slice(0, 8));
  return { family: { ...passedOn(record), id: newId() }, assets };
}
