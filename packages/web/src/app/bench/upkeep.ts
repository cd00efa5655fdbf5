import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  type Decision,
  groupsToDecide,
  latest,
  masterChanges,
  pendingUpkeep,
  type UpkeepEntry,
  versionOf,
} from '@lorvet/core';
import { BenchActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { Notice } from '../ui/notice';
import { Changes } from '../ui/changes';
import { SwatchMark } from '../ui/swatch';

/** What a change of the master asks of its versions: to decide, lost its place, and what was carried over by itself. */
@Component({
  selector: 'lv-upkeep',
  imports: [RouterLink, SwatchMark, Changes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './upkeep.html',
  styleUrl: './upkeep.css',
})
export class UpkeepView {
  readonly familyId = input.required<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly notice = inject(Notice);
  /** Groups answered alike for all of their versions. */
  protected readonly apart = signal<ReadonlySet<string>>(new Set());
  protected readonly own = signal<string | null>(null);

  protected readonly family = computed(() => this.work.families()[this.familyId()]);
  protected readonly title = computed(() => this.family()?.revisions.at(-1)?.content.title ?? '');
  protected readonly last = computed(() => {
    const family = this.family();
    return family ? latest(family) : null;
  });
  private readonly report = computed(() => {
    const family = this.family();
    return family ? pendingUpkeep(family) : null;
  });
  protected readonly changes = computed(() => {
    const [before, after] = (this.family()?.revisions ?? []).slice(-2);
    return before && after ? masterChanges(before.content, after.content) : [];
  });
  protected readonly groups = computed(() => {
    const family = this.family();
    const report = this.report();
    if (!family || !report) return [];
    return groupsToDecide(report).map((entries) => {
      const [first] = entries as [UpkeepEntry, ...UpkeepEntry[]];
      return {
        key: first.groupKey,
        first,
        asked: entries.map((entry) => {
          const v = versionOf(family, entry.versionId);
          return { entry, name: v?.name ?? '', swatch: v?.swatch ?? null };
        }),
      };
    });
  });
  /** What the latest revision carried over, and what was decided, newest first. */
  protected readonly log = computed(() => {
    const family = this.family();
    const n = this.last()?.n;
    return (family?.versions ?? []).flatMap((v) =>
      v.upkeepLog.filter((r) => r.revision === n).map((r) => ({ ...r, name: v.name, swatch: v.swatch })),
    );
  });

  protected all(key: string): boolean {
    return !this.apart().has(key);
  }

  protected setAll(key: string, all: boolean): void {
    const next = new Set(this.apart());
    if (all) next.delete(key);
    else next.add(key);
    this.apart.set(next);
  }

  protected decide(
    group: { key: string; asked: readonly { entry: UpkeepEntry }[] },
    entry: UpkeepEntry,
    choice: Decision['choice'],
    words?: string,
  ): void {
    const entries = this.all(group.key) && choice !== 'own words' ? group.asked.map((a) => a.entry) : [entry];
    const decisions = entries.map((e) => ({
      versionId: e.versionId,
      adjustmentId: e.adjustmentId,
      choice,
      ...(words === undefined ? {} : { words }),
    }));
    this.own.set(null);
    this.work.dispatch(BenchActions.upkeepDecided({ familyId: this.familyId(), decisions, stamp: this.work.stamp() }));
    const left = this.groups().length;
    this.notice.done(
      decisions.length === 1 ? 'Decided' : `Decided for ${decisions.length} versions`,
      left ? `${left} more to decide.` : 'Every version is up to date.',
    );
  }
}
