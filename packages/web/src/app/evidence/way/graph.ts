import type { BlockWay, HadIt, WayVersion } from '@lorvet/core/evidence';
import { counted } from '../../platform/many';

/** One thing on the way. */
export interface WayNode {
  readonly id: string;
  readonly column: number;
  readonly title: string;
  readonly detail: string;
  /** How deep a version stands under others. */
  readonly depth: number;
  /** It was left out here: the way ends. */
  readonly isEnd: boolean;
}
export interface WayEdge {
  readonly from: string;
  readonly to: string;
}
export interface WayGraph {
  readonly columns: readonly { readonly name: string; readonly nodes: readonly WayNode[] }[];
  readonly edges: readonly WayEdge[];
  /** Learners that are not drawn: the table has them. */
  readonly notDrawn: number;
}

export const COLUMNS = ['Master', 'Versions', 'As given', 'Hand-outs', 'Learners'] as const;
/** So many learners are drawn; of more, those that are chosen. */
export const MOST_DRAWN = 16;
const MASTER = 'master';

export const percent = (share: number): string => `${Math.round(share * 100)} %`;
const versionNode = (id: string | null): string => (id === null ? MASTER : `v ${id}`);
const cut = (words: string, most: number): string => (words.length > most ? `${words.slice(0, most - 1)}…` : words);

/** Sheets that lie on the way of a node; all where none is chosen. */
export function rowsOf(way: BlockWay, node: string): readonly HadIt[] {
  if (!node || node === MASTER) return way.had;
  const id = node.slice(2);
  switch (node.slice(0, 2)) {
    case 'v ': {
      const under = versionsUnder(way.versions, id);
      return way.had.filter((h) => h.versionId !== null && under.has(h.versionId));
    }
    case 'w ':
      return way.had.filter((h) => `${h.wording}` === id);
    case 'h ':
      return way.had.filter((h) => h.handOutId === id);
    default:
      return way.had.filter((h) => h.learnerId === id);
  }
}

function versionsUnder(versions: readonly WayVersion[], id: string): ReadonlySet<string> {
  const under = new Set([id]);
  // They stand in the order of the tree: what a version is made on comes before it.
  for (const v of versions) if (v.basis !== null && under.has(v.basis)) under.add(v.versionId);
  return under;
}

export function graphOf(
  way: BlockWay,
  chosen: string,
  says: { readonly name: (learnerId: string) => string; readonly day: (iso: string) => string },
): WayGraph {
  const rows = rowsOf(way, chosen);
  const known = new Map(way.versions.map((v) => [v.versionId, v]));
  const nodes: WayNode[] = [];
  const add = (id: string, column: number, title: string, detail: string, more: Partial<WayNode> = {}) =>
    nodes.push({ ...{ id, column, title, detail, depth: 0, isEnd: false }, ...more });
  if (way.isInMaster || way.had.some((h) => h.versionId === null) || way.revisions.length)
    add(MASTER, 0, cut(way.words, 120) || way.label, masterDetail(way));
  for (const v of way.versions)
    add(versionNode(v.versionId), 1, v.name, v.how === 'changed' ? stepsSaid(v) : v.how, {
      ...{ depth: v.depth, isEnd: v.how === 'left out' },
    });
  for (const h of way.had)
    if (h.versionId !== null && !known.has(h.versionId) && !nodes.some((n) => n.id === versionNode(h.versionId)))
      add(versionNode(h.versionId), 1, h.versionName, 'not here any more');
  const isOfKeys = hasKeys(way);
  for (const w of way.wordings)
    add(
      `w ${w.n}`,
      2,
      way.wordings.length > 1 ? `Wording ${w.n}` : 'One wording',
      [cut(w.words, 90), ...(isOfKeys ? [`key: ${cut(w.key, 60) || 'none'}`] : [])].filter(Boolean).join(' · '),
    );
  for (const h of way.handOuts)
    add(
      `h ${h.id}`,
      3,
      h.title,
      [
        says.day(h.givenAt),
        counted(h.learners, 'one learner', '{n} learners'),
        h.reached && percent(h.reached.share).replace(' ', '\u00a0'),
      ]
        .filter(Boolean)
        .join(', '),
    );
  const learners = [...new Map(rows.map((r) => [r.learnerId, r])).values()];
  for (const r of learners.slice(0, MOST_DRAWN)) add(`l ${r.learnerId}`, 4, says.name(r.learnerId), wentSaid(r));
  const here = new Set(nodes.map((n) => n.id));
  return {
    columns: COLUMNS.map((name, i) => ({ name, nodes: nodes.filter((n) => n.column === i) })).filter(
      (c) => c.nodes.length > 0,
    ),
    edges: edgesOf(way).filter((e) => here.has(e.from) && here.has(e.to)),
    notDrawn: Math.max(0, learners.length - MOST_DRAWN),
  };
}

function masterDetail(way: BlockWay): string {
  const [first, ...later] = way.revisions;
  if (!first) return 'added by a version';
  return later.length
    ? `revision ${first.n}, changed in ${later.map((r) => r.n).join(', ')}`
    : `since revision ${first.n}`;
}

/** Whether wordings differ by their keys: else the key is said once. */
const hasKeys = (way: BlockWay): boolean => new Set(way.wordings.map((w) => w.key)).size > 1;

/** What became of the key from one revision to the next; nothing where it stayed. */
const keySaid = (before: string, now: string): string =>
  before === now ? '' : now ? ` Its key became “${cut(now, 160)}”.` : ' It has no key any more.';

const stepsSaid = (v: WayVersion): string =>
  v.steps.length ? [...new Set(v.steps.map((s) => s.kind.toLowerCase()))].join(', ') : 'as the version it is made on';

/** How it went, in a few words. */
export function wentSaid(r: HadIt): string {
  if (r.stage !== 'submitted') return r.stage;
  return r.reached === null ? 'submitted' : percent(r.reached);
}

function edgesOf(way: BlockWay): WayEdge[] {
  const edges = new Map<string, WayEdge>();
  const join = (from: string, to: string) => edges.set(`${from}\n${to}`, { from, to });
  for (const v of way.versions) join(versionNode(v.basis), versionNode(v.versionId));
  for (const h of way.had) {
    join(versionNode(h.versionId), `w ${h.wording}`);
    join(`w ${h.wording}`, `h ${h.handOutId}`);
    join(`h ${h.handOutId}`, `l ${h.learnerId}`);
  }
  return [...edges.values()];
}

/** Nodes on the way of the chosen one, back to the master and on to learners; all where none is chosen. */
export function onTheWay(way: BlockWay, chosen: string): ReadonlySet<string> | null {
  if (!chosen) return null;
  const on = new Set([chosen]);
  const basis = new Map(way.versions.map((v) => [v.versionId, v.basis]));
  const back = (versionId: string | null) => {
    for (let id = versionId; ; id = basis.get(id) ?? null) {
      on.add(versionNode(id));
      if (id === null) return;
    }
  };
  if (chosen.startsWith('v ')) back(chosen.slice(2));
  for (const r of rowsOf(way, chosen)) {
    back(r.versionId);
    for (const id of [`w ${r.wording}`, `h ${r.handOutId}`, `l ${r.learnerId}`]) on.add(id);
  }
  if (chosen === MASTER) for (const v of way.versions) on.add(versionNode(v.versionId));
  return on;
}

/** The way in sentences, for ears and for eyes. */
export function inWords(
  way: BlockWay,
  chosen: string,
  says: { readonly name: (learnerId: string) => string; readonly day: (iso: string) => string },
): string[] {
  const rows = rowsOf(way, chosen);
  const learners = new Set(rows.map((r) => r.learnerId));
  const marked = rows.flatMap((r) => r.reached ?? []);
  const first = way.revisions[0];
  const on = onTheWay(way, chosen);
  const did = way.versions.filter((v) => (!on || on.has(versionNode(v.versionId))) && v.steps.length);
  return [
    first
      ? `It stands in the master of “${way.activity}” since revision ${first.n}, ${says.day(first.at)}.`
      : 'A version added it: the master has it not.',
    ...way.revisions
      .slice(1)
      .map(
        (r, i) =>
          `Revision ${r.n}, ${says.day(r.at)}: ${
            r.isThere ? `“${cut(r.words, 160)}”.${keySaid(way.revisions[i]?.key ?? '', r.key)}` : 'taken out.'
          }`,
      ),
    ...did.flatMap((v) => v.steps.map((s) => `${v.name}: ${s.sentence}${s.reason ? ` Why: ${s.reason}` : ''}`)),
    rows.length
      ? `${counted(learners.size, 'One learner has', '{n} learners have')} had it, in ${counted(
          new Set(rows.map((r) => r.wording)).size,
          'one wording.',
          '{n} wordings.',
        )}`
      : 'Nobody has had it yet.',
    ...(hasKeys(way)
      ? way.wordings
          .filter((x) => rows.some((r) => r.wording === x.n))
          .map((x) => `Wording ${x.n} has ${x.key ? `the key “${cut(x.key, 160)}”.` : 'no key.'}`)
      : []),
    ...way.handOuts
      .filter((h) => h.accepted.length && rows.some((r) => r.handOutId === h.id))
      .map((h) => `Accepted besides the key in “${h.title}”: ${h.accepted.map((a) => `“${cut(a, 80)}”`).join(', ')}.`),
    ...(marked.length
      ? [
          `Of its points ${percent(marked.reduce((a, b) => a + b, 0) / marked.length)} ${counted(
            marked.length,
            'were reached, in one answer that is marked.',
            'were reached, in {n} answers that are marked.',
          )}`,
        ]
      : []),
  ];
}
