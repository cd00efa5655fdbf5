import { ChangeDetectionStrategy, Component } from '@angular/core';
import { FieldHelp } from '../field-help';
import { Formula } from '../formula';
import { type LearnerBlockOf, WrittenPart } from '../part';

@Component({
  selector: 'lv-number-desk',
  imports: [FieldHelp, Formula],
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
    >
    @if (!locked() && !paper()) {
      <lv-field-help
        [field]="field"
        [signs]="block().signs ?? false"
        [speaks]="false"
        (told)="give({ kind: 'text', text: $event })"
      />
    }
    @if (block().signs) {
      <lv-formula [text]="text()" />
    }`,
  styleUrl: '../written.css',
})
export class NumberDesk extends WrittenPart<LearnerBlockOf<'number'>> {}
