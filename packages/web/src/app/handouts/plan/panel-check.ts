import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import type { PlanFinding } from '@lorvet/core';
import { Clock } from '../../platform/clock';
import { counted, many } from '../../platform/many';
import { dayIn } from '../../ui/when';
import { NoRoom } from './no-room';
import { PlanAfter } from './plan-after';
import { PlanChecks } from './plan-checks';
import { PlanExchange } from './plan-exchange';
import { PlanHere } from './plan-here';

/** All that is wrong or unusual about the plan, each with where it is put right; who has what, and who was looked as. */
@Component({
  selector: 'lv-plan-check',
  imports: [ButtonDirective, NoRoom, PlanExchange, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './panel-check.html',
  styleUrl: './panel.css',
  styles: `
    .bar {
      display: flex;
      gap: 1px;
      height: 14px;
      border-radius: 4px;
      overflow: hidden;
      background: var(--sunken);
    }
    .gap {
      background: repeating-linear-gradient(45deg, var(--madder) 0 4px, var(--madder-soft) 4px 8px);
    }
    .doubled {
      background: var(--madder);
    }
    .bad {
      color: var(--madder);
    }
  `,
})
export class PanelCheck {
  protected readonly counted = counted;
  protected readonly here = inject(PlanHere);
  protected readonly checks = inject(PlanChecks);
  protected readonly after = inject(PlanAfter);
  protected readonly many = many;
  private readonly clock = inject(Clock);
  /** The row of a learner is to be shown. */
  readonly rowAsked = output<string>();
  /** The groups, or the heads of the loom, are to be shown. */
  readonly boardAsked = output();
  protected readonly list = computed(() => {
    const reasons = new Map(this.here.plan()?.confirmed.map((c) => [c.key, c.reason]));
    return this.checks.checks().map((f) => ({ f, reason: f.level === 'confirm' ? reasons.get(f.key) : undefined }));
  });
  protected readonly dayIn = dayIn;
  /** What was done after it was given out, the newest first. */
  protected readonly done = computed(() => [...(this.here.plan()?.history ?? [])].reverse().slice(0, 30));
  /** The versions that somebody gets. */
  protected readonly given = computed(() => this.here.shares().map(({ id, name }) => ({ id, name })));
  protected readonly unseen = computed(() => this.here.rows().filter((r) => r.versions.length > 0 && !r.looked));

  protected readonly unseenNames = computed(() => {
    const names = this.unseen().map((r) => r.learner.name);
    return names.length > 6 ? `${names.slice(0, 6).join(', ')} and ${names.length - 6} more` : names.join(', ');
  });

  /** Whether who is done sees the answers by now. */
  protected isOut(): boolean {
    const at = this.here.plan()?.answersAt;
    return !!at && at <= this.clock.minute();
  }

  protected mend(f: PlanFinding): void {
    switch (f.mend) {
      case 'suggestions':
        return this.here.acceptSuggestions();
      case 'row':
        return this.rowAsked.emit(f.learnerIds[0] ?? '');
      case 'who':
      case 'what':
      case 'how':
        return this.here.asked.set(f.mend);
      case 'when':
      case 'places':
        return this.here.asked.set('how');
      case 'teams':
      case 'all':
        return this.boardAsked.emit();
      case 'title':
        return this.here.asked.set('what');
      default:
        return this.here.asked.set('who');
    }
  }
}
