import { computed, inject, Injectable, signal } from '@angular/core';
import {
  type Copy,
  INDEX_NAMES,
  type IndexName,
  type IndexPatch,
  merge3,
  mergeCopies,
  patched,
  WORKSPACE_FORMAT,
} from '@lorvet/core';
import { Asides } from './asides';
import { BOXES } from './boxes-token';
import { Generation, type Put, readAll, readOne, Unreadable } from './generation';
import { type LateEntry, lateOnes, putLate } from './late';
import {
  boxOf,
  faultsOf,
  isWrapped,
  joined,
  keyOf,
  type Kind,
  migrated,
  partKeys,
  placeOf,
  putsOf,
  type ReadRecord,
  readRecord,
  type Wrapped,
} from './record-places';
import { readGenerations, Turns } from './root';

/** What became of a record; null: it is there no more. */
export interface Arrival {
  readonly kind: Kind;
  readonly id: string;
  readonly value: unknown;
}

export interface Change {
  readonly kind: Kind;
  readonly id: string;
  readonly before: unknown;
  readonly after: unknown;
}

/** A change that cannot be kept as it is: it stays in memory, and is written once it is mended. */
export interface Refused {
  readonly kind: Kind;
  readonly id: string;
  readonly why: readonly string[];
}

interface Pending {
  readonly kind: Kind;
  readonly id: string;
  /** Null removes. */
  value: unknown;
  /** As it is kept, as far as this tab knows; undefined where it was not there. */
  base: unknown;
}

/** A record as it is in storage. */
type Stored =
  | { readonly wrapped: Wrapped; readonly data: unknown; readonly notes?: readonly string[] }
  | { readonly faults: string[]; readonly raw: unknown };

type Message = { readonly from: string; readonly keys: readonly string[] };

/** A part of the index as it was stored, with what is still to be written to it. */
function patchedBy(found: Stored | undefined, patches: readonly IndexPatch[]): unknown {
  let part: unknown = found && 'data' in found ? found.data : undefined;
  for (const patch of patches) part = patched(part, patch) ?? undefined;
  return part;
}

const LONGEST_PAUSE_MS = 60_000;

/**
 * Keeps what changes, record by record: what changed together is written together. It is checked before it is written,
 * tried again while it fails, and joined with what another tab wrote meanwhile.
 */
@Injectable({ providedIn: 'root' })
export class Keeper {
  private readonly boxes = inject(BOXES);
  private readonly asides = inject(Asides);
  readonly tab = crypto.randomUUID();
  private readonly turns = new Turns(this.boxes, this.tab);
  private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('lorvet');
  private generation: Generation | null = null;

  private readonly revs = new Map<string, number>();
  private readonly places = new Map<string, number>();
  private lastPlace = 0;
  private pending = new Map<string, Pending>();
  private patches: IndexPatch[] = [];
  /** What is being written at this moment. */
  private underWay: { pending: Map<string, Pending>; patches: readonly IndexPatch[] } | null = null;
  private running: Promise<void> | null = null;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private failures = 0;
  /** What was refused, until it is mended. */
  private readonly held = new Map<string, { readonly entry: Pending; readonly why: readonly string[] }>();
  private listener: (arrivals: readonly Arrival[]) => void = () => undefined;
  private heard: (keys: readonly string[]) => void = () => undefined;
  private gather: () => void = () => undefined;
  private faulty: (kind: IndexName, id: string) => void = () => undefined;

  private readonly left = signal(0);
  /** What is wrong with storage, by the name of the browser's error; empty while all is well. */
  readonly failed = signal('');
  readonly refused = signal<readonly Refused[]>([]);
  /** Whether everything so far is written. */
  readonly saved = computed(() => this.left() === 0 && this.failed() === '' && this.refused().length === 0);

  constructor() {
    this.channel?.addEventListener('message', ({ data }: MessageEvent<Message>) => {
      if (data.from !== this.tab && Array.isArray(data.keys)) this.heard(data.keys);
    });
  }

  get generationId(): string | null {
    return this.generation?.id ?? null;
  }

  /** Reads and writes this generation from here on. */
  use(generation: Generation): void {
    this.generation = generation;
    this.revs.clear();
    this.places.clear();
  }

  /** What became of records while they were written: joined with what another tab wrote, or overtaken by it. */
  onArrival(listener: (arrivals: readonly Arrival[]) => void): void {
    this.listener = listener;
  }

  /** Keys that another tab has written. */
  onHeard(heard: (keys: readonly string[]) => void): void {
    this.heard = heard;
  }

  /** What was done and is not queued yet is queued by this, at once: before anything from elsewhere is taken in. */
  onGather(gather: () => void): void {
    this.gather = gather;
  }

  /** A part of the index that cannot be read, to be made anew. */
  onFaulty(faulty: (kind: IndexName, id: string) => void): void {
    this.faulty = faulty;
  }

  /** Takes note of a record as it was read. */
  known(kind: Kind, id: string, { rev, place }: Wrapped): void {
    this.revs.set(keyOf(kind, id), rev);
    this.places.set(keyOf(kind, id), place);
    this.lastPlace = Math.max(this.lastPlace, place);
  }

  /**
   * One record as it is, or is about to be, kept; undefined where there is none, or where it cannot be read: then it was
   * set aside or, where it follows from others, is said to be faulty.
   */
  async read(kind: Kind, id: string): Promise<unknown> {
    const key = keyOf(kind, id);
    const found = await this.stored(kind, id);
    const waiting = this.waits(key);
    if (waiting) return waiting.value ?? undefined;
    const patches = this.patchesOf(key);
    if (patches.length) return patchedBy(found, patches);
    if (found === undefined) this.revs.set(key, 0);
    else if ('data' in found) {
      this.known(kind, id, found.wrapped);
      if (found.notes) await this.asides.putMended(key, found.notes, found.wrapped);
    } else if (isIndex(kind)) this.faulty(kind, id);
    else await this.asides.put(key, found.faults.join('; '), found.raw);
    return found && 'data' in found ? found.data : undefined;
  }

  /**
   * What another tab wrote, read and given to `take` at the very moment from which it counts as known: a change made
   * meanwhile is of the time before, and is joined with it when it is written. One that is not `held` is only named.
   */
  async arrive(
    places: readonly { readonly kind: Kind; readonly id: string; readonly held: boolean }[],
    take: (arrivals: readonly Arrival[]) => void,
  ): Promise<void> {
    const found = await Promise.all(
      places.map(async (p) => ({ ...p, stored: p.held ? await this.stored(p.kind, p.id) : undefined })),
    );
    this.gather();
    const faults: (() => Promise<void>)[] = [];
    take(
      found.map(({ kind, id, held, stored }): Arrival => {
        const key = keyOf(kind, id);
        if (!held || this.waits(key)) return { kind, id, value: undefined };
        const patches = this.patchesOf(key);
        if (patches.length) return { kind, id, value: patchedBy(stored, patches) ?? null };
        if (stored === undefined) this.revs.set(key, 0);
        else if ('data' in stored) this.known(kind, id, stored.wrapped);
        else if (isIndex(kind)) faults.push(() => Promise.resolve(this.faulty(kind, id)));
        else faults.push(() => this.asides.put(key, stored.faults.join('; '), stored.raw));
        return { kind, id, value: stored && 'data' in stored ? stored.data : null };
      }),
    );
    for (const fault of faults) await fault();
  }

  private waits(key: string): Pending | undefined {
    return this.pending.get(key) ?? this.underWay?.pending.get(key) ?? this.held.get(key)?.entry;
  }

  private patchesOf(key: string): IndexPatch[] {
    return [...(this.underWay?.patches ?? []), ...this.patches].filter((p) => keyOf(p.in, p.id) === key);
  }

  /** Everything of a kind that is read as a list, in its order; what cannot be read is set aside. */
  async readList(kind: Kind): Promise<{ id: string; data: unknown }[]> {
    const { generation } = this;
    if (!generation) return [];
    const good: { id: string; place: number; data: unknown }[] = [];
    for (const [key, raw] of await readAll(generation.box(boxOf(kind)))) {
      const place = placeOf(key);
      if (place?.kind !== kind) continue;
      const read: ReadRecord = isWrapped(raw)
        ? readRecord(kind, migrated(kind, raw))
        : { faults: ['It is not a record of Lorvet.'] };
      if ('faults' in read) await this.asides.put(key, read.faults.join('; '), raw instanceof Unreadable ? null : raw);
      else if (isWrapped(raw)) {
        this.known(kind, place.id, raw);
        if (read.notes) await this.asides.putMended(key, read.notes, raw);
        good.push({ id: place.id, place: raw.place, data: read.data });
      }
    }
    return good.sort((a, b) => a.place - b.place);
  }

  /** Queues changes that belong together; a later one of the same record takes the place of an earlier one. */
  write(changes: readonly Change[], patches: readonly IndexPatch[] = []): void {
    for (const { kind, id, before, after } of changes) {
      const key = keyOf(kind, id);
      const base = (this.pending.get(key) ?? this.held.get(key)?.entry ?? { base: before }).base;
      this.pending.set(key, { kind, id, value: after ?? null, base });
    }
    this.patches.push(...patches);
    this.count();
    this.start();
  }

  /** Tries again at once what could not be written: there may be room now. */
  tryAgain(): void {
    clearTimeout(this.retry);
    this.start();
  }

  /** Resolves once everything queued so far is written, or could not be. */
  async flush(): Promise<void> {
    while (this.running) await this.running;
  }

  /** The page is put away or closed: what is not written yet is written where it takes no time. */
  hide(): void {
    if (!this.generation || this.left() === 0) return;
    const all = new Map([...(this.underWay?.pending ?? []), ...this.pending]);
    const entries = [...all.values()].flatMap(({ kind, id, value, base }): LateEntry[] =>
      kind === 'assets' ? [] : [{ kind, id, value, base: kind === 'copies' ? base : null, rev: this.revOf(kind, id) }],
    );
    const patches = [...(this.underWay?.patches ?? []), ...this.patches];
    putLate(this.tab, { generation: this.generation.id, entries, patches });
  }

  /** Writes what pages left behind that were closed before they were done. True where there was any. */
  async takeLate(): Promise<boolean> {
    let any = false;
    for (const { tab, late } of lateOnes()) {
      if (tab === this.tab || late.generation !== this.generation?.id) continue;
      const changes: Change[] = [];
      for (const { kind, id, value, base, rev } of late.entries) {
        const there = await this.stored(kind, id);
        const kept = there && 'data' in there ? there : undefined;
        // Its own write came through after all, or somebody has written since: then the two are joined.
        if (kept && JSON.stringify(kept.data) === JSON.stringify(value)) continue;
        if (kept) this.known(kind, id, kept.wrapped);
        if ((kept?.wrapped.rev ?? 0) === rev) changes.push({ kind, id, before: kept?.data, after: value });
        else if (kind === 'copies' && kept && value !== null) {
          const both = mergeCopies((base as Copy | null) ?? undefined, kept.data as Copy, value as Copy, now());
          changes.push({ kind, id, before: kept.data, after: both });
        } else await this.asides.put(keyOf(kind, id), OVERTAKEN, value, false);
        any = true;
      }
      if (changes.length || late.patches.length) this.write(changes, late.patches);
      await this.flush();
      if (this.saved()) putLate(tab, null);
    }
    return any;
  }

  private revOf(kind: Kind, id: string): number {
    return this.revs.get(keyOf(kind, id)) ?? 0;
  }

  private count(): void {
    this.left.set(this.pending.size + this.patches.length + (this.underWay ? 1 : 0));
  }

  private start(): void {
    if (this.pending.size + this.patches.length === 0) return;
    this.running ??= this.drain().finally(() => {
      this.running = null;
      this.count();
    });
  }

  private async drain(): Promise<void> {
    // One turn later, so that changes made together are written together, and the page is drawn before they are copied.
    await new Promise((turn) => setTimeout(turn));
    while (this.pending.size + this.patches.length > 0) {
      const { pending, patches } = this;
      this.pending = new Map();
      this.patches = [];
      this.underWay = { pending, patches };
      try {
        await this.boxes.alone('write', () => this.commit(pending, patches));
        this.failures = 0;
        this.failed.set('');
      } catch (error) {
        this.putBack(pending, patches);
        this.failures++;
        this.failed.set(error instanceof Error ? error.name : 'unknown');
        const pause = Math.min(LONGEST_PAUSE_MS, 1000 * 2 ** (this.failures - 1));
        clearTimeout(this.retry);
        this.retry = setTimeout(() => this.start(), pause);
        return;
      } finally {
        this.underWay = null;
        this.count();
      }
    }
    putLate(this.tab, null);
  }

  /** What failed waits before what came meanwhile: later values stand, on what is really kept. */
  private putBack(pending: ReadonlyMap<string, Pending>, patches: readonly IndexPatch[]): void {
    for (const [key, entry] of pending) {
      const later = this.pending.get(key);
      if (later) later.base = entry.base;
      else this.pending.set(key, entry);
    }
    this.patches = [...patches, ...this.patches];
  }

  private async commit(pending: ReadonlyMap<string, Pending>, patches: readonly IndexPatch[]): Promise<void> {
    const generation = this.generation;
    if (!generation) throw new Error('Nothing is open.');
    const alone = await this.turns.take();
    if (!alone && !(await this.isStillThere(generation.id))) return await this.setAllAside(pending);
    const puts: Put[] = [];
    const revs = new Map<string, number>();
    const arrivals: Arrival[] = [];
    const wrap =
      (key: string, rev: number) =>
      (data: unknown): Wrapped => {
        revs.set(key, rev);
        return { format: WORKSPACE_FORMAT, rev, place: this.placeFor(key), data };
      };
    for (const [key, entry] of pending) {
      const { kind, id, value, base } = entry;
      const why = value === null ? [] : faultsOf(kind, value);
      if (why.length) {
        this.held.set(key, { entry, why });
        continue;
      }
      this.held.delete(key);
      // What nobody else can have written since it was read need not be looked at again.
      const certain = alone && this.revs.has(key);
      const there = certain ? undefined : await this.stored(kind, id);
      const kept = there && 'data' in there ? there : undefined;
      const rev = certain ? this.revOf(kind, id) : (kept?.wrapped.rev ?? 0);
      if (rev === this.revOf(kind, id)) {
        puts.push(...putsOf(kind, id, wrap(key, rev + 1), value, base));
        if (value === null) revs.set(key, 0);
        continue;
      }
      // Another tab was quicker.
      const both = await this.together(entry, kept?.data);
      if (kept) this.places.set(key, kept.wrapped.place);
      if (both === undefined) {
        revs.set(key, rev);
        arrivals.push({ kind, id, value: kept?.data ?? null });
        continue;
      }
      puts.push(...putsOf(kind, id, wrap(key, rev + 1), both, kept?.data));
      arrivals.push({ kind, id, value: both });
    }
    for (const [key, list] of byKey(patches)) {
      const [first] = list;
      if (!first) continue;
      const whole = list.at(-1);
      let part: unknown = whole && 'put' in whole ? whole.put : undefined;
      if (part === undefined) {
        const there = await this.stored(first.in, first.id);
        part = there && 'data' in there ? there.data : undefined;
        for (const patch of list) part = patched(part, patch) ?? undefined;
      }
      puts.push(...putsOf(first.in, first.id, wrap(key, 0), part ?? null, undefined));
      if (!alone) arrivals.push({ kind: first.in, id: first.id, value: part ?? null });
    }
    this.refused.set([...this.held.values()].map(({ entry: { kind, id }, why }) => ({ kind, id, why })));
    await generation.write(puts);
    // What was done while this was written follows from the time before: joined again when it is written itself.
    this.gather();
    const later = new Set(arrivals.map((a) => keyOf(a.kind, a.id)).filter((key) => this.pending.has(key)));
    for (const [key, rev] of revs) if (!later.has(key)) this.revs.set(key, rev);
    const keys = [...new Set([...pending.keys(), ...byKey(patches).keys()])];
    if (puts.length) this.channel?.postMessage({ from: this.tab, keys } satisfies Message);
    const news = arrivals.filter((a) => !later.has(keyOf(a.kind, a.id)));
    if (news.length) this.listener(news);
  }

  /** Whether what this tab works on is kept still: as the workspace, or put away. */
  private async isStillThere(id: string): Promise<boolean> {
    const now = await readGenerations(this.boxes);
    return !now || now.current === id || now.earlier.some((e) => e.generation === id);
  }

  /** What was changed in a workspace that is gone is kept in the one that took its place. */
  private async setAllAside(pending: ReadonlyMap<string, Pending>): Promise<void> {
    const now = await readGenerations(this.boxes);
    if (!now) return;
    this.asides.moveTo(new Generation(this.boxes, now.current));
    for (const [key, { value }] of pending) if (value !== null) await this.asides.put(key, EXCHANGED, value, false);
  }

  /** Both changes in one; undefined where theirs has to stand, and mine was set aside. */
  private async together({ kind, id, value, base }: Pending, theirs: unknown): Promise<unknown> {
    if (kind === 'copies' && theirs && value)
      return mergeCopies(base as Copy | undefined, theirs as Copy, value as Copy, now());
    if (theirs !== undefined && value !== null) {
      const both = merge3(base, theirs, value);
      if (!both.lost && faultsOf(kind, both.value).length === 0) return both.value;
    }
    // What this tab took away and the other changed stays; there is nothing of its own to keep.
    if (value !== null) await this.asides.put(keyOf(kind, id), OVERTAKEN, value, false);
    return undefined;
  }

  private placeFor(key: string): number {
    let place = this.places.get(key);
    if (place === undefined) {
      this.lastPlace = Math.max(this.lastPlace + 1, Date.now());
      this.places.set(key, (place = this.lastPlace));
    }
    return place;
  }

  private async stored(kind: Kind, id: string): Promise<Stored | undefined> {
    const generation = this.generation;
    if (!generation) return undefined;
    const box = generation.box(boxOf(kind));
    const raw = await readOne(box, keyOf(kind, id));
    if (raw === undefined) return undefined;
    if (raw instanceof Unreadable) return { faults: [`The browser cannot read it back (${raw.why}).`], raw: null };
    if (!isWrapped(raw)) return { faults: ['It is not a record of Lorvet.'], raw };
    if (raw.format > WORKSPACE_FORMAT) return { faults: ['It was written by a newer Lorvet.'], raw };
    const parts = await Promise.all(partKeys(kind, id, raw.data).map((key) => readOne(box, key)));
    const whole = joined(kind, raw.data, parts);
    const read = readRecord(kind, migrated(kind, { ...raw, data: whole }));
    const wrapped = { ...raw, data: whole };
    return 'faults' in read ? { faults: read.faults, raw: wrapped } : { wrapped, ...read };
  }
}

const isIndex = (kind: Kind): kind is IndexName => INDEX_NAMES.some((n) => n === kind);
const EXCHANGED = 'Another tab put another workspace in the place of the one this belongs to.';
const OVERTAKEN = 'Another tab changed the same at the same moment. Its change stands; this one is kept here.';
const now = () => new Date().toISOString();

function byKey(patches: readonly IndexPatch[]): Map<string, IndexPatch[]> {
  const out = new Map<string, IndexPatch[]>();
  for (const patch of patches) {
    const key = keyOf(patch.in, patch.id);
    const list = out.get(key);
    if (list) list.push(patch);
    else out.set(key, [patch]);
  }
  return out;
}

/** The kinds that keys speak of, by kind. */
export function placesIn(keys: readonly string[]): { kind: Kind; id: string }[] {
  return keys.flatMap((key) => placeOf(key) ?? []);
}
