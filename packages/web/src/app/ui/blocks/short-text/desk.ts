import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { textOf } from '@lorvet/core';
import { DeskPart, type LearnerBlockOf } from '../part';

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
export class ShortTextDesk extends DeskPart<LearnerBlockOf<'short-text'>> {
  protected readonly text = computed(() => {
    const answer = this.answer();
    return answer ? textOf(answer) : '';
  });
}
