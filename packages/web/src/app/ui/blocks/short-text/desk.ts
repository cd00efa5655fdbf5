import { ChangeDetectionStrategy, Component } from '@angular/core';
import { FieldHelp } from '../field-help';
import { Formula } from '../formula';
import { type LearnerBlockOf, WrittenPart } from '../part';

@Component({
  selector: 'lv-short-text-desk',
  imports: [FieldHelp, Formula],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<input
      type="text"
      autocomplete="off"
      spellcheck="false"
      [attr.aria-labelledby]="labelledBy()"
      [maxLength]="mostText"
      [value]="text()"
      [disabled]="locked()"
      #field
      (input)="give({ kind: 'text', text: field.value })"
    />
    @if (!locked() && !paper()) {
      <lv-field-help [field]="field" [signs]="block().signs ?? false" (told)="give({ kind: 'text', text: $event })" />
    }
    @if (block().signs) {
      <lv-formula [text]="text()" />
    }`,
  styleUrl: '../written.css',
})
export class ShortTextDesk extends WrittenPart<LearnerBlockOf<'short-text'>> {}
