import { contentAddress } from '../activity/fingerprint';
import { FAMILY_FORMAT } from '../activity/family-schema';
import { type Swatch, swatchFrom } from '../activity/swatch';
import { COLLECTIONS, WORKSPACE_FORMAT } from '../collections';
import { READING } from '../learners/levels';
import { categoryOfSupport } from '../learners/supports';
import { fromBase64 } from './base64';
import { versionsOnWholePages } from './on-whole-pages';

/** Records as they came, by collection: nothing is known of them yet. What is no record is passed on, and refused later. */
export type RawCollections = Readonly<Record<string, readonly unknown[]>>;

type Raw = Readonly<Record<string, unknown>>;
const isRaw = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
const rawIn = (value: unknown): Raw => (isRaw(value) ? value : {});
const each = (list: readonly unknown[] | undefined, change: (record: Raw) => unknown): unknown[] =>
  (list ?? []).map((r) => (isRaw(r) ? change(r) : r));

/** A step leads to each format from the one before: it gives what the next format holds; a collection that came with it begins empty. */
const STEPS: readonly ((raw: RawCollections) => RawCollections)[] = [
  (raw) => ({ ...raw, templates: [], objectives: [] }),
  (raw) => ({ ...raw, recipes: [] }),
  splitFrozenAndComfort,
  recordsFrom(4),
  recordsFrom(5),
  recordsFrom(6),
  recordsFrom(7),
];

function recordsFrom(format: number): (raw: RawCollections) => RawCollections {
  return (raw) =>
    Object.fromEntries(Object.entries(raw).map(([c, list]) => [c, list.map((r) => stepOf(c, format, r))]));
}

/** From format 4 on each record is brought up by itself: steps from a format to the next, by collection. */
const RECORD_STEPS: Readonly<Record<string, Readonly<Record<number, (record: unknown) => unknown>>>> = {
  // No adjustment speaks of a page that a division made.
  families: { 4: migrateFamily },
  // A level has a skill, a scale and a day; a support its category and its time.
  learners: { 5: withLevels },
  removed: { 5: (r) => (isRaw(r) && r['what'] === 'learner' ? { ...r, learner: withLevels(r['learner']) } : r) },
};
const stepOf = (collection: string, from: number, record: unknown): unknown =>
  RECORD_STEPS[collection]?.[from]?.(record) ?? record;

/** A raw record of format 4 or higher as of now. */
export function migrateRecord(collection: string, format: number, record: unknown): unknown {
  let out = record;
  for (let at = format; at < WORKSPACE_FORMAT; at++) out = stepOf(collection, at, out);
  return out;
}

/** Raw records of an earlier format as of now. Which format it is, is checked before. */
export function migrateWorkspace(format: number, raw: RawCollections): RawCollections {
  let out = raw;
  for (let at = format; at < WORKSPACE_FORMAT; at++) out = STEPS[at - 1]?.(out) ?? out;
  return Object.fromEntries(COLLECTIONS.map((c) => [c, out[c] ?? []]));
}

/** Collections that came with a format. */
const SINCE: Readonly<Record<string, number>> = {
  audiences: 6,
  rosters: 6,
  calendars: 6,
  phrases: 7,
  folders: 8,
  dismissed: 8,
  chronicle: 8,
};

/** The collections that a backup of a format holds. */
export function collectionsAt(format: number): readonly string[] {
  const first = ['families', 'learners', 'classes', 'groups', 'handOuts', 'copies', 'markings', 'assets'];
  if (format >= 4) return COLLECTIONS.filter((c) => format >= (SINCE[c] ?? 0));
  return [...first, ...(format >= 2 ? ['templates', 'objectives'] : []), ...(format >= 3 ? ['recipes'] : [])];
}

const FAMILY_STEPS: readonly ((family: Raw) => Raw)[] = [
  // The master has a mark of its own, unlike those of its versions.
  (f) => ({ ...f, format: 2, swatch: swatchFrom(String(f['id']), swatchesIn(f)) }),
  // What was recorded on a page that a division made is recorded on the whole page, or on its blocks.
  (f) => ({ ...f, format: 3, versions: versionsOnWholePages({ ...f, format: 3 }) }),
];

const swatchesIn = (f: Raw): Swatch[] =>
  (Array.isArray(f['versions']) ? f['versions'] : []).flatMap((v) => {
    const swatch: unknown = rawIn(v)['swatch'];
    return isRaw(swatch) ? [swatch as unknown as Swatch] : [];
  });

/** A raw family of an earlier format as of now; what names no earlier format is left as it is. */
export function migrateFamily(family: unknown): unknown {
  if (!isRaw(family)) return family;
  let out = family;
  for (let at = Number(out['format']); at >= 1 && at < FAMILY_FORMAT; at++) out = FAMILY_STEPS[at - 1]?.(out) ?? out;
  return out;
}

/**
 * Format 3 to 4. What was frozen becomes a record of its own, kept once; comfort goes from the learner's card into a
 * record that the desk writes; assets are bytes and not base64.
 */
function splitFrozenAndComfort(raw: RawCollections): RawCollections {
  const families = (raw['families'] ?? []).map(migrateFamily);
  const swatches = new Map(families.map((f) => [rawIn(f)['id'], rawIn(f)['swatch']]));
  const frozen = new Map<string, unknown>();
  const addresses = new Map<string, string>();
  const handOuts = each(raw['handOuts'], ({ frozen: held, given, ...rest }) => {
    for (const [address, value] of Object.entries(rawIn(held))) {
      const { hash: _, at: __, ...one } = rawIn(value);
      const familyId = String(one['familyId']);
      const record = { ...one, swatch: one['swatch'] ?? swatches.get(familyId) ?? swatchFrom(familyId) };
      const id = contentAddress(record);
      frozen.set(id, { id, ...record });
      addresses.set(`${String(rest['id'])} ${address}`, id);
    }
    const at = (address: unknown) => addresses.get(`${String(rest['id'])} ${String(address)}`) ?? address;
    const now = Object.entries(rawIn(given)).map(([learnerId, address]) => [learnerId, { frozen: at(address) }]);
    return { ...rest, given: Object.fromEntries(now) };
  });
  return {
    ...raw,
    families,
    learners: each(raw['learners'], ({ comfort: _, ...rest }) => rest),
    comforts: (raw['learners'] ?? []).flatMap((l) => {
      const { id, comfort } = rawIn(l);
      return comfort === undefined ? [] : [{ id, comfort }];
    }),
    handOuts,
    frozen: [...frozen.values()],
    copies: each(raw['copies'], (c) => ({
      ...c,
      frozen: addresses.get(`${String(c['handOutId'])} ${String(c['frozen'])}`) ?? c['frozen'],
    })),
    assets: each(raw['assets'], (a) => ({ ...a, data: bytesIn(a['data']) })),
    removed: [],
  };
}

/** Format 5 to 6: a learner's one reading grade is a level in reading, whose day is not known. */
function withLevels(learner: unknown): unknown {
  if (!isRaw(learner) || !isRaw(learner['needs'])) return learner;
  const { readingGrade, supports, ...needs } = learner['needs'];
  const isKept = readingGrade !== null && readingGrade !== undefined;
  return {
    ...learner,
    needs: {
      ...needs,
      levels: isKept ? [{ skill: READING, scale: 'grade', value: readingGrade, on: '' }] : [],
      supports: Array.isArray(supports)
        ? supports.map((s: unknown) => (typeof s === 'string' ? { what: s, category: categoryOfSupport(s) } : s))
        : [],
    },
  };
}

/** What was kept as base64; what was not is left, and refused later. */
function bytesIn(data: unknown): unknown {
  try {
    return typeof data === 'string' ? fromBase64(data) : data;
  } catch {
    return data;
  }
}
