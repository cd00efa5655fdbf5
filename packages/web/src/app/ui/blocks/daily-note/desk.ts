import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { format, parseISO } from 'date-fns';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-daily-note-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (day()) {
      <p class="day">{{ day() }}</p>
    }
    <p>{{ block().text }}</p>
  `,
  styles: `
    :host {
      display: block;
      padding: 10px 16px;
      border-radius: 8px;
      background: var(--ochre-soft);
    }
    p {
      white-space: pre-wrap;
      color: var(--ink);
    }
    .day {
      font-weight: 700;
    }
  `,
})
export class DailyNoteDesk extends DeskPart<LearnerBlockOf<'daily-note'>> {
  protected readonly day = computed(() => (this.block().day ? format(parseISO(this.block().day), 'EEEE d MMMM') : ''));
}
