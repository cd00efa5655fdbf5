import { ChangeDetectionStrategy, Component } from '@angular/core';
import { type LearnerBlockOf, WrittenPart } from '../part';

@Component({
  selector: 'lv-short-text-desk',
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
  />`,
  styleUrl: '../written.css',
})
export class ShortTextDesk extends WrittenPart<LearnerBlockOf<'short-text'>> {}
