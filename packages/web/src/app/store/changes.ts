import { type CollectionName, COLLECTIONS, type Id, type Workspace } from '@lorvet/core';

/**
 * What became of one record. Whole records are kept, not patches of them: a record is never changed, only replaced, so
 * that stepping back gives the very objects of before, and all that was derived from them still holds.
 */
export interface RecordChange {
  readonly collection: CollectionName;
  readonly id: Id;
  /** Undefined: it was not there. */
  readonly before: unknown;
  readonly after: unknown;
}

type Records = Readonly<Record<Id, unknown>>;

export function changesBetween(before: Workspace, after: Workspace): RecordChange[] {
  const changes: RecordChange[] = [];
  for (const collection of COLLECTIONS) {
    const was: Records = before[collection];
    const now: Records = after[collection];
    if (was === now) continue;
    for (const id of new Set([...Object.keys(was), ...Object.keys(now)]))
      if (was[id] !== now[id]) changes.push({ collection, id, before: was[id], after: now[id] });
  }
  return changes;
}

/** Two steps as one: from before the first to after the second. */
export function joined(first: readonly RecordChange[], second: readonly RecordChange[]): RecordChange[] {
  const all = new Map<string, RecordChange>();
  for (const c of [...first, ...second]) {
    const key = `${c.collection}/${c.id}`;
    all.set(key, { ...c, before: (all.get(key) ?? c).before });
  }
  return [...all.values()];
}

/** The workspace with each record as it was before, or after, the changes. */
export function taken(doc: Workspace, changes: readonly RecordChange[], side: 'before' | 'after'): Workspace {
  const out: Record<string, Records> = { ...doc };
  for (const c of changes) {
    const records = out[c.collection] ?? {};
    const { [c.id]: _, ...rest } = records;
    // What is there keeps its place among the others.
    out[c.collection] = c[side] === undefined ? rest : { ...records, [c.id]: c[side] };
  }
  return out as unknown as Workspace;
}
