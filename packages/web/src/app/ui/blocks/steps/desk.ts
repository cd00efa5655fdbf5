import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { chosenOf } from '@lorvet/core/desk';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-steps-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="group" [attr.aria-labelledby]="labelledBy()">
      @for (s of block().steps; track s.id; let i = $index) {
        <label class="choice">
          <input type="checkbox" [checked]="done().includes(s.id)" [disabled]="locked()" (change)="toggle(s.id)" />
          <b>{{ i + 1 }}</b> {{ s.text }}
        </label>
      }
    </div>
  `,
  styleUrl: '../choice.css',
})
export class StepsDesk extends DeskPart<LearnerBlockOf<'steps'>> {
  protected readonly done = computed(() => {
    const answer = this.answer();
    return answer ? chosenOf(answer) : [];
  });

  protected toggle(id: string): void {
    const before = this.done();
    this.give({ kind: 'choice', chosen: before.includes(id) ? before.filter((x) => x !== id) : [...before, id] });
  }
}
