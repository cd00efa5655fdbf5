import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { aFrameLater } from '../../ui/in-stages';
import { MarkingHere } from '../here';
import { type Row } from '../row';
import { WayBack } from './way-back';

/** The way back from an answer, and how everybody did on its question. It is long, and comes a frame after the answer. */
@Component({
  selector: 'lv-answer-way',
  imports: [WayBack],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (way(); as w) {
      <lv-way-back
        [way]="w.lineage"
        [familyId]="table.handOut()?.familyId ?? ''"
        [across]="w.across"
        [of]="of()"
        [handOutId]="table.handOut()?.id ?? ''"
        [noun]="row().members ? 'group' : 'learner'"
      />
    }
  `,
})
export class AnswerWay {
  readonly row = input.required<Row>();
  /** The question, by its place among the columns of the work. */
  readonly column = input.required<number>();
  protected readonly table = inject(MarkingHere).table;
  protected readonly of = computed(() => this.row().memberIds.map((id) => ({ id, name: this.table.nameOf(id) })));
  private readonly later = aFrameLater(() => ({ row: this.row(), column: this.column() }));
  protected readonly way = computed(() => {
    const at = this.later();
    const item = at?.row.cell(at.column)?.item;
    const lineage = at && item && this.table.lineage(at.row, item.id);
    return lineage ? { lineage, across: this.table.across(at.column) } : null;
  });
}
