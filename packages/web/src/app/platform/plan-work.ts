import { Injectable } from '@angular/core';
import type { Family, Learner } from '@lorvet/core';
import type { coverage, Suggestion } from '@lorvet/core/measures';
import { type Remote, wrap } from 'comlink';
import { makePlanWorker } from './workers/make-worker';
import type { PlanApi, PlanChecked } from './workers/plan.worker';

type Of = Parameters<typeof coverage>;

/** Checks and suggestions of large plans, in a worker that lives as long as the application. */
@Injectable({ providedIn: 'root' })
export class PlanWork {
  private api: Remote<PlanApi> | null = null;
  private family: Family | undefined | null = null;

  async check(
    handOut: Of[0],
    family: Family | undefined,
    people: Of[2],
    now: string,
    more: Of[4],
  ): Promise<PlanChecked> {
    return await (await this.with(family)).check(handOut, people, now, more);
  }

  async suggest(family: Family, learners: readonly Learner[], today: string): Promise<Suggestion[]> {
    return await (await this.with(family)).suggest(learners, today);
  }

  /** The worker, which knows the activity: that is sent only when it is another one. */
  private async with(family: Family | undefined): Promise<Remote<PlanApi>> {
    const api = (this.api ??= wrap<PlanApi>(makePlanWorker()));
    if (this.family !== family) {
      this.family = family;
      await api.take(family);
    }
    return api;
  }
}
