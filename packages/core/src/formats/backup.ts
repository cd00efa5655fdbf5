import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { z } from 'zod';
import { doubledIds } from '../activity/activity';
import { chainOf, latest, versionOf } from '../activity/family';
import { COLLECTIONS, type CollectionName, recordSchemas, type Workspace } from '../workspace';
import { placesOf, Problem } from './problem';

/** Format number of a workspace backup. A newer one is refused, an older one is brought up by its migrations. */
export const BACKUP_FORMAT = 3;

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

function parse(files: Record<string, Uint8Array>, name: string): unknown {
  const bytes = files[name];
  if (!bytes) throw new Problem(`The backup lacks “${name}”. It is not whole; try another copy of it.`);
  try {
    return JSON.parse(strFromU8(bytes));
  } catch {
    throw new Problem(`“${name}” in the backup cannot be read. The file is damaged; try another copy of it.`);
  }
}

/** Reads a whole backup or throws a Problem: there is no half of it. */
export function readBackup(bytes: Uint8Array): { workspace: Workspace; at: string } {
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes);
  } catch {
    throw new Problem(
      'This file cannot be opened as a backup: it is damaged, or it is not a ZIP file. Choose the file that “Save a backup” wrote.',
    );
  }
  if (!files['manifest.json'])
    throw new Problem(
      'This ZIP file is not a Lorvet backup: it has no manifest. Choose the file that “Save a backup” wrote.',
    );
  const manifest = manifestSchema.safeParse(parse(files, 'manifest.json'));
  if (!manifest.success)
    throw new Problem('This ZIP file was not written by Lorvet, or its manifest is damaged.', placesOf(manifest.error));
  if (manifest.data.format > BACKUP_FORMAT)
    throw new Problem(
      `This backup was written by a newer Lorvet (format ${manifest.data.format}; this one reads up to ${BACKUP_FORMAT}). Update Lorvet, then try again.`,
    );
  const out = {} as Record<CollectionName, Record<string, unknown>>;
  const details: string[] = [];
  for (const c of COLLECTIONS) {
    const list = manifest.data.format < (SINCE[c] ?? 1) ? [] : parse(files, `${c}.json`);
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
  for (const f of Object.values(workspace.families))
    for (const r of f.revisions)
      for (const id of doubledIds(r.content))
        details.push(`families, ${r.content.title}, revision ${r.n}: “${id}” stands twice`);
  for (const f of Object.values(workspace.families))
    for (const v of f.versions) {
      const top = chainOf(f, v.id)[0];
      if (top && top.basis !== null && versionOf(f, top.basis))
        details.push(`families, ${latest(f).content.title}: the version “${v.name}” is made on itself in a circle`);
    }
  if (details.length)
    throw new Problem('The backup has records that cannot be right. Nothing was changed.', details.slice(0, 8));
  return { workspace, at: manifest.data.at };
}
