import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Goal, mostAt, needsCardSchema } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { Clock } from '../platform/clock';
import { DateField } from '../ui/controls/date';
import { NumberField } from '../ui/controls/number';
import { IconButton } from '../ui/icon-button';
import { dayIn } from '../ui/when';

const MOST = mostAt(needsCardSchema, 'goals');
const MOST_LETTERS = mostAt(needsCardSchema, 'goals', '*', 'text');

/** Goals, each with what is counted, how much of it is aimed at, and by when. A goal keeps its id: reasons point to it. */
@Component({
  selector: 'lv-card-goals',
  imports: [IconButton, ButtonDirective, DateField, InputText, LucideDynamicIcon, NumberField, Textarea],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul>
      @for (r of rows(); track r.goal.id) {
        <li [class.open]="open() === r.goal.id">
          <button
            type="button"
            class="line"
            [attr.aria-expanded]="open() === r.goal.id"
            (click)="open.set(open() === r.goal.id ? null : r.goal.id)"
          >
            <svg [lucideIcon]="open() === r.goal.id ? 'chevron-down' : 'chevron-right'"></svg>
            <span
              >{{ r.goal.text }} <small>{{ r.says }}</small></span
            >
          </button>
          @if (open() === r.goal.id) {
            @let g = r.goal;
            <label class="field"
              >Goal
              <textarea
                pTextarea
                #t
                rows="2"
                [attr.maxlength]="MOST_LETTERS"
                [value]="g.text"
                (change)="change(g, { text: t.value.trim() || g.text })"
              ></textarea>
            </label>
            <label class="field"
              >What is counted
              <input
                pInputText
                #m
                maxlength="200"
                placeholder="facts found, of 4"
                [value]="g.measure"
                (change)="change(g, { measure: m.value.trim() })"
            /></label>
            <div class="two">
              <lv-number
                label="Aimed at"
                [value]="g.target"
                [min]="0"
                [max]="100000"
                [step]="0.5"
                (told)="change(g, { target: $event })"
              />
              <lv-date label="by" [value]="g.by" (told)="change(g, { by: $event })" />
            </div>
            <button pButton severity="secondary" text type="button" (click)="remove(g)">
              <svg lucideIcon="trash-2"></svg>Remove the goal
            </button>
          }
        </li>
      } @empty {
        <li class="small">None yet.</li>
      }
    </ul>
    @if (goals().length < MOST) {
      <form class="row" (submit)="$event.preventDefault(); add(fresh.value); fresh.value = ''">
        <input
          pInputText
          class="grow"
          #fresh
          aria-label="New goal"
          placeholder="new goal"
          [attr.maxlength]="MOST_LETTERS"
          (change)="add(fresh.value); fresh.value = ''"
        /><button lvIcon="plus" framed type="submit" says="Add the goal"></button>
      </form>
    } @else {
      <p class="small">A card has room for {{ MOST }} goals.</p>
    }
  `,
  styleUrl: './card-part.css',
  styles: `
    form {
      flex-wrap: nowrap;
    }
    input {
      min-width: 0;
    }
  `,
})
export class CardGoals {
  readonly goals = input.required<readonly Goal[]>();
  readonly changed = output<Goal[]>();
  private readonly clock = inject(Clock);
  protected readonly MOST = MOST;
  protected readonly MOST_LETTERS = MOST_LETTERS;
  protected readonly open = signal<string | null>(null);
  protected readonly rows = computed(() =>
    this.goals().map((goal) => ({
      goal,
      says: [
        goal.target === null ? goal.measure : `${goal.target} ${goal.measure}`.trim(),
        goal.by ? `by ${dayIn(goal.by)}` : '',
      ]
        .filter(Boolean)
        .join(' · '),
    })),
  );

  protected add(text: string): void {
    if (!text.trim()) return;
    const goal = { id: this.clock.newId(), text: text.trim(), measure: '', target: null, by: '' };
    this.changed.emit([...this.goals(), goal]);
  }

  protected change(goal: Goal, patch: Partial<Goal>): void {
    this.changed.emit(this.goals().map((g) => (g.id === goal.id ? { ...g, ...patch } : g)));
  }

  protected remove(goal: Goal): void {
    this.open.set(null);
    this.changed.emit(this.goals().filter((g) => g.id !== goal.id));
  }
}
