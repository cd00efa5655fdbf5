import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { chosenOf } from '@lorvet/core/desk';
import { PieceFace } from '../piece-face';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-single-choice-desk',
  imports: [PieceFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="radiogroup" [attr.aria-labelledby]="labelledBy()">
      @for (o of block().options; track o.id) {
        <label class="choice">
          <input
            type="radio"
            [name]="block().id"
            [checked]="chosen() === o.id"
            [disabled]="locked()"
            (change)="give({ kind: 'choice', chosen: [o.id] })"
          />
          <lv-piece-face [piece]="o" [words]="!!o.text" />
        </label>
      }
    </div>
  `,
  styleUrl: '../choice.css',
})
export class SingleChoiceDesk extends DeskPart<LearnerBlockOf<'single-choice'>> {
  protected readonly chosen = computed(() => {
    const answer = this.answer();
    return answer ? chosenOf(answer)[0] : undefined;
  });
}
