import { computed, effect, inject, signal, type Signal, untracked } from '@angular/core';
import { copyIdOf, sharedName, statesIn } from '@lorvet/core';
import { Parts } from '../../store/parts';
import { WorkspaceStore } from '../../store/workspace';

/** So many pieces of work are shown; and of so many it is looked up since when they wait. */
const SHOWN = 40;
const LOOKED_UP = 400;

interface Waits {
  readonly id: string;
  readonly handOutId: string;
  readonly title: string;
  /** Whose work it is. */
  readonly key: string;
  readonly name: string;
  /** Since when it waits, as an ISO instant; empty while that is looked up. */
  readonly since: string;
}

interface Of {
  readonly id: string;
  readonly title: string;
  readonly isShared: boolean;
  readonly teams: Readonly<Record<string, string>>;
  readonly submitted: number;
}

/** All work that waits to be looked at, over all hand-outs, the longest waiting first; it follows what learners submit. */
export class Queue {
  private readonly work = inject(WorkspaceStore);
  private readonly parts = inject(Parts);
  private readonly since = signal<ReadonlyMap<string, string>>(new Map());

  private readonly all = computed((): Waits[] => {
    const names = new Map(this.work.people().learners.map((l) => [l.id, l.name]));
    const states = this.work.states();
    return this.handOuts()
      .filter((h) => h.submitted)
      .flatMap((h) =>
        [...statesIn(states[h.id])].flatMap(([key, state]) => {
          if (state !== 'submitted') return [];
          const name = names.get(key) ?? (h.isShared ? sharedName(key, h.teams[key]) : 'A removed learner');
          return [{ id: copyIdOf(h.id, key), handOutId: h.id, title: h.title, key, name, since: '' }];
        }),
      );
  });
  private readonly sorted = computed(() => {
    const since = this.since();
    return this.all()
      .map((w) => ({ ...w, since: since.get(w.id) ?? '' }))
      .sort((a, b) => (a.since || '~').localeCompare(b.since || '~') || a.name.localeCompare(b.name));
  });
  readonly shown = computed(() => this.sorted().slice(0, SHOWN));
  readonly more = computed(() => Math.max(0, this.sorted().length - SHOWN));

  constructor(private readonly handOuts: Signal<readonly Of[]>) {
    effect(() => {
      const ids = this.all()
        .slice(0, LOOKED_UP)
        .map((w) => w.id);
      untracked(() => void this.lookUp(ids));
    });
  }

  private async lookUp(ids: readonly string[]): Promise<void> {
    const known = this.since();
    const missing = ids.filter((id) => !known.has(id));
    // What does not wait any more is forgotten: submitted again, it waits from then on.
    const kept = new Map(ids.flatMap((id) => (known.has(id) ? [[id, known.get(id) ?? ''] as const] : [])));
    if (missing.length)
      await this.parts.during(async (want) => {
        await want('copies', missing);
        const copies = this.work.copies();
        for (const id of missing) kept.set(id, copies[id]?.goes.at(-1)?.submittedAt ?? '');
      });
    if (missing.length || kept.size !== known.size) this.since.set(kept);
  }
}
