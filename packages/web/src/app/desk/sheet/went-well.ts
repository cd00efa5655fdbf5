import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { ReleasedMark, Said } from '@lorvet/core/desk';
import { saying } from '../../ui/say/say';

/** What came of a go: first what went well, then the teacher's words, then what is left. Points only for who asks. */
@Component({
  selector: 'lv-went-well',
  imports: [NgTemplateOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-template #numbered let-list>
      @for (q of list; track q.id) {
        <button
          class="btn"
          type="button"
          [attr.aria-label]="t('Question {number}', { number: q.number })"
          (click)="asked.emit(q.id)"
        >
          {{ q.number }}
        </button>
      }
    </ng-template>
    <section aria-labelledby="went-well">
      <h2 id="went-well">{{ t('What went well') }}</h2>
      @if (right().length) {
        <div class="row">
          <p>{{ t('{count} questions are right:', { count: right().length }) }}</p>
          <ng-container *ngTemplateOutlet="numbered; context: { $implicit: right() }" />
        </div>
      } @else {
        <p>{{ t('You have answered {done} of {of}.', { done: given(), of: all().length }) }}</p>
      }
      @if (partly().length) {
        <div class="row">
          <p>{{ t('Partly right:') }}</p>
          <ng-container *ngTemplateOutlet="numbered; context: { $implicit: partly() }" />
        </div>
      }
      @if (comment()) {
        <p class="said">
          <strong>{{ t('Your teacher says:') }}</strong> {{ comment() }}
        </p>
      }
      @if (left().length) {
        <div class="row">
          <p>{{ t(isAgain() ? 'Have another look at:' : 'Still to learn:') }}</p>
          <ng-container *ngTemplateOutlet="numbered; context: { $implicit: left() }" />
        </div>
      }
      <details data-quiet>
        <summary>{{ t('How many points?') }}</summary>
        <p>{{ t('{points} of {of} points', points()) }}</p>
        @if (unmarked(); as many) {
          <p>{{ t('{count} answers have no points.', { count: many }) }}</p>
        }
      </details>
    </section>
  `,
  styles: `
    section {
      display: grid;
      gap: 10px;
      padding: 16px 20px;
      border: 2px solid var(--moss);
      border-radius: 10px;
      background: var(--surface);
    }
    h2 {
      font-size: 1.15em;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px;
    }
    .btn {
      min-width: 44px;
      min-height: 44px;
      justify-content: center;
    }
    .said {
      white-space: pre-wrap;
      overflow-wrap: anywhere;
      padding-inline-start: 12px;
      border-inline-start: 4px solid var(--moss);
    }
    summary {
      min-height: 44px;
      padding-block: 8px;
      width: fit-content;
      cursor: pointer;
    }
  `,
})
export class WentWell {
  readonly marks = input.required<Said['marks']>();
  /** The questions' numbers on the sheet. */
  readonly numbers = input.required<ReadonlyMap<string, number>>();
  readonly comment = input('');
  /** Points that the teacher gave to the whole, in place of the sum. */
  readonly whole = input<number | null>(null);
  /** Whether it is gone over once more. */
  readonly isAgain = input(false);
  /** A question, by its id, that somebody wants to see. */
  readonly asked = output<string>();
  protected readonly t = saying();
  protected readonly all = computed(() =>
    Object.entries(this.marks())
      .flatMap(([id, mark]) => {
        const number = this.numbers().get(id);
        return number ? [{ id, number, mark }] : [];
      })
      .sort((a, b) => a.number - b.number),
  );
  protected readonly right = computed(() => this.are('right'));
  protected readonly partly = computed(() => this.are('partly'));
  protected readonly left = computed(() => this.are('not-yet', 'empty'));
  protected readonly given = computed(() => this.all().length - this.are('empty').length);
  protected readonly unmarked = computed(() => this.are('yours').length);
  protected readonly points = computed(() => {
    const counted = this.all().filter((q) => q.mark.verdict !== 'yours');
    const sum = (of: (m: ReleasedMark) => number) =>
      Math.round(100 * counted.reduce((n, q) => n + of(q.mark), 0)) / 100;
    const whole = this.whole();
    if (whole !== null) return { points: whole, of: this.outOf() };
    return { points: sum((m) => m.points), of: sum((m) => m.outOf) };
  });

  /** Points of all questions, also of those that have no mark of their own. */
  private outOf(): number {
    return Math.round(100 * this.all().reduce((n, q) => n + q.mark.outOf, 0)) / 100;
  }

  private are(...verdicts: ReleasedMark['verdict'][]) {
    return this.all().filter((q) => verdicts.includes(q.mark.verdict));
  }
}
