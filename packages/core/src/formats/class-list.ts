import { z } from '../zod';
import { mostAt, overfull } from '../activity/limits';
import { classSchema, groupSchema, learnerSchema } from '../learners/learner';
import { SUPPORTS } from '../learners/supports';
import { type CsvLine, csvLines } from './csv-lines';
import { Problem } from './problem';

/** What a column of a class list can hold. */
export const CLASS_FIELDS = ['name', 'class', 'group', 'readingGrade', 'supports', 'interests', 'languages'] as const;
export type ClassField = (typeof CLASS_FIELDS)[number];

export const CLASS_FIELD_LABELS: Record<ClassField, string> = {
  name: 'Name',
  class: 'Class',
  group: 'Group',
  readingGrade: 'Reading level (grade)',
  supports: 'Supports agreed',
  interests: 'Interests',
  languages: 'Languages',
};

export interface ClassTable {
  readonly headers: readonly string[];
  /** Each row with its line number in the file, from 1. */
  readonly rows: readonly CsvLine[];
  /** The column that seems to hold each field. */
  readonly guess: Readonly<Partial<Record<ClassField, number>>>;
}

const GUESSES: Record<ClassField, RegExp> = {
  name: /^(full ?)?name$|learner|pupil|student/i,
  class: /^class|form|room/i,
  group: /group|set\b/i,
  readingGrade: /read|grade|level/i,
  supports: /support|accommodation|help/i,
  interests: /interest|likes/i,
  languages: /language/i,
};

/** Reads a CSV or TSV class list: its columns, its rows and a guess at what each column holds. */
export function readClassTable(text: string): ClassTable {
  const [head, ...rows] = csvLines(text);
  if (!head || rows.length === 0)
    throw new Problem(
      'This file holds no class list: it needs a first line that names the columns and a line for each learner.',
    );
  if (/[\0\uFFFD]/.test(text))
    throw new Problem(
      'This file is not plain text. In the spreadsheet program, save it as CSV (UTF-8), then choose that file.',
    );
  const guess: Partial<Record<ClassField, number>> = {};
  const taken = new Set<number>();
  for (const f of CLASS_FIELDS) {
    const at = head.cells.findIndex((h, i) => !taken.has(i) && GUESSES[f].test(h));
    if (at >= 0) {
      guess[f] = at;
      taken.add(at);
    }
  }
  return { headers: head.cells, rows, guess };
}

export interface ListedLearner {
  readonly line: number;
  readonly name: string;
  readonly class: string;
  readonly groups: readonly string[];
  readonly readingGrade: number | null;
  readonly supports: readonly (typeof SUPPORTS)[number][];
  readonly interests: readonly string[];
  readonly languages: readonly string[];
}

export interface BadLine {
  readonly line: number;
  readonly why: string;
}

export interface ClassList {
  readonly learners: readonly ListedLearner[];
  /** Lines that are left out of the import. */
  readonly bad: readonly BadLine[];
}

/** How much of a listed learner can be kept. */
const { name, needs } = learnerSchema.shape;
const roomSchema = z.object({
  name,
  class: classSchema.shape.name,
  groups: z.array(groupSchema.shape.name),
  interests: needs.shape.interests,
  languages: needs.shape.languages,
});
const MOST_IN_CLASS = mostAt(classSchema, 'learnerIds');

const several = (cell: string) =>
  cell
    .split(/[;|/]|, ?/)
    .map((s) => s.trim())
    .filter(Boolean);

/** Turns rows into learners by the mapping of columns; every line that cannot be right is named. */
export function mapClassList(
  table: ClassTable,
  mapping: Partial<Record<ClassField, number>>,
  className: string,
): ClassList {
  if (mapping.name === undefined) throw new Problem('Choose the column that holds the names.');
  const learners: ListedLearner[] = [];
  const bad: BadLine[] = [];
  const seen = new Map<string, number>();
  const sizes = new Map<string, number>();
  for (const { line, cells } of table.rows) {
    const cell = (f: ClassField) => (mapping[f] === undefined ? '' : (cells[mapping[f]] ?? ''));
    const name = cell('name');
    if (!name) {
      bad.push({ line, why: 'There is no name.' });
      continue;
    }
    if (cells.length > table.headers.length) {
      bad.push({ line, why: `It has ${cells.length} columns, where the first line names ${table.headers.length}.` });
      continue;
    }
    const theClass = cell('class') || className.trim();
    if (!theClass) {
      bad.push({ line, why: `No class is given for ${name}. Choose a class column or write a class for all.` });
      continue;
    }
    const key = `${theClass}\n${name}`.toLowerCase();
    const before = seen.get(key);
    if (before !== undefined) {
      bad.push({ line, why: `${name} stands on line ${before} already.` });
      continue;
    }
    const level = cell('readingGrade');
    const readingGrade = level === '' ? null : Number(level.replace(',', '.'));
    if (readingGrade !== null && !(readingGrade >= 0 && readingGrade <= 13)) {
      bad.push({ line, why: `“${level}” is no reading level: it must be a school grade from 0 to 13.` });
      continue;
    }
    const asked = several(cell('supports').toLowerCase());
    const unknown = asked.filter((s) => !(SUPPORTS as readonly string[]).includes(s));
    if (unknown.length) {
      bad.push({ line, why: `“${unknown.join(', ')}” is no support Lorvet knows. It knows: ${SUPPORTS.join(', ')}.` });
      continue;
    }
    const listed: ListedLearner = {
      line,
      name,
      class: theClass,
      groups: several(cell('group')),
      readingGrade,
      supports: SUPPORTS.filter((s) => asked.includes(s)),
      interests: several(cell('interests')),
      languages: several(cell('languages')),
    };
    const full = overfull(roomSchema, listed);
    if (full) {
      bad.push({ line, why: full });
      continue;
    }
    const size = (sizes.get(theClass) ?? 0) + 1;
    if (size > MOST_IN_CLASS) {
      bad.push({
        line,
        why: `${theClass} is full: a class has room for ${MOST_IN_CLASS.toLocaleString('en')} learners.`,
      });
      continue;
    }
    seen.set(key, line);
    sizes.set(theClass, size);
    learners.push(listed);
  }
  return { learners, bad };
}
