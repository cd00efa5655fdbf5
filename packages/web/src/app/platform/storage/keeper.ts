import { computed, inject, Injectable, signal } from '@angular/core';
import { INDEX_NAMES, type IndexName, type IndexPatch } from '@lorvet/core/desk';
import { Asides } from './asides';
import { BOXES } from './boxes-token';
import { type Arrival, Drafts, patchedBy } from './drafts';
import { Generation } from './generation';
import { Known } from './known';
import { type Late, type LateEntry, lateOnes, putLate } from './late';
import { keyOf, type Kind, placeOf, type Wrapped } from './record-places';
import { readGenerations, Turns } from './root';
import { isKnownHere } from './rules';
import { goodOf, readStored, readStoredList, type Stored } from './stored';
import { type Batch, type Change, type Refused, Waiting } from './waiting';

export type { Arrival } from './drafts';
export type { Change, Refused } from './waiting';

type Message = { readonly from: string; readonly keys: readonly string[] };

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

  private readonly records = new Known();
  private readonly waiting = new Waiting();
  private readonly drafts = new Drafts(this.records, this.waiting, this.asides, (kind, id) => this.stored(kind, id));
  private running: Promise<void> | null = null;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private failures = 0;
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
    this.records.clear();
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
  known(kind: Kind, id: string, wrapped: Wrapped): void {
    this.records.note(kind, id, wrapped);
  }

  /**
   * One record as it is, or is about to be, kept; undefined where there is none, or where it cannot be read: then it was
   * set aside or, where it follows from others, is said to be faulty.
   */
  async read(kind: Kind, id: string): Promise<unknown> {
    const key = keyOf(kind, id);
    const found = await this.stored(kind, id);
    const waiting = this.waiting.of(key);
    if (waiting) return waiting.value ?? undefined;
    const patches = this.waiting.patchesOf(key);
    if (patches.length) return patchedBy(goodOf(found)?.data, patches);
    await this.takeNote(kind, id, found);
    return goodOf(found)?.data;
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
    const noted: Promise<void>[] = [];
    take(
      found.map(({ kind, id, held, stored }): Arrival => {
        const key = keyOf(kind, id);
        if (!held || this.waiting.of(key)) return { kind, id, value: undefined };
        const patches = this.waiting.patchesOf(key);
        if (patches.length) return { kind, id, value: patchedBy(goodOf(stored)?.data, patches) ?? null };
        noted.push(this.takeNote(kind, id, stored));
        return { kind, id, value: goodOf(stored)?.data ?? null };
      }),
    );
    await Promise.all(noted);
  }

  /** Takes note of what is stored, at once; what cannot be read is set aside, or said to be faulty. */
  private async takeNote(kind: Kind, id: string, stored: Stored | undefined): Promise<void> {
    const key = keyOf(kind, id);
    if (stored === undefined) this.records.setRev(key, 0);
    else if ('data' in stored) {
      this.known(kind, id, stored.wrapped);
      if (stored.notes) await this.asides.putMended(key, stored.notes, stored.wrapped);
    } else if (isIndex(kind)) this.faulty(kind, id);
    else await this.asides.put(key, stored.faults.join('; '), stored.raw);
  }

  /** Everything of a kind that is read as a list, in its order; what cannot be read is set aside. */
  async readList(kind: Kind): Promise<{ id: string; data: unknown }[]> {
    const { generation } = this;
    if (!generation) return [];
    const all = await readStoredList(generation, kind);
    for (const [id, stored] of all) await this.takeNote(kind, id, stored);
    const good = [...all].flatMap(([id, stored]) => {
      const read = goodOf(stored);
      return read ? [{ id, data: read.data, place: read.wrapped.place }] : [];
    });
    return good.sort((a, b) => a.place - b.place);
  }

  /** Queues changes that belong together; a later one of the same record takes the place of an earlier one. */
  write(changes: readonly Change[], patches: readonly IndexPatch[] = []): void {
    this.waiting.add(changes, patches);
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
    const { pending, patches } = this.waiting.all();
    const entries = [...pending.values()].flatMap(({ kind, id, value, base }): LateEntry[] =>
      kind === 'assets'
        ? []
        : [{ kind, id, value, base: kind === 'copies' ? base : null, rev: this.records.rev(keyOf(kind, id)) }],
    );
    putLate(this.tab, { generation: this.generation.id, entries, patches });
  }

  /** Writes what pages left behind that were closed before they were done. True where there was any. */
  async takeLate(): Promise<boolean> {
    let any = false;
    for (const { tab, late } of lateOnes()) {
      if (tab === this.tab || late.generation !== this.generation?.id) continue;
      if (!canWrite(late)) continue;
      const changes: Change[] = [];
      for (const { kind, id, value, base, rev } of late.entries) {
        const kept = goodOf(await this.stored(kind, id));
        // Its own write came through after all, or somebody has written since: then the two are joined.
        if (kept && JSON.stringify(kept.data) === JSON.stringify(value)) continue;
        if (kept) this.known(kind, id, kept.wrapped);
        if ((kept?.wrapped.rev ?? 0) === rev) changes.push({ kind, id, before: kept?.data, after: value });
        else if (kind === 'copies') {
          const both = await this.drafts.joined({ kind, id, value, base: base ?? undefined }, kept?.data);
          if (both !== undefined) changes.push({ kind, id, before: kept?.data, after: both });
        } else await this.drafts.overtaken(kind, id, value);
        any = true;
      }
      if (changes.length || late.patches.length) this.write(changes, late.patches);
      await this.flush();
      if (this.saved()) putLate(tab, null);
    }
    return any;
  }

  /** Whether a page that is closed left something behind that cannot be written with what is known here. */
  owesMore(): boolean {
    return lateOnes().some(({ tab, late }) => tab !== this.tab && !canWrite(late));
  }

  private count(): void {
    this.left.set(this.waiting.left);
  }

  private start(): void {
    if (this.waiting.queued === 0) return;
    this.running ??= this.drain().finally(() => {
      this.running = null;
      this.count();
    });
  }

  private async drain(): Promise<void> {
    // One turn later, so that changes made together are written together, and the page is drawn before they are copied.
    await new Promise((turn) => setTimeout(turn));
    while (this.waiting.queued > 0) {
      const batch = this.waiting.take();
      try {
        await this.boxes.alone('write', () => this.commit(batch));
        this.waiting.done();
        this.failures = 0;
        this.failed.set('');
      } catch (error) {
        this.waiting.putBack();
        this.failures++;
        this.failed.set(error instanceof Error ? error.name : 'unknown');
        const pause = Math.min(LONGEST_PAUSE_MS, 1000 * 2 ** (this.failures - 1));
        clearTimeout(this.retry);
        this.retry = setTimeout(() => this.start(), pause);
        return;
      } finally {
        this.count();
      }
    }
    putLate(this.tab, null);
  }

  private async commit(batch: Batch): Promise<void> {
    const generation = this.generation;
    if (!generation) throw new Error('Nothing is open.');
    const alone = await this.turns.take();
    if (!alone && !(await this.isStillThere(generation.id))) return await this.setAllAside(batch.pending);
    const { puts, revs, arrivals } = await this.drafts.of(batch, alone);
    this.refused.set(this.waiting.refused);
    await generation.write(puts);
    // What was done while this was written follows from the time before: joined again when it is written itself.
    this.gather();
    const later = new Set(arrivals.map((a) => keyOf(a.kind, a.id)).filter((key) => this.waiting.hasLater(key)));
    for (const [key, rev] of revs) if (!later.has(key)) this.records.setRev(key, rev);
    const keys = [...new Set([...batch.pending.keys(), ...batch.patches.map((p) => keyOf(p.in, p.id))])];
    if (puts.length) this.channel?.postMessage({ from: this.tab, keys } satisfies Message);
    const news = arrivals.flatMap((a): Arrival[] => {
      const key = keyOf(a.kind, a.id);
      const since = this.waiting.laterPatchesOf(key);
      if (later.has(key)) return [];
      return [since.length ? { ...a, value: patchedBy(a.value ?? undefined, since) ?? null } : a];
    });
    if (news.length) this.listener(news);
  }

  /** Whether what this tab works on is kept still: as the workspace, or put away. */
  private async isStillThere(id: string): Promise<boolean> {
    const now = await readGenerations(this.boxes);
    return !now || now.current === id || now.earlier.some((e) => e.generation === id);
  }

  /** What was changed in a workspace that is gone is kept in the one that took its place. */
  private async setAllAside(pending: Batch['pending']): Promise<void> {
    const now = await readGenerations(this.boxes);
    if (!now) return;
    this.asides.moveTo(new Generation(this.boxes, now.current));
    for (const [key, { value }] of pending) if (value !== null) await this.asides.put(key, EXCHANGED, value, false);
  }

  private async stored(kind: Kind, id: string): Promise<Stored | undefined> {
    return this.generation ? await readStored(this.generation, kind, id) : undefined;
  }
}

const canWrite = (late: Late): boolean =>
  [...late.entries.map((e) => e.kind), ...late.patches.map((p) => p.in)].every(isKnownHere);
const isIndex = (kind: Kind): kind is IndexName => INDEX_NAMES.some((n) => n === kind);
const EXCHANGED = 'Another tab put another workspace in the place of the one this belongs to.';

/** The kinds that keys speak of, by kind. */
export function placesIn(keys: readonly string[]): { kind: Kind; id: string }[] {
  return keys.flatMap((key) => placeOf(key) ?? []);
}
