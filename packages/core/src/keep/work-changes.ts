import type { CollectionName } from '../collections';
import { type Copy, decisionsOf, workState } from '../work/copy';
import type { Workspace } from '../workspace';
import type { IndexPatch, WorkState } from './index-parts';

/** What became of one record; undefined: it was not there, or is there no more. */
export interface RecordChange {
  readonly collection: CollectionName;
  readonly id: string;
  readonly before: unknown;
  readonly after: unknown;
}

type Known = Pick<Workspace, 'copies' | 'markings'>;

/** How far the work of these copies is now. `before` is what a copy was that is there no more. */
export function workPatches(
  copyIds: Iterable<string>,
  before: (id: string) => Copy | undefined,
  w: Known,
): IndexPatch[] {
  const states = new Map<string, Record<string, WorkState | null>>();
  for (const id of copyIds) {
    const copy = w.copies[id] as Copy | undefined;
    const known = copy ?? before(id);
    if (!known) continue;
    const set = states.get(known.handOutId) ?? {};
    states.set(known.handOutId, set);
    set[known.learnerId] = (copy && workState(copy, decisionsOf(w.markings[id]))) ?? null;
  }
  return [...states].map(([id, set]) => ({ in: 'states', id, set }));
}

/** What changes that a learner makes at the desk ask of the index: how far the work is follows from the copies alone. */
export function deskChanges(changes: readonly RecordChange[], w: Known): IndexPatch[] {
  const copies = changes.filter((c) => c.collection === 'copies');
  const before = new Map(copies.map((c) => [c.id, c.before as Copy | undefined]));
  return workPatches(before.keys(), (id) => before.get(id), w);
}
