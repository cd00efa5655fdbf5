import { putTogether, readRosterPackage, type Roster, type RosterFault, type RosterTables } from '@lorvet/core/lists';
import { expose } from 'comlink';
import { type Refused, refusedOr } from './refused';

export type RosterReadingDone =
  { readonly ok: true; readonly roster: Roster; readonly faults: readonly RosterFault[] } | Refused;

const api = {
  /** A package as a file. `today` is an ISO date. */
  readPackage: (file: Blob, today: string): Promise<RosterReadingDone> =>
    refusedOr(async () => {
      const { tables, faults } = readRosterPackage(new Uint8Array(await file.arrayBuffer()));
      const read = putTogether(tables, today);
      return { ok: true, roster: read.roster, faults: [...faults, ...read.faults] };
    }),
  /** What a service gave, as tables. */
  putTogether: (tables: RosterTables, today: string): Promise<RosterReadingDone> =>
    refusedOr(() => Promise.resolve({ ok: true, ...putTogether(tables, today) })),
};

export type RosterApi = typeof api;
expose(api);
