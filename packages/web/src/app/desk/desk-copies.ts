import { inject, Injectable, signal } from '@angular/core';
import {
  afresh,
  type Answer,
  broughtBack,
  type Copy,
  type Go,
  asTakenBack,
  asSubmitted,
  mayTakeBack,
  notesWritten,
  openGo,
  recorded,
  type Slipped,
  withLifted,
  withNotes,
  type Written,
} from '@lorvet/core/desk';
import { Clock } from '../platform/clock';
import { WorkspaceStore } from '../store/workspace';
import { DeskSession } from './desk-session';

/** What is written to one question, and what stood there as it was begun. */
export interface Typed {
  readonly answer: Answer;
  readonly over: Answer | undefined;
}

/** What becomes of the copy of who sits at the desk: each answer is a new copy, to be kept; undefined where nothing may change. */
@Injectable({ providedIn: 'root' })
export class DeskCopies {
  private readonly session = inject(DeskSession);
  private readonly store = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  /** Which opening of the desk writes: its entries are numbered on their own. */
  private readonly from = this.clock.newId();
  /** Whose turn it is, where several share one sheet; empty is who sits here. */
  readonly writer = signal('');

  /** The learner's own copy as it is in memory, kept or not. */
  kept(handOutId: string): Copy | undefined {
    const work = this.session.slipped(handOutId);
    return work && this.store.copies()[this.session.copyId(handOutId, work)];
  }

  /** The learner's copy as it is once it was opened: what is changed from now on, they have not seen. */
  opened(handOutId: string): Copy | undefined {
    const work = this.session.slipped(handOutId);
    if (!work) return undefined;
    const before = this.store.copies()[this.session.copyId(handOutId, work)];
    return { ...this.copy(handOutId, work, before?.goes ?? []), seenAt: this.clock.iso() };
  }

  /**
   * The learner's copy with what was written in its open go; the first go is begun by its first answer. Where none is open
   * notes go to the teacher still, in the go that was last.
   */
  answered(handOutId: string, typed: Readonly<Record<string, Typed>>, submit = false): Copy | undefined {
    const work = this.session.slipped(handOutId);
    if (!work || work.way === 'to-read') return undefined;
    const before = this.store.copies()[this.session.copyId(handOutId, work)];
    const open = openGo(before, work.said.decisions, work.goes ?? undefined);
    if (!open || open === 'next') return this.withPlacesForNotes(handOutId, work, before, typed);
    const begun = open === 'first' ? { n: 1, startedAt: this.clock.iso(), submittedAt: null, answers: {} } : open;
    const go = this.written(begun, typed, work);
    return this.copy(handOutId, work, [
      ...(before?.goes ?? []).filter((g) => g !== open),
      submit ? asSubmitted(go, this.pen(work)) : go,
    ]);
  }

  private withPlacesForNotes(
    handOutId: string,
    work: Slipped,
    before: Copy | undefined,
    typed: Readonly<Record<string, Typed>>,
  ): Copy | undefined {
    const is = this.session.of(handOutId);
    const last = before?.goes.at(-1);
    if (!is?.mayNote || !last) return undefined;
    const places = new Set(is.sheet.pages.flatMap((p) => p.blocks.flatMap((b) => (b.kind === 'notes' ? b.id : []))));
    const notes = Object.fromEntries(Object.entries(typed).filter(([item]) => places.has(item)));
    const go = this.written(last, notes, work);
    return go === last ? undefined : this.copy(handOutId, work, [...(before?.goes.slice(0, -1) ?? []), go]);
  }

  private written<T extends Written>(go: T, typed: Readonly<Record<string, Typed>>, work: Slipped): T {
    const part = <K extends keyof Typed>(key: K) =>
      Object.fromEntries(Object.entries(typed).map(([item, t]) => [item, t[key]]));
    return recorded(go, part('answer'), this.pen(work), part('over'));
  }

  /** The copy with another go begun, with what was there: it is looked over, not begun anew. The earlier one stays. */
  begunAgain(handOutId: string): Copy | undefined {
    const work = this.session.slipped(handOutId);
    const before = work && this.store.copies()[this.session.copyId(handOutId, work)];
    const last = before?.goes.at(-1);
    if (!work || !before || !last || openGo(before, work.said.decisions, work.goes ?? undefined) !== 'next')
      return undefined;
    const by = last.by ? { by: last.by } : {};
    // What was answered to a question that asks something else now, stays in the earlier go.
    const anew = last.n <= (work.earlier.at(-1)?.goes ?? 0) ? work.anew : [];
    const answers = Object.fromEntries(Object.entries(last.answers).filter(([item]) => !anew.includes(item)));
    const go = { n: last.n + 1, startedAt: this.clock.iso(), submittedAt: null, answers, ...by };
    return this.copy(handOutId, work, [...before.goes, go]);
  }

  /** The copy with a fresh start: what was written in the open go is put aside. */
  freshStart(handOutId: string): Copy | undefined {
    return this.withOpenGo(handOutId, (go, pen) => afresh(go, pen));
  }

  /** The copy with a try that was put aside back in its place; what stands there is put aside instead. */
  broughtBack(handOutId: string, asideId: string): Copy | undefined {
    return this.withOpenGo(handOutId, (go, pen) => broughtBack(go, asideId, pen));
  }

  /** The copy with a flap lifted in its last go, and the answer as it was then; undefined where that is told already. */
  lifted(handOutId: string, item: string): Copy | undefined {
    const work = this.session.slipped(handOutId);
    const before = this.kept(handOutId);
    const last = before?.goes.at(-1);
    if (!work || !before || !last) return undefined;
    const go = withLifted(last, item, this.clock.iso());
    return go === last ? undefined : this.copy(handOutId, work, [...before.goes.filter((g) => g !== last), go]);
  }

  /** The copy with its last go not submitted any more, where that may still be. */
  takenBack(handOutId: string): Copy | undefined {
    const work = this.session.slipped(handOutId);
    const before = work && this.store.copies()[this.session.copyId(handOutId, work)];
    const last = before?.goes.at(-1);
    if (!work || !before || !last || !mayTakeBack(before, work.said.begun)) return undefined;
    const back = asTakenBack(last, this.pen(work));
    return this.copy(handOutId, work, [...before.goes.filter((g) => g !== last), back]);
  }

  private pen(work: Slipped) {
    const by = work.shares ? this.writer() || this.session.learnerId() : undefined;
    return { id: this.clock.newId(), at: this.clock.iso(), from: this.from, by };
  }

  private withOpenGo(handOutId: string, change: (go: Go, pen: ReturnType<DeskCopies['pen']>) => Go): Copy | undefined {
    const work = this.session.slipped(handOutId);
    const before = work && this.store.copies()[this.session.copyId(handOutId, work)];
    const open = work && openGo(before, work.said.decisions, work.goes ?? undefined);
    if (!work || !before || typeof open !== 'object') return undefined;
    return this.copy(handOutId, work, [...before.goes.filter((g) => g !== open), change(open, this.pen(work))]);
  }

  /** The learner's copy with what they wrote on sheets of notes, by companion. */
  noted(handOutId: string, typed: Readonly<Record<string, Typed>>): Copy | undefined {
    const work = this.session.slipped(handOutId);
    if (!work) return undefined;
    const before = this.store.copies()[this.session.copyId(handOutId, work)];
    const copy = this.copy(handOutId, work, before?.goes ?? []);
    return withNotes(copy, this.written(notesWritten(copy), typed, work));
  }

  /** The learner's copy, or that of those they work with, with these goes. */
  copy(handOutId: string, work: Slipped, goes: Copy['goes']): Copy {
    const id = this.session.copyId(handOutId, work);
    const { remarks, notes, noted, seenAt, used, at } = this.store.copies()[id] ?? {};
    const learnerId = work.shares || this.session.learnerId();
    return {
      id,
      handOutId,
      learnerId,
      frozen: work.sheet,
      goes,
      ...(remarks ? { remarks } : {}),
      ...(notes ? { notes } : {}),
      ...(noted ? { noted } : {}),
      ...(seenAt ? { seenAt } : {}),
      ...(used ? { used } : {}),
      ...(at ? { at } : {}),
    };
  }
}
