import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { textOf } from '@lorvet/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-notes-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<textarea
    rows="2"
    [attr.aria-labelledby]="labelledBy()"
    [maxLength]="mostText"
    [value]="text()"
    [disabled]="locked()"
    #field
    (input)="give({ kind: 'text', text: field.value })"
  ></textarea>`,
  styleUrl: '../written.css',
})
export class NotesDesk extends DeskPart<LearnerBlockOf<'notes'>> {
  protected readonly text = computed(() => {
    const answer = this.answer();
    return answer ? textOf(answer) : '';
  });
}
