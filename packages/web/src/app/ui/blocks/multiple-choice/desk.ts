import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { chosenOf } from '@lorvet/core/desk';
import { PieceFace } from '../piece-face';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-multiple-choice-desk',
  imports: [PieceFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="group" [attr.aria-labelledby]="labelledBy()">
      @for (o of block().options; track o.id) {
        <label class="choice">
          <input type="checkbox" [checked]="chosen().includes(o.id)" [disabled]="locked()" (change)="toggle(o.id)" />
          <lv-piece-face [piece]="o" [words]="!!o.text" />
        </label>
      }
    </div>
  `,
  styleUrl: '../choice.css',
})
export class MultipleChoiceDesk extends DeskPart<LearnerBlockOf<'multiple-choice'>> {
  protected readonly chosen = computed(() => {
    const answer = this.answer();
    return answer ? chosenOf(answer) : [];
  });

  protected toggle(id: string): void {
    const before = this.chosen();
    const chosen = before.includes(id) ? before.filter((x) => x !== id) : [...before, id];
    this.give({ kind: 'choice', chosen });
  }
}
