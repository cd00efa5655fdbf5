import { computed, effect, inject, Injectable, signal } from '@angular/core';
import { type HandOut, holdersOf, type Id, lookOver, type PlanFinding } from '@lorvet/core';
import { coverage, openFindings } from '@lorvet/core/measures';
import { Clock } from '../../platform/clock';
import { PlanWork } from '../../platform/plan-work';
import type { PlanChecked } from '../../platform/workers/plan.worker';
import { HandOutActions } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import { PlanHere } from './plan-here';

/** What is wrong or unusual about the plan that is open, what the teacher said to it, and the giving that follows. */
@Injectable()
export class PlanChecks {
  private readonly here = inject(PlanHere);
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly others = computed(() =>
    this.work
      .handOutHeads()
      .filter((h) => h.state === 'given' && h.kind === 'work')
      .map((h) => ({ id: h.id, title: h.title, learnerIds: holdersOf(h) })),
  );
  /** What was checked beside the page, and of which plan. */
  private readonly checked = signal<(PlanChecked & { readonly of: HandOut }) | null>(null);
  /** Whether what the checks say is about the plan as it is now. */
  readonly isChecked = computed(() => !this.here.isLarge() || this.checked()?.of === this.here.plan());
  readonly checks = computed<readonly PlanFinding[]>(() => {
    const plan = this.here.plan();
    if (!plan || !this.here.isDraft()) return [];
    // It is on its way; one that is not there any more is a finding.
    if (!this.here.family() && this.work.familyHeadsById()[plan.familyId]) return [];
    if (this.here.isLarge()) return this.checked()?.found ?? [];
    return coverage(plan, this.here.family(), this.here.people(), this.clock.local(), {
      days: this.here.days(),
      others: this.others(),
    });
  });
  readonly open = computed(() => {
    const plan = this.here.plan();
    return plan ? openFindings(this.checks(), plan) : [];
  });
  readonly toMend = computed(() => this.checks().filter((c) => c.level === 'mend').length);
  readonly toConfirm = computed(() => this.open().filter((c) => c.level === 'confirm'));
  /** What stands in the sheets that may not be meant for learners, with its place. */
  readonly findings = computed(() => {
    const plan = this.here.plan();
    const family = this.here.family();
    if (!plan || !family || !this.here.isDraft()) return [];
    const names = new Map<Id | null, string>([
      [null, 'Master'],
      ...family.versions.map((v) => [v.id, v.name] as const),
    ]);
    const shown = this.here.isLarge() ? (this.checked()?.shown ?? []) : lookOver(plan, family, this.here.people());
    return shown.map((f) => ({
      says: f.says,
      where: `${names.get(f.versionId) ?? 'A version'}, ${f.page ? `page ${f.page}` : 'title and note'}`,
      link: f.versionId === null ? ['/bench', family.id] : ['/bench', family.id, f.versionId],
    }));
  });

  constructor() {
    const beside = inject(PlanWork);
    effect((onCleanup) => {
      const plan = this.here.plan();
      const family = this.here.family();
      if (!plan || !family || !this.here.isLarge() || !this.here.isDraft()) return;
      let isOld = false;
      onCleanup(() => (isOld = true));
      const more = { days: this.here.days(), others: this.others() };
      void beside.check(plan, family, this.here.people(), this.clock.local(), more).then((done) => {
        if (!isOld) this.checked.set({ ...done, of: plan });
      });
    });
  }

  /** Warnings may stay, for this reason. */
  confirm(found: readonly PlanFinding[], reason: string): void {
    const keys = new Set(found.map((f) => f.key));
    const others = (this.here.plan()?.confirmed ?? []).filter((c) => !keys.has(c.key));
    this.here.change({ confirmed: [...others, ...[...keys].map((key) => ({ key, reason }))] }, 'let a warning stay');
  }

  unconfirm(key: string): void {
    this.here.change(
      { confirmed: (this.here.plan()?.confirmed ?? []).filter((c) => c.key !== key) },
      'ask about a warning again',
    );
  }

  giveOut(reason: string): void {
    const plan = this.here.plan();
    if (!plan || this.toMend() > 0) return;
    const confirmed = this.toConfirm().map((f) => ({ key: f.key, reason }));
    this.work.dispatch(HandOutActions.givenOut({ id: plan.id, confirmed, stamp: this.work.stamp() }));
  }
}
