import { ChangeDetectionStrategy, Component, computed, inject, input, model, output } from '@angular/core';
import { datesFor, type HandOut, type Id, type Learner, recipientsOf, SCHOOL_ID } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../../platform/clock';
import { WorkspaceStore } from '../../store/workspace';
import { DateField } from '../../ui/controls/date';
import { IconButton } from '../../ui/icon-button';
import { whenIn } from '../../ui/when';

/** What a learner would find at a time: whether it is open, over, and whether the answers are out. */
export interface AtTime {
  readonly isOpen: boolean;
  readonly isClosed: boolean;
  readonly isOut: boolean;
  /** In words. */
  readonly says: string;
}

export function atTime(plan: HandOut, learner: Learner, now: string, days: Parameters<typeof datesFor>[2]): AtTime {
  const { opensAt, dueAt, closesAt, why } = datesFor(plan, learner, days);
  const isOpen = !opensAt || opensAt <= now;
  const isClosed = !!closesAt && closesAt <= now;
  const isOut = !!plan.answersAt && plan.answersAt <= now;
  const due = dueAt ? `due ${whenIn(dueAt)}${why ? ` (${why})` : ''}` : 'due any time';
  const says = !isOpen
    ? `Not on the desk yet: it opens ${whenIn(opensAt ?? '')}.`
    : isClosed
      ? `On the desk, and over since ${whenIn(closesAt)}.`
      : `On the desk, ${dueAt && dueAt <= now ? `late: ${due}` : due}.`;
  return { isOpen, isClosed, isOut, says: isOut ? `${says} The answers are out.` : says };
}

/** Above a sheet that is looked at as a learner: who, from one to the next, and at which time. */
@Component({
  selector: 'lv-look-bar',
  imports: [IconButton, ButtonDirective, DateField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bar" role="group" aria-label="Looking as">
      <button
        type="button"
        lvIcon="arrow-left"
        framed
        says="The learner before"
        [disabled]="at() <= 0"
        (click)="asked.emit(all()[at() - 1]?.id ?? '')"
      ></button>
      <strong>{{ learner().name }}, {{ at() + 1 }} of {{ all().length }}</strong>
      <button
        type="button"
        lvIcon="arrow-right"
        framed
        says="The next learner"
        [disabled]="at() >= all().length - 1"
        (click)="asked.emit(all()[at() + 1]?.id ?? '')"
      ></button>
      @if (unseen().length) {
        <button pButton severity="secondary" type="button" (click)="asked.emit(unseen()[0]?.id ?? '')">
          Next unseen: {{ unseen()[0]?.name }} ({{ unseen().length }})
        </button>
      } @else {
        <span class="small">All were looked at.</span>
      }
      <span class="grow"></span>
      <lv-date label="As it is on" withTime [value]="time()" (told)="time.set($event)" />
      @if (time()) {
        <button pButton severity="secondary" text type="button" (click)="time.set('')">Now</button>
      }
      <p class="small says" role="status">{{ now().says }}</p>
    </div>
  `,
  styles: `
    .bar {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 10px;
      padding: 8px 20px;
      border-bottom: 1px solid var(--line);
      background: var(--sunken);
    }
    .says {
      flex-basis: 100%;
    }
    @media print {
      :host {
        display: none;
      }
    }
  `,
})
export class LookBar {
  readonly plan = input.required<HandOut>();
  readonly learner = input.required<Learner>();
  /** The time it is looked at as, as 'yyyy-MM-ddTHH:mm'; empty is now. */
  readonly time = model('');
  /** Another learner is to be looked as. */
  readonly asked = output<Id>();
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  protected readonly all = computed(() => recipientsOf(this.plan(), this.work.people()));
  protected readonly at = computed(() => this.all().findIndex((l) => l.id === this.learner().id));
  protected readonly unseen = computed(() =>
    this.all().filter((l) => !this.plan().lookedAs.includes(l.id) && l.id !== this.learner().id),
  );
  protected readonly now = computed(() =>
    atTime(this.plan(), this.learner(), this.time() || this.clock.minute(), this.work.calendars()[SCHOOL_ID]),
  );
}
