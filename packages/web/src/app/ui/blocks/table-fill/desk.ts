import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { valuesOf } from '@lorvet/core/desk';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-table-fill-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll">
      <table [attr.aria-labelledby]="labelledBy()">
        <thead>
          <tr>
            @for (c of block().columns; track c.id) {
              <th scope="col">{{ c.text }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (r of block().rows; track r.id; let i = $index) {
            <tr>
              @for (c of r.cells; track c.id; let k = $index) {
                <td>
                  @if (c.blank) {
                    <input
                      type="text"
                      autocomplete="off"
                      spellcheck="false"
                      #f
                      [attr.aria-label]="cellName(i, k)"
                      [maxLength]="mostValue"
                      [value]="values()[c.id] ?? ''"
                      [disabled]="locked()"
                      (input)="set(c.id, f.value)"
                    />
                  } @else {
                    {{ c.text }}
                  }
                </td>
              }
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styleUrl: '../grid.css',
})
export class TableFillDesk extends DeskPart<LearnerBlockOf<'table-fill'>> {
  protected readonly values = computed(() => {
    const answer = this.answer();
    return answer ? valuesOf(answer) : {};
  });

  protected cellName(row: number, column: number): string {
    const named = this.block().columns[column]?.text;
    return named
      ? this.t('Row {number}, {name}', { number: row + 1, name: named })
      : this.t('Row {number}, column {column}', { number: row + 1, column: column + 1 });
  }

  protected set(cell: string, value: string): void {
    this.give({ kind: 'values', values: { ...this.values(), [cell]: value } });
  }
}
