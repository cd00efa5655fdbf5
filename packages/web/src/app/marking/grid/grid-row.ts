import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { Id } from '@lorvet/core';
import { many } from '../../platform/many';
import { SwatchMark } from '../../ui/swatch';
import type { Shown } from './grid-view';
import { MarkingHere } from '../here';
import { type Row } from '../row';
import { SIGNS } from '../signs';

/** A learner's line of the grid: looked at anew only where something of it is another. */
@Component({
  selector: 'tr[lvGridRow]',
  imports: [SwatchMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './grid-row.html',
  styleUrl: './grid-row.css',
  host: { '[class.on]': 'chosen()' },
})
export class GridRow {
  readonly row = input.required<Row>({ alias: 'lvGridRow' });
  readonly columns = input.required<readonly Shown[]>();
  /** Places of the questions among all columns, by their id. */
  readonly at = input.required<ReadonlyMap<Id, number>>();
  readonly index = input.required<number>();
  readonly withPoints = input.required<boolean>();
  /** The question that is chosen in this line; empty where the line is not. */
  readonly chosen = input('');
  readonly isPicked = input(false);
  readonly isNew = input(false);
  readonly chose = output<Id>();
  readonly picked = output<MouseEvent>();
  protected readonly table = inject(MarkingHere).table;
  protected readonly signs = SIGNS;
  protected readonly many = many;

  protected foldSays(r: Row, ids: readonly string[]): string {
    const cells = ids.map((id) => r.cellOf(id)).filter((c) => c.item);
    return cells.length ? `${cells.filter((c) => c.verdict === 'right').length}/${cells.length}` : SIGNS.absent.sign;
  }
}
