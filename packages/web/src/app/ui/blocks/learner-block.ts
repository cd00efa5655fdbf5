import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { ANY_ANSWER, type Answer, type FlapAfter, type LearnerBlock, mayLift } from '@lorvet/core/desk';
import { DESK_PARTS } from './registry';
import { SheetContext } from './sheet-context';
import { saying } from '../say/say';

/** One block as a learner sees it: the question's words, its hint when asked for, and the form of its kind. */
@Component({
  selector: 'lv-learner-block',
  imports: [NgComponentOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (!bare() && prompt(); as words) {
      <p class="prompt" [class.sr]="laid()" [id]="promptId()">
        @if (number()) {
          <span class="number">{{ number() }}</span>
        }
        {{ words }}
      </p>
    }
    @if (!bare() && hint()) {
      @if (hintOpen() || paper()) {
        <p class="hint" role="status">{{ paper() ? t('A hint: {words}', { words: hint() ?? '' }) : hint() }}</p>
      } @else {
        <button class="btn quiet" type="button" (click)="hintOpen.set(true)">{{ t('A hint') }}</button>
      }
    }
    <ng-container *ngComponentOutlet="part(); inputs: inputs()" />
    @if (!bare() && !paper() && flap(); as after) {
      @if (lifted(); as words) {
        <p class="hint" role="status">{{ words }}</p>
      } @else {
        <button class="btn quiet" type="button" [disabled]="!mayLift()" (click)="lift()">
          {{
            t(
              mayLift()
                ? 'Lift the flap to check'
                : after.submitted
                  ? 'Submit first, then lift the flap'
                  : 'Answer first, then lift the flap'
            )
          }}
        </button>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      break-inside: avoid;
    }
    .prompt {
      font-weight: 700;
      max-width: var(--desk-width, 62ch);
    }
    .number {
      display: inline-block;
      min-width: 1.5em;
      color: var(--accent);
    }
    .hint {
      margin: 6px 0;
      padding: 6px 12px;
      border-inline-start: 4px solid var(--ochre);
      background: var(--ochre-soft);
    }
    .btn {
      min-height: 44px;
      text-decoration: underline;
      font-size: 0.9em;
    }
  `,
})
export class LearnerBlockView {
  protected readonly t = saying();
  readonly block = input.required<LearnerBlock>();
  readonly answer = input<Answer>();
  readonly locked = input(false);
  /** Laid over a picture that shows the question already: the words are there for screen readers only. */
  readonly laid = input(false);
  /** Without question and hint, which stand beside it already. */
  readonly bare = input(false);
  /** The item's number on this sheet; 0 for none. */
  readonly number = input(0);
  /** What stands under the flap of a block: it comes with the lifting. */
  readonly under = input<(blockId: string) => Promise<string | undefined>>();
  readonly answered = output<Answer>();

  /** On paper nothing opens: the hint stands there, and what is under a flap does not. */
  protected readonly paper = inject(SheetContext, { optional: true })?.paper.asReadonly() ?? signal(false).asReadonly();
  protected readonly hintOpen = signal(false);
  protected readonly part = computed(() => DESK_PARTS[this.block().kind]);
  protected readonly prompt = computed(() => {
    const b = this.block();
    return 'prompt' in b ? b.prompt : '';
  });
  protected readonly hint = computed(() => {
    const b = this.block();
    return 'hint' in b ? b.hint : undefined;
  });
  protected readonly flap = computed<FlapAfter | undefined>(() => {
    const b = this.block();
    const flap = 'flap' in b ? b.flap : undefined;
    return typeof flap === 'string' ? ANY_ANSWER : flap;
  });
  /** What stood under the flap, once it is lifted. */
  protected readonly lifted = signal('');
  protected readonly mayLift = computed(() => {
    const after = this.flap();
    return after !== undefined && mayLift(after, this.answer(), this.locked());
  });
  protected readonly promptId = computed(() => `q-${this.block().id}`);
  private readonly give = (answer: Answer) => this.answered.emit(answer);
  protected readonly inputs = computed(() => ({
    block: this.block(),
    answered: this.answer(),
    locked: this.locked(),
    labelledBy: this.promptId(),
    onAnswer: this.give,
  }));

  protected async lift(): Promise<void> {
    const b = this.block();
    const words = 'flap' in b && typeof b.flap === 'string' ? b.flap : await this.under()?.(b.id);
    this.lifted.set(words ?? this.t('Your teacher has it.'));
  }
}
