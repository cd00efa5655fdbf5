import { sha256 } from '@noble/hashes/sha256';
import { bytesToHex } from '@noble/hashes/utils';
import { strToU8, zipSync } from 'fflate';
import { z } from 'zod';
import { doubledIds } from '../activity/activity';
import type { Id } from '../activity/block';
import { chainOf, type Family, familySchema, latest, versionOf } from '../activity/family';
import { assetsOfFamily } from '../bank/assets';
import { madeOn } from '../chain/chain';
import { type Asset, ASSET_MIMES } from '../workspace';
import { base64, fromBase64 } from './base64';
import { placesOf, Problem } from './problem';
import { jsonIn, openZip, tooNew } from './zip';

export const FAMILY_FILE_FORMAT = 1;
const WHAT = 'family file';

const manifestSchema = z.object({
  product: z.literal('lorvet'),
  kind: z.literal('family'),
  format: z.number().int(),
  at: z.string(),
  assets: z.array(z.object({ id: z.string().max(80), mime: z.enum(ASSET_MIMES), name: z.string().max(200) })),
});

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
      .map((v) => ({
        ...v,
        upkeepLog: [],
        adjustments: v.adjustments.map((a) => {
          const { reason: _, ...rest } = a;
          return rest;
        }),
      })),
  };
}

/** A ZIP with manifest.json, family.json and the bytes of each asset under its address. */
export function writeFamily(family: Family, assets: Readonly<Record<string, Asset>>, at: string): Uint8Array {
  const own = passedOn(family);
  const used = [...assetsOfFamily(own)].flatMap((id) => assets[id] ?? []);
  const manifest = {
    product: 'lorvet',
    kind: 'family',
    format: FAMILY_FILE_FORMAT,
    at,
    assets: used.map(({ id, mime, name }) => ({ id, mime, name })),
  };
  return zipSync(
    {
      'manifest.json': strToU8(JSON.stringify(manifest, null, 2)),
      'family.json': strToU8(JSON.stringify(own, null, 1)),
      ...Object.fromEntries(used.map((a) => [`assets/${a.id}`, fromBase64(a.data)])),
    },
    { level: 6 },
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
  const files = openZip(bytes, WHAT, 'Save to a file');
  const manifest = manifestSchema.safeParse(jsonIn(files, 'manifest.json', WHAT));
  if (!manifest.success)
    throw new Problem(
      'This ZIP file holds no family of Lorvet. A whole backup is restored under Keeping; a QTI package comes in by “Bring in a file”.',
      placesOf(manifest.error),
    );
  if (manifest.data.format > FAMILY_FILE_FORMAT) throw tooNew(WHAT, manifest.data.format, FAMILY_FILE_FORMAT);
  const read = familySchema.safeParse(jsonIn(files, 'family.json', WHAT));
  if (!read.success)
    throw new Problem('The family in this file does not fit. Nothing was changed.', placesOf(read.error, 8));
  const wrong = unsoundIn(read.data);
  const numbers = read.data.revisions.map((r) => r.n);
  if (numbers.some((n, i) => n !== i + 1)) wrong.push(`Its revisions are numbered ${numbers.join(', ')}`);
  const assets = manifest.data.assets.flatMap((a): Asset[] => {
    const data = files[`assets/${a.id}`];
    if (!data) wrong.push(`“${a.name}” is not in the file`);
    else if (a.id !== `sha256-${bytesToHex(sha256(data))}`) wrong.push(`“${a.name}” is not what it was`);
    else return [{ ...a, data: base64(data) }];
    return [];
  });
  if (wrong.length)
    throw new Problem('The family in this file cannot be right. Nothing was changed.', wrong.slice(0, 8));
  return { family: { ...passedOn(read.data), id: newId() }, assets };
}
