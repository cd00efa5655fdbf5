import { contentAddress } from '../activity/fingerprint';
import { z } from '../zod';

/** What a teacher can have done: how the record is searched. */
export const DOINGS = ['given', 'changed', 'decided', 'marked', 'released', 'removed', 'restored', 'undone'] as const;
export const doingSchema = z.enum(DOINGS);
export type Doing = z.infer<typeof doingSchema>;

/** As many records are named with one entry. */
export const MOST_NAMED = 40;

/** A record that something was done to: its collection and its id. */
export const namedSchema = z.strictObject({ in: z.string().max(40), id: z.string().max(200) });
export type Named = z.infer<typeof namedSchema>;

/** One thing that was done. Its hash is of all that it says and of the hash before it: what is changed later shows. */
export const entrySchema = z.strictObject({
  /** Counted from 1 through all pages. */
  n: z.number().int().min(1),
  /** ISO instant. */
  at: z.string().max(40),
  by: z.string().max(120),
  did: doingSchema,
  /** What was done, in words. */
  says: z.string().max(300),
  of: z.array(namedSchema).max(MOST_NAMED),
  /** Hash of the entry before; empty for the first. */
  before: z.string().max(64),
  hash: z.string().max(64),
});
export type Entry = z.infer<typeof entrySchema>;

/** As many entries stand on one page of the record. */
export const ENTRIES_OF_PAGE = 200;
export const chroniclePageSchema = z.object({
  /** Number of the page, led by zeros: pages stand in order by it. */
  id: z.string().max(20),
  entries: z.array(entrySchema).max(ENTRIES_OF_PAGE),
});
export type ChroniclePage = z.infer<typeof chroniclePageSchema>;

/** Something that was done, before it is written down. */
export type Done = Pick<Entry, 'at' | 'by' | 'did' | 'says' | 'of'>;

export const pageId = (n: number): string => `${n}`.padStart(8, '0');

/** The hash of an entry: of everything in it but itself. Source: a chain of SHA-256 over canonical JSON. */
export const hashOf = ({ hash: _, ...rest }: Entry): string => contentAddress({ ...rest });

/** The last page with these behind what is there; and further pages, where it is full. At least one page changes. */
export function appended(last: ChroniclePage | undefined, done: readonly Done[]): ChroniclePage[] {
  const pages: ChroniclePage[] = [last ?? { id: pageId(1), entries: [] }];
  let before = last?.entries.at(-1);
  for (const d of done) {
    const bare = {
      n: (before?.n ?? 0) + 1,
      at: d.at,
      by: d.by.slice(0, 120),
      did: d.did,
      says: d.says.slice(0, 300),
      of: d.of.slice(0, MOST_NAMED),
      before: before?.hash ?? '',
      hash: '',
    };
    const entry: Entry = { ...bare, hash: hashOf(bare) };
    before = entry;
    const page = pages.at(-1);
    if (page && page.entries.length < ENTRIES_OF_PAGE)
      pages[pages.length - 1] = { ...page, entries: [...page.entries, entry] };
    else pages.push({ id: pageId(Number(page?.id ?? 0) + 1), entries: [entry] });
  }
  return pages;
}

/** What checking the record found: unbroken up to its end, or where it is not what was written, and why. */
export type Checked =
  { readonly ok: true; readonly n: number } | { readonly ok: false; readonly at: number; readonly why: string };

/** The end of the record as it was noted apart from it. */
export interface ChronicleEnd {
  readonly n: number;
  readonly hash: string;
}

/** Checks the whole of the record, page by page; gives way after each. `end` is what was noted apart, where it is known. */
export function* checkedInSteps(pages: readonly ChroniclePage[], end?: ChronicleEnd): Generator<undefined, Checked> {
  let before: Entry | undefined;
  for (const page of [...pages].sort((a, b) => a.id.localeCompare(b.id))) {
    for (const e of page.entries) {
      const n = (before?.n ?? 0) + 1;
      if (e.n !== n) return { ok: false, at: n, why: `Entry ${n} is missing.` };
      if (e.before !== (before?.hash ?? ''))
        return { ok: false, at: n, why: `Entry ${n} does not follow the one before it.` };
      if (hashOf(e) !== e.hash) return { ok: false, at: n, why: `Entry ${n} is not what was written.` };
      before = e;
    }
    yield;
  }
  const n = before?.n ?? 0;
  if (end && end.n > n) return { ok: false, at: n + 1, why: `Entries ${n + 1} to ${end.n} are missing.` };
  if (end && end.n === n && end.hash !== (before?.hash ?? ''))
    return { ok: false, at: n, why: `Entry ${n} is not what was written.` };
  return { ok: true, n };
}

export function checkedChronicle(pages: readonly ChroniclePage[], end?: ChronicleEnd): Checked {
  const steps = checkedInSteps(pages, end);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}
