import { inject, Injectable } from '@angular/core';
import isSame from 'fast-deep-equal';
import { afresh, broughtBack, type Copy, type Go, mayTakeBack, openGo, type Slipped } from '@lorvet/core/desk';
import { Clock } from '../platform/clock';
import { WorkspaceStore } from '../store/workspace';
import { DeskSession, type DeskSheetWork } from './desk-session';

/** What becomes of the copy of who sits at the desk: each answer is a new copy, to be kept; undefined where nothing may change. */
@Injectable({ providedIn: 'root' })
export class DeskCopies {
  private readonly session = inject(DeskSession);
  private readonly store = inject(WorkspaceStore);
  private readonly clock = inject(Clock);

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

  /** The learner's copy with these answers in its open go; the first go is begun by its first answer. */
  answered(handOutId: string, answers: DeskSheetWork['answers'], submit = false): Copy | undefined {
    const work = this.session.slipped(handOutId);
    if (!work || work.way === 'to-read') return undefined;
    const before = this.store.copies()[this.session.copyId(handOutId, work)];
    const open = openGo(before, work.said.decisions, work.goes ?? undefined);
    if (!open || open === 'next') return undefined;
    const now = this.clock.iso();
    const submittedAt = submit ? now : null;
    const begun = open === 'first' ? { n: 1, startedAt: now, submittedAt, answers } : { ...open, answers, submittedAt };
    const go = work.shares ? { ...begun, by: this.writers(open, answers) } : begun;
    return this.copy(handOutId, work, [...(before?.goes ?? []).filter((g) => g !== open), go]);
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
    return this.withOpenGo(handOutId, (go) => afresh(go, this.stamp()));
  }

  /** The copy with a try that was put aside back in its place; what stands there is put aside instead. */
  broughtBack(handOutId: string, asideId: string): Copy | undefined {
    return this.withOpenGo(handOutId, (go) => broughtBack(go, asideId, this.stamp()));
  }

  /** The copy with its last go not submitted any more, where that may still be. */
  takenBack(handOutId: string): Copy | undefined {
    const work = this.session.slipped(handOutId);
    const before = work && this.store.copies()[this.session.copyId(handOutId, work)];
    const last = before?.goes.at(-1);
    if (!work || !before || !last || !mayTakeBack(before, work.said.begun)) return undefined;
    return this.copy(handOutId, work, [...before.goes.filter((g) => g !== last), { ...last, submittedAt: null }]);
  }

  private stamp(): { id: string; at: string } {
    return { id: this.clock.newId(), at: this.clock.iso() };
  }

  private withOpenGo(handOutId: string, change: (go: Go) => Go): Copy | undefined {
    const work = this.session.slipped(handOutId);
    const before = work && this.store.copies()[this.session.copyId(handOutId, work)];
    const open = work && openGo(before, work.said.decisions, work.goes ?? undefined);
    if (!work || !before || typeof open !== 'object') return undefined;
    return this.copy(handOutId, work, [...before.goes.filter((g) => g !== open), change(open)]);
  }

  /** The learner's copy with what they wrote on a sheet of notes. */
  noted(handOutId: string, companionId: string, text: string): Copy | undefined {
    const work = this.session.slipped(handOutId);
    if (!work) return undefined;
    const before = this.store.copies()[this.session.copyId(handOutId, work)];
    const copy = this.copy(handOutId, work, before?.goes ?? []);
    return { ...copy, notes: { ...copy.notes, [companionId]: text } };
  }

  /** The learner's copy, or that of those they work with, with these goes. */
  copy(handOutId: string, work: Slipped, goes: Copy['goes']): Copy {
    const id = this.session.copyId(handOutId, work);
    const { remarks, notes, seenAt, used, at } = this.store.copies()[id] ?? {};
    const learnerId = work.shares || this.session.learnerId();
    return {
      id,
      handOutId,
      learnerId,
      frozen: work.sheet,
      goes,
      ...(remarks ? { remarks } : {}),
      ...(notes ? { notes } : {}),
      ...(seenAt ? { seenAt } : {}),
      ...(used ? { used } : {}),
      ...(at ? { at } : {}),
    };
  }

  /** Who wrote which answer: what is another than before, this learner did. */
  private writers(open: Copy['goes'][number] | 'first', answers: DeskSheetWork['answers']): Record<string, string> {
    const before = open === 'first' ? undefined : open;
    const by = { ...before?.by };
    for (const [item, answer] of Object.entries(answers))
      if (!isSame(answer, before?.answers[item])) by[item] = this.session.learnerId();
    return by;
  }
}
