import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { textOf } from '@lorvet/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-number-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span class="number"
    ><input
      type="text"
      inputmode="decimal"
      autocomplete="off"
      [attr.aria-labelledby]="labelledBy()"
      maxlength="60"
      [value]="text()"
      [disabled]="locked()"
      #field
      (input)="give({ kind: 'text', text: field.value })"
    />
    {{ block().unit }}</span
  >`,
  styleUrl: '../written.css',
})
export class NumberDesk extends DeskPart<LearnerBlockOf<'number'>> {
  protected readonly text = computed(() => {
    const answer = this.answer();
    return answer ? textOf(answer) : '';
  });
}
