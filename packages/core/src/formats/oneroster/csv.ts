import { strFromU8, strToU8, zipSync } from 'fflate';
import Papa from 'papaparse';
import { csvLines } from '../csv-lines';
import { Problem } from '../problem';
import { PACK_LIMITS, unzip } from '../zip';
import {
  COLUMNS,
  NEEDED,
  ROSTER_FILES,
  type RosterFault,
  type RosterFile,
  type RosterRow,
  type RosterTables,
} from './tables';
import { counted } from '../../counted';

const WHAT = 'OneRoster package';
const READ: readonly string[] = ['1.2', '1.1'];

/**
 * The tables of a OneRoster package (a ZIP with manifest.csv). Throws a Problem where it is none, is of another version,
 * or holds only what changed; rows and columns that are wrong are faults.
 */
export function readRosterPackage(bytes: Uint8Array): { tables: RosterTables; faults: RosterFault[] } {
  const files = unzip(bytes, WHAT, PACK_LIMITS, (name) => /\.csv$/i.test(name));
  // Some programs put the files into a folder.
  const byName = new Map(Object.entries(files).map(([name, b]) => [(name.split('/').pop() ?? '').toLowerCase(), b]));
  const manifest = byName.get('manifest.csv');
  if (!manifest)
    throw new Problem(
      'This ZIP file is no OneRoster package: it has no manifest.csv. Ask for an export “OneRoster 1.2 CSV” from the school’s system.',
    );
  const says = new Map(
    csvLines(textIn(manifest, 'manifest.csv')).map(({ cells }) => [cells[0]?.toLowerCase(), cells[1] ?? '']),
  );
  const version = says.get('oneroster.version') ?? '';
  if (!READ.includes(version))
    throw new Problem(
      `This package is of OneRoster ${version || 'of no version that is said'}; version 1.2 can be read. Ask for that export.`,
    );
  const faults: RosterFault[] = [];
  const tables: Partial<Record<RosterFile, readonly RosterRow[]>> = {};
  for (const file of ROSTER_FILES) {
    const how = says.get(`file.${file.toLowerCase()}`)?.toLowerCase();
    if (how === 'delta' && NEEDED.includes(file))
      throw new Problem(
        `This package holds only what changed since another one (${file}.csv is “delta”). Ask for a whole export (“bulk”). Nothing was changed.`,
      );
    const held = byName.get(`${file.toLowerCase()}.csv`);
    if (!held || how === 'absent') {
      if (NEEDED.includes(file))
        throw new Problem(`The package lacks ${file}.csv, without which nobody is in a class. Nothing was changed.`);
      continue;
    }
    const read = readTable(textIn(held, `${file}.csv`), file);
    tables[file] = read.rows;
    faults.push(...read.faults);
  }
  return { tables, faults };
}

function textIn(bytes: Uint8Array, name: string): string {
  const text = strFromU8(bytes);
  if (/[\0\uFFFD]/.test(text))
    throw new Problem(`${name} in the package is not plain text in UTF-8. Nothing was changed.`);
  return text;
}

/** Columns without which a row says nothing. */
const ASKED: Readonly<Partial<Record<RosterFile, readonly string[]>>> = {
  users: ['sourcedId', 'givenName', 'familyName'],
  classes: ['sourcedId', 'title'],
  enrollments: ['sourcedId', 'classSourcedId', 'userSourcedId', 'role'],
};

function readTable(text: string, file: RosterFile): { rows: RosterRow[]; faults: RosterFault[] } {
  const [head, ...lines] = csvLines(text);
  const columns = (head?.cells ?? []).map(
    (c) => COLUMNS[file].find((known) => known.toLowerCase() === c.toLowerCase()) ?? c,
  );
  const lacks = (ASKED[file] ?? []).filter((c) => !columns.includes(c));
  if (lacks.length)
    throw new Problem(
      counted(
        lacks.length,
        '{file}.csv in the package lacks the column {columns}. Nothing was changed.',
        '{file}.csv in the package lacks the columns {columns}. Nothing was changed.',
        { file, columns: lacks.join(', ') },
      ),
    );
  const wide = lines.filter(({ cells }) => cells.length > columns.length);
  const rows = lines
    .filter(({ cells }) => cells.length <= columns.length)
    .map(({ line, cells }) => ({ line, cells: Object.fromEntries(columns.map((c, i) => [c, cells[i] ?? ''])) }));
  const why = 'There are more columns than the first line names.';
  return {
    rows,
    faults: wide.length ? [{ file: `${file}.csv`, why, lines: wide.map((l) => l.line), examples: [] }] : [],
  };
}

/** A OneRoster 1.2 package, whole, of these tables; files without rows are written with their columns. */
export function writeRosterPackage(tables: RosterTables, systemName: string): Uint8Array {
  const files: Record<string, Uint8Array> = {};
  const manifest = [
    ['propertyName', 'value'],
    ['manifest.version', '1.0'],
    ['oneroster.version', '1.2'],
    ...ROSTER_FILES.map((f) => [`file.${f}`, tables[f] ? 'bulk' : 'absent']),
    ['source.systemName', systemName],
    ['source.systemCode', ''],
  ];
  files['manifest.csv'] = strToU8(Papa.unparse(manifest));
  for (const file of ROSTER_FILES) {
    const rows = tables[file];
    if (!rows) continue;
    const fields = [...COLUMNS[file]];
    files[`${file}.csv`] = strToU8(
      Papa.unparse(
        { fields, data: rows.map(({ cells }) => fields.map((c) => cells[c] ?? '')) },
        { escapeFormulae: true },
      ),
    );
  }
  return zipSync(files, { mtime: new Date(2026, 0, 1) });
}
