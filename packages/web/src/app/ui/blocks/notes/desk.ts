import { ChangeDetectionStrategy, Component } from '@angular/core';
import { type LearnerBlockOf, WrittenPart } from '../part';
import { Ruled } from '../ruled';

@Component({
  selector: 'lv-notes-desk',
  imports: [Ruled],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (paper()) {
      <lv-ruled [lines]="text() ? 0 : 3" [text]="text()" />
    } @else {
      <textarea
        rows="2"
        [attr.aria-labelledby]="labelledBy()"
        [maxLength]="mostText"
        [value]="text()"
        [disabled]="locked()"
        #field
        (input)="give({ kind: 'text', text: field.value })"
      ></textarea>
    }`,
  styleUrl: '../written.css',
})
export class NotesDesk extends WrittenPart<LearnerBlockOf<'notes'>> {}
