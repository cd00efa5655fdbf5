import { type Copy, type IndexPatch, merge3, mergeCopies, patched, WORKSPACE_FORMAT } from '@lorvet/core/desk';
import type { Asides } from './asides';
import type { Put } from './generation';
import type { Known } from './known';
import { faultsOf, keyOf, type Kind, putsOf, type Wrapped } from './record-places';
import { goodOf, type Stored } from './stored';
import type { Batch, Pending, Waiting } from './waiting';

/** What became of a record; null: it is there no more. */
export interface Arrival {
  readonly kind: Kind;
  readonly id: string;
  readonly value: unknown;
}

/** What a batch comes to: what is to be written, how often each was, and what this tab does not know yet. */
export interface Draft {
  readonly puts: Put[];
  readonly revs: Map<string, number>;
  readonly arrivals: Arrival[];
}

/** A part of the index as it was, with what was done to it since. */
export function patchedBy(was: unknown, patches: readonly IndexPatch[]): unknown {
  let part = was;
  for (const patch of patches) part = patched(part, patch) ?? undefined;
  return part;
}

/** Works out what is to be written of what changed: the change, or the change joined with what another tab wrote. */
export class Drafts {
  constructor(
    private readonly records: Known,
    private readonly waiting: Waiting,
    private readonly asides: Asides,
    private readonly stored: (kind: Kind, id: string) => Promise<Stored | undefined>,
  ) {}

  /** `alone`: no other tab has written since what this one knows was read. What cannot be kept is held back. */
  async of({ pending, patches }: Batch, alone: boolean): Promise<Draft> {
    const draft: Draft = { puts: [], revs: new Map(), arrivals: [] };
    for (const [key, entry] of pending) await this.record(draft, key, entry, alone);
    for (const [key, list] of byKey(patches)) await this.part(draft, key, list, alone);
    return draft;
  }

  /** Both changes in one; undefined where theirs has to stand, and mine was set aside. */
  async joined({ kind, id, value, base }: Pending, theirs: unknown): Promise<unknown> {
    if (kind === 'copies' && theirs && value)
      return mergeCopies(base as Copy | undefined, theirs as Copy, value as Copy, now());
    if (theirs !== undefined && value !== null) {
      const both = merge3(base, theirs, value);
      if (!both.lost && faultsOf(kind, both.value).length === 0) return both.value;
    }
    // What this tab took away and the other changed stays; there is nothing of its own to keep.
    await this.overtaken(kind, id, value);
    return undefined;
  }

  /** Sets a change aside that somebody else's stands in the place of; there is nothing to keep of a removal. */
  async overtaken(kind: Kind, id: string, value: unknown): Promise<void> {
    if (value !== null) await this.asides.put(keyOf(kind, id), OVERTAKEN, value, false);
  }

  /** What is to be written of a changed record: it, or it joined with what another tab wrote, or nothing. */
  private async record(draft: Draft, key: string, entry: Pending, alone: boolean): Promise<void> {
    const { kind, id, value, base } = entry;
    const why = value === null ? [] : faultsOf(kind, value);
    if (why.length) return this.waiting.hold(key, entry, why);
    this.waiting.release(key);
    // What nobody else can have written since it was read need not be looked at again.
    const certain = alone && this.records.has(key);
    const kept = certain ? undefined : goodOf(await this.stored(kind, id));
    const rev = certain ? this.records.rev(key) : (kept?.wrapped.rev ?? 0);
    if (rev === this.records.rev(key)) {
      draft.puts.push(...putsOf(kind, id, this.wrapFor(draft, key, rev + 1), value, base));
      if (value === null) draft.revs.set(key, 0);
      return;
    }
    // Another tab was quicker.
    const both = await this.joined(entry, kept?.data);
    if (kept) this.records.setPlace(key, kept.wrapped.place);
    if (both === undefined) {
      draft.revs.set(key, rev);
      draft.arrivals.push({ kind, id, value: kept?.data ?? null });
      return;
    }
    draft.puts.push(...putsOf(kind, id, this.wrapFor(draft, key, rev + 1), both, kept?.data));
    draft.arrivals.push({ kind, id, value: both });
  }

  /** What is to be written of a part of the index: all patches to it in one. */
  private async part(draft: Draft, key: string, list: readonly IndexPatch[], alone: boolean): Promise<void> {
    const [first] = list;
    if (!first) return;
    const last = list.at(-1);
    const part =
      last && 'put' in last && last.put !== undefined
        ? last.put
        : patchedBy(goodOf(await this.stored(first.in, first.id))?.data, list);
    draft.puts.push(...putsOf(first.in, first.id, this.wrapFor(draft, key, 0), part ?? null, undefined));
    if (!alone) draft.arrivals.push({ kind: first.in, id: first.id, value: part ?? null });
  }

  private wrapFor({ revs }: Draft, key: string, rev: number): (data: unknown) => Wrapped {
    return (data) => {
      revs.set(key, rev);
      return { format: WORKSPACE_FORMAT, rev, place: this.records.place(key), data };
    };
  }
}

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
