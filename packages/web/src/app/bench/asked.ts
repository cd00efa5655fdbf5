import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { Adjustment, Judgement } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';

/** What a teacher's answer to the question of a verdict comes to: it is kept with the question, as the reason. */
export const answered = (question: string, judgement: Judgement): NonNullable<Adjustment['overrule']> => ({
  judgement,
  reason: `${question} ${judgement === 'modification' ? 'Yes' : 'No'}.`,
});

/** A question that only the teacher can answer, with a press for either answer. */
@Component({
  selector: 'lv-asked',
  imports: [ButtonDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="small">{{ question() }}</p>
    <div class="row" role="group" [attr.aria-label]="question()">
      <button pButton severity="secondary" type="button" (click)="judged.emit('modification')">
        Yes: a modification
      </button>
      <button pButton severity="secondary" type="button" (click)="judged.emit('accommodation')">
        No: an accommodation
      </button>
    </div>
  `,
  styles: `
    :host {
      display: block;
      margin-block: 4px 12px;
    }
    .row {
      margin-top: 4px;
    }
  `,
})
export class Asked {
  readonly question = input.required<string>();
  readonly judged = output<Judgement>();
}
