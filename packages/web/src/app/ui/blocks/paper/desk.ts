import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { chosenOf } from '@lorvet/core/desk';
import { DeskPart, type LearnerBlockOf } from '../part';
import { Ruled } from '../ruled';

@Component({
  selector: 'lv-paper-desk',
  imports: [Ruled],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (paper()) {
      <lv-ruled [lines]="8" />
    } @else {
      <label class="choice">
        <input
          type="checkbox"
          [checked]="done()"
          [disabled]="locked()"
          [attr.aria-describedby]="labelledBy()"
          (change)="give({ kind: 'choice', chosen: done() ? [] : ['done'] })"
        />
        {{ t('I did this on paper') }}
      </label>
    }`,
  styleUrl: '../choice.css',
})
export class PaperDesk extends DeskPart<LearnerBlockOf<'paper'>> {
  protected readonly done = computed(() => {
    const answer = this.answer();
    return answer !== undefined && chosenOf(answer).length > 0;
  });
}
