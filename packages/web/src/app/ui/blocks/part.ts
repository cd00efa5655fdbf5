import { computed, Directive, inject, input, linkedSignal, signal } from '@angular/core';
import { type Answer, answerSchema, type LearnerBlock, mostAt, textOf } from '@lorvet/core/desk';
import { saying } from '../say/say';
import { SheetContext } from './sheet-context';

/** What every learner's form of a block is given. */
@Directive()
export abstract class DeskPart<B extends LearnerBlock> {
  /** Says a text in the language of the desk. */
  protected readonly t = saying();
  /** Whether it stands on paper: what is pressed or dragged on a screen is written there. */
  protected readonly paper = inject(SheetContext, { optional: true })?.paper.asReadonly() ?? signal(false).asReadonly();
  /** Letters that fit in an answer of one text, and in one of several places. */
  protected readonly mostText = mostAt(answerSchema, 'text');
  protected readonly mostValue = mostAt(answerSchema, 'values', '*');
  readonly block = input.required<B>();
  /** The answer as it is kept. */
  readonly answered = input<Answer>();
  readonly locked = input(false);
  /** Called with each answer; set by the sheet. */
  readonly onAnswer = input<(answer: Answer) => void>(() => undefined);
  /** Id of the question's words, for the form's label. */
  readonly labelledBy = input('');

  // Ahead of what is kept by the moment that keeping takes: two quick presses must not undo each other.
  protected readonly answer = linkedSignal(() => this.answered());

  protected give(answer: Answer): void {
    this.answer.set(answer);
    this.onAnswer()(answer);
  }
}

/** A learner's form of a block that is answered with words. */
@Directive()
export abstract class WrittenPart<B extends LearnerBlock> extends DeskPart<B> {
  protected readonly text = computed(() => {
    const answer = this.answer();
    return answer ? textOf(answer) : '';
  });
}

export type LearnerBlockOf<K extends LearnerBlock['kind']> = Extract<LearnerBlock, { kind: K }>;
