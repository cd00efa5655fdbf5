import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Answer, LearnerBlock } from '@lorvet/core/desk';
import { LearnerBlockView } from '../../ui/blocks/learner-block';

/** Another answer to a question, beside what is answered now: to look at only. */
@Component({
  selector: 'lv-go-before',
  imports: [LearnerBlockView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section [attr.aria-label]="says()">
      <p>{{ says() }}</p>
      <lv-learner-block [block]="other()" [answer]="answer()" [bare]="true" [locked]="true" />
    </section>
  `,
  styles: `
    section {
      display: grid;
      gap: 6px;
      padding: 8px 14px;
      border: 1px dashed var(--line-strong);
      border-radius: var(--r);
      background: var(--sunken);
    }
    p {
      font-size: 0.85em;
      font-weight: 700;
    }
  `,
})
export class GoBefore {
  readonly block = input.required<LearnerBlock>();
  readonly answer = input.required<Answer>();
  /** What it is. */
  readonly says = input.required<string>();
  /** Under another id: two of one id would be one group of choices. */
  protected readonly other = computed((): LearnerBlock => ({ ...this.block(), id: `${this.block().id}-before` }));
}
