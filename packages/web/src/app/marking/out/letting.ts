import { inject } from '@angular/core';
import type { HandOut, Response } from '@lorvet/core';
import { Clock } from '../../platform/clock';
import { MarkingActions, type ResponsePatch } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import type { Row } from '../row';

type Patch = Parameters<typeof MarkingActions.markingSet>[0]['patch'];

/** When marks, words and answers reach the learners of a hand-out, and what its results are filed under. Made where things are injected. */
export class Letting {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);

  /** `rows` are all pieces of work of the hand-out. */
  constructor(
    private readonly handOut: () => HandOut | undefined,
    private readonly rows: () => readonly Row[],
  ) {}

  /** When marks and words go out from now on, and those that are decided but not out: with the decision (null), by hand (empty), or at a time. */
  setMarksAt(marksAt: string | null): void {
    const held = this.rows().filter((r) => r.isHeld);
    this.set({ marksAt }, 'when marks go out', held, { heldUntil: marksAt ?? undefined });
  }

  /** From when all see the answers (local date and time); null is not. What was said for single learners counts no more. */
  setAnswersAt(answersAt: string | null): void {
    this.set({ answersAt, ownAnswers: {} }, 'when answers go out');
  }

  /** Lets the answers out to these learners, or keeps them back: whatever holds for all. */
  answersTo(rows: readonly Row[], isOut: boolean): void {
    const at = isOut ? this.clock.minute() : '';
    const own = Object.fromEntries(rows.flatMap((r) => r.memberIds.map((id) => [id, at] as const)));
    const ownAnswers = { ...this.handOut()?.ownAnswers, ...own };
    this.set({ ownAnswers }, isOut ? 'let answers out' : 'hold answers back');
  }

  /** Whether points are given for it at all, and what it is filed under with the results. */
  file(patch: Partial<Pick<HandOut, 'points' | 'category'>>): void {
    this.set(patch, patch.points === undefined ? 'category' : 'points');
  }

  private set(patch: Patch, label: string, rows: readonly Row[] = [], said: Partial<Response> = {}): void {
    const h = this.handOut();
    if (!h) return;
    const responses = rows.map((r): ResponsePatch => ({ copyId: r.copyId, go: r.go?.n ?? 1, patch: said }));
    this.work.dispatch(MarkingActions.markingSet({ handOutId: h.id, patch, responses, label }));
  }
}
