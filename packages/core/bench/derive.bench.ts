import {
  type Block,
  type Content,
  derive,
  type Family,
  FAMILY_FORMAT,
  type Page,
  upkeep,
  type Version,
  withWords,
} from '../src/index';

const PAGES = 40;
const BLOCKS = 10;
const VERSIONS = 300;
const ADJUSTMENTS = 30;

const block = (p: number, i: number): Block => ({
  id: `b${p}-${i}`,
  kind: 'text',
  audience: 'learner',
  text: `Words of block ${i} on page ${p}, some ten or so.`,
});
const page = (p: number): Page => ({
  id: `p${p}`,
  title: `Page ${p}`,
  orientation: 'portrait',
  blocks: Array.from({ length: BLOCKS }, (_, i) => block(p, i)),
});

function family(pages: number): Family {
  const content: Content = {
    title: 'Bench',
    subject: '',
    ages: '',
    objectives: [],
    pages: Array.from({ length: pages }, (_, p) => page(p)),
  };
  const at = '2026-01-01T00:00:00.000Z';
  const versions = Array.from({ length: VERSIONS }, (_, v): Version => ({
    id: `v${v}`,
    name: `Version ${v}`,
    swatch: { pattern: 'plain', colour: 'a', letter: 'A' },
    purpose: '',
    basis: null,
    upTo: 1,
    upkeepLog: [],
    adjustments: Array.from({ length: ADJUSTMENTS }, (_, k) => {
      const target = content.pages[(v * 7 + k * 3) % pages]?.blocks[(v + k) % BLOCKS] as Block & { text: string };
      return {
        id: `a${v}-${k}`,
        kind: 'reword',
        at,
        author: 'T',
        target: target.id,
        field: 'text',
        was: target.text,
        now: `${target.text} Version ${v}.`,
      };
    }),
  }));
  return {
    format: FAMILY_FORMAT,
    id: 'f',
    createdAt: at,
    revisions: [{ n: 1, at, author: 'T', note: '', content }],
    versions,
  };
}

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

/** A deep copy of the master for each version, then the same words written into it. */
function deepCopies(f: Family): Content[] {
  return f.versions.map((v) => {
    const copy = structuredClone(f.revisions[0]?.content) as Content;
    const places = new Map(copy.pages.flatMap((p) => p.blocks.map((b) => [b.id, b])));
    for (const a of v.adjustments)
      if (a.kind === 'reword') Object.assign(places.get(a.target) as Block, { text: a.now });
    return copy;
  });
}

/** Median of several runs in milliseconds; `prepare` is not counted. */
function median<T>(prepare: () => T, work: (input: T) => unknown, runs = 9): number {
  const times = Array.from({ length: runs + 2 }, () => {
    const input = prepare();
    const start = performance.now();
    work(input);
    return performance.now() - start;
  }).slice(2);
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
}

const deriveAll = (f: Family) => f.versions.map((v) => derive(f, v.id).content);
const fresh = family(PAGES);
const afresh = (f: Family): Family => ({ ...f, versions: f.versions.map((v) => ({ ...v })) });

const derived = median(() => afresh(fresh), deriveAll);
const bare = median(() => fresh, bareLoop);
const deep = median(() => fresh, deepCopies, 5);
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

const rows = [
  {
    figure: `derive, ${VERSIONS} versions of ${ADJUSTMENTS} adjustments, ${PAGES} × ${BLOCKS} blocks`,
    ms: derived,
    'as a ratio': '1',
  },
  { figure: 'to a bare loop that copies only the touched arrays', ms: bare, 'as a ratio': (derived / bare).toFixed(2) },
  { figure: 'to deep copies of the master', ms: deep, 'as a ratio': (derived / deep).toFixed(3) },
  {
    figure: `the same on a master of ${PAGES * 10} pages`,
    ms: derivedLarge,
    'as a ratio': (derivedLarge / derived).toFixed(2),
  },
  {
    figure: 'upkeep of all after a revision that changes 20 blocks',
    ms: kept,
    'as a ratio': (kept / derived).toFixed(2),
  },
].map((r) => ({ ...r, ms: Number(r.ms.toFixed(2)) }));
console.table(rows);
console.log(JSON.stringify(rows));
