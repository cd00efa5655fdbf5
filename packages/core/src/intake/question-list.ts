import { freshItem, type Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import { type BadLine } from '../formats/csv-lines';
import { type CsvLine, csvLines } from '../formats/csv-lines';
import { Problem } from '../formats/problem';
import { partsAt } from '../spaces';
import { plainWords } from '../work/plain-words';
import { keyNumber } from '../work/mark/read-key';
import { acceptedIn } from './keys';

/** What a column of a question list can hold. */
export const QUESTION_FIELDS = [
  'question',
  'kind',
  'choices',
  'choice',
  'key',
  'points',
  'objective',
  'hint',
  'note',
] as const;
export type QuestionField = (typeof QUESTION_FIELDS)[number];
export const QUESTION_FIELD_LABELS: Record<QuestionField, string> = {
  question: 'Question',
  kind: 'Kind of answer',
  choices: 'Choices, in one cell',
  choice: 'One choice',
  key: 'Key',
  points: 'Points',
  objective: 'Objective',
  hint: 'Hint',
  note: 'Note for you',
};

const GUESSES: readonly (readonly [QuestionField, RegExp])[] = [
  ['question', /^(question|prompt|item|stem)/i],
  ['choices', /^(choices|options|answers)$/i],
  ['choice', /^((choice|option|answer)\s*)?[a-h1-8]$|^(choice|option|distractor|wrong)\b/i],
  ['key', /^(key|correct|right|solution|answer$)/i],
  ['kind', /^(kind|type)/i],
  ['points', /^(points?|marks?|score)/i],
  ['objective', /^(objective|standard|skill|goal)/i],
  ['hint', /^hint/i],
  ['note', /^(note|comment)/i],
];

export interface QuestionTable {
  readonly headers: readonly string[];
  readonly rows: readonly CsvLine[];
  /** What each column seems to hold; null: nothing that is needed. */
  readonly guess: readonly (QuestionField | null)[];
}

/** Most lines of a list. */
export const MOST_LINES = 20_000;

/** Reads a CSV or TSV question list: its columns, its rows, and a guess at what each column holds. */
export function readQuestionTable(text: string): QuestionTable {
  if (/[\0\uFFFD]/.test(text))
    throw new Problem(
      'This file is not plain text. In the spreadsheet program, save it as CSV (UTF-8), then choose that file.',
    );
  const [head, ...rest] = csvLines(text);
  if (!head || rest.length === 0)
    throw new Problem(
      'This file holds no questions: it needs a first line that names the columns and a line for each question.',
    );
  if (rest.length > MOST_LINES)
    throw new Problem(
      `This list has ${rest.length} lines; ${MOST_LINES} can be read at once. Part it into several files.`,
    );
  const guess = head.cells.map((h) => GUESSES.find(([, test]) => test.test(h.trim()))?.[0] ?? null);
  return { headers: head.cells, rows: rest, guess };
}

export interface ReadQuestion {
  readonly line: number;
  readonly block: Block;
  /** The objective's words, if a column gives them. */
  readonly objective: string;
}

const KINDS: readonly (readonly [RegExp, 'single' | 'multiple' | 'short' | 'long' | 'number' | 'truth'])[] = [
  [/^(single|choice|multiple choice|mc|radio)/i, 'single'],
  [/^(multiple|several|checkbox|multi)/i, 'multiple'],
  [/^(true|t\/f|yes)/i, 'truth'],
  [/^(long|essay|open|extended)/i, 'long'],
  [/^(number|numeric)/i, 'number'],
  [/^(short|text|fill|word)/i, 'short'],
];

/** Turns rows into items by what the columns hold; every line that cannot be right is named and left out. */
export function mapQuestions(
  table: QuestionTable,
  columns: readonly (QuestionField | null)[],
  newId: () => Id,
): { questions: ReadQuestion[]; bad: BadLine[] } {
  const at = (f: QuestionField) => columns.indexOf(f);
  if (at('question') < 0) throw new Problem('Choose the column that holds the questions.');
  const questions: ReadQuestion[] = [];
  const bad: BadLine[] = [];
  for (const { line, cells } of table.rows) {
    const cell = (f: QuestionField) => (at(f) < 0 ? '' : (cells[at(f)] ?? ''));
    const prompt = cell('question');
    if (!prompt) {
      bad.push({ line, why: 'There is no question.' });
      continue;
    }
    const choices = [...cells.filter((_, i) => columns[i] === 'choice'), ...partsAt(cell('choices'), /[|;\n]/)].filter(
      (c) => c !== '',
    );
    const long = tooLong({ question: [prompt, 4000], hint: [cell('hint'), 1000], note: [cell('note'), 2000] }, choices);
    if (long) {
      bad.push({ line, why: long });
      continue;
    }
    const made = blockOf(prompt, choices, cell('kind'), cell('key'), newId);
    if ('why' in made) {
      bad.push({ line, why: made.why });
      continue;
    }
    const points = cell('points') === '' ? null : Number(cell('points').replace(',', '.'));
    if (points !== null && !(points >= 0 && points <= 100)) {
      bad.push({ line, why: `“${cell('points')}” is no number of points from 0 to 100.` });
      continue;
    }
    const block = {
      ...made.block,
      ...(points === null ? {} : { points }),
      ...(cell('hint') ? { hint: cell('hint').slice(0, 1000) } : {}),
      ...(cell('note') ? { note: cell('note').slice(0, 2000) } : {}),
    } as Block;
    questions.push({ line, block, objective: cell('objective').slice(0, 300) });
  }
  return { questions, bad };
}

function tooLong(cells: Record<string, readonly [text: string, most: number]>, choices: readonly string[]): string {
  for (const [name, [text, most]] of Object.entries(cells))
    if (text.length > most) return `The ${name} has ${text.length} letters; ${most} have room.`;
  if (choices.length > 40) return `There are ${choices.length} choices; 40 have room.`;
  return choices.some((c) => c.length > 500) ? 'A choice has more than 500 letters.' : '';
}

function blockOf(
  prompt: string,
  choices: readonly string[],
  kindCell: string,
  key: string,
  newId: () => Id,
): { block: Block } | { why: string } {
  const known = KINDS.find(([test]) => test.test(kindCell.trim()))?.[1];
  if (kindCell && !known)
    return {
      why: `“${kindCell}” is no kind of answer Lorvet knows. It knows: choice, multiple, short, long, number, true or false.`,
    };
  const base = { ...freshItem(newId()), prompt: prompt.slice(0, 4000) };
  const offered = known === 'truth' && choices.length === 0 ? ['True', 'False'] : choices;
  const kind = known === 'truth' ? 'single' : (known ?? (offered.length >= 2 ? 'single' : 'short'));
  if (kind === 'single' || kind === 'multiple') {
    if (offered.length < 2) return { why: 'A question to choose from needs at least two choices.' };
    const options = offered.slice(0, 40).map((t) => ({ id: newId(), text: t.slice(0, 500) }));
    const wanted = partsAt(key, /[|;]/);
    const letters =
      wanted.length === 1 && /^[A-Ha-h](?:[\s,]*[A-Ha-h])+$/.test(wanted[0] ?? '')
        ? (wanted[0] ?? '').split(/[\s,]+/)
        : wanted;
    const ids: Id[] = [];
    for (const w of letters) {
      const byLetter = /^[A-Ha-h]$/.test(w) ? options[w.toUpperCase().charCodeAt(0) - 65] : undefined;
      const byNumber = /^[1-8]$/.test(w) ? options[Number(w) - 1] : undefined;
      const found = options.find((o) => plainWords(o.text) === plainWords(w)) ?? byLetter ?? byNumber;
      if (!found) return { why: `The key “${w}” is none of the choices.` };
      ids.push(found.id);
    }
    if (kind === 'multiple' || ids.length > 1)
      return { block: { ...base, kind: 'multiple-choice', options, key: ids } };
    return { block: { ...base, kind: 'single-choice', options, key: ids[0] ?? '' } };
  }
  if (kind === 'long')
    return { block: { ...base, kind: 'long-text', demand: 'explain', points: 3, key: key.slice(0, 4000), lines: 4 } };
  if (kind === 'number') {
    const read = key === '' ? null : keyNumber(key);
    if (typeof read === 'string') return { why: read };
    const unit = (read?.unit ?? '').slice(0, 30);
    return { block: { ...base, kind: 'number', demand: 'apply', key: read?.value ?? null, tolerance: 0, unit } };
  }
  const accepted = acceptedIn(key).map((k) => k.slice(0, 300));
  return { block: { ...base, kind: 'short-text', key: accepted, spellingTolerant: false } };
}
