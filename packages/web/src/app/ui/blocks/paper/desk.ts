import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { chosenOf } from '@lorvet/core';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-paper-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label class="choice">
      <input
        type="checkbox"
        [checked]="done()"
        [disabled]="locked()"
        [attr.aria-describedby]="labelledBy()"
        (change)="give({ kind: 'choice', chosen: done() ? [] : ['done'] })"
      />
      I did this on paper
    </label>
    <div class="lines" aria-hidden="true"></div>`,
  styleUrl: '../choice.css',
  styles: `
    .lines {
      display: none;
    }
    @media print {
      .lines {
        display: block;
        height: 8cm;
      }
      label {
        display: none;
      }
    }
  `,
})
export class PaperDesk extends DeskPart<LearnerBlockOf<'paper'>> {
  protected readonly done = computed(() => {
    const answer = this.answer();
    return answer !== undefined && chosenOf(answer).length > 0;
  });
}
