import type { IndexPatch } from '@lorvet/core/desk';
import { keyOf, type Kind } from './record-places';

export interface Change {
  readonly kind: Kind;
  readonly id: string;
  readonly before: unknown;
  readonly after: unknown;
}

export interface Pending {
  readonly kind: Kind;
  readonly id: string;
  /** Null removes. */
  readonly value: unknown;
  /** As it is kept, as far as this tab knows; undefined where it was not there. */
  base: unknown;
}

/** A change that cannot be kept as it is: it stays in memory, and is written once it is mended. */
export interface Refused {
  readonly kind: Kind;
  readonly id: string;
  readonly why: readonly string[];
}

/** What is written at one time. */
export interface Batch {
  readonly pending: ReadonlyMap<string, Pending>;
  readonly patches: readonly IndexPatch[];
}

/** Changes on their way to storage: those that wait, those that are being written, and those that were refused. */
export class Waiting {
  private pending = new Map<string, Pending>();
  private patches: IndexPatch[] = [];
  private underWay: Batch | null = null;
  private readonly held = new Map<string, { readonly entry: Pending; readonly why: readonly string[] }>();

  /** A later change of a record takes the place of an earlier one. */
  add(changes: readonly Change[], patches: readonly IndexPatch[]): void {
    for (const { kind, id, before, after } of changes) {
      const key = keyOf(kind, id);
      const base = (this.pending.get(key) ?? this.held.get(key)?.entry ?? { base: before }).base;
      this.pending.set(key, { kind, id, value: after ?? null, base });
    }
    this.patches.push(...patches);
  }

  /** How many are not written yet. */
  get left(): number {
    return this.queued + (this.underWay ? 1 : 0);
  }

  /** How many wait that are not being written. */
  get queued(): number {
    return this.pending.size + this.patches.length;
  }

  /** All that waits, which is from here on being written. */
  take(): Batch {
    const batch = { pending: this.pending, patches: this.patches };
    this.pending = new Map();
    this.patches = [];
    this.underWay = batch;
    return batch;
  }

  /** What was taken is written. */
  done(): void {
    this.underWay = null;
  }

  /** What was taken could not be written: it waits before what came meanwhile; later values stand, on what is kept. */
  putBack(): void {
    const { underWay } = this;
    if (!underWay) return;
    for (const [key, entry] of underWay.pending) {
      const later = this.pending.get(key);
      if (later) later.base = entry.base;
      else this.pending.set(key, entry);
    }
    this.patches = [...underWay.patches, ...this.patches];
    this.underWay = null;
  }

  /** Everything that is not written, as one batch. */
  all(): Batch {
    return {
      pending: new Map([...(this.underWay?.pending ?? []), ...this.pending]),
      patches: [...(this.underWay?.patches ?? []), ...this.patches],
    };
  }

  hold(key: string, entry: Pending, why: readonly string[]): void {
    this.held.set(key, { entry, why });
  }

  release(key: string): void {
    this.held.delete(key);
  }

  get refused(): Refused[] {
    return [...this.held.values()].map(({ entry: { kind, id }, why }) => ({ kind, id, why }));
  }

  /** The change of a record that is not written yet. */
  of(key: string): Pending | undefined {
    return this.pending.get(key) ?? this.underWay?.pending.get(key) ?? this.held.get(key)?.entry;
  }

  /** Whether a record has changed again since what was taken. */
  hasLater(key: string): boolean {
    return this.pending.has(key);
  }

  patchesOf(key: string): IndexPatch[] {
    return [...(this.underWay?.patches ?? []), ...this.patches].filter((p) => keyOf(p.in, p.id) === key);
  }

  /** Those since what was taken. */
  laterPatchesOf(key: string): IndexPatch[] {
    return this.patches.filter((p) => keyOf(p.in, p.id) === key);
  }
}
