import { inject } from '@angular/core';
import {
  broughtBack,
  asSubmitted,
  copyIdOf,
  emptyResponse,
  MOST_NOTES,
  type Go,
  type HandOut,
  type ItemBlock,
  type Response,
} from '@lorvet/core';
import { marksToRelease } from '@lorvet/core/marking';
import { Clock } from '../platform/clock';
import type { KeptAsset } from '../platform/storage/kept-asset';
import { BenchActions, MarkingActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { Notice } from '../ui/notice';
import { type Row } from './row';

/** The marks that a teacher gives. */
export type Given = 'right' | 'partly' | 'not-yet';

/** What the teacher answers to the work that is chosen: marks, words, and how it goes on. Made where things are injected. */
export class Answering {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);

  constructor(
    private readonly handOut: () => HandOut | undefined,
    private readonly row: () => Row | undefined,
  ) {}

  mark(item: ItemBlock, verdict: Given, points?: number): void {
    const row = this.row();
    if (!row) return;
    const proposed = verdict === 'right' ? item.points : verdict === 'partly' ? item.points / 2 : 0;
    const given =
      points !== undefined && Number.isFinite(points) ? Math.max(0, Math.min(item.points, points)) : proposed;
    const marks = { ...(row.response ?? emptyResponse(1)).marks, [item.id]: { verdict, points: given } };
    this.respond(this.marked(marks), 'mark');
  }

  setPoints(item: ItemBlock, points: number): void {
    // Points out of none say nothing of the answer.
    if (item.points === 0) return;
    const p = Math.max(0, Math.min(item.points, Number.isFinite(points) ? points : 0));
    this.mark(item, p >= item.points ? 'right' : p > 0 ? 'partly' : 'not-yet', p);
  }

  unmark(item: ItemBlock): void {
    const { [item.id]: _, ...marks } = this.row()?.response?.marks ?? {};
    this.respond(this.marked(marks), 'take a mark back');
  }

  commentOn(item: ItemBlock, text: string): void {
    const { [item.id]: _, ...rest } = this.row()?.response?.comments ?? {};
    this.respond({ comments: text.trim() ? { ...rest, [item.id]: text.trim() } : rest }, 'comment');
  }

  /** Says something back to a place for notes: the learner sees it at once. */
  noteTo(item: ItemBlock, text: string): void {
    const before = this.row()?.response?.notes ?? {};
    const list = before[item.id] ?? [];
    if (!text.trim() || list.length >= MOST_NOTES) return;
    const note = { text: text.trim(), at: this.clock.iso() };
    this.respond({ notes: { ...before, [item.id]: [...list, note] } }, 'note to a learner');
  }

  /** Words that are spoken: they go to the learner as those that are written do. */
  speak(asset: KeptAsset): void {
    this.work.dispatch(BenchActions.pictureAdded({ asset }));
    this.respond({ voice: asset.id }, 'spoken words');
  }

  unspeak(): void {
    this.respond({ voice: '' }, 'take spoken words away');
  }

  comment(text: string): void {
    this.respond({ comment: text.trim() }, 'comment');
  }

  /** @returns whether there was work to decide about. */
  decide(decision: 'another go' | 'complete'): boolean {
    const row = this.row();
    if (!row?.go) return false;
    this.respond(
      { decision, decidedAt: this.clock.iso(), released: this.released(row.response?.marks ?? {}) },
      decision === 'complete' ? 'complete' : 'ask for another go',
    );
    this.notice.done(
      decision === 'complete' ? `${row.name}: complete` : `${row.name} is asked for another go`,
      decision === 'another go' ? 'The first go is kept.' : '',
    );
    return true;
  }

  undecide(): void {
    this.respond({ decision: null, decidedAt: null, released: undefined }, 'take a decision back');
  }

  /** Submits what a learner wrote, for them: it says so. */
  submitFor(): void {
    this.change((go) => asSubmitted(go, this.pen(), true), 'submit for a learner');
  }

  /** Puts a try that was set aside back in its place; what stands there is set aside. */
  giveBack(asideId: string): void {
    this.change((go) => broughtBack(go, asideId, this.pen()), 'bring a try back');
  }

  private pen() {
    return { id: this.clock.newId(), from: this.clock.newId(), at: this.clock.iso() };
  }

  /** Marks; where the learner was told theirs already, they are told these. */
  private marked(marks: Response['marks']): Partial<Response> {
    return this.row()?.response?.decision ? { marks, released: this.released(marks) } : { marks };
  }

  private released(marks: Response['marks']): Response['released'] {
    const row = this.row();
    const items = row?.cells.flatMap((c) => c.item ?? []) ?? [];
    return marksToRelease(items, row?.go?.answers ?? {}, { ...(row?.response ?? emptyResponse(1)), marks });
  }

  private change(how: (go: Go) => Go, label: string): void {
    const row = this.row();
    const go = row?.copy?.goes.at(-1);
    if (!row?.copy || !go || go.submittedAt) return;
    const goes = row.copy.goes.map((g) => (g === go ? how(g) : g));
    this.work.dispatch(MarkingActions.workChanged({ copy: { ...row.copy, goes }, label }));
  }

  private respond(patch: Partial<Response>, label: string): void {
    const row = this.row();
    const h = this.handOut();
    if (!row || !h) return;
    this.work.dispatch(
      MarkingActions.responseChanged({ copyId: copyIdOf(h.id, row.learnerId), go: row.go?.n ?? 1, patch, label }),
    );
  }
}
