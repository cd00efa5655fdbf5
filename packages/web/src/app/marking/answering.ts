import { inject } from '@angular/core';
import {
  type Answer,
  answerIsEmpty,
  asWriting,
  broughtBack,
  asSubmitted,
  asTakenBack,
  joinedWords,
  MOST_NOTES,
  type Go,
  type HandOut,
  type Id,
  type ItemBlock,
  type PaperPage,
  type Response,
  type Rubric,
} from '@lorvet/core';
import { marksToRelease, originsOf, pointsByLevels, withLevel } from '@lorvet/core/marking';
import { Clock } from '../platform/clock';
import { counted } from '../platform/many';
import type { KeptAsset } from '../platform/storage/kept-asset';
import { BenchActions, MarkingActions, type ResponsePatch } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { Notice } from '../ui/notice';
import { type Row } from './row';

/** So many pieces of work are changed in one go. */
const AT_ONCE = 60;

/** The marks that a teacher gives. */
export type Given = 'right' | 'partly' | 'not-yet';

/** How another go is asked for: whether it says which answers are not right yet, and whether only those are open. */
export interface AskAgain {
  readonly where: boolean;
  readonly onlyWrong: boolean;
}

/** What the teacher answers to work: marks, words, and how it goes on. Made where things are injected. */
export class Answering {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);

  /** `rows` are all pieces of work of the hand-out. */
  constructor(
    private readonly handOut: () => HandOut | undefined,
    private readonly rows: () => readonly Row[],
  ) {}

  mark(row: Row, item: ItemBlock, verdict: Given, points?: number): void {
    this.markAll([row], item.id, verdict, points);
  }

  /** The same mark to one question of several: what it is worth follows from each one's own question. */
  markAll(rows: readonly Row[], itemId: Id, verdict: Given, points?: number): void {
    const said = rows.flatMap((row) => {
      const { item } = row.cellOf(itemId);
      if (!item) return [];
      const proposed = verdict === 'right' ? item.points : verdict === 'partly' ? item.points / 2 : 0;
      const given =
        points !== undefined && Number.isFinite(points) ? Math.max(0, Math.min(item.points, points)) : proposed;
      return [this.marked(row, { ...row.response?.marks, [itemId]: { verdict, points: given } })];
    });
    this.respondAll(said, said.length === 1 ? 'mark' : counted(said.length, 'mark {n} answer', 'mark {n} answers'));
  }

  setPoints(row: Row, item: ItemBlock, points: number): void {
    // Points out of none say nothing of the answer.
    if (item.points === 0) return;
    const p = Math.max(0, Math.min(item.points, Number.isFinite(points) ? points : 0));
    this.mark(row, item, p >= item.points ? 'right' : p > 0 ? 'partly' : 'not-yet', p);
  }

  /** All of the work is right, whatever the rules say: marks that are right already stay theirs. */
  allRight(rows: readonly Row[]): void {
    const said = rows.flatMap((row) => {
      const left = row.go ? row.marks.filter((m) => m.mark.verdict !== 'right') : [];
      if (!left.length) return [];
      const marks = left.map(({ item }) => [item.id, { verdict: 'right' as const, points: item.points }] as const);
      return [this.marked(row, { ...row.response?.marks, ...Object.fromEntries(marks) })];
    });
    this.respondAll(said, 'all of it right');
  }

  /** Points for the whole work; null makes them the sum of its questions again. */
  wholePoints(row: Row, points: number | null): void {
    const now =
      points === null || !Number.isFinite(points) ? undefined : Math.max(0, Math.min(row.total.outOf, points));
    if (now !== row.response?.points) this.respond(row, { points: now }, 'points for the whole');
  }

  unmark(rows: readonly Row[], itemId: Id): void {
    const said = rows.flatMap((row) => {
      const { [itemId]: own, ...marks } = row.response?.marks ?? {};
      return own ? [this.marked(row, marks)] : [];
    });
    this.respondAll(said, 'take a mark back');
  }

  commentOn(row: Row, item: ItemBlock, text: string): void {
    const { [item.id]: _, ...rest } = row.response?.comments ?? {};
    this.respond(row, { comments: text.trim() ? { ...rest, [item.id]: text.trim() } : rest }, 'comment');
  }

  /** Says something back to a place for notes: the learner sees it at once. */
  noteTo(row: Row, item: ItemBlock, text: string): void {
    const before = row.response?.notes ?? {};
    const list = before[item.id] ?? [];
    if (!text.trim() || list.length >= MOST_NOTES) return;
    const note = { text: text.trim(), at: this.clock.iso() };
    this.respond(row, { notes: { ...before, [item.id]: [...list, note] } }, 'note to a learner');
  }

  /** Words that are spoken, to the whole of the work or to one answer: they go to the learner as those that are written do. */
  speak(row: Row, asset: KeptAsset, item?: ItemBlock): void {
    this.work.dispatch(BenchActions.pictureAdded({ asset }));
    const voices = { ...row.response?.voices, ...(item ? { [item.id]: asset.id } : {}) };
    this.respond(row, item ? { voices } : { voice: asset.id }, 'spoken words');
  }

  unspeak(row: Row, item?: ItemBlock): void {
    if (!item) return this.respond(row, { voice: '' }, 'take spoken words away');
    const { [item.id]: _, ...voices } = row.response?.voices ?? {};
    this.respond(row, { voices }, 'take spoken words away');
  }

  /** A level of a question's rubric; once each criterion has one, they make the mark. */
  level(row: Row, item: ItemBlock, criterionId: Id, levelId: Id): void {
    const rubric = this.handOut()?.rubrics?.[item.id];
    if (!rubric) return;
    const given = withLevel(rubric, row.response?.levels?.[item.id] ?? [], criterionId, levelId);
    const levels = { ...row.response?.levels, [item.id]: given };
    const points = pointsByLevels(rubric, given, item.points);
    if (points === null) return this.respond(row, { levels }, 'level');
    const verdict: Given = points >= item.points ? 'right' : points > 0 ? 'partly' : 'not-yet';
    const { patch } = this.marked(row, { ...row.response?.marks, [item.id]: { verdict, points } });
    this.respond(row, { levels, ...patch }, 'level');
  }

  /** The rubric of a question; null takes it away. Levels that were given stay as they were said. */
  setRubric(itemId: Id, rubric: Rubric | null): void {
    const h = this.handOut();
    if (!h) return;
    const { [itemId]: _, ...rest } = h.rubrics ?? {};
    const rubrics = rubric ? { ...rest, [itemId]: rubric } : rest;
    const label = rubric ? 'rubric' : 'take a rubric away';
    this.work.dispatch(MarkingActions.markingSet({ handOutId: h.id, patch: { rubrics }, responses: [], label }));
  }

  /** What is written on a learner's drawing or photograph: a layer of its own. */
  writeOn(row: Row, item: ItemBlock, drawn: Extract<Answer, { kind: 'drawing' }>): void {
    const { [item.id]: _, ...rest } = row.response?.writing ?? {};
    const writing = answerIsEmpty(drawn) ? rest : { ...rest, [item.id]: asWriting(drawn) };
    this.respond(row, { writing }, 'write on a drawing');
  }

  /** The same on a sheet of paper that was placed. */
  writeOnPaper(row: Row, page: PaperPage, drawn: Extract<Answer, { kind: 'drawing' }>): void {
    const { writing: _, ...bare } = page;
    const now = answerIsEmpty(drawn) ? bare : { ...bare, writing: asWriting(drawn) };
    const isIt = (p: PaperPage) => p.assetId === page.assetId && p.pageId === page.pageId;
    const paper = (row.response?.paper ?? []).map((p) => (isIt(p) ? now : p));
    this.respond(row, { paper }, 'write on a sheet');
  }

  comment(row: Row, text: string): void {
    this.respond(row, { comment: text.trim() }, 'comment');
  }

  /** One of the teacher's phrases, behind what is written already: to the learner, and to the family where it has words for them. */
  sayPhrase(row: Row, { text, family }: { readonly text: string; readonly family: string }): void {
    const { comment = '', family: before = '' } = row.response ?? {};
    const toFamily = family ? { family: joinedWords(before, family).slice(0, 2000) } : {};
    this.respond(row, { comment: joinedWords(comment, text).slice(0, 2000), ...toFamily }, 'comment');
  }

  toFamily(row: Row, text: string): void {
    this.respond(row, { family: text.trim() }, 'word to a family');
  }

  /** Decides on what is submitted of these and not decided on; how many that were. */
  decide(rows: readonly Row[], decision: 'another go' | 'complete', ask?: AskAgain): number {
    const there = rows.filter((r) => r.go?.submittedAt && !r.response?.decision);
    const heldUntil = this.heldUntil();
    const said = there.map((row): ResponsePatch => {
      const wrong = row.marks.flatMap(({ item, mark }) => (mark.verdict === 'right' ? [] : [item.id]));
      const again = ask && { where: ask.where, ...(ask.where && ask.onlyWrong && wrong.length ? { only: wrong } : {}) };
      const patch = { decision, decidedAt: this.clock.iso(), again, ...this.told(row), heldUntil };
      return this.patch(row, patch);
    });
    this.respondAll(said, decision === 'complete' ? 'complete' : 'ask for another go');
    const [first] = there;
    if (first) {
      const who = there.length === 1 ? first.name : counted(there.length, '{n} piece of work', '{n} pieces of work');
      this.notice.done(
        decision === 'complete' ? `${who}: complete` : `Another go asked for: ${who}`,
        decision === 'another go' ? 'The go before is kept.' : '',
      );
    }
    return there.length;
  }

  undecide(rows: readonly Row[]): void {
    const patch = {
      decision: null,
      decidedAt: null,
      released: undefined,
      origins: undefined,
      again: undefined,
      heldUntil: undefined,
    };
    this.respondAll(
      rows.flatMap((r) => (r.response?.decision ? [this.patch(r, patch)] : [])),
      'take a decision back',
    );
  }

  /** Lets what is decided of these out, or holds it back. */
  release(rows: readonly Row[], isOut: boolean): void {
    const heldUntil = isOut ? undefined : this.handOut()?.marksAt || '';
    this.respondAll(
      rows.flatMap((r) => (r.response?.decision ? [this.patch(r, { heldUntil })] : [])),
      isOut ? 'let marks out' : 'hold marks back',
    );
  }

  /**
   * Accepts an answer besides the key: for all who have the question, whichever version they have. Who was told their
   * marks already is told these.
   */
  accept(item: ItemBlock, answer: Answer): void {
    const one = { id: this.clock.newId(), itemId: item.id, answer, at: this.clock.iso() };
    const accepted = [...(this.handOut()?.accepted ?? []), one];
    this.setAccepted(item.id, accepted, 'accept an answer');
  }

  unaccept(itemId: Id, id: Id): void {
    const left = (this.handOut()?.accepted ?? []).filter((a) => a.id !== id);
    this.setAccepted(itemId, left, 'accept an answer no more');
  }

  /** Submits what learners wrote, for them: it says so. */
  submitFor(rows: readonly Row[]): void {
    const open = rows.filter((r) => r.go && !r.go.submittedAt);
    this.change(open, (go) => asSubmitted(go, this.pen(), true), 'submit for a learner');
  }

  /** Opens what was submitted and is not decided on, so that the learner goes on with it. */
  reopen(rows: readonly Row[]): void {
    const closed = rows.filter((r) => r.go?.submittedAt && !r.response?.decision);
    // Submitted once more, it is by the learner.
    const open = (go: Go): Go => {
      const { submittedFor: _, ...rest } = asTakenBack(go, this.pen());
      return rest;
    };
    this.change(closed, open, 'open it again for a learner');
  }

  /** Puts a try that was set aside back in its place; what stands there is set aside. */
  giveBack(row: Row, asideId: string): void {
    this.change([row], (go) => broughtBack(go, asideId, this.pen()), 'bring a try back');
  }

  private setAccepted(itemId: Id, accepted: NonNullable<HandOut['accepted']>, label: string): void {
    const h = this.handOut();
    if (!h) return;
    const responses = this.rows().flatMap((row) => {
      const { item } = row.cellOf(itemId);
      if (!item || !row.response?.decision) return [];
      // As it is marked from now on, whatever it was marked by until now.
      const marks = row.marksBy(accepted).filter((m) => m.item.id === itemId);
      return [
        this.patch(row, {
          released: { ...row.response.released, ...marksToRelease(marks) },
          origins: { ...row.response.origins, ...originsOf(row.frozen.id, marks, accepted) },
        }),
      ];
    });
    this.work.dispatch(MarkingActions.markingSet({ handOutId: h.id, patch: { accepted }, responses, label }));
  }

  private heldUntil(): string | undefined {
    const at = this.handOut()?.marksAt ?? undefined;
    return at && at <= this.clock.local() ? undefined : at;
  }

  private pen() {
    return { id: this.clock.newId(), from: this.clock.newId(), at: this.clock.iso() };
  }

  /** Marks; where the learner was told theirs already, they are told these. */
  private marked(row: Row, marks: Response['marks']): ResponsePatch {
    return this.patch(row, row.response?.decision ? { marks, ...this.told(row, marks) } : { marks });
  }

  /** What goes to the learner, and what it was made by. */
  private told(row: Row, own?: Response['marks']): Pick<Response, 'released' | 'origins'> {
    const marks = own ? row.marksWith(own) : row.marks;
    return {
      released: marksToRelease(marks),
      origins: originsOf(row.frozen.id, marks, this.handOut()?.accepted ?? []),
    };
  }

  private change(rows: readonly Row[], how: (go: Go) => Go, label: string): void {
    const copies = rows.flatMap(({ copy, go }) =>
      copy && go ? [{ ...copy, goes: copy.goes.map((g) => (g === go ? how(g) : g)) }] : [],
    );
    if (copies.length) this.work.dispatch(MarkingActions.workChanged({ copies, label }));
  }

  private patch(row: Row, patch: Partial<Response>): ResponsePatch {
    return { copyId: row.copyId, go: row.go?.n ?? 1, patch };
  }

  private respond(row: Row, patch: Partial<Response>, label: string): void {
    this.respondAll([this.patch(row, patch)], label);
  }

  private respondAll(responses: readonly ResponsePatch[], label: string): void {
    const [first, ...others] = responses;
    if (!first) return;
    if (others.length === 0) return this.work.dispatch(MarkingActions.responseChanged({ ...first, label }));
    // Of very many a part at a time, so that the page can be used in between; they are undone together.
    const mergeKey = `said ${this.clock.newId()}`;
    const next = (from: number) => {
      this.work.dispatch(
        MarkingActions.responsesChanged({ responses: responses.slice(from, from + AT_ONCE), label, mergeKey }),
      );
      if (from + AT_ONCE < responses.length) setTimeout(() => next(from + AT_ONCE));
    };
    next(0);
  }
}
