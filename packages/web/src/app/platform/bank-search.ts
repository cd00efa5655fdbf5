import { Injectable } from '@angular/core';
import type { Family } from '@lorvet/core';
import { type Remote, wrap } from 'comlink';
import { makeSearchWorker } from './workers/make-worker';
import type { BankFilter, BankFound, SearchApi } from './workers/search.worker';

/** The bank's index, in a worker that lives as long as the application. */
@Injectable({ providedIn: 'root' })
export class BankSearch {
  private api: Remote<SearchApi> | null = null;
  private filled: unknown = null;

  /** Takes in all activities, where any has changed since. */
  async fill(families: Readonly<Record<string, Family>>): Promise<Awaited<ReturnType<SearchApi['fill']>> | null> {
    if (this.filled === families) return null;
    this.filled = families;
    this.api ??= wrap<SearchApi>(makeSearchWorker());
    // Earlier revisions and versions are not searched, and not sent.
    const lean = Object.values(families).map((f) => ({ ...f, revisions: f.revisions.slice(-1), versions: [] }));
    return await this.api.fill(lean);
  }

  async search(query: string, filter: BankFilter): Promise<BankFound> {
    this.api ??= wrap<SearchApi>(makeSearchWorker());
    return await this.api.search(query, filter);
  }

  /** The next `fill` takes everything in, whether it changed or not: its choices are wanted again. */
  forget(): void {
    this.filled = null;
  }
}
