import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-table-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll" tabindex="0" role="region" [attr.aria-label]="block().caption || t('Table')">
      <table>
        @if (block().caption) {
          <caption>
            {{
              block().caption
            }}
          </caption>
        }
        @if (block().header && block().rows[0]; as head) {
          <thead>
            <tr>
              @for (c of head.cells; track c.id) {
                <th scope="col">{{ c.text }}</th>
              }
            </tr>
          </thead>
        }
        <tbody>
          @for (r of body(); track r.id) {
            <tr>
              @for (c of r.cells; track c.id) {
                <td>{{ c.text }}</td>
              }
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styleUrl: '../grid.css',
})
export class TableDesk extends DeskPart<LearnerBlockOf<'table'>> {
  protected readonly body = computed(() => (this.block().header ? this.block().rows.slice(1) : this.block().rows));
}
