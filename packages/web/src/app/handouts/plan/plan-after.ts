import { computed, inject, Injectable, signal } from '@angular/core';
import {
  changedAfter,
  type Exchange,
  contentOn,
  type Id,
  isSafe,
  lastDone,
  preparedFor,
  seenBy,
  type Wanted,
  workKeyOf,
  worksOf,
} from '@lorvet/core';
import isSame from 'fast-deep-equal';
import { Clock } from '../../platform/clock';
import { many } from '../../platform/many';
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
  /** What was done last since it was given out, and can be undone. */
  readonly last = computed(() => {
    const plan = this.here.plan();
    return plan && plan.state !== 'draft' ? lastDone(plan) : undefined;
  });
  /** Another sheet that is thought about: what it would mean is said before it is given. */
  readonly asked = signal<Wanted | null>(null);
  /** Whether all work on the hand-out is here: only then it is known what it would mean. */
  readonly isReady = this.parts.hold(
    () => (this.asked() || this.last() ? this.here.id() : null),
    (id, want) => wantWork(id, want, this.work.doc),
  );

  /** Those of them for whom one version is chosen. */
  readonly lateReady = computed(() =>
    this.here.late().filter((l) => this.here.versionsOf().get(l.id)?.versions.length === 1),
  );

  /** The pieces of work whose sheet is another than the master and its versions make now. */
  readonly behind = computed((): readonly Id[] => {
    const [plan, family] = [this.here.plan(), this.here.family()];
    if (!plan || !family || plan.state === 'draft') return [];
    const frozen = this.work.frozen();
    const at = this.clock.today();
    const isBehind = new Map<string, boolean>();
    return [...worksOf(plan)].flatMap(([key, [first = '']]) => {
      const id = plan.given[first]?.frozen ?? '';
      const was = frozen[id];
      if (was && !isBehind.has(id)) {
        const there = was.versionId === null || family.versions.some((v) => v.id === was.versionId);
        isBehind.set(id, there && !isSame(contentOn(family, was.versionId, at, was.parts), was.content));
      }
      return isBehind.get(id) ? [key] : [];
    });
  });

  /** What the sheet that is thought about would mean, for each piece of work. */
  readonly exchanges = computed((): readonly Exchange[] => {
    const [plan, family, asked] = [this.here.plan(), this.here.family(), this.asked()];
    if (!plan || !family || !asked || !this.isReady()) return [];
    const { frozen, copies } = this.work;
    const prepared = preparedFor(plan, family, this.here.people(), frozen(), copies(), asked, this.clock.today());
    return prepared.map((p) => p.exchange);
  });

  /** How many have opened their work since what was done last: it is too late then. */
  readonly seen = computed(() => {
    const [plan, last] = [this.here.plan(), this.last()];
    return plan && last && this.isReady() ? seenBy(plan, last, this.work.copies()).length : 0;
  });

  undoLast(): void {
    const plan = this.here.plan();
    if (plan && this.last() && this.seen() === 0)
      this.work.dispatch(HandOutActions.lastUndone({ id: plan.id, stamp: this.work.stamp() }));
  }

  /** Asks what it would mean that these learners get a version. */
  ask(learnerIds: readonly Id[], versionId: Id | null): void {
    const plan = this.here.plan();
    if (!plan) return;
    this.asked.set({ keys: [...new Set(learnerIds.map((id) => workKeyOf(plan, id)))], versionId });
    this.here.asked.set('check');
  }

  /** Asks what it would mean that all have the sheet as it is now. */
  askCorrection(): void {
    this.asked.set({ keys: this.behind(), versionId: undefined });
  }

  /** Gives what was asked about to those of whom it is said. */
  giveAsked(exchanges: readonly Exchange[]): void {
    const [plan, asked] = [this.here.plan(), this.asked()];
    if (!plan || !asked || !exchanges.length) return;
    const keys = exchanges.map((e) => e.key);
    const to = many(
      exchanges.reduce((n, e) => n + e.learnerIds.length, 0),
      'learner',
    );
    const name = this.here.columns().find((c) => c.id === asked.versionId)?.name ?? 'their own version';
    const isCorrection = asked.versionId === undefined;
    const says = isCorrection ? `a correction sent to ${to}` : `${name} given to ${to} in place of what they had`;
    const versionId = isCorrection ? {} : { versionId: asked.versionId };
    this.work.dispatch(
      HandOutActions.givenAnother({ id: plan.id, keys, ...versionId, says, stamp: this.work.stamp() }),
    );
    const left = asked.keys.filter((k) => !keys.includes(k));
    this.asked.set(isCorrection && left.length ? { ...asked, keys: left } : null);
  }

  /** How many goes begin anew, where it is given to these. */
  goesAnew(exchanges: readonly Exchange[]): number {
    const isCorrection = this.asked()?.versionId === undefined;
    return exchanges.filter(
      (e) => e.standing !== 'not started' && (!isSafe(e) || (!isCorrection && e.standing === 'submitted')),
    ).length;
  }

  /** Takes it away from a learner; what they did stays, and they can be put in again. */
  async takeFrom(learnerId: Id): Promise<void> {
    await this.parts.during(async (want) => {
      await wantWork(this.here.id(), want, this.work.doc);
      const plan = this.here.plan();
      if (!plan) return;
      const name = this.here.people().learners.find((l) => l.id === learnerId)?.name ?? 'a learner';
      const given = Object.fromEntries(Object.entries(plan.given).filter(([id]) => id !== learnerId));
      const patch = {
        given,
        leftOutIds: [...plan.leftOutIds.filter((id) => id !== learnerId), learnerId],
        learnerIds: plan.learnerIds.filter((id) => id !== learnerId),
        teams: plan.teams.map((t) => ({ ...t, learnerIds: t.learnerIds.filter((id) => id !== learnerId) })),
      };
      const handOut = changedAfter(plan, patch, this.clock.iso(), `taken away from ${name}`);
      this.work.dispatch(HandOutActions.planChanged({ handOut, label: `take it away from ${name}` }));
    });
  }

  /** The answers can be seen from now on by who is done. */
  releaseAnswers(): void {
    const plan = this.here.plan();
    if (!plan) return;
    const handOut = changedAfter(plan, { answersAt: this.clock.minute() }, this.clock.iso(), 'answers released');
    this.work.dispatch(HandOutActions.planChanged({ handOut, label: 'release the answers' }));
  }

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
