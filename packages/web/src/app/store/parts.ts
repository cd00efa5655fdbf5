import { DestroyRef, effect, inject, Injectable, type Signal, signal, untracked } from '@angular/core';
import { type Id, INDEX_NAMES } from '@lorvet/core/desk';
import { Store } from '@ngrx/store';
import { Keeper, type Arrival } from '../platform/storage/keeper';
import { boxOf, keyOf, type Kind } from '../platform/storage/record-places';
import { KeepingActions } from './actions';
import { selectDoc, selectIndex } from './selectors';

/** Asks for records to be in memory; resolves once those that there are have come. */
export type Want = (kind: Kind, ids: readonly Id[]) => Promise<void>;

const isIndex = (kind: Kind): boolean => INDEX_NAMES.some((n) => n === kind);

/** Which of what is kept is in memory: a place says what it needs, and it is let go again with the place. */
@Injectable({ providedIn: 'root' })
export class Parts {
  private readonly store = inject(Store);
  private readonly keeper = inject(Keeper);
  private readonly doc = this.store.selectSignal(selectDoc);
  private readonly index = this.store.selectSignal(selectIndex);
  private readonly holders = new Map<string, number>();
  private readonly reading = new Map<string, Promise<Arrival | null>>();
  private readonly lists = new Set<Kind>();
  /** Those of the held ones of which it is known that there are none. */
  private readonly absent = new Set<string>();

  /**
   * Holds what `load` asks for, anew whenever `of` changes (null: nothing), until the place that called it goes. True
   * once all of it has come.
   */
  hold<T>(of: () => T | null, load: (of: T, want: Want) => Promise<unknown>): Signal<boolean> {
    const ready = signal(false);
    let held = new Set<string>();
    effect((onCleanup) => {
      const what = of();
      untracked(() => {
        ready.set(false);
        const before = held;
        const now = new Set<string>();
        held = now;
        let over = false;
        onCleanup(() => (over = true));
        const done =
          what === null ? Promise.resolve() : load(what, (kind, ids) => (over ? NEVER : this.want(kind, ids, now)));
        void done.then(() => {
          this.release(before);
          if (!over) ready.set(true);
        });
      });
    });
    inject(DestroyRef).onDestroy(() => this.release(held));
    return ready.asReadonly();
  }

  /** The same for a moment: what is asked for stays in memory until `work` is done. */
  async during<T>(work: (want: Want) => Promise<T>): Promise<T> {
    const held = new Set<string>();
    try {
      return await work((kind, ids) => this.want(kind, ids, held));
    } finally {
      this.release(held);
    }
  }

  /** All templates, or all objectives of the list: in memory from the first time on. */
  async list(kind: 'templates' | 'objectives'): Promise<void> {
    if (this.lists.has(kind)) return;
    this.lists.add(kind);
    const found = await this.keeper.readList(kind);
    const parts = found.flatMap(({ id, data }) => (this.has(kind, id) ? [] : [{ kind, id, value: data }]));
    if (parts.length) this.store.dispatch(KeepingActions.partsCame({ parts }));
  }

  /** Whether somebody needs it: then what another tab writes of it is taken in. */
  isHeld(kind: Kind, id: Id): boolean {
    return boxOf(kind) === 'heads' || this.lists.has(kind) || this.has(kind, id) || this.holders.has(keyOf(kind, id));
  }

  /** Reads everything that is held anew: another workspace is open, or a part was made anew. */
  async again(only?: string): Promise<void> {
    if (only === undefined) {
      const lists = [...this.lists] as ('templates' | 'objectives')[];
      this.lists.clear();
      for (const kind of lists) await this.list(kind);
    }
    const keys = only === undefined ? [...this.holders.keys()] : this.holders.has(only) ? [only] : [];
    const parts: Arrival[] = [];
    await Promise.all(
      keys.map(async (key) => {
        this.absent.delete(key);
        const { kind, id } = placed(key);
        if (only === undefined && this.has(kind, id)) return;
        const value = await this.keeper.read(kind, id);
        if (value === undefined) this.absent.add(key);
        else parts.push({ kind, id, value });
      }),
    );
    if (parts.length) this.store.dispatch(KeepingActions.partsCame({ parts }));
  }

  private has(kind: Kind, id: Id): boolean {
    const all = (isIndex(kind) ? this.index() : this.doc()) as unknown as Readonly<Record<string, object>>;
    return Object.hasOwn(all[kind] ?? {}, id);
  }

  private async want(kind: Kind, ids: readonly Id[], held: Set<string>): Promise<void> {
    const missing: Id[] = [];
    for (const id of new Set(ids)) {
      const key = keyOf(kind, id);
      if (!held.has(key)) {
        held.add(key);
        this.holders.set(key, (this.holders.get(key) ?? 0) + 1);
      }
      if (!this.has(kind, id) && !this.absent.has(key)) missing.push(id);
    }
    if (missing.length === 0) return;
    const read = await Promise.all(missing.map((id) => this.read(kind, id)));
    // What was made meanwhile, or came for somebody else, is newer than what was read.
    const parts = read.flatMap((r) => (r && !this.has(kind, r.id) ? [r] : []));
    if (parts.length) this.store.dispatch(KeepingActions.partsCame({ parts }));
  }

  /** A record as it is kept. Who asks for one that is being read gets it too, without a wait for what is read with it. */
  private read(kind: Kind, id: Id): Promise<Arrival | null> {
    const key = keyOf(kind, id);
    const begun = this.reading.get(key);
    if (begun) return begun;
    const read = this.keeper
      .read(kind, id)
      .then((value) => {
        if (value !== undefined) return { kind, id, value };
        if (!this.has(kind, id)) this.absent.add(key);
        return null;
      })
      .finally(() => this.reading.delete(key));
    this.reading.set(key, read);
    return read;
  }

  private release(held: ReadonlySet<string>): void {
    const free: string[] = [];
    for (const key of held) {
      const left = (this.holders.get(key) ?? 1) - 1;
      if (left > 0) this.holders.set(key, left);
      else {
        this.holders.delete(key);
        free.push(key);
      }
    }
    // A little later: the next place may need the same, and what the place says as it goes is heard first.
    if (free.length) setTimeout(() => this.letGo(free.filter((key) => !this.holders.has(key))), 1000);
  }

  private letGo(keys: readonly string[]): void {
    const parts = keys.flatMap((key) => {
      this.absent.delete(key);
      const { kind, id } = placed(key);
      return boxOf(kind) !== 'heads' && this.has(kind, id) ? [{ kind, id }] : [];
    });
    if (parts.length) this.store.dispatch(KeepingActions.partsLetGo({ parts }));
  }
}

const placed = (key: string): { kind: Kind; id: Id } => {
  const at = key.indexOf('/');
  return { kind: key.slice(0, at) as Kind, id: key.slice(at + 1) };
};
const NEVER = new Promise<void>(() => undefined);
