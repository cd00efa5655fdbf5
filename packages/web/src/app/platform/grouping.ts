import { Injectable, signal } from '@angular/core';
import type { GroupingProblem, GroupProposal } from '@lorvet/core';
import { proxy } from 'comlink';
import type { GroupingApi } from './workers/grouping.worker';
import { makeGroupingWorker } from './workers/make-worker';
import { Task } from './workers/task';

/** Groups are looked for in a worker: how far it is, and a way to stop it. */
@Injectable({ providedIn: 'root' })
export class Grouping {
  /** In percent; null where nothing is looked for. */
  readonly share = signal<number | null>(null);
  private task: Task<GroupingApi> | null = null;

  /** Rejects with `Stopped` where it was stopped. */
  async propose(problem: GroupingProblem, seed: number): Promise<GroupProposal[]> {
    this.task?.stop();
    const task = (this.task = new Task<GroupingApi>(makeGroupingWorker));
    this.share.set(0);
    try {
      return await task.run((api) =>
        api.propose(
          problem,
          seed,
          proxy((s) => this.share.set(Math.round(100 * s))),
        ),
      );
    } finally {
      if (this.task === task) this.share.set(null);
    }
  }

  stop(): void {
    this.task?.stop();
  }
}
