import {
  type Asset,
  type AssetUses,
  AssetUses as Uses,
  type Aside,
  asideSchema,
  BackupWriter,
  type CollectionName,
  COLLECTIONS,
  type Copy,
  type Family,
  type Folder,
  type Frozen,
  frozenIdsOf,
  type HandOut,
  indexOf,
  INDEX_NAMES,
  migrateWorkspace,
  openBackup,
  type RawCollections,
  type Marking,
  type Removed,
  repaired,
  type Template,
  type Workspace,
  emptyWorkspace,
  writeBackup,
} from '@lorvet/core';
import type { Boxes, BoxName } from './boxes';
import { Filler } from './filling';
import { Generation, readAll, readOne, Unreadable } from './generation';
import { assetOfKept, keptAsset, type KeptAsset } from './kept-asset';
import { boxOf, isWrapped, joined, keyOf, type Kind, migrated, partKeys, placeOf, readRecord } from './record-places';

/** How far long work is. */
export type Progress = (done: number, of: number) => void;

export interface BackupChecked {
  readonly ok: true;
  readonly at: string;
  readonly counts: Readonly<Record<string, number>>;
}

/** What takes room, and what nothing uses any more. */
export interface Usage {
  readonly assets: readonly {
    readonly id: string;
    readonly name: string;
    readonly size: number;
    readonly uses: number;
  }[];
  /** Activities that were given out and that no hand-out speaks of any more. */
  readonly frozen: readonly string[];
}

const ASIDE = 'aside/';

/** Work on all that is kept, in a worker: backups out and in, an earlier format brought up, what is used. */
export class Bulk {
  constructor(private readonly boxes: Boxes) {}

  /** Everything that is kept, also what was removed and what was set aside, as one ZIP. */
  async writeBackup(id: string, at: string, progress: Progress): Promise<Blob> {
    const generation = new Generation(this.boxes, id);
    const parts: BlobPart[] = [];
    const writer = new BackupWriter(at, (bytes) => parts.push(bytes as BlobPart));
    const keys = await this.keysOf(generation);
    const of = [...keys.values()].reduce((n, list) => n + list.length, 0);
    let done = 0;
    const lost: Aside[] = [];
    for (const collection of COLLECTIONS.filter((c) => c !== 'assets')) {
      const found: { place: number; data: unknown }[] = [];
      for (const recordId of keys.get(collection) ?? []) {
        const read = await this.record(generation, collection, recordId);
        if ('data' in read) found.push(read);
        else
          lost.push({ id: recordId.slice(0, 64), key: keyOf(collection, recordId), why: read.why, at, data: read.raw });
        progress(++done, of);
      }
      found.sort((a, b) => a.place - b.place);
      for (const { data } of found) writer.add(collection, data);
    }
    for (const aside of [...(await this.asides(generation)), ...lost]) writer.add('aside', aside);
    for (const recordId of keys.get('assets') ?? []) {
      const read = await this.record(generation, 'assets', recordId);
      if ('data' in read) writer.addAsset(await assetOfKept(read.data as KeptAsset));
      progress(++done, of);
    }
    writer.end();
    return new Blob(parts, { type: 'application/zip' });
  }

  /** Reads a whole backup and says what is in it; throws a Problem where it cannot be right. */
  async checkBackup(file: Blob, progress: Progress): Promise<BackupChecked> {
    const opened = openBackup(new Uint8Array(await file.arrayBuffer()));
    const counts: Record<string, number> = {};
    for (const part of opened.parts()) {
      counts[part.collection] = (counts[part.collection] ?? 0) + part.records.length;
      progress(part.done, part.of);
    }
    return { ok: true, at: opened.at, counts };
  }

  /** Writes a backup into a generation that nobody reads yet. */
  async fillFromBackup(file: Blob, id: string, progress: Progress): Promise<{ ok: true }> {
    const opened = openBackup(new Uint8Array(await file.arrayBuffer()));
    const generation = new Generation(this.boxes, id);
    const filler = new Filler(generation);
    // What the index follows from; assets go straight to the disk.
    const known = emptyWorkspace() as unknown as Record<string, Record<string, unknown>>;
    for (const part of opened.parts()) {
      for (const record of part.records) {
        if (part.collection === 'aside') await putAside(generation, record as Aside);
        else if (part.collection === 'assets') await filler.add('assets', record.id, keptAsset(record as Asset));
        else {
          await filler.add(part.collection, record.id, record);
          const all = known[part.collection];
          if (all) all[record.id] = record;
        }
      }
      progress(part.done, part.of);
    }
    await fillIndex(filler, known as unknown as Workspace);
    return { ok: true };
  }

  /** What an earlier Lorvet kept, as a backup of its own format would hold it, brought up to now where that is possible. */
  async writeFirst(at: string): Promise<Blob> {
    const { workspace, asides } = await this.readFirst(at);
    return new Blob([writeBackup(workspace, at, asides) as BlobPart], { type: 'application/zip' });
  }

  /** Brings what an earlier Lorvet kept into a generation; that itself stays as it was. */
  async fillFromFirst(id: string, progress: Progress): Promise<{ ok: true }> {
    const { workspace, asides } = await this.readFirst(new Date().toISOString());
    const generation = new Generation(this.boxes, id);
    const filler = new Filler(generation);
    const all = COLLECTIONS.flatMap((c) =>
      Object.entries(workspace[c]).map(([recordId, record]) => ({ c, recordId, record })),
    );
    let done = 0;
    for (const { c, recordId, record } of all) {
      await filler.add(c, recordId, c === 'assets' ? keptAsset(record as Asset) : record);
      progress(++done, all.length);
    }
    for (const aside of asides) await putAside(generation, aside);
    await fillIndex(filler, workspace);
    return { ok: true };
  }

  async usage(id: string, progress: Progress): Promise<Usage> {
    const generation = new Generation(this.boxes, id);
    const keys = await this.keysOf(generation);
    const kinds = ['families', 'frozen', 'copies', 'markings', 'templates', 'removed', 'handOuts', 'folders'] as const;
    const of = kinds.reduce((n, k) => n + (keys.get(k)?.length ?? 0), 0);
    const uses = new Uses();
    const given = new Set<string>();
    let done = 0;
    for (const kind of kinds)
      for (const recordId of keys.get(kind) ?? []) {
        const read = await this.record(generation, kind, recordId);
        if ('data' in read) count(kind, read.data, uses, given);
        progress(++done, of);
      }
    // What was set aside may come back, with what it shows.
    const asides = JSON.stringify(await this.asides(generation));
    const assets = await Promise.all(
      (keys.get('assets') ?? []).map(async (assetId) => {
        const read = await this.record(generation, 'assets', assetId);
        const kept = 'data' in read ? (read.data as KeptAsset) : null;
        const used = uses.of(assetId) + (asides.includes(assetId) ? 1 : 0);
        return { id: assetId, name: kept?.name ?? 'cannot be read', size: kept?.data.size ?? 0, uses: used };
      }),
    );
    assets.sort((a, b) => b.size - a.size);
    return { assets, frozen: (keys.get('frozen') ?? []).filter((f) => !given.has(f) && !asides.includes(f)) };
  }

  private async keysOf(generation: Generation): Promise<Map<Kind, string[]>> {
    const out = new Map<Kind, string[]>();
    for (const name of ['heads', 'lists', 'bodies', 'files'] satisfies BoxName[])
      for (const key of await generation.box(name).keys()) {
        const place = placeOf(key);
        if (!place) continue;
        const list = out.get(place.kind);
        if (list) list.push(place.id);
        else out.set(place.kind, [place.id]);
      }
    return out;
  }

  private async record(
    generation: Generation,
    kind: Kind,
    id: string,
  ): Promise<{ place: number; data: unknown } | { why: string; raw: unknown }> {
    const box = generation.box(boxOf(kind));
    const raw = await readOne(box, keyOf(kind, id));
    if (raw instanceof Unreadable) return { why: `The browser cannot read it back (${raw.why}).`, raw: null };
    if (!isWrapped(raw)) return { why: 'It is not a record of Lorvet.', raw };
    const parts = await Promise.all(partKeys(kind, id, raw.data).map((key) => readOne(box, key)));
    const whole = joined(kind, raw.data, parts);
    const read = readRecord(kind, migrated(kind, { ...raw, data: whole }));
    return 'faults' in read ? { why: read.faults.join('; '), raw: whole } : { place: raw.place, data: read.data };
  }

  private async asides(generation: Generation): Promise<Aside[]> {
    const out: Aside[] = [];
    for (const [key, head] of await generation.heads())
      if (key.startsWith(ASIDE)) {
        const data = await readOne(generation.box('bodies'), key);
        const read = asideSchema.safeParse({
          ...(head as object),
          data: data instanceof Unreadable ? null : (data ?? null),
        });
        if (read.success) out.push(read.data);
      }
    return out;
  }

  private async readFirst(at: string): Promise<{ workspace: Workspace; asides: Aside[] }> {
    const raw: Record<string, unknown[]> = {};
    const asides: Aside[] = [];
    let n = 0;
    const aside = (key: string, why: string, data: unknown) =>
      asides.push({ id: `first-${++n}`, key: key.slice(0, 200), why, at, data });
    for (const [key, value] of await readAll(this.boxes.first())) {
      const [collection = '', ...rest] = key.split('/');
      if (value instanceof Unreadable) aside(key, `The browser cannot read it back (${value.why}).`, null);
      else if (collection === 'aside') {
        const old = value as { why?: unknown; data?: unknown };
        aside(rest.slice(0, 2).join('/'), String(old.why ?? ''), old.data);
      } else if (COLLECTIONS.some((c) => c === collection)) {
        if (isWrapped({ place: 0, ...(value as object) }))
          (raw[collection] ??= []).push((value as { data: unknown }).data);
        else aside(key, 'It is not a record of Lorvet.', value);
      }
    }
    for (const [c, by] of Object.entries(FIRST_ORDER))
      raw[c]?.sort((a, b) => fieldOf(a, by).localeCompare(fieldOf(b, by)));
    const now: RawCollections = migrateWorkspace(3, raw);
    const workspace = emptyWorkspace() as unknown as Record<string, Record<string, unknown>>;
    for (const c of COLLECTIONS)
      for (const record of now[c] ?? []) {
        const read = readFirstRecord(c, record);
        const id = (record as { id?: unknown } | null)?.id;
        const records = workspace[c];
        if ('data' in read && records) records[(read.data as { id: string }).id] = read.data;
        else if ('why' in read) aside(keyOf(c, String(id)), read.why, record);
      }
    return { workspace: workspace as unknown as Workspace, asides };
  }
}

/** The first format kept no order: what is known of it is taken for it. */
const FIRST_ORDER = {
  families: 'createdAt',
  learners: 'name',
  classes: 'name',
  groups: 'name',
  audiences: 'name',
  handOuts: 'givenAt',
  objectives: 'code',
} as const;
const fieldOf = (record: unknown, field: string): string => {
  const value: unknown = (record as Readonly<Record<string, unknown>> | null)?.[field];
  return typeof value === 'string' ? value : '';
};

/** A record of the first format: as it is, mended where its fault is known, or what is wrong with it. */
function readFirstRecord(c: CollectionName, record: unknown): { data: unknown } | { why: string } {
  const good = c === 'assets' ? { data: record } : readRecord(c, record);
  if ('data' in good) return good;
  const mended = repaired(c, record);
  return mended?.records.length === 1 ? { data: mended.records[0] } : { why: good.faults.join('; ') };
}

function count(kind: Kind, data: unknown, uses: AssetUses, given: Set<string>): void {
  switch (kind) {
    case 'families':
      return uses.family(data as Family);
    case 'frozen':
      return uses.frozen(data as Frozen);
    case 'copies':
      return uses.copy(data as Copy);
    case 'markings':
      return uses.marking(data as Marking);
    case 'templates':
      return uses.template(data as Template);
    case 'folders':
      return uses.folder(data as Folder);
    case 'handOuts':
      for (const id of frozenIdsOf(data as HandOut)) given.add(id);
      uses.handOut(data as HandOut);
      return;
    case 'removed': {
      const r = data as Removed;
      if (r.what === 'version') r.versions.forEach((v) => uses.version(v.version));
      if (r.what === 'template') uses.template(r.record);
    }
  }
}

async function putAside(generation: Generation, { data, ...head }: Aside): Promise<void> {
  await generation.box('bodies').set(ASIDE + head.id, data ?? null);
  await generation.box('heads').set(ASIDE + head.id, head);
}

async function fillIndex(filler: Filler, workspace: Workspace): Promise<void> {
  const index = indexOf(workspace);
  for (const n of INDEX_NAMES) for (const [id, part] of Object.entries(index[n])) await filler.add(n, id, part);
}
