import {
  type CollectionName,
  COLLECTIONS,
  type Family,
  INDEX_NAMES,
  type IndexName,
  mended,
  placesOf,
  type Revision,
  WORKSPACE_FORMAT,
} from '@lorvet/core/desk';
import type { BoxName } from './boxes';
import type { Put } from './generation';
import { ruleOf } from './rules';

/** Everything that is kept record by record: what the teacher made, and the parts that follow from it. */
export type Kind = CollectionName | IndexName;
export const KINDS: readonly Kind[] = [...COLLECTIONS, ...INDEX_NAMES];

/** Where each kind is kept. */
const BOX_OF: Readonly<Record<Kind, BoxName>> = {
  families: 'bodies',
  learners: 'heads',
  comforts: 'heads',
  classes: 'heads',
  groups: 'heads',
  audiences: 'heads',
  rosters: 'lists',
  calendars: 'heads',
  handOuts: 'bodies',
  frozen: 'bodies',
  copies: 'bodies',
  markings: 'bodies',
  assets: 'files',
  templates: 'lists',
  objectives: 'lists',
  recipes: 'heads',
  phrases: 'heads',
  folders: 'bodies',
  dismissed: 'heads',
  chronicle: 'bodies',
  removed: 'heads',
  familyHeads: 'heads',
  handOutHeads: 'heads',
  states: 'heads',
  door: 'heads',
  slips: 'bodies',
  sheets: 'bodies',
  flaps: 'bodies',
  albums: 'bodies',
  keys: 'bodies',
};
export const boxOf = (kind: Kind): BoxName => BOX_OF[kind];

/** Records that are found by the address of their content never change. */
export const isByAddress = (kind: Kind): boolean => ['frozen', 'sheets', 'flaps', 'keys', 'assets'].includes(kind);

export const keyOf = (kind: Kind, id: string): string => `${kind}/${id}`;

/** The kind and id that a key names; null for any other key. */
export function placeOf(key: string): { kind: Kind; id: string } | null {
  const at = key.indexOf('/');
  const kind = KINDS.find((k) => k === key.slice(0, at));
  return kind ? { kind, id: key.slice(at + 1) } : null;
}

/** A record as it is kept. */
export interface Wrapped {
  readonly format: number;
  /** Counts the writes to this record, so that a tab sees when another was quicker. */
  readonly rev: number;
  /** Its place in the order of its kind: what was made first is the lowest. */
  readonly place: number;
  readonly data: unknown;
}
export const isWrapped = (value: unknown): value is Wrapped =>
  typeof value === 'object' && value !== null && 'format' in value && 'rev' in value && 'data' in value;

// What never changes is checked once: a family of fifty revisions is written at every pause in typing.
const sound = new WeakSet<object>();

/** What is wrong with a record, in words; empty where it may be kept. */
export function faultsOf(kind: Kind, value: unknown): string[] {
  if (typeof value === 'object' && value !== null && sound.has(value)) return [];
  const checked = kind === 'families' ? lean(value) : value;
  const rule = ruleOf(kind);
  const read = rule.schema.safeParse(checked);
  if (!read.success) return placesOf(read.error, 3);
  const unsound = rule.unsoundIn?.(value) ?? [];
  if (unsound.length === 0) remember(kind, value as object);
  return unsound;
}

/** A family without those of its revisions that were found sound before; the last one stays. */
function lean(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || !('revisions' in value) || !Array.isArray(value.revisions))
    return value;
  const left = value.revisions.filter((r: unknown, i, all) => i === all.length - 1 || !sound.has(r as object));
  return { ...value, revisions: left };
}

function remember(kind: Kind, value: object): void {
  sound.add(value);
  if (kind === 'families') for (const r of (value as Family).revisions) sound.add(r);
}

/** A record as it was read; `notes` say what was mended in it, where its fault is known. */
export type ReadRecord = { readonly data: unknown; readonly notes?: readonly string[] } | { readonly faults: string[] };

/**
 * A record as its schema gives it back: fields that came with a later format have their first values. One whose fault is
 * known, and that stays one record, is mended.
 */
export function readRecord(kind: Kind, data: unknown): ReadRecord {
  const read = asItIs(kind, data);
  if ('data' in read || !COLLECTIONS.some((c) => c === kind)) return read;
  const { schema, mend } = ruleOf(kind);
  const whole = mended(schema, data, mend);
  const [only, ...more] = whole?.records ?? [];
  return whole && only && more.length === 0 ? { data: only, notes: whole.notes } : read;
}

function asItIs(kind: Kind, data: unknown): { data: unknown } | { faults: string[] } {
  const rule = ruleOf(kind);
  const read = rule.schema.safeParse(data);
  if (!read.success) return { faults: placesOf(read.error, 3) };
  const unsound = rule.unsoundIn?.(read.data) ?? [];
  if (unsound.length) return { faults: unsound };
  if (typeof read.data === 'object' && read.data !== null) remember(kind, read.data);
  return { data: read.data };
}

const revisionKey = (familyId: string, n: number) => `revisions/${familyId}/${n}`;
type Bare = Omit<Revision, 'content'>;

/**
 * What is to be written for a record, where it was `before` as it is kept (undefined: not known). A family's revisions
 * are parts of their own, written once; an activity found by its address is not written again.
 */
export function putsOf(
  kind: Kind,
  id: string,
  wrap: (data: unknown) => Wrapped,
  value: unknown,
  before: unknown,
): Put[] {
  const box = boxOf(kind);
  const key = keyOf(kind, id);
  const then = kind === 'families' ? ((before as Family | undefined)?.revisions ?? []) : [];
  if (value === null || value === undefined)
    return [
      { box, key, value: undefined },
      ...then.map((r): Put => ({ box, key: revisionKey(id, r.n), value: undefined })),
    ];
  if (kind !== 'families') return [{ box, key, value: wrap(value), ...(isByAddress(kind) ? { byAddress: true } : {}) }];
  const family = value as Family;
  const known = new Map(then.map((r) => [r.n, r]));
  const bare: Bare[] = family.revisions.map(({ content: _, ...r }) => r);
  return [
    { box, key, value: wrap({ ...family, revisions: bare }) },
    ...family.revisions.flatMap((r): Put[] =>
      known.get(r.n)?.content === r.content ? [] : [{ box, key: revisionKey(id, r.n), value: r.content }],
    ),
    ...then.slice(family.revisions.length).map((r): Put => ({ box, key: revisionKey(id, r.n), value: undefined })),
  ];
}

/** The keys of the further parts of what was read, to be given to `joined`. */
export function partKeys(kind: Kind, id: string, data: unknown): string[] {
  if (kind !== 'families' || typeof data !== 'object' || data === null || !('revisions' in data)) return [];
  const revisions: unknown = data.revisions;
  return Array.isArray(revisions) ? revisions.map((r: unknown) => revisionKey(id, Number((r as Bare).n))) : [];
}

/** A record with its further parts in it. */
export function joined(kind: Kind, data: unknown, parts: readonly unknown[]): unknown {
  if (kind !== 'families' || parts.length === 0) return data;
  const family = data as { revisions: Bare[] };
  return { ...family, revisions: family.revisions.map((r, i) => ({ ...r, content: parts[i] })) };
}

/** A kept record as of now. The first format had one box and is read elsewhere. */
export const migrated = (kind: Kind, { format, data }: Wrapped): unknown =>
  format === WORKSPACE_FORMAT ? data : (ruleOf(kind).migrate?.(format, data) ?? data);
