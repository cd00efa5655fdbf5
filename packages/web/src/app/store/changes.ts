import { COLLECTIONS, type RecordChange } from '@lorvet/core/desk';
import type { KeptDoc } from '../platform/storage/kept-asset';

/*
 * Steps of undo hold whole records, not patches of them: a record is never changed, only replaced, so that stepping back
 * gives the very objects of before, and all that was derived from them still holds.
 */

type Records = Readonly<Record<string, unknown>>;

export function changesBetween(before: KeptDoc, after: KeptDoc): RecordChange[] {
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

/** What is in memory, with each record as it was before, or after, the changes. */
export function taken(doc: KeptDoc, changes: readonly RecordChange[], side: 'before' | 'after'): KeptDoc {
  const out: Record<string, Record<string, unknown>> = {};
  for (const c of changes) {
    // Copied once, however many of its records change. What is there keeps its place among the others.
    const records = (out[c.collection] ??= { ...doc[c.collection] });
    if (c[side] === undefined) delete records[c.id];
    else records[c.id] = c[side];
  }
  return { ...doc, ...out } as unknown as KeptDoc;
}
