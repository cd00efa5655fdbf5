import { ChangeDetectionStrategy, Component } from '@angular/core';
import { type LearnerBlockOf, WrittenPart } from '../part';

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
export class NumberDesk extends WrittenPart<LearnerBlockOf<'number'>> {}
