import { Injectable } from '@angular/core';
import { Problem } from '@lorvet/core/desk';
import { rowsOfAnswer, type RosterRow, type RosterTables, SERVED_FILES, type ServedFile } from '@lorvet/core/lists';
import { makeRosterWorker } from './workers/make-worker';
import type { RosterApi, RosterReadingDone } from './workers/roster.worker';
import { Task } from './workers/task';

/** Where the school's roster service is: the stand-in that ships, under the application's own address. */
export const ROSTER_ADDRESS = '/school-roster/ims/oneroster/rostering/v1p2';
const PAGE = 200;
/** A service that gives more than this is not a school's. */
const MOST_ROWS = 100_000;
const LONGEST_MS = 15_000;

/** The school's list: from its service (OneRoster 1.2, REST), or from a package as a file. Nothing is changed by reading. */
@Injectable({ providedIn: 'root' })
export class SchoolRoster {
  async fromFile(file: Blob, today: string): Promise<RosterReadingDone> {
    return await new Task<RosterApi>(makeRosterWorker).run(async (api) => await api.readPackage(file, today));
  }

  /** Throws a Problem where the service does not answer or gives something else. */
  async fromService(today: string): Promise<RosterReadingDone> {
    const tables: Partial<Record<ServedFile, readonly RosterRow[]>> = {};
    for (const file of SERVED_FILES) tables[file] = await this.rows(file);
    return await new Task<RosterApi>(makeRosterWorker).run(
      async (api) => await api.putTogether(tables as RosterTables, today),
    );
  }

  private async rows(file: ServedFile): Promise<RosterRow[]> {
    const rows: RosterRow[] = [];
    for (;;) {
      const answer = await this.ask(`${ROSTER_ADDRESS}/${file}?limit=${PAGE}&offset=${rows.length}`);
      const page = rowsOfAnswer(file, answer.body, rows.length);
      rows.push(...page);
      if (rows.length > MOST_ROWS)
        throw new Problem('The roster service gives more than a school has. Nothing was changed.');
      if (page.length < PAGE || rows.length >= answer.total) return rows;
    }
  }

  private async ask(address: string): Promise<{ body: unknown; total: number }> {
    let response: Response;
    try {
      response = await fetch(address, { cache: 'no-store', signal: AbortSignal.timeout(LONGEST_MS) });
    } catch {
      throw new Problem('The school’s service does not answer. Nothing was changed; try again later.');
    }
    if (!response.ok)
      throw new Problem(
        `The school’s service cannot give its list now (it says ${response.status}). Nothing was changed; try again later.`,
      );
    try {
      const body: unknown = await response.json();
      return { body, total: Number(response.headers.get('X-Total-Count') ?? Infinity) };
    } catch {
      throw new Problem('The school’s service gives something else than a list. Nothing was changed.');
    }
  }
}
