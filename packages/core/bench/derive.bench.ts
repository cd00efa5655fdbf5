import jsonPatch from 'fast-json-patch';
import { type Block, type Content, derive, type Family, type Page, upkeep, withWords } from '../src/index';
import { largeFamily } from './large';

const PAGES = 40;
const BLOCKS = 10;
const VERSIONS = 300;
const ADJUSTMENTS = 30;

const family = (pages: number): Family => largeFamily(pages, BLOCKS, VERSIONS, ADJUSTMENTS);

/** Copies only the arrays it writes to, and knows where everything is: the least that the work can cost. */
function bareLoop(f: Family): Content[] {
  const content = f.revisions[0]?.content as Content;
  const places = new Map(content.pages.flatMap((p, pi) => p.blocks.map((b, bi) => [b.id, [pi, bi] as const])));
  return f.versions.map((v) => {
    const pages = content.pages.slice();
    const own = new Set<number>();
    for (const a of v.adjustments) {
      if (a.kind !== 'reword') continue;
      const [pi, bi] = places.get(a.target) as readonly [number, number];
      const p = pages[pi] as Page;
      const blocks = own.has(pi) ? p.blocks : p.blocks.slice();
      own.add(pi);
      blocks[bi] = withWords(blocks[bi] as Block, a.field, a.now);
      pages[pi] = { ...p, blocks };
    }
    return { ...content, pages };
  });
}

/** A deep copy of the master for each version, then the same words replaced in it by JSON Patch. */
function patchedCopies(f: Family): Content[] {
  const content = f.revisions[0]?.content as Content;
  const paths = new Map(
    content.pages.flatMap((p, pi) => p.blocks.map((b, bi) => [b.id, `/pages/${pi}/blocks/${bi}/text`] as const)),
  );
  return f.versions.map((v) => {
    const copy = jsonPatch.deepClone(content) as Content;
    const patch = v.adjustments.flatMap((a) =>
      a.kind === 'reword' ? [{ op: 'replace' as const, path: paths.get(a.target) as string, value: a.now }] : [],
    );
    return jsonPatch.applyPatch(copy, patch).newDocument;
  });
}

/** Every version's document of before compared with the new master, whole. */
const comparedWhole = (before: readonly Content[], now: Content) => before.map((c) => jsonPatch.compare(c, now));

/** Bytes of heap that what `make` gives holds. */
function heapOf(make: () => unknown): number {
  const gc = (globalThis as { gc?: () => void }).gc;
  gc?.();
  const before = process.memoryUsage().heapUsed;
  const held = make();
  gc?.();
  const bytes = process.memoryUsage().heapUsed - before;
  // Read after the count, so that it could not be let go before.
  if (held === undefined) throw new Error('nothing was made');
  return bytes;
}

/** Runs before the first that counts: the engine compiles what it meets often. */
const WARM = 12;

/** Median of several runs in milliseconds; `prepare` is not counted. */
function median<T>(prepare: () => T, work: (input: T) => unknown, runs = 31): number {
  const times = Array.from({ length: runs + WARM }, () => {
    const input = prepare();
    const start = performance.now();
    work(input);
    return performance.now() - start;
  }).slice(WARM);
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
}

const deriveAll = (f: Family) => f.versions.map((v) => derive(f, v.id).content);
const fresh = family(PAGES);
const afresh = (f: Family): Family => ({ ...f, versions: f.versions.map((v) => ({ ...v })) });

const derived = median(() => afresh(fresh), deriveAll);
const bare = median(() => fresh, bareLoop);
const deep = median(() => fresh, patchedCopies, 5);
const large = family(PAGES * 10);
const derivedLarge = median(() => afresh(large), deriveAll);

const corrected: Family = {
  ...fresh,
  revisions: [
    ...fresh.revisions,
    {
      n: 2,
      at: '',
      author: 'T',
      note: '',
      content: {
        ...(fresh.revisions[0] as Family['revisions'][number]).content,
        pages: (fresh.revisions[0] as Family['revisions'][number]).content.pages.map((p, i) =>
          i < 20
            ? { ...p, blocks: p.blocks.map((b, k) => (k === 0 ? withWords(b, 'text', 'Wholly other words now.') : b)) }
            : p,
        ),
      },
    },
  ],
};
const kept = median(
  () => afresh(corrected),
  (f) => upkeep(f, 1),
);
// As a tool that copies would hold them: documents of their own.
const before = patchedCopies(fresh);
const now = structuredClone(corrected.revisions[1]?.content as Content);
const whole = median(
  () => before,
  (all) => comparedWhole(all, now),
  3,
);

let held: Family | undefined;
const source = heapOf(() => (held = family(PAGES)));
const results = heapOf(() => (held ? deriveAll(held) : undefined));

if (process.env['SHOW_MS']) console.table({ derived, bare, deep, derivedLarge, kept, whole });
const ratio = (n: number) => Number(n.toFixed(3));
const rows = [
  {
    figure: `derive: ${VERSIONS} versions of ${ADJUSTMENTS} adjustments on ${PAGES} × ${BLOCKS} blocks, to deep clones patched by fast-json-patch`,
    ratio: ratio(derived / deep),
    'at most': 0.1,
  },
  { figure: 'derive: to a bare loop that copies only the touched arrays', ratio: ratio(derived / bare), 'at most': 4 },
  { figure: `derive: on ${PAGES * 10} pages, to its own figure`, ratio: ratio(derivedLarge / derived), 'at most': 2 },
  {
    figure: 'upkeep of all after a change of 20 blocks, to whole copies compared by fast-json-patch',
    ratio: ratio(kept / whole),
    'at most': 0.1,
  },
  {
    figure: `memory of ${VERSIONS} derived versions, to the master with the adjustments`,
    ratio: ratio(results / source),
    'at most': 3,
  },
];
console.log(JSON.stringify(rows));
