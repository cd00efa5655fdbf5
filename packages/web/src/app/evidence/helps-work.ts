import { inject, Injectable, signal } from '@angular/core';
import type { HelpSuggestion } from '@lorvet/core/helps';
import { proxy, type Remote } from 'comlink';
import type { HelpsAsked, HelpsFigures } from '../platform/helps-desk';
import type { HelpsApi } from '../platform/workers/helps.worker';
import { makeHelpsWorker } from '../platform/workers/make-worker';
import { Task } from '../platform/workers/task';
import { KeepingSync } from '../store/keeping-sync';

/** What answers questions about figures, once all works are read. */
export interface Figures {
  /** Activities of which anything was given. */
  readonly familyIds: readonly string[];
  figures(asked: HelpsAsked): Promise<HelpsFigures>;
  suggestions(today: string): Promise<HelpSuggestion[]>;
}

/** Figures over all that was given, reckoned in a worker, for as long as a place needs them. */
@Injectable({ providedIn: 'root' })
export class HelpsWork {
  private readonly sync = inject(KeepingSync);
  readonly busy = signal<{ readonly done: number; readonly of: number } | null>(null);
  private task: Task<HelpsApi> | null = null;

  stop(): void {
    this.task?.stop();
  }

  /** Stays until `until` is settled; `take` gets what answers, and works are read as they are asked for. Throws `Stopped`. */
  async during(take: (figures: Figures) => void, until: Promise<void>): Promise<void> {
    await this.sync.flush();
    const here = this.here();
    if (here) {
      take(await here(this.sync.generation() ?? ''));
      return await until;
    }
    const task = new Task<HelpsApi>(makeHelpsWorker);
    this.task = task;
    try {
      await task.run(async (api: Remote<HelpsApi>) => {
        const progress = proxy((done: number, of: number) => this.busy.set(done < of ? { done, of } : null));
        const familyIds = await api.open(this.sync.generation() ?? '', progress);
        take({
          familyIds,
          figures: async (asked) => await api.figures(asked),
          suggestions: async (today) => await api.suggestions(today),
        });
        await until;
      });
    } finally {
      this.busy.set(null);
    }
  }

  /** For unit tests, where no worker runs: what reads on the same thread. */
  protected here(): ((generation: string) => Promise<Figures>) | null {
    return null;
  }
}
