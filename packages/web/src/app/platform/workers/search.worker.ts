import { type BankEntry, bankEntries, type Family } from '@lorvet/core';
import { expose } from 'comlink';
import MiniSearch from 'minisearch';

export interface BankFilter {
  readonly subject: string;
  readonly ages: string;
  readonly objective: string;
  readonly kind: string;
  readonly source: string;
}

export interface BankFound {
  readonly entries: readonly BankEntry[];
  /** How many were found in all. */
  readonly total: number;
}

const SHOWN = 120;
let entries: ReadonlyMap<string, BankEntry> = new Map();
let index = fresh();

function fresh() {
  return new MiniSearch<BankEntry>({
    fields: ['words', 'title', 'pageTitle', 'objective', 'subject', 'kindLabel', 'source'],
    searchOptions: { prefix: true, fuzzy: 0.15, combineWith: 'AND', boost: { words: 2, title: 1.5 } },
  });
}

const api = {
  /** Takes in all activities anew. */
  fill(families: readonly Family[]): { count: number; choices: Record<keyof BankFilter, string[]> } {
    const list = bankEntries(families);
    entries = new Map(list.map((e) => [e.id, e]));
    index = fresh();
    index.addAll(list);
    const all = (of: (e: BankEntry) => string) =>
      [...new Set(list.map(of))].filter(Boolean).sort((a, b) => a.localeCompare(b, 'en'));
    return {
      count: list.length,
      choices: {
        subject: all((e) => e.subject),
        ages: all((e) => e.ages),
        objective: all((e) => (e.blockId ? e.objective : '')),
        kind: all((e) => e.kindLabel),
        source: all((e) => e.source),
      },
    };
  },

  search(query: string, filter: BankFilter): BankFound {
    const fits = (e: BankEntry) =>
      (!filter.subject || e.subject === filter.subject) &&
      (!filter.ages || e.ages === filter.ages) &&
      (!filter.objective || e.objective.includes(filter.objective)) &&
      (!filter.kind || e.kindLabel === filter.kind) &&
      (!filter.source || e.source === filter.source);
    const ids = query.trim() ? index.search(query).map((r) => r.id as string) : [...entries.keys()];
    const found = ids.flatMap((id) => {
      const e = entries.get(id);
      return e && fits(e) ? [e] : [];
    });
    return { entries: found.slice(0, SHOWN), total: found.length };
  },
};

export type SearchApi = typeof api;
expose(api);
