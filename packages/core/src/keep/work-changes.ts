import type { CollectionName } from '../collections';
import { type Copy, type Decisions, workState } from '../work/copy';
import type { Workspace } from '../workspace';
import type { Index, IndexPatch, WorkState } from './index-parts';

/** What became of one record; undefined: it was not there, or is there no more. */
export interface RecordChange {
  readonly collection: CollectionName;
  readonly id: string;
  readonly before: unknown;
  readonly after: unknown;
}

type Known = Pick<Workspace, 'copies'>;

/** How far the work of these copies is now. `before` is what a copy was that is there no more; `decided` what the teacher decided on it. */
export function workPatches(
  copyIds: Iterable<string>,
  before: (id: string) => Copy | undefined,
  decided: (copy: Copy) => Decisions,
  w: Known,
): IndexPatch[] {
  const states = new Map<string, Record<string, WorkState | null>>();
  for (const id of copyIds) {
    const copy = w.copies[id] as Copy | undefined;
    const known = copy ?? before(id);
    if (!known) continue;
    const set = states.get(known.handOutId) ?? {};
    states.set(known.handOutId, set);
    set[known.learnerId] = (copy && workState(copy, decided(copy))) ?? null;
  }
  return [...states].map(([id, set]) => ({ in: 'states', id, set }));
}

/**
 * What changes that a learner makes at the desk ask of the index: how far the work is. What the teacher decided stands on
 * the slips of those whose work it is; their markings are not known there.
 */
export function deskChanges(changes: readonly RecordChange[], w: Known, { slips }: Pick<Index, 'slips'>): IndexPatch[] {
  const copies = changes.filter((c) => c.collection === 'copies');
  const before = new Map(copies.map((c) => [c.id, c.before as Copy | undefined]));
  return workPatches(
    before.keys(),
    (id) => before.get(id),
    (copy) => decidedOn(slips, copy),
    w,
  );
}

/** What the teacher decided on a copy, as it stands on the slips that are known; nothing where none of them is its own. */
export const decidedOn = (slips: Index['slips'], copy: Copy): Decisions =>
  Object.values(slips)
    .map((s) => ({ id: s.id, work: s.works[copy.handOutId] }))
    .find(({ id, work }) => work && (work.shares || id) === copy.learnerId)?.work?.said.decisions ?? {};
