import { Directive, input } from '@angular/core';
import type { Answer, LearnerBlock } from '@lorvet/core';

/** What every learner's form of a block is given. */
@Directive()
export abstract class DeskPart<B extends LearnerBlock> {
  readonly block = input.required<B>();
  readonly answer = input<Answer>();
  readonly locked = input(false);
  /** Called with each answer; set by the sheet. */
  readonly give = input<(answer: Answer) => void>(() => undefined);
  /** Id of the question's words, for the form's label. */
  readonly labelledBy = input('');
}

export type LearnerBlockOf<K extends LearnerBlock['kind']> = Extract<LearnerBlock, { kind: K }>;
