import { z } from '../zod';
import { mostAt, overfull } from '../activity/limits';
import { learnerSchema, needsCardSchema } from '../learners/learner';
import { classSchema, groupSchema } from '../learners/people';
import { SCALES } from '../learners/levels';
import { agreedSupportSchema, KNOWN_SUPPORTS } from '../learners/supports';
import { type CsvLine, csvLines } from './csv-lines';
import { Problem } from './problem';

/** What a column of a class list can hold. */
export const CLASS_FIELDS = [
  'name',
  'class',
  'group',
  'birthday',
  'called',
  'readingGrade',
  'supports',
  'interests',
  'languages',
] as const;
export type ClassField = (typeof CLASS_FIELDS)[number];

export const CLASS_FIELD_LABELS: Record<ClassField, string> = {
  name: 'Name',
  class: 'Class',
  group: 'Group',
  birthday: 'Birthday',
  called: 'Called',
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
  name: /^(full ?|whole ?)?name$|learner|pupil|student/i,
  class: /^class|form|room/i,
  group: /group|set\b/i,
  birthday: /birth|born|dob/i,
  called: /called|known as|preferred|nick/i,
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
  /** The first of its lines in the file. */
  readonly line: number;
  readonly name: string;
  /** The classes they are in, at least one. */
  readonly classes: readonly string[];
  readonly groups: readonly string[];
  /** ISO date; empty where none is given. */
  readonly birthday: string;
  readonly called: string;
  readonly readingGrade: number | null;
  readonly supports: readonly string[];
  readonly interests: readonly string[];
  readonly languages: readonly string[];
}

/** What is wrong with lines that are left out of the import, said once for all of them. */
export interface BadLines {
  readonly why: string;
  readonly lines: readonly number[];
  /** What stands there, of the first few: “many”, “99”. */
  readonly examples: readonly string[];
}

export interface ClassList {
  readonly learners: readonly ListedLearner[];
  readonly bad: readonly BadLines[];
}

/** Which of two numbers of a date like 03/04/2016 is the day. */
export type DateOrder = 'day first' | 'month first';

const NUMBERED = /^(\d{1,2})[./ -](\d{1,2})[./ -](\d{4})$/;

/** The order in which dates of a column are written: what all of them allow; undefined where that is both or none. */
export function dateOrderOf(cells: readonly string[]): DateOrder | undefined {
  const found = cells.map((c) => NUMBERED.exec(c));
  const isDayFirst = found.some((m) => Number(m?.[1]) > 12);
  const isMonthFirst = found.some((m) => Number(m?.[2]) > 12);
  return isDayFirst === isMonthFirst ? undefined : isDayFirst ? 'day first' : 'month first';
}

/** A date as an ISO date, from year first or by numbers in an order; undefined for what is none. */
export function readDate(cell: string, order: DateOrder): string | undefined {
  const m = NUMBERED.exec(cell);
  const parts = m ? [m[3], ...(order === 'day first' ? [m[2], m[1]] : [m[1], m[2]])] : cell.split(/[-/.]/);
  const [year = '', month = '', day = ''] = parts;
  if (!/^\d{4}$/.test(year) || !/^\d{1,2}$/.test(month) || !/^\d{1,2}$/.test(day)) return undefined;
  const iso = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  const date = new Date(`${iso}T12:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(iso) ? iso : undefined;
}

/** How much of a listed learner can be kept. */
const { name, chosenName, needs } = learnerSchema.shape;
const roomSchema = z.object({
  name,
  called: chosenName,
  classes: z.array(classSchema.shape.name),
  groups: z.array(groupSchema.shape.name),
  supports: z.array(agreedSupportSchema.shape.what).max(mostAt(needsCardSchema, 'supports')),
  interests: needs.shape.interests,
  languages: needs.shape.languages,
});
const MOST_IN_CLASS = mostAt(classSchema, 'learnerIds');
const MOST_EXAMPLES = 3;

const several = (cell: string) =>
  cell
    .split(/[;|/]|, ?/)
    .map((s) => s.trim())
    .filter(Boolean);

const inOneCase = (support: string): string =>
  KNOWN_SUPPORTS.find((s) => s.what === support.toLowerCase())?.what ?? support;

/**
 * Turns rows into learners by the mapping of columns; what is wrong with lines is said once for all that it is wrong
 * with. Somebody who stands in several lines with different classes is one learner in all of them, where name and
 * birthday are the same; otherwise the same name in another class is somebody else.
 */
export function mapClassList(
  table: ClassTable,
  mapping: Partial<Record<ClassField, number>>,
  className: string,
  order: DateOrder = 'day first',
): ClassList {
  if (mapping.name === undefined) throw new Problem('Choose the column that holds the names.');
  const learners: ListedLearner[] = [];
  const bad = new Map<string, { lines: number[]; examples: string[] }>();
  const refuse = (line: number, why: string, example = '') => {
    const all = bad.get(why) ?? { lines: [], examples: [] };
    bad.set(why, all);
    all.lines.push(line);
    if (example && all.examples.length < MOST_EXAMPLES && !all.examples.includes(example)) all.examples.push(example);
  };
  const seen = new Set<string>();
  /** Index in `learners` by name and birthday. */
  const known = new Map<string, number>();
  const sizes = new Map<string, number>();
  for (const { line, cells } of table.rows) {
    const cell = (f: ClassField) => (mapping[f] === undefined ? '' : (cells[mapping[f]] ?? ''));
    const name = cell('name');
    if (cells.length > table.headers.length) {
      refuse(line, 'There are more columns than the first line names.', name);
      continue;
    }
    if (!name) {
      refuse(line, 'There is no name.');
      continue;
    }
    const classes = [...new Set(cell('class') ? several(cell('class')) : [className.trim()].filter(Boolean))];
    if (classes.length === 0) {
      refuse(line, 'No class is given. Choose a class column or write a class for all.', name);
      continue;
    }
    const fresh = classes.filter((c) => !seen.has(`${c}\n${name}`.toLowerCase()));
    if (fresh.length === 0) {
      refuse(line, 'The same learner stands in the list before.', name);
      continue;
    }
    const born = cell('birthday');
    const birthday = born ? readDate(born, order) : '';
    if (birthday === undefined) {
      refuse(line, 'The birthday is no date that can be read, such as 2016-04-09.', born);
      continue;
    }
    const level = cell('readingGrade');
    const readingGrade = level === '' ? null : Number(level.replace(',', '.'));
    if (readingGrade !== null && !(readingGrade >= SCALES.grade.least && readingGrade <= SCALES.grade.most)) {
      refuse(line, 'The reading level is none: it must be a school grade from 0 to 13.', level);
      continue;
    }
    const listed: ListedLearner = {
      line,
      name,
      classes: fresh,
      groups: several(cell('group')),
      birthday,
      called: cell('called'),
      readingGrade,
      supports: [...new Set(several(cell('supports')).map(inOneCase))],
      interests: several(cell('interests')),
      languages: several(cell('languages')),
    };
    const full = overfull(roomSchema, listed);
    if (full) {
      refuse(line, full);
      continue;
    }
    const crowded = fresh.find((c) => (sizes.get(c) ?? 0) >= MOST_IN_CLASS);
    if (crowded) {
      refuse(line, `${crowded} is full: a class has room for ${MOST_IN_CLASS.toLocaleString('en')} learners.`, name);
      continue;
    }
    for (const c of fresh) {
      seen.add(`${c}\n${name}`.toLowerCase());
      sizes.set(c, (sizes.get(c) ?? 0) + 1);
    }
    const same = birthday ? known.get(`${birthday}\n${name}`.toLowerCase()) : undefined;
    const before = same === undefined ? undefined : learners[same];
    if (same !== undefined && before) {
      const groups = [...new Set([...before.groups, ...listed.groups])];
      learners[same] = { ...before, classes: [...before.classes, ...fresh], groups };
      continue;
    }
    if (birthday) known.set(`${birthday}\n${name}`.toLowerCase(), learners.length);
    learners.push(listed);
  }
  return { learners, bad: [...bad].map(([why, at]) => ({ why, ...at })) };
}

/** “Line 4”, “Lines 4, 9 and 12”, “Lines 4, 9, 12 and 31 more”. */
export function sayLines(lines: readonly number[], most = 6): string {
  if (lines.length === 1) return `Line ${lines[0]}`;
  const shown = lines.slice(0, lines.length > most ? most : lines.length - 1).join(', ');
  return `Lines ${shown} and ${lines.length > most ? `${lines.length - most} more` : lines.at(-1)}`;
}
