import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { SwatchMark } from '../../ui/swatch';
import { type LoomRow, PlanHere } from './plan-here';

/** What stands for the master in a list of choices. */
export const MASTER = 'master';

/** One learner of the loom: who, what the card says, and a crossing with each version. It is drawn anew only where it says something new. */
@Component({
  selector: 'tr[lvLoomRow]',
  imports: [LucideDynamicIcon, RouterLink, SwatchMark],
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
  protected readonly here = inject(PlanHere);
  protected readonly MASTER = MASTER;
}
