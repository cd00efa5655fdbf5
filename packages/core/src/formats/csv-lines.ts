import Papa from 'papaparse';

export interface CsvLine {
  /** Counted as spreadsheets count rows: a quoted cell may run over several lines of the file. */
  readonly line: number;
  /** Without the spaces around them. */
  readonly cells: readonly string[];
}

/** Written first by some spreadsheet programs, to say which separator follows. */
const SAID = /^sep=(.)\r?\n/i;

/**
 * The lines of a CSV or TSV file in which something stands. The separator is the file's own: the one that it names, or
 * else the one by which its lines have as many cells as each other; lines without words say nothing about that.
 */
export function csvLines(text: string): CsvLine[] {
  const bare = text.replace(/^\uFEFF/, '');
  const said = SAID.exec(bare)?.[1];
  const { meta } = Papa.parse(bare, { preview: 20, skipEmptyLines: 'greedy' });
  const { data } = Papa.parse<string[]>(bare, { delimiter: said ?? meta.delimiter });
  return data
    .map((cells, i) => ({ line: i + 1, cells: cells.map((c) => c.trim()) }))
    .slice(said ? 1 : 0)
    .filter(({ cells }) => cells.some((c) => c !== ''));
}

/** A line that cannot be taken, and why. */
export interface BadLine {
  readonly line: number;
  readonly why: string;
}
