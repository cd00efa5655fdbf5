import { computed, signal } from '@angular/core';
import { type Answer, emptied } from '@lorvet/core/desk';

interface Step {
  readonly id: string;
  readonly before: Answer;
  readonly after: Answer;
  /** When it was made, in ms. */
  readonly at: number;
}

/** Strokes of one text within this time are one step. */
const ONE_MS = 1200;
/** As many steps can be taken back. */
const MOST = 300;

/** What was answered on a sheet, step by step, so that each step can be taken back and made again. */
export class AnswerHistory {
  private readonly done = signal<readonly Step[]>([]);
  private readonly undone = signal<readonly Step[]>([]);
  readonly mayUndo = computed(() => this.done().length > 0);
  readonly mayRedo = computed(() => this.undone().length > 0);

  /** An answer took the place of another, or of none. */
  note(id: string, before: Answer | undefined, after: Answer, at: number): void {
    const last = this.done().at(-1);
    const isTyped = after.kind === 'text' || after.kind === 'values';
    const joins = isTyped && last?.id === id && at - last.at < ONE_MS && this.undone().length === 0;
    const step = { id, before: joins ? last.before : (before ?? emptied(after)), after, at };
    this.done.set([...(joins ? this.done().slice(0, -1) : this.done().slice(-MOST + 1)), step]);
    this.undone.set([]);
  }

  /** The answer that stands there then; undefined where there is nothing to take back. */
  undo(): { readonly id: string; readonly answer: Answer } | undefined {
    const step = this.done().at(-1);
    if (!step) return undefined;
    this.done.set(this.done().slice(0, -1));
    this.undone.set([...this.undone(), step]);
    return { id: step.id, answer: step.before };
  }

  redo(): { readonly id: string; readonly answer: Answer } | undefined {
    const step = this.undone().at(-1);
    if (!step) return undefined;
    this.undone.set(this.undone().slice(0, -1));
    this.done.set([...this.done(), step]);
    return { id: step.id, answer: step.after };
  }

  /** Another try is shown: what was done before is no part of it. */
  forget(): void {
    this.done.set([]);
    this.undone.set([]);
  }
}
