import { WORKSPACE_FORMAT } from '@lorvet/core/desk';
import { type Generation, readAll, readOne, Unreadable } from './generation';
import {
  boxOf,
  isWrapped,
  joined,
  keyOf,
  type Kind,
  migrated,
  partKeys,
  placeOf,
  readRecord,
  type Wrapped,
} from './record-places';

/** A record that can be read; `notes` say what was mended in it. */
export interface Good {
  readonly wrapped: Wrapped;
  readonly data: unknown;
  readonly notes?: readonly string[];
}
/** A record as it is in storage. */
export type Stored = Good | { readonly faults: string[]; readonly raw: unknown };

/** The record where it can be read. */
export const goodOf = (stored: Stored | undefined): Good | undefined =>
  stored && 'data' in stored ? stored : undefined;

const FOREIGN = 'It is not a record of Lorvet.';

/** One record with its parts; undefined where there is none. */
export async function readStored(generation: Generation, kind: Kind, id: string): Promise<Stored | undefined> {
  const box = generation.box(boxOf(kind));
  const raw = await readOne(box, keyOf(kind, id));
  if (raw === undefined) return undefined;
  if (raw instanceof Unreadable) return { faults: [`The browser cannot read it back (${raw.why}).`], raw: null };
  if (!isWrapped(raw)) return { faults: [FOREIGN], raw };
  if (raw.format > WORKSPACE_FORMAT) return { faults: ['It was written by a newer Lorvet.'], raw };
  const parts = await Promise.all(partKeys(kind, id, raw.data).map((key) => readOne(box, key)));
  return checked(kind, { ...raw, data: joined(kind, raw.data, parts) });
}

/** Everything of a kind that is kept whole, by id. */
export async function readStoredList(generation: Generation, kind: Kind): Promise<Map<string, Stored>> {
  const all = new Map<string, Stored>();
  for (const [key, raw] of await readAll(generation.box(boxOf(kind)))) {
    const place = placeOf(key);
    if (place?.kind !== kind) continue;
    if (isWrapped(raw)) all.set(place.id, checked(kind, raw));
    else all.set(place.id, { faults: [FOREIGN], raw: raw instanceof Unreadable ? null : raw });
  }
  return all;
}

/** A record as it stands in its box, read with its schema. */
export function checked(kind: Kind, wrapped: Wrapped): Stored {
  const read = readRecord(kind, migrated(kind, wrapped));
  return 'faults' in read ? { faults: read.faults, raw: wrapped } : { wrapped, ...read };
}
