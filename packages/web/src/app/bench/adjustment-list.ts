import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  type Adjustment,
  adjustmentKinds,
  counts,
  type Derived,
  goalOf,
  type Judgement,
  kindOfAdjustment,
  type Learner,
  originOf,
} from '@lorvet/core';
import { RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { type AdjustmentPatch, BenchActions } from '../store/actions';
import { CheckBox } from '../ui/controls/check';
import { FOLD } from '../ui/controls/fold';
import { SELECT } from '../ui/controls/select';
import { answered, Asked } from './asked';
import { BenchView } from './bench-view';
import { VersionHere } from './version-here';
import { dayIn } from '../ui/when';
import { toneOf } from '../ui/tone';

/** The first block that an adjustment made, touched or left out; empty where it speaks of none. */
function blockOf({ origins, leftOut }: Derived, adjustmentId: string): string {
  for (const [id, { from, touched }] of origins)
    if (
      (from !== 'master' && from.adjustment.id === adjustmentId) ||
      touched.some((t) => t.adjustment.id === adjustmentId)
    )
      return id;
  for (const [id, t] of leftOut) if (t.adjustment.id === adjustmentId) return id;
  return '';
}

/** The adjustments that touched the chosen block; all of the version's where none is chosen. */
@Component({
  selector: 'lv-adjustment-list',
  imports: [Asked, ButtonDirective, CheckBox, InputText, RouterLink, ...FOLD, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './adjustment-list.html',
  styleUrl: './adjustment-list.css',
})
export class AdjustmentList {
  private readonly view = inject(BenchView);
  protected readonly here = inject(VersionHere);
  protected readonly counts = counts;
  protected readonly toneOf = toneOf;
  protected readonly familyId = computed(() => this.here.state()?.family.id ?? '');
  protected readonly versionId = computed(() => this.here.state()?.version.id ?? '');

  readonly adjustments = computed(() => {
    const s = this.here.state();
    if (!s) return [];
    // What is chosen may just have been left out: then the whole version is spoken of.
    const id = this.here.chosen()?.block.id;
    const touched = id ? originOf(s.derived, id).touched.map((t) => t.adjustment.id) : [];
    // Those that are switched off touch nothing, and still speak of the block.
    const list = s.version.adjustments.filter(
      (a) => !id || touched.includes(a.id) || kindOfAdjustment(a).targets(a).includes(id),
    );
    return list.map((a) => ({
      a,
      label: a.name || adjustmentKinds[a.kind].label,
      sentence: kindOfAdjustment(a).describe(a, s.basis),
      verdict: s.classified.adjustments.get(a.id),
      report: s.derived.reports.find((r) => r.adjustmentId === a.id && r.versionId === s.version.id),
      by: `${a.author}, ${dayIn(a.at)}`,
      block: id ?? blockOf(s.derived, a.id),
    }));
  });

  /** Goals on the cards of those who have the version; where they have none, those on all cards. */
  private readonly goals = computed(() => {
    const all = this.view.work.people().learners;
    const given = new Set(this.view.given());
    const goalsOf = (learners: readonly Learner[]) =>
      learners.flatMap((l) => l.needs.goals.map((g) => ({ id: g.id, says: `${l.name}: ${g.text}` })));
    const mine = goalsOf(all.filter((l) => given.has(l.id)));
    return mine.length ? mine : goalsOf(all);
  });

  /** The goals to choose from, with the one that is chosen though it stands on none of these cards. */
  protected goalsWith(chosen: string | undefined) {
    const goals = this.goals();
    if (!chosen || goals.some((g) => g.id === chosen)) return goals;
    const known = goalOf(this.view.work.people().learners, chosen);
    return [...goals, { id: chosen, says: known?.text ?? 'a goal that is on no card any more' }];
  }

  protected patch(a: Adjustment, patch: AdjustmentPatch): void {
    const s = this.here.state();
    if (s)
      this.view.work.dispatch(
        BenchActions.adjustmentPatched({ familyId: s.family.id, versionId: s.version.id, adjustmentId: a.id, patch }),
      );
  }

  protected overrule(a: Adjustment, judgement: string, reason: string): void {
    if (judgement === '') this.patch(a, { overrule: null });
    else if (judgement === 'accommodation' || judgement === 'modification' || judgement === 'addition')
      this.patch(a, { overrule: { judgement, reason: reason.trim() || 'the teacher’s judgement' } });
  }

  protected judge(a: Adjustment, judgement: Judgement, question: string): void {
    this.patch(a, { overrule: answered(question, judgement) });
  }

  protected remove(a: Adjustment): void {
    const s = this.here.state();
    if (s)
      this.view.work.dispatch(
        BenchActions.adjustmentRemoved({ familyId: s.family.id, versionId: s.version.id, adjustmentId: a.id }),
      );
  }
}
