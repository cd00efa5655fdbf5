import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { mediaOf } from '@lorvet/core/desk';
import { DeskPart, type LearnerBlockOf } from './part';
import { Ruled } from './ruled';
import { Takes } from './takes';

/** A photograph or a recording of the learner's own. */
@Component({
  selector: 'lv-taken-desk',
  imports: [Ruled, Takes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (paper() && !given()) {
      @if (block().kind === 'photo') {
        <p class="frame">{{ t('Stick your photograph here, or draw it.') }}</p>
      } @else {
        <p>{{ t('Say it to somebody who writes it down:') }}</p>
        <lv-ruled [lines]="4" />
      }
    } @else {
      <lv-takes
        [what]="block().kind"
        [most]="block().most"
        [name]="block().id"
        [answer]="answer()"
        [locked]="locked()"
        (changed)="give($event)"
      />
    }`,
  styles: `
    .frame {
      height: 70mm;
      padding: 4px 10px;
      border: 1.5px solid #000;
      color: #333;
      break-inside: avoid;
    }
  `,
})
export class TakenDesk extends DeskPart<LearnerBlockOf<'photo' | 'voice'>> {
  protected readonly given = computed(() => {
    const answer = this.answer();
    return answer !== undefined && mediaOf(answer).takes.length > 0;
  });
}
