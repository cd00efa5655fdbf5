import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { formatISO, parseISO, startOfISOWeek } from 'date-fns';
import { chosenOf, stepPressed, stepsTicked, weeksTicked } from '@lorvet/core/desk';
import { Clock } from '../../../platform/clock';
import { Say } from '../../say/say';
import { DeskPart, type LearnerBlockOf } from '../part';

/** Steps to tick off: once, or anew in each week. What was ticked in earlier weeks is kept. */
@Component({
  selector: 'lv-steps-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="group" [attr.aria-labelledby]="labelledBy()">
      @if (block().weekly && !paper()) {
        <p class="week">{{ t('This week, from {day}. It begins anew each week.', { day: say.day(week()) }) }}</p>
      }
      @for (s of block().steps; track s.id; let i = $index) {
        <label class="choice">
          <input type="checkbox" [checked]="done().includes(s.id)" [disabled]="locked()" (change)="toggle(s.id)" />
          <b>{{ i + 1 }}</b> {{ s.text }}
        </label>
      }
      @if (block().weekly && before(); as b) {
        <p class="week">{{ t('In the week of {day}: {done} of {of}', b) }}</p>
      }
    </div>
  `,
  styleUrl: '../choice.css',
  styles: `
    .week {
      margin-block: 4px 8px;
      font-size: 0.9em;
    }
  `,
})
export class StepsDesk extends DeskPart<LearnerBlockOf<'steps'>> {
  protected readonly say = inject(Say);
  private readonly clock = inject(Clock);
  /** The Monday of this week, as an ISO date. */
  protected readonly week = computed(() =>
    formatISO(startOfISOWeek(parseISO(this.clock.today())), { representation: 'date' }),
  );
  private readonly chosen = computed(() => {
    const answer = this.answer();
    return answer ? chosenOf(answer) : [];
  });
  protected readonly done = computed(() => stepsTicked(this.block(), this.chosen(), this.week()));
  /** The last week before this one in which something was ticked. */
  protected readonly before = computed(() => {
    const week = weeksTicked(this.chosen()).find((w) => w < this.week());
    if (!week) return null;
    const { length: done } = stepsTicked(this.block(), this.chosen(), week);
    return { day: this.say.day(week), done, of: this.block().steps.length };
  });

  protected toggle(id: string): void {
    this.give({ kind: 'choice', chosen: stepPressed(this.block(), this.chosen(), this.week(), id) });
  }
}
