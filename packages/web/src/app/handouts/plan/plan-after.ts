import { computed, inject, Injectable } from '@angular/core';
import { changedAfter } from '@lorvet/core';
import { Clock } from '../../platform/clock';
import { HandOutActions } from '../../store/actions';
import { Parts } from '../../store/parts';
import { wantWork } from '../../store/wants';
import { WorkspaceStore } from '../../store/workspace';
import { PlanHere } from './plan-here';

/** What can still be done to a plan after it was given out. */
@Injectable()
export class PlanAfter {
  private readonly here = inject(PlanHere);
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly parts = inject(Parts);

  /** Those of them for whom one version is chosen. */
  readonly lateReady = computed(() =>
    this.here.late().filter((l) => this.here.versionsOf().get(l.id)?.versions.length === 1),
  );

  /** Out of the learners' sight, or in it again; what they did stays, and what was said to it. */
  async show(on: boolean): Promise<void> {
    await this.parts.during(async (want) => {
      await wantWork(this.here.id(), want, this.work.doc);
      const plan = this.here.plan();
      if (!plan) return;
      const says = on ? 'shown again' : 'taken back';
      const handOut = changedAfter(plan, { isHidden: !on }, this.clock.iso(), says);
      this.work.dispatch(HandOutActions.planChanged({ handOut, label: on ? 'show it again' : 'take it back' }));
    });
  }

  giveLate(): void {
    const plan = this.here.plan();
    if (plan) this.work.dispatch(HandOutActions.givenLate({ id: plan.id, stamp: this.work.stamp() }));
  }
}
