import Papa from 'papaparse';

/** One line of a set: its cells by the names of the columns. */
export type CaseRow = Readonly<Record<string, string>>;

/** Cases of one kind, each a line that a specialist can read and add to, and what the core says to one. */
export interface CaseSet {
  readonly name: string;
  /** The file in docs/cases. */
  readonly file: string;
  /** What the core says, in the words of the column `wanted`. */
  says(row: CaseRow): string;
}

export interface CaseResult {
  readonly row: CaseRow;
  readonly wanted: string;
  readonly got: string;
  /** Asked: left to the teacher where a specialist knew. */
  readonly is: 'right' | 'wrong' | 'asked';
}

/** What the core says where it leaves something to the teacher. */
const ASKS = /^(?:yours|to judge|ask|no opinion|none fits)\b/;

export function runCases(set: CaseSet, csv: string): CaseResult[] {
  return Papa.parse<CaseRow>(csv.trim(), { header: true }).data.map((row) => {
    const wanted = row['wanted'] ?? '';
    const got = set.says(row);
    return { row, wanted, got, is: got === wanted ? 'right' : ASKS.test(got) ? 'asked' : 'wrong' };
  });
}

export const listOf = (cell: string | undefined, at = '|'): string[] =>
  (cell ?? '').split(at).map((part) => part.trim());
