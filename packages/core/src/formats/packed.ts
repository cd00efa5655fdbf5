import { sha256 } from '@noble/hashes/sha256';
import { bytesToHex } from '@noble/hashes/utils';
import { strToU8, zipSync } from 'fflate';
import { z } from '../zod';
import { type Asset, ASSET_MIMES } from '../workspace';
import { placesOf, Problem } from './problem';
import { jsonIn, openZip, tooNew } from './zip';

/** One kind of file that Lorvet writes for others: a ZIP of a manifest, one record as JSON, and the assets it shows. */
export interface Pack<T> {
  /** In the manifest, and the name of the record's file: "family". */
  readonly kind: string;
  readonly format: number;
  readonly schema: z.ZodType<T>;
  /** Brings a record of an earlier format up to now; what is not given never changed. */
  readonly migrate?: (raw: unknown) => unknown;
  /** What a teacher takes it for: "family file"; what is in it: "family of Lorvet"; the button that writes one. */
  readonly what: string;
  readonly holds: string;
  readonly by: string;
}

const manifestSchema = z.object({
  product: z.literal('lorvet'),
  kind: z.string().max(40),
  format: z.number().int(),
  at: z.string(),
  assets: z
    .array(z.object({ id: z.string().max(80), mime: z.enum(ASSET_MIMES), name: z.string().max(200) }))
    .default([]),
});

/** Where the other kinds of file come in, for one that was chosen in the wrong place. */
const ELSEWHERE: ReadonlyMap<string, string> = new Map([
  ['family', 'A family comes in on the Shelf, by “Family from a file”.'],
  ['adjustments', 'Adjustments come in on the Bench, beside the version that is to have them.'],
]);
const NO_PACK = 'A whole backup is restored under Keeping; a QTI package comes in by “Bring in a file”.';

/** A ZIP with manifest.json, the record, and the bytes of each asset under its address. */
export function writePack<T>(pack: Pack<T>, record: T, assets: readonly Asset[], at: string): Uint8Array {
  const manifest = {
    product: 'lorvet',
    kind: pack.kind,
    format: pack.format,
    at,
    assets: assets.map(({ id, mime, name }) => ({ id, mime, name })),
  };
  return zipSync(
    {
      'manifest.json': strToU8(JSON.stringify(manifest, null, 2)),
      [`${pack.kind}.json`]: strToU8(JSON.stringify(record, null, 1)),
      ...Object.fromEntries(assets.map((a) => [`assets/${a.id}`, a.data])),
    },
    { level: 6 },
  );
}

/**
 * What is in such a file, and what of its assets is wrong; the caller has more to look at before it takes any of it.
 * Throws a Problem where it is no such file, or a newer one, or where the record does not fit its schema.
 */
export function readPack<T>(bytes: Uint8Array, pack: Pack<T>): { record: T; assets: Asset[]; wrong: string[] } {
  const files = openZip(bytes, pack.what, pack.by);
  const manifest = manifestSchema.safeParse(jsonIn(files, 'manifest.json', pack.what));
  if (!manifest.success)
    throw new Problem(`This ZIP file holds no ${pack.holds}. ${NO_PACK}`, placesOf(manifest.error));
  const { kind } = manifest.data;
  if (kind !== pack.kind) throw new Problem(`This ZIP file holds no ${pack.holds}. ${ELSEWHERE.get(kind) ?? NO_PACK}`);
  if (manifest.data.format > pack.format) throw tooNew(pack.what, manifest.data.format, pack.format);
  const raw = jsonIn(files, `${pack.kind}.json`, pack.what);
  const read = pack.schema.safeParse(manifest.data.format < pack.format ? (pack.migrate?.(raw) ?? raw) : raw);
  if (!read.success)
    throw new Problem(`What is in this ${pack.what} does not fit. Nothing was changed.`, placesOf(read.error, 8));
  const wrong: string[] = [];
  const assets = manifest.data.assets.flatMap((a): Asset[] => {
    const data = files[`assets/${a.id}`];
    if (!data) wrong.push(`“${a.name}” is not in the file`);
    else if (a.id !== `sha256-${bytesToHex(sha256(data))}`) wrong.push(`“${a.name}” is not what it was`);
    else return [{ ...a, data }];
    return [];
  });
  return { record: read.data, assets, wrong };
}
