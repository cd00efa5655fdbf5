import { signal } from '@angular/core';
import type { Id } from '@lorvet/core';
import type { MenuItem } from 'primeng/api';
import type { Answering, AskAgain } from '../answering';
import type { Row } from '../row';

const NONE: ReadonlySet<Id> = new Set();

/** Several learners who are chosen in the grid, and what can be done with their work at once. */
export class Picked {
  private readonly chosen = signal(NONE);
  readonly ids = this.chosen.asReadonly();
  private last = -1;

  /** `rows` are all of the hand-out, `shown` those of the grid in their order. */
  constructor(
    private readonly answering: Answering,
    private readonly rows: () => readonly Row[],
    private readonly shown: () => readonly Row[],
  ) {}

  readonly ways: readonly { readonly label: string; readonly ask: AskAgain }[] = [
    { label: 'Another go', ask: { where: true, onlyWrong: false } },
    { label: 'Another go, without saying where', ask: { where: false, onlyWrong: false } },
  ];
  readonly doings: MenuItem[] = [
    {
      label: 'Another go, only what is not right is open',
      command: () => this.decide('another go', { where: true, onlyWrong: true }),
    },
    { label: 'All of it right', command: () => this.answering.allRight(this.taken()) },
    { label: 'Submit for them', command: () => this.answering.submitFor(this.taken()) },
    { label: 'Open it again for them', command: () => this.answering.reopen(this.taken()) },
    { label: 'Take decisions back', command: () => this.answering.undecide(this.taken()) },
  ];

  decide(decision: 'another go' | 'complete', ask?: AskAgain): void {
    this.answering.decide(this.taken(), decision, ask);
  }

  /** Chooses the learner of a shown row, or no longer; with Shift, all from the last one on. */
  pick(at: number, event: MouseEvent): void {
    const id = this.shown()[at]?.learnerId;
    if (id === undefined) return;
    const now = new Set(this.chosen());
    const on = !now.has(id);
    const from = event.shiftKey && this.last >= 0 ? this.last : at;
    for (const r of this.shown().slice(Math.min(from, at), Math.max(from, at) + 1))
      if (on) now.add(r.learnerId);
      else now.delete(r.learnerId);
    this.last = at;
    this.chosen.set(now);
  }

  clear(): void {
    this.chosen.set(NONE);
  }

  private taken(): readonly Row[] {
    const rows = this.rows().filter((r) => this.chosen().has(r.learnerId));
    this.clear();
    return rows;
  }
}
