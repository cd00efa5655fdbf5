import { strToU8, zipSync } from 'fflate';
import { z } from 'zod';
import { COLLECTIONS, type CollectionName, recordSchemas, type Workspace } from '../workspace';
import { unsoundIn } from './family-file';
import { placesOf, Problem } from './problem';
import { jsonIn, openZip, tooNew } from './zip';

/** Format number of a workspace backup. A newer one is refused, an older one is brought up by its migrations. */
export const BACKUP_FORMAT = 3;
const WHAT = 'backup';

/** Collections that came with a later format: a backup written before has none of them. */
const SINCE: Partial<Record<CollectionName, number>> = { templates: 2, objectives: 2, recipes: 3 };

const manifestSchema = z.object({
  product: z.literal('lorvet'),
  kind: z.literal('workspace'),
  format: z.number().int(),
  at: z.string(),
  counts: z.record(z.string(), z.number()),
});

/** A ZIP with manifest.json and one JSON file for each collection. */
export function writeBackup(workspace: Workspace, at: string): Uint8Array {
  const counts = Object.fromEntries(COLLECTIONS.map((c) => [c, Object.keys(workspace[c]).length]));
  const manifest = { product: 'lorvet', kind: 'workspace', format: BACKUP_FORMAT, at, counts };
  const files: Record<string, Uint8Array> = { 'manifest.json': strToU8(JSON.stringify(manifest, null, 2)) };
  for (const c of COLLECTIONS) files[`${c}.json`] = strToU8(JSON.stringify(Object.values(workspace[c])));
  return zipSync(files, { level: 6 });
}

/** Reads a whole backup or throws a Problem: there is no half of it. */
export function readBackup(bytes: Uint8Array): { workspace: Workspace; at: string } {
  const files = openZip(bytes, WHAT, 'Save a backup');
  const manifest = manifestSchema.safeParse(jsonIn(files, 'manifest.json', WHAT));
  if (!manifest.success)
    throw new Problem('This ZIP file was not written by Lorvet, or its manifest is damaged.', placesOf(manifest.error));
  if (manifest.data.format > BACKUP_FORMAT) throw tooNew(WHAT, manifest.data.format, BACKUP_FORMAT);
  const out = {} as Record<CollectionName, Record<string, unknown>>;
  const details: string[] = [];
  for (const c of COLLECTIONS) {
    const list = manifest.data.format < (SINCE[c] ?? 1) ? [] : jsonIn(files, `${c}.json`, WHAT);
    if (!Array.isArray(list)) throw new Problem(`“${c}.json” in the backup is not a list. The file is damaged.`);
    if ((manifest.data.counts[c] ?? 0) !== list.length)
      details.push(`${c}: ${list.length} records, where the manifest counts ${manifest.data.counts[c] ?? 0}`);
    out[c] = {};
    list.forEach((record: unknown, i) => {
      const checked = recordSchemas[c].safeParse(record);
      if (!checked.success) details.push(...placesOf(checked.error, 2).map((p) => `${c}, record ${i + 1}: ${p}`));
      else if (Object.hasOwn(out[c], checked.data.id)) details.push(`${c}, record ${i + 1}: its id is there twice`);
      else out[c][checked.data.id] = checked.data;
    });
  }
  const workspace = out as Workspace;
  for (const f of Object.values(workspace.families)) details.push(...unsoundIn(f).map((d) => `families, ${d}`));
  if (details.length)
    throw new Problem('The backup has records that cannot be right. Nothing was changed.', details.slice(0, 8));
  return { workspace, at: manifest.data.at };
}
