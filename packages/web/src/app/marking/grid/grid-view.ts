import { computed, signal, untracked } from '@angular/core';
import type { CopyState, Verdict } from '@lorvet/core';
import { type Row } from '../row';
import type { WorkTable } from '../work-table';

type Column = ReturnType<WorkTable['columns']>[number];

/** A column of the grid: one question, or several that are folded into one. */
export type Shown =
  | { readonly is: 'item'; readonly column: Column }
  | { readonly is: 'fold'; readonly band: Band; readonly ids: readonly string[] };

/** Columns beside each other that are of one page, or of one objective. */
export interface Band {
  readonly id: string;
  readonly name: string;
  readonly span: number;
  readonly isFolded: boolean;
}

/** What rows are sorted by: a name of the list, or a question. */
export type SortBy = 'given' | 'name' | 'version' | 'total' | 'state' | 'submitted' | { readonly item: string };

const STATES: readonly CopyState[] = ['submitted', 'another go', 'working', 'to start', 'complete', 'not open yet'];
const VERDICTS: readonly (Verdict | 'absent')[] = ['yours', 'not-yet', 'partly', 'empty', 'right', 'absent'];

const byName = new Intl.Collator();

/** Which rows and columns of the work are shown, and in which order. Marks that are given move no row away under the hand. */
export class GridView {
  readonly sort = signal<SortBy>('given');
  readonly state = signal<CopyState | ''>('');
  readonly version = signal('');
  readonly group = signal('');
  readonly objective = signal('');
  /** Only who has this mark at this question. */
  readonly mark = signal<{ readonly item: string; readonly verdict: Verdict | 'absent' } | null>(null);
  readonly bandsBy = signal<'page' | 'objective' | ''>('');
  private readonly folded = signal<ReadonlySet<string>>(new Set());

  constructor(
    private readonly table: WorkTable,
    /** The learners of each class and group, by its id. */
    private readonly members: () => ReadonlyMap<string, ReadonlySet<string>>,
  ) {}

  readonly isNarrowed = computed(
    () => !!(this.state() || this.version() || this.group() || this.objective() || this.mark()),
  );

  /** Ids in their order: found anew when something else is asked for, or when work comes in; not when it is marked. */
  private readonly asked = computed(() =>
    JSON.stringify([
      this.sort(),
      this.state(),
      this.version(),
      this.group(),
      this.mark(),
      this.table.rows().map((r) => [r.learnerId, r.go?.n, r.go?.submittedAt]),
    ]),
  );
  private readonly order = computed(() => {
    this.asked();
    return untracked(() => this.found().map((r) => r.learnerId));
  });
  readonly rows = computed(() => {
    const rows = new Map(this.table.rows().map((r) => [r.learnerId, r]));
    return this.order().flatMap((id) => rows.get(id) ?? []);
  });

  /** Questions that are shown, those of one page or objective beside each other. */
  private readonly items = computed(() => {
    const only = this.objective();
    const all = this.table.columns().filter((c) => !only || c.objective.id === only);
    const by = this.bandsBy();
    if (!by) return all;
    const bands = [...new Set(all.map((c) => c[by].id))];
    return bands.flatMap((id) => all.filter((c) => c[by].id === id));
  });
  readonly bands = computed<readonly Band[]>(() => {
    const by = this.bandsBy();
    if (!by) return [];
    const out = new Map<string, { name: string; count: number }>();
    for (const c of this.items()) {
      const { id, name } = c[by];
      out.set(id, { name, count: (out.get(id)?.count ?? 0) + 1 });
    }
    return [...out].map(([id, { name, count }]) => {
      const isFolded = this.folded().has(id);
      return { id, name, span: isFolded ? 1 : count, isFolded };
    });
  });
  readonly columns = computed<readonly Shown[]>(() => {
    const by = this.bandsBy();
    const done = new Set<string>();
    return this.items().flatMap((column): Shown[] => {
      const band = by ? this.bands().find((b) => b.id === column[by].id) : undefined;
      if (!by || !band?.isFolded) return [{ is: 'item', column }];
      if (done.has(band.id)) return [];
      done.add(band.id);
      return [{ is: 'fold', band, ids: this.items().flatMap((c) => (c[by].id === band.id ? c.id : [])) }];
    });
  });

  fold(id: string): void {
    this.folded.update((all) => {
      const now = new Set(all);
      if (!now.delete(id)) now.add(id);
      return now;
    });
  }

  showAll(): void {
    for (const s of [this.state, this.version, this.group, this.objective]) s.set('');
    this.mark.set(null);
  }

  private found(): Row[] {
    const [state, version, mark] = [this.state(), this.version(), this.mark()];
    const members = this.members().get(this.group());
    const some = this.table
      .rows()
      .filter(
        (r) =>
          (!state || r.state === state) &&
          (!version || (r.frozen.versionId ?? '-') === version) &&
          (!members || r.memberIds.some((id) => members.has(id))) &&
          (!mark || r.cellOf(mark.item).verdict === mark.verdict),
      );
    const by = this.sort();
    if (by === 'given') return some;
    const key = (r: Row): string | number => {
      if (typeof by === 'object') return VERDICTS.indexOf(r.cellOf(by.item).verdict);
      switch (by) {
        case 'name':
          return r.name;
        case 'version':
          return r.frozen.versionName;
        case 'state':
          return STATES.indexOf(r.state);
        case 'submitted':
          return r.go?.submittedAt ?? '~';
        default:
          return r.total.outOf ? r.total.points / r.total.outOf : 0;
      }
    };
    const keyed = some.map((r) => ({ r, k: key(r) }));
    return keyed
      .sort((a, b) => (typeof a.k === 'string' ? byName.compare(a.k, String(b.k)) : a.k - Number(b.k)))
      .map((x) => x.r);
  }
}
