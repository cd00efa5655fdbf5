import { asideSchema } from '../keep/aside';
import type { Aside } from '../keep/aside';
import { sha256 } from '@noble/hashes/sha256';
import { bytesToHex } from '@noble/hashes/utils';
import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { z } from '../zod';
import type { Family } from '../activity/family';
import { type Asset, ASSET_MIMES, recordSchemas, type Workspace } from '../workspace';
import { COLLECTIONS, type CollectionName, emptyWorkspace } from '../collections';
import { unsoundIn } from './family-file';
import { collectionsAt, migrateRecord, migrateWorkspace, type RawCollections } from './migrations';
import { WORKSPACE_FORMAT } from '../collections';
import { placesOf, Problem } from './problem';
import { BACKUP_LIMITS, jsonIn, namesIn, openZip, tooNew, type ZipFiles } from './zip';

const WHAT = 'backup';
const BY = 'Save a backup';
/** Records in one file of the ZIP, at most; a file is also ended where it is long enough to be read at once. */
const RECORDS = 500;
const LONG = 2_000_000;
const MOST_DETAILS = 8;

const assetHeadSchema = z.object({ id: z.string().max(80), mime: z.enum(ASSET_MIMES), name: z.string().max(200) });
const manifestSchema = z.object({
  product: z.literal('lorvet'),
  kind: z.literal('workspace'),
  format: z.number().int().min(1),
  at: z.string(),
  counts: z.record(z.string(), z.number()),
});

export type Written = CollectionName | 'aside';

/**
 * Writes a backup record by record into `sink`, so that no more than a part of it is held at once: manifest.json last,
 * each collection in files of up to some hundred records, assets as they are.
 */
export class BackupWriter {
  private readonly zip: Zip;
  private readonly counts: Record<string, number> = {};
  private readonly assets: z.infer<typeof assetHeadSchema>[] = [];
  private lines: string[] = [];
  private length = 0;
  private open: Written | null = null;
  private files = 0;

  constructor(
    private readonly at: string,
    sink: (bytes: Uint8Array) => void,
  ) {
    this.zip = new Zip((error, bytes) => {
      if (error) throw error;
      sink(bytes);
    });
  }

  /** Records of one collection are added one after the other. */
  add(to: Exclude<Written, 'assets'>, record: unknown): void {
    if (this.open !== to) {
      this.endFile();
      this.open = to;
      this.files = 0;
    }
    const line = JSON.stringify(record);
    this.lines.push(line);
    this.length += line.length;
    this.counts[to] = (this.counts[to] ?? 0) + 1;
    if (this.lines.length >= RECORDS || this.length >= LONG) this.endFile();
  }

  addAsset({ data, ...head }: Asset): void {
    this.assets.push(head);
    this.counts['assets'] = (this.counts['assets'] ?? 0) + 1;
    const file = new ZipPassThrough(`assets/${head.id}`);
    this.zip.add(file);
    file.push(data, true);
  }

  end(): void {
    this.endFile();
    if (this.assets.length) this.file('assets.json', JSON.stringify(this.assets));
    const manifest = {
      product: 'lorvet',
      kind: 'workspace',
      format: WORKSPACE_FORMAT,
      at: this.at,
      counts: this.counts,
    };
    this.file('manifest.json', JSON.stringify(manifest, null, 2));
    this.zip.end();
  }

  private endFile(): void {
    if (!this.open || this.lines.length === 0) return;
    this.file(`${this.open}/${`${++this.files}`.padStart(4, '0')}.json`, `[${this.lines.join(',\n')}]`);
    this.lines = [];
    this.length = 0;
  }

  private file(name: string, text: string): void {
    const file = new ZipDeflate(name, { level: 6 });
    this.zip.add(file);
    file.push(strToU8(text), true);
  }
}

/** A whole workspace as one backup. */
export function writeBackup(workspace: Workspace, at: string, asides: readonly Aside[] = []): Uint8Array {
  const parts: Uint8Array[] = [];
  const writer = new BackupWriter(at, (bytes) => parts.push(bytes));
  for (const c of COLLECTIONS)
    for (const record of Object.values(workspace[c]))
      if (c === 'assets') writer.addAsset(record as Asset);
      else writer.add(c, record);
  for (const a of asides) writer.add('aside', a);
  writer.end();
  return joined(parts);
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const out = new Uint8Array(parts.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const p of parts) {
    out.set(p, at);
    at += p.length;
  }
  return out;
}

/** Some records of a backup, checked. `of` and `done` count all of its records. */
export interface BackupPart {
  readonly done: number;
  readonly of: number;
  readonly collection: Written;
  readonly records: readonly { readonly id: string }[];
}
export interface Opened {
  readonly at: string;
  readonly format: number;
  readonly counts: Readonly<Record<string, number>>;
  /**
   * Everything in it, part by part. Throws a Problem at the end where anything could not be right: what was taken until
   * then is to be let go.
   */
  parts(): Generator<BackupPart, void>;
}

/** Opens a backup of any format, or throws a Problem. */
export function openBackup(bytes: Uint8Array): Opened {
  const read = manifestSchema.safeParse(
    jsonIn(
      openZip(bytes, WHAT, BY, BACKUP_LIMITS, (name) => name === 'manifest.json'),
      'manifest.json',
      WHAT,
    ),
  );
  if (!read.success)
    throw new Problem('This ZIP file was not written by Lorvet, or its manifest is damaged.', placesOf(read.error));
  const manifest = read.data;
  if (manifest.format > WORKSPACE_FORMAT) throw tooNew(WHAT, manifest.format, WORKSPACE_FORMAT);
  return {
    at: manifest.at,
    format: manifest.format,
    counts: manifest.counts,
    parts: () =>
      checked(manifest.counts, manifest.format < 4 ? oldParts(bytes, manifest.format) : parts(bytes, manifest.format)),
  };
}

interface RawPart {
  readonly collection: string;
  /** Where the records stand, for messages. */
  readonly records: readonly unknown[];
}

const listIn = (files: ZipFiles, name: string): readonly unknown[] => {
  const list = jsonIn(files, name, WHAT);
  if (!Array.isArray(list)) throw new Problem(`“${name}” in the backup is not a list. The file is damaged.`);
  return list;
};

/** Before format 4: one file for each collection. They are brought up to now together. */
function* oldParts(bytes: Uint8Array, format: number): Generator<RawPart> {
  const files = openZip(bytes, WHAT, BY, BACKUP_LIMITS);
  const raw: RawCollections = Object.fromEntries(collectionsAt(format).map((c) => [c, listIn(files, `${c}.json`)]));
  for (const [collection, records] of Object.entries(migrateWorkspace(format, raw))) yield { collection, records };
}

function* parts(bytes: Uint8Array, format: number): Generator<RawPart> {
  const names = namesIn(bytes, WHAT, BACKUP_LIMITS).sort();
  const only = (name: string) => openZip(bytes, WHAT, BY, BACKUP_LIMITS, (n) => n === name || n === 'manifest.json');
  for (const collection of [...COLLECTIONS, 'aside'])
    for (const name of names)
      if (name.startsWith(`${collection}/`) && name.endsWith('.json'))
        yield { collection, records: listIn(only(name), name).map((r) => migrateRecord(collection, format, r)) };
  if (!names.includes('assets.json')) return;
  const heads = listIn(only('assets.json'), 'assets.json').map((h) => assetHeadSchema.safeParse(h));
  // Some at a time: the directory of the ZIP is walked through once for each of these.
  for (let i = 0; i < heads.length; i += RECORDS / 10) {
    const some = heads.slice(i, i + RECORDS / 10);
    const wanted = new Set(some.map((h) => `assets/${h.data?.id}`));
    const files = openZip(bytes, WHAT, BY, BACKUP_LIMITS, (n) => wanted.has(n) || n === 'manifest.json');
    yield {
      collection: 'assets',
      records: some.map((h) => (h.success ? { ...h.data, data: files[`assets/${h.data.id}`] } : h.error)),
    };
  }
}

/** Every record against its schema, ids once each, families sound, assets under their own address, counts as said. */
function* checked(counts: Readonly<Record<string, number>>, all: Iterable<RawPart>): Generator<BackupPart, void> {
  const details: string[] = [];
  const seen = new Map<string, Set<string>>();
  const of = Object.values(counts).reduce((n, c) => n + c, 0);
  let done = 0;
  const raw: Record<string, number> = {};
  for (const { collection, records } of all) {
    const schema = collection === 'aside' ? asideSchema : recordSchemas[collection as CollectionName];
    const ids = seen.get(collection) ?? new Set();
    seen.set(collection, ids);
    const good: { id: string }[] = [];
    for (const record of records) {
      const n = (raw[collection] = (raw[collection] ?? 0) + 1);
      const say = (what: string) => details.push(`${collection}, record ${n}: ${what}`);
      const read = schema.safeParse(record);
      if (!read.success) placesOf(read.error, 2).forEach(say);
      else if (ids.has(read.data.id)) say('its id is there twice');
      else {
        ids.add(read.data.id);
        if (collection === 'families') unsoundIn(read.data as Family).forEach((d) => details.push(`families, ${d}`));
        if (collection === 'assets' && !isItself(read.data as Asset))
          say(`“${(read.data as Asset).name}” is not what it was`);
        good.push(read.data);
      }
      if (details.length >= MOST_DETAILS) throw wrong(details);
    }
    done += records.length;
    yield { done, of, collection: collection as Written, records: good };
  }
  for (const [c, n] of Object.entries(counts))
    if (c !== 'comforts' && (raw[c] ?? 0) !== n)
      details.push(`${c}: ${raw[c] ?? 0} records, where the manifest counts ${n}`);
  if (details.length) throw wrong(details);
}

const wrong = (details: readonly string[]): Problem =>
  new Problem('The backup has records that cannot be right. Nothing was changed.', details.slice(0, MOST_DETAILS));

/** Whether an asset's bytes are those that its address was made of. */
export const isItself = (a: Asset): boolean => a.id === `sha256-${bytesToHex(sha256(a.data))}`;

/** Reads a whole backup at once or throws a Problem: there is no half of it. */
export function readBackup(bytes: Uint8Array): { workspace: Workspace; at: string; asides: Aside[] } {
  const opened = openBackup(bytes);
  const out = emptyWorkspace() as Record<CollectionName, Record<string, unknown>>;
  const asides: Aside[] = [];
  for (const { collection, records } of opened.parts())
    if (collection === 'aside') asides.push(...(records as Aside[]));
    else for (const r of records) out[collection][r.id] = r;
  return { workspace: out as Workspace, at: opened.at, asides };
}
