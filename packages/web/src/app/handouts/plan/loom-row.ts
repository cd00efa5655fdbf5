import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { Id } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { IconButton } from '../../ui/icon-button';
import { SwatchMark } from '../../ui/swatch';
import { PlanBegin } from './plan-begin';
import { PlanAfter } from './plan-after';
import { type LoomRow, PlanHere } from './plan-here';

/** What stands for the master in a list of choices. */
export const MASTER = 'master';

/** One learner of the loom: who, what the card says, and a crossing with each version. It is drawn anew only where it says something new. */
@Component({
  selector: 'tr[lvLoomRow]',
  imports: [ButtonDirective, IconButton, RouterLink, SwatchMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    '[attr.data-row]': 'row().learner.id',
    '[class.none]': '!row().versions.length',
    '[class.twice]': 'row().versions.length > 1',
    '[class.chosen]': 'isChosen()',
  },
  templateUrl: './loom-row.html',
  styleUrl: './loom-row.css',
})
export class LoomRowView {
  readonly row = input.required<LoomRow>({ alias: 'lvLoomRow' });
  readonly isChosen = input(false);
  readonly hasOwn = input(false);
  readonly chosen = output<boolean>();
  /** What else can be done with this learner is asked for. */
  readonly more = output<Event>();
  protected readonly here = inject(PlanHere);
  protected readonly fresh = inject(PlanBegin);
  protected readonly after = inject(PlanAfter);
  protected readonly MASTER = MASTER;
  /** Whether this learner has it: to change that is asked about first. */
  protected readonly hasIt = computed(() => !this.row().isOpen);

  protected give(versionId: Id | null, event: Event): void {
    const { learner } = this.row();
    if (!this.hasIt()) return this.here.give([learner.id], versionId);
    this.after.ask([learner.id], versionId);
    // Nothing is given yet: the row goes on saying what they have.
    const has = this.row().versions[0];
    const row = (event.target as HTMLElement).closest('tr');
    for (const field of row?.querySelectorAll<HTMLInputElement>('input[type=radio]') ?? []) {
      const column = field.dataset['column'];
      const id = column === MASTER ? null : column === 'own' ? this.row().own?.id : column;
      field.checked = id === has;
    }
  }
}
