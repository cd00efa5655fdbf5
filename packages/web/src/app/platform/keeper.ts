import { Injectable, computed, inject, signal } from '@angular/core';
import {
  type CollectionName,
  COLLECTIONS,
  emptyWorkspace,
  placesOf,
  recordSchemas,
  type Workspace,
} from '@lorvet/core';
import { RECORD_STORE } from './record-store';

/** Format number of a kept record. */
const RECORD_FORMAT = 1;

interface Kept {
  readonly format: number;
  /** Counts the writes to this record, so that a tab sees when another was quicker. */
  readonly rev: number;
  readonly data: unknown;
}

/** A record that is out of the way but not lost. */
export interface SetAside {
  readonly key: string;
  readonly why: string;
  readonly at: string;
  readonly data: unknown;
}

export interface Arrival {
  readonly collection: CollectionName;
  readonly id: string;
  /** Null: the record was removed. */
  readonly value: unknown;
}

type Message = { readonly key: string; readonly from: string };
type Listener = (arrivals: readonly Arrival[]) => void;

const ASIDE = 'aside/';
const STARTED = 'started';
const keyOf = (collection: CollectionName, id: string) => `${collection}/${id}`;

function isKept(value: unknown): value is Kept {
  return typeof value === 'object' && value !== null && 'format' in value && 'rev' in value && 'data' in value;
}

/**
 * Keeps the workspace, one record for each family, learner, hand-out and so on. Writes are queued, checked against
 * what other tabs wrote, and told to them. A record that cannot be read is set aside, never dropped.
 */
@Injectable({ providedIn: 'root' })
export class Keeper {
  private readonly store = inject(RECORD_STORE);
  private readonly me = crypto.randomUUID();
  private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('lorvet');
  private readonly revs = new Map<string, number>();
  private readonly waiting = new Map<string, unknown>();
  private running: Promise<void> | null = null;
  private listener: Listener = () => undefined;

  private readonly left = signal(0);
  /** Whether everything so far is written. */
  readonly saved = computed(() => this.left() === 0);
  readonly failed = signal<string | null>(null);
  readonly aside = signal<readonly SetAside[]>([]);

  /** Everything kept, and whether this browser was ever started with. */
  async load(): Promise<{ workspace: Workspace; started: boolean }> {
    const out = emptyWorkspace() as Record<CollectionName, Record<string, unknown>>;
    const keys = await this.store.keys();
    for (const key of keys.sort()) {
      const [collection, id] = splitKey(key);
      if (!collection) continue;
      const value = await this.store.get(key);
      const read = readRecord(collection, value);
      if ('why' in read) await this.setAside(key, read.why, value);
      else {
        this.revs.set(key, read.rev);
        out[collection][id] = read.data;
      }
    }
    await this.listAside();
    this.channel?.addEventListener('message', (e: MessageEvent<Message>) => void this.hear(e.data));
    return { workspace: out as Workspace, started: keys.includes(STARTED) };
  }

  onArrival(listener: Listener): void {
    this.listener = listener;
  }

  async markStarted(): Promise<void> {
    await this.store.set(STARTED, true);
  }

  /** Queues a write; a later one of the same record takes its place. Null removes. */
  write(collection: CollectionName, id: string, value: unknown): void {
    this.waiting.set(keyOf(collection, id), value);
    this.left.set(this.waiting.size + (this.running ? 1 : 0));
    this.running ??= this.drain();
  }

  /** Resolves once everything queued so far is written. */
  async flush(): Promise<void> {
    while (this.running) await this.running;
  }

  async dropAside(key: string): Promise<void> {
    await this.store.remove(key);
    await this.listAside();
  }

  private async drain(): Promise<void> {
    // One turn later, so that changes made together are written together, and the page is drawn before they are copied.
    await new Promise((turn) => setTimeout(turn));
    for (let next = this.waiting.entries().next(); !next.done; next = this.waiting.entries().next()) {
      const [key, value] = next.value;
      this.waiting.delete(key);
      try {
        await this.writeOne(key, value);
        this.failed.set(null);
      } catch (error) {
        this.failed.set(
          `The browser could not keep the last change (${error instanceof Error ? error.name : 'unknown'}). Save a backup now, then free some storage.`,
        );
      }
      this.left.set(this.waiting.size);
    }
    this.running = null;
    this.left.set(0);
  }

  private async writeOne(key: string, value: unknown): Promise<void> {
    const overtaken = await this.store.alone(key, async () => {
      const there = await this.store.get(key);
      const rev = isKept(there) ? there.rev : 0;
      if (rev !== (this.revs.get(key) ?? 0)) return true;
      if (value === null) await this.store.remove(key);
      else await this.store.set(key, { format: RECORD_FORMAT, rev: rev + 1, data: value } satisfies Kept);
      this.revs.set(key, value === null ? 0 : rev + 1);
      return false;
    });
    if (overtaken) {
      // Another tab was quicker: its record stands, ours is kept beside it.
      await this.setAside(
        key,
        'Another tab changed this at the same moment. Its change stands; this one is kept here.',
        value,
        false,
      );
      await this.hear({ key, from: '' });
      return;
    }
    this.channel?.postMessage({ key, from: this.me } satisfies Message);
  }

  private async hear({ key, from }: Message): Promise<void> {
    if (from === this.me) return;
    const [collection, id] = splitKey(key);
    if (!collection) return;
    const value = await this.store.get(key);
    if (value === null || value === undefined) {
      this.revs.delete(key);
      this.listener([{ collection, id, value: null }]);
      return;
    }
    const read = readRecord(collection, value);
    if ('why' in read) return;
    // What this tab has queued for the record was made on an older one: `writeOne` will set it aside.
    if (!this.waiting.has(key)) this.revs.set(key, read.rev);
    this.listener([{ collection, id, value: read.data }]);
  }

  private async setAside(key: string, why: string, data: unknown, remove = true): Promise<void> {
    const aside: SetAside = { key: `${ASIDE}${key}/${crypto.randomUUID()}`, why, at: new Date().toISOString(), data };
    await this.store.set(aside.key, aside);
    if (remove) await this.store.remove(key);
    await this.listAside();
  }

  private async listAside(): Promise<void> {
    const keys = (await this.store.keys()).filter((k) => k.startsWith(ASIDE));
    const found = await Promise.all(keys.map((k) => this.store.get(k)));
    this.aside.set(found.filter((f): f is SetAside => typeof f === 'object' && f !== null && 'why' in f));
  }
}

function splitKey(key: string): [CollectionName | null, string] {
  const at = key.indexOf('/');
  const collection = COLLECTIONS.find((c) => c === key.slice(0, at));
  return [collection ?? null, key.slice(at + 1)];
}

function readRecord(collection: CollectionName, value: unknown): { rev: number; data: unknown } | { why: string } {
  if (!isKept(value)) return { why: 'It is not a record of Lorvet.' };
  if (value.format > RECORD_FORMAT) return { why: 'It was written by a newer Lorvet.' };
  const checked = recordSchemas[collection].safeParse(value.data);
  return checked.success ? { rev: value.rev, data: checked.data } : { why: placesOf(checked.error, 3).join('; ') };
}
