import { assetsOf, itemsOf } from '../../activity/activity';
import { type Block, isLearners, keyWordsOf, labelOf } from '../../activity/blocks';
import { type Family, latest, type Version, versionOf, versionTree } from '../../activity/family';
import { questionNumbers } from '../../activity/numbering';
import { adjustmentKinds, kindOfAdjustment } from '../../adjust/registry';
import { counted } from '../../counted';
import { type CompareRow, compareVersions } from '../../derive/compare';
import { basisContent, derive } from '../../derive/derive';
import { sheetWords } from '../../evidence/sides';
import { measure } from '../../measure/measure';
import { textChanges } from '../../upkeep/merge-text';
import { type Classified, classify, counts } from '../../verdict/classify';
import type { DocumentPart, PrintedDocument } from '../evidence/document';
import { heading, small, words } from '../evidence/dossier';
import { namesIn } from '../../learners/names';
import { passedOn } from '../family-file';

export interface FamilyReportOptions {
  /** Writes a day (ISO instant) as the reader does. */
  readonly day: (iso: string) => string;
  /** ISO instant of the report. */
  readonly at: string;
  /** Names of learners: a version that holds one is called by its letter, and versions for one learner are not in it. */
  readonly names: ReadonlySet<string>;
}

/** Versions that stand side by side in one table. */
const MOST_COLUMNS = 6;

/** A family for colleagues: its master, every version with what it changes and why it counts so, and all side by side. */
export function familyReport(whole: Family, o: FamilyReportOptions): PrintedDocument {
  const family = passedOn(whole, o.names);
  const revision = latest(family);
  const { content } = revision;
  const versions = versionTree(family);
  return {
    ...{ language: content.language ?? 'en', title: content.title, foot: content.title },
    parts: [
      { is: 'title', text: content.title },
      small(
        `Master and ${counted(versions.length, '1 version', '{n} versions')}, revision ${revision.n} of ${o.day(revision.at)}; written ${o.day(o.at)}.`,
      ),
      ...facts([
        ['Subject', content.subject],
        ['Ages', content.ages],
        ['Objectives', content.objectives.map((x) => x.text).join(' · ')],
      ]),
      { is: 'contents', text: 'Contents' },
      heading(1, 'At a glance'),
      glance(family),
      ...sideBySide(family),
      heading(1, 'The master'),
      ...content.pages.flatMap((p): DocumentPart[] => {
        const numbers = questionNumbers(content.pages);
        return [heading(2, p.title || 'Page'), ...p.blocks.flatMap((b) => blockOf(b, numbers.get(b.id), o.names))];
      }),
      ...versions.flatMap(({ version }) => versionParts(family, version, o)),
    ],
  };
}

/** Where names of learners stand in a report, in words of the activity itself: nobody but its teacher can mend that. */
export function namesInReport({ parts }: PrintedDocument, names: ReadonlySet<string>): string[] {
  return [...new Set(parts.flatMap((p) => namesIn(JSON.stringify(p), names)))];
}

const facts = (all: readonly (readonly [string, string])[]): DocumentPart[] => {
  const some = all.filter(([, value]) => value);
  return some.length ? [{ is: 'facts', facts: some }] : [];
};

const basisName = (family: Family, v: Version): string =>
  v.basis === null ? 'the master' : (versionOf(family, v.basis)?.name ?? 'the master');

const COUNTS: Readonly<Record<Classified['judgement'], string>> = {
  same: 'as the master',
  accommodation: 'accommodation',
  modification: 'modification',
  addition: 'addition',
  'to judge': 'to be judged',
};

function glance(family: Family): DocumentPart {
  const row = (name: string, basis: string, versionId: string | null, judgement: string, n: number): string[] => {
    const m = measure(derive(family, versionId).content);
    return [name, basis, judgement, `${n}`, `${m.words}`, `${m.items}`, `${Math.round(m.minutes)}`];
  };
  return {
    is: 'table',
    says: 'The versions at a glance',
    head: ['Version', 'Made on', 'Counts as', 'Adjustments', 'Words', 'Questions', 'Minutes'],
    rows: [
      row('Master', '', null, '', 0),
      ...versionTree(family).map(({ version: v }) =>
        row(v.name, basisName(family, v), v.id, COUNTS[classify(family, v.id).judgement], v.adjustments.length),
      ),
    ],
  };
}

/** What became of each question of the master in each version; of many versions, several tables. */
function sideBySide(family: Family): DocumentPart[] {
  const versions = versionTree(family).map((t) => t.version);
  const { content } = latest(family);
  const items = itemsOf(content);
  if (!versions.length || !items.length) return [];
  const numbers = questionNumbers(content.pages);
  const how = new Map(
    versions.map((v) => [
      v.id,
      new Map(compareVersions(family, null, v.id).flatMap((p) => p.rows.map((r) => [r.id, r.how] as const))),
    ]),
  );
  const tables = Array.from({ length: Math.ceil(versions.length / MOST_COLUMNS) }, (_, i) =>
    versions.slice(i * MOST_COLUMNS, (i + 1) * MOST_COLUMNS),
  );
  return [
    heading(1, 'Questions, version by version'),
    ...tables.map((some, i): DocumentPart => ({
      is: 'table',
      says: tables.length > 1 ? `Questions, version by version, part ${i + 1}` : 'Questions, version by version',
      head: ['Question', ...some.map((v) => v.name)],
      rows: items.map((q) => [
        `${numbers.get(q.id) ?? ''}. ${q.prompt.slice(0, 80)}`,
        ...some.map((v) => how.get(v.id)?.get(q.id) ?? ''),
      ]),
    })),
  ];
}

function blockOf(b: Block, number: number | undefined, names: ReadonlySet<string>): DocumentPart[] {
  // What a note says of learners stays with their teacher.
  if (!isLearners(b) && namesIn(sheetWords(b), names).length)
    return [small('A note for the teacher that names learners is left out.')];
  const key = keyWordsOf(b);
  const text = sheetWords(b);
  const pictures = [...assetsOf({ pages: [{ id: 'p', title: '', orientation: 'portrait', blocks: [b] }] })];
  return [
    ...pictures.map((assetId): DocumentPart => ({ is: 'picture', assetId, alt: text || labelOf(b) })),
    ...(text && !(pictures.length && b.kind === 'picture')
      ? [isLearners(b) ? words(number ? `${number}. ${text}` : text) : small(`For the teacher: ${text}`)]
      : []),
    ...(key.length ? [small(`Key: ${key.join(', ')}`)] : []),
  ];
}

function versionParts(family: Family, version: Version, { day }: FamilyReportOptions): DocumentPart[] {
  const basis = basisContent(family, version);
  const judged = classify(family, version.id);
  const reports = new Map(derive(family, version.id).reports.map((r) => [r.adjustmentId, r]));
  const rows = compareVersions(family, version.basis, version.id).flatMap((p) =>
    p.rows.filter((r) => r.how !== 'same' && r.how !== 'moved').map((row) => ({ row, page: p.page.title })),
  );
  const shown = new Set<CompareRow>();
  const heads = [version.basis === null ? 'Master' : basisName(family, version), version.name] as const;
  return [
    heading(1, version.name),
    ...facts([
      ['Made on', basisName(family, version)],
      ['Purpose', version.purpose],
      ['Counts as', `${COUNTS[judged.judgement]}${judged.why.length ? `: ${judged.why.join(' ')}` : ''}`],
    ]),
    ...(version.adjustments.length ? [] : [words('It changes nothing.')]),
    ...version.adjustments.flatMap((a, i): DocumentPart[] => {
      const verdict = judged.adjustments.get(a.id);
      const mine = rows.filter(({ row }) => !shown.has(row) && row.adjustments.some((x) => x.id === a.id));
      mine.forEach(({ row }) => shown.add(row));
      const report = reports.get(a.id);
      return [
        heading(3, `${i + 1}. ${kindOfAdjustment(a).describe(a, basis)}`),
        ...facts([
          ['Category', adjustmentKinds[a.kind].category],
          ['Counts as', verdict ? COUNTS[counts(verdict)] : ''],
          ['Why', verdict ? verdict.why : ''],
          ['State', report && report.status !== 'applied' ? report.why : ''],
          ['Written', day(a.at)],
        ]),
        ...mine.map(({ row, page }) => sideOf(row, page, heads)),
      ];
    }),
    ...rows.filter(({ row }) => !shown.has(row)).map(({ row, page }) => sideOf(row, page, heads)),
  ];
}

function sideOf({ left, right }: CompareRow, page: string, heads: readonly [string, string]): DocumentPart {
  const changes = textChanges(left ? sheetWords(left) : '', right ? sheetWords(right) : '');
  const block = left ?? right;
  return {
    is: 'sides',
    about: [block ? labelOf(block) : '', page && `page “${page}”`].filter(Boolean).join(', '),
    heads,
    master: changes.filter((c) => c.kind !== 'new'),
    learner: changes.filter((c) => c.kind !== 'gone'),
    below: right ? '' : 'Left out.',
  };
}
