import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  type Decision,
  findBlock,
  groupsToDecide,
  isLeft,
  latest,
  masterChanges,
  mostIn,
  mostWords,
  pendingUpkeep,
  type UpkeepEntry,
  swatchOf,
  versionOf,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Textarea } from 'primeng/textarea';
import { BenchActions } from '../store/actions';
import { sourcesIn } from '../store/bench-edits';
import { holdFamily } from '../store/hold-family';
import { WorkspaceStore } from '../store/workspace';
import { CheckBox } from '../ui/controls/check';
import { FOLD } from '../ui/controls/fold';
import { Notice } from '../ui/notice';
import { Changes } from '../ui/changes';
import { SwatchMark } from '../ui/swatch';
import { dayIn } from '../ui/when';
import { counted } from '../platform/many';

/** What a change of the master asks of its versions: to decide, lost its place, and what was carried over by itself. */
@Component({
  selector: 'lv-upkeep',
  imports: [ButtonDirective, Changes, CheckBox, NgTemplateOutlet, RouterLink, SwatchMark, Textarea, ...FOLD],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './upkeep.html',
  styleUrl: './upkeep.css',
})
export class UpkeepView {
  protected readonly counted = counted;
  readonly familyId = input.required<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly notice = inject(Notice);
  /** Groups answered alike for all of their versions. */
  protected readonly apart = signal<ReadonlySet<string>>(new Set());
  protected readonly own = signal<string | null>(null);

  protected readonly ready = holdFamily(() => this.familyId());
  protected readonly family = computed(() => this.work.families()[this.familyId()]);
  protected readonly title = computed(() => this.family()?.revisions.at(-1)?.content.title ?? '');
  protected readonly last = computed(() => {
    const family = this.family();
    return family ? latest(family) : null;
  });
  private readonly report = computed(() => {
    const family = this.family();
    return family ? pendingUpkeep(family, sourcesIn(this.work.doc())) : null;
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
      const left = entries.every((e) => isLeft(family, e));
      const [first] = entries as [UpkeepEntry, ...UpkeepEntry[]];
      return {
        key: first.groupKey,
        first,
        left,
        /** Whether it is all that stood on a page that the master no longer has. */
        cut: first.cutPage !== undefined,
        versions: [...new Set(entries.map((e) => e.versionId))].map((id) => ({
          name: versionOf(family, id)?.name ?? '',
          swatch: swatchOf(family, id),
          count: entries.filter((e) => e.versionId === id).length,
        })),
        asked: entries.map((entry) => {
          const v = versionOf(family, entry.versionId);
          return { entry, name: v?.name ?? '', swatch: swatchOf(family, entry.versionId) };
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

  protected readonly dayIn = dayIn;
  protected readonly now = computed(() => this.groups().filter((g) => !g.left));
  protected readonly later = computed(() => this.groups().filter((g) => g.left));

  protected leave(group: { asked: readonly { entry: UpkeepEntry }[] }): void {
    const entries = group.asked.map((a) => a.entry);
    this.work.dispatch(BenchActions.upkeepLeft({ familyId: this.familyId(), entries }));
    this.notice.done('Left for later', 'It waits below, and calls again when the master changes it once more.');
  }

  /** Lets go of all that stood on a page that is gone. */
  protected letGo(group: { key: string; asked: readonly { entry: UpkeepEntry }[] }): void {
    const [first] = group.asked;
    if (!first) return;
    this.setAll(group.key, true);
    this.decide(group, first.entry, 'master');
  }

  protected all(key: string): boolean {
    return !this.apart().has(key);
  }

  protected setAll(key: string, all: boolean): void {
    const next = new Set(this.apart());
    if (all) next.delete(key);
    else next.add(key);
    this.apart.set(next);
  }

  /** Letters that fit where a decision's own words go. */
  protected most(entry: UpkeepEntry): number {
    const family = this.work.families()[this.familyId()];
    const a = family && versionOf(family, entry.versionId)?.adjustments.find((x) => x.id === entry.adjustmentId);
    const block = family && findBlock(latest(family).content, entry.target)?.block;
    return block && a?.kind === 'reword' ? mostWords(block, a.field) : mostIn('single-choice', 'hint');
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
      counted(decisions.length, 'Decided', 'Decided for {n} versions'),
      left ? `${left} more to decide.` : 'Every version is up to date.',
    );
  }
}
