import { Injectable, computed, inject, signal } from '@angular/core';
import isSame from 'fast-deep-equal';
import {
  afresh,
  broughtBack,
  type Comfort,
  comfortNow,
  type Copy,
  copyIdOf,
  type CopyState,
  type Go,
  type LearnerPackage,
  mayTakeBack,
  openGo,
  packageOf,
  PLAIN_COMFORT,
  type Slipped,
  stateNow,
  statesIn,
  type Tools,
} from '@lorvet/core/desk';
import { Clock } from '../platform/clock';
import { DeskActions } from '../store/actions';
import { Parts } from '../store/parts';
import { WorkspaceStore } from '../store/workspace';

const AT_DESK = 'lorvet-desk';

/** What a learner may know of one piece of their work before it is opened. */
export interface DeskWork {
  readonly id: string;
  readonly work: Slipped;
  readonly state: CopyState;
}

/** One piece of work that is open on the desk. */
export interface DeskSheetWork {
  readonly sheet: LearnerPackage;
  /** Who does it too, and what they are called together; empty where it is the learner's own. */
  readonly mates: readonly string[];
  readonly team: string;
  readonly place: Slipped['place'];
  readonly companions: Slipped['companions'];
  /** What was written on its sheets of notes, by companion. */
  readonly notes: Readonly<Record<string, string>>;
  readonly state: CopyState;
  /** The number of the go that is written in, or looked at. */
  readonly go: number;
  readonly answers: Copy['goes'][number]['answers'];
  /** Whether this go can be written in now. */
  readonly locked: boolean;
  /** Whether its time is over: nothing can be begun or submitted. */
  readonly isClosed: boolean;
  /** Whether another go can be begun: the teacher asked for it or gave another sheet, or some are left. */
  readonly again: 'asked' | 'left' | 'sheet' | null;
  /** Numbers of the goes there are; earlier ones can be looked at. */
  readonly goes: readonly number[];
  /** The block at which it was left. */
  readonly left: string;
  /** Tries at this go that were put aside, the newest first. */
  readonly aside: readonly { readonly id: string; readonly at: string }[];
  /** Whether what is submitted can be taken back, since nobody has begun to mark it. */
  readonly mayTakeBack: boolean;
  /** What the teacher said to the last go that was answered. */
  readonly comment: string;
  readonly comments: Readonly<Record<string, string>>;
  /** The answers by question, once they are out and the work is done. */
  readonly keys: Readonly<Record<string, string>>;
}

/**
 * Who sits at this machine's desk, and their work. It reads the learner's slip, the sheets on it and the learner's own
 * copies, and nothing of the teacher's: so nothing else can reach the page.
 */
@Injectable({ providedIn: 'root' })
export class DeskSession {
  private readonly store = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly parts = inject(Parts);
  readonly learnerId = signal(sessionStorage.getItem(AT_DESK) ?? '');

  readonly classes = computed(() => this.store.index().door['door']?.classes ?? []);
  readonly learner = computed(() =>
    this.classes()
      .flatMap((c) => c.learners)
      .find((l) => l.id === this.learnerId()),
  );
  private readonly slip = computed(() => this.store.index().slips[this.learnerId()]);
  /** How the teacher set the desk at first, and what of it is settled. */
  readonly start = computed<Comfort>(() => this.slip()?.comfort ?? PLAIN_COMFORT);
  readonly tools = computed<Tools>(() => this.slip()?.tools ?? {});
  readonly comfort = computed<Comfort>(() =>
    comfortNow(this.store.comforts()[this.learnerId()]?.comfort, this.slip()?.comfort, this.tools()),
  );

  sit(learnerId: string): void {
    sessionStorage.setItem(AT_DESK, learnerId);
    this.learnerId.set(learnerId);
  }

  leave(): void {
    sessionStorage.removeItem(AT_DESK);
    this.learnerId.set('');
  }

  /** Keeps how the learner who sits here likes to read, for wherever they sit down. */
  setComfort(change: Partial<Comfort>): void {
    const learnerId = this.learner()?.id;
    if (!learnerId) return;
    this.store.dispatch(DeskActions.comfortSaved({ learnerId, comfort: { ...this.comfort(), ...change } }));
  }

  /** Holds the learner's slip, and of one hand-out the sheet and the copy, for the part that calls it. */
  hold(handOutId: () => string = () => ''): () => boolean {
    return this.parts.hold(
      () => ({ learnerId: this.learnerId(), handOutId: handOutId() }),
      async ({ learnerId, handOutId: id }, want) => {
        if (!learnerId) return;
        await want('slips', [learnerId]);
        const work = this.slipped(id);
        if (!work) return;
        const isOut = work.answersAt !== null && work.answersAt <= this.clock.minute();
        if (!work.sheet) {
          await want(
            'sheets',
            work.companions.flatMap((c) => (c.is === 'activity' ? c.holds : [])),
          );
          return;
        }
        await Promise.all([
          want('sheets', [
            work.sheet,
            ...work.earlier.map((e) => e.sheet),
            ...work.companions.flatMap((c) => (c.is === 'activity' ? c.holds : [])),
          ]),
          want('copies', [this.copyId(id, work)]),
          isOut ? want('keys', [work.sheet]) : null,
        ]);
      },
    );
  }

  /** An activity that goes with a piece of work: a sheet to look at. */
  beside(handOutId: string, companionId: string): LearnerPackage | undefined {
    const work = this.slipped(handOutId);
    const one = work?.companions.find((c) => c.id === companionId && c.is === 'activity');
    const sheet = one && this.store.index().sheets[one.holds];
    if (!work || !one || !sheet) return undefined;
    return { ...packageOf(handOutId, { ...work, own: [] }, sheet), title: one.title, note: '', way: 'to-read' };
  }

  /** The learner's copy with what they wrote on a sheet of notes. */
  noted(handOutId: string, companionId: string, text: string): Copy | undefined {
    const work = this.slipped(handOutId);
    if (!work) return undefined;
    const before = this.store.copies()[this.copyId(handOutId, work)];
    const copy = this.copy(handOutId, work, before?.goes ?? []);
    return { ...copy, notes: { ...copy.notes, [companionId]: text } };
  }

  /** Everything that is open for the learner, the newest first. */
  readonly all = computed(() =>
    Object.keys(this.slip()?.works ?? {})
      .flatMap((id) => {
        const work = this.slipped(id);
        const one = work && this.deskWork(id, work);
        return one && one.state !== 'not open yet' ? [one] : [];
      })
      .sort((a, b) => openedAt(b.work).localeCompare(openedAt(a.work))),
  );

  /** `look` is the number of an earlier go that is looked at, and not written in. */
  of(handOutId: string, look?: number): DeskSheetWork | undefined {
    const work = this.slipped(handOutId);
    const sheet = work && this.store.index().sheets[work.sheet];
    if (!work || !sheet) return undefined;
    const id = this.copyId(handOutId, work);
    const copy = this.store.copies()[id];
    const { state } = this.deskWork(handOutId, work);
    if (state === 'not open yet') return undefined;
    const { decisions, comment, comments } = work.said;
    const last = copy?.goes.at(-1);
    const earlier = copy?.goes.find((g) => g.n === look && g !== last);
    const open = openGo(copy, decisions, work.goes ?? undefined);
    const go = earlier?.n ?? last?.n ?? 1;
    const isNew = last !== undefined && last.n <= (work.earlier.at(-1)?.goes ?? 0);
    const before = work.earlier.find((e) => last && go <= e.goes);
    const beforeSheet = before && this.store.index().sheets[before.sheet];
    const isClosed = work.closesAt !== null && work.closesAt <= this.clock.minute();
    return {
      sheet:
        before && beforeSheet
          ? packageOf(handOutId, { ...work, own: before.own }, beforeSheet, `${id}.${go}`)
          : packageOf(handOutId, work, sheet, `${id}.${go}`),
      mates: work.mates,
      team: work.team,
      place: work.place,
      companions: work.companions,
      notes: copy?.notes ?? {},
      state,
      go,
      answers: (earlier ?? last)?.answers ?? {},
      goes: copy?.goes.map((g) => g.n) ?? [],
      isClosed,
      locked: earlier !== undefined || work.way === 'to-read' || isClosed || open === undefined || open === 'next',
      again:
        earlier || work.way === 'to-read' || isClosed || open !== 'next'
          ? null
          : isNew
            ? 'sheet'
            : decisions[go] === 'another go'
              ? 'asked'
              : 'left',
      left: copy?.at ?? '',
      aside: typeof open === 'object' && !isClosed ? [...(open.aside ?? [])].reverse() : [],
      mayTakeBack: !isClosed && !earlier && state === 'submitted' && mayTakeBack(copy, work.said.begun),
      comment: earlier ? '' : comment,
      comments: earlier ? {} : comments,
      keys: this.keysTo(work, isClosed || state === 'submitted' || state === 'complete'),
    };
  }

  /** The learner's own copy as it is in memory, kept or not. */
  kept(handOutId: string): Copy | undefined {
    const work = this.slipped(handOutId);
    return work && this.store.copies()[this.copyId(handOutId, work)];
  }

  /** What stands under a flap; asked for when it is lifted, and let go again. */
  async under(handOutId: string, blockId: string): Promise<string | undefined> {
    const work = this.slipped(handOutId);
    if (!work) return undefined;
    return await this.parts.during(async (want) => {
      await want('flaps', [work.sheet]);
      const under = this.store.index().flaps[work.sheet]?.under ?? {};
      return Object.hasOwn(under, blockId) ? under[blockId] : undefined;
    });
  }

  /** The learner's copy as it is once it was opened: what is changed from now on, they have not seen. */
  opened(handOutId: string): Copy | undefined {
    const work = this.slipped(handOutId);
    if (!work) return undefined;
    const before = this.store.copies()[this.copyId(handOutId, work)];
    return { ...this.copy(handOutId, work, before?.goes ?? []), seenAt: this.clock.iso() };
  }

  /** The learner's copy with these answers in its open go; the first go is begun by its first answer. */
  answered(handOutId: string, answers: DeskSheetWork['answers'], submit = false): Copy | undefined {
    const work = this.slipped(handOutId);
    if (!work || work.way === 'to-read') return undefined;
    const before = this.store.copies()[this.copyId(handOutId, work)];
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
    const work = this.slipped(handOutId);
    const before = work && this.store.copies()[this.copyId(handOutId, work)];
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
    const work = this.slipped(handOutId);
    const before = work && this.store.copies()[this.copyId(handOutId, work)];
    const last = before?.goes.at(-1);
    if (!work || !before || !last || !mayTakeBack(before, work.said.begun)) return undefined;
    return this.copy(handOutId, work, [...before.goes.filter((g) => g !== last), { ...last, submittedAt: null }]);
  }

  private stamp(): { id: string; at: string } {
    return { id: this.clock.newId(), at: this.clock.iso() };
  }

  private withOpenGo(handOutId: string, change: (go: Go) => Go): Copy | undefined {
    const work = this.slipped(handOutId);
    const before = work && this.store.copies()[this.copyId(handOutId, work)];
    const open = work && openGo(before, work.said.decisions, work.goes ?? undefined);
    if (!work || !before || typeof open !== 'object') return undefined;
    return this.copy(handOutId, work, [...before.goes.filter((g) => g !== open), change(open)]);
  }

  /** The answers, once they are out, for who is done. */
  private keysTo(work: Slipped, isDone: boolean): DeskSheetWork['keys'] {
    if (work.answersAt === null || work.answersAt > this.clock.minute()) return {};
    return isDone || work.way === 'to-read' ? (this.store.index().keys[work.sheet]?.words ?? {}) : {};
  }

  /** The learner's copy, or that of those they work with, with these goes. */
  copy(handOutId: string, work: Slipped, goes: Copy['goes']): Copy {
    const id = this.copyId(handOutId, work);
    const { remarks, notes, seenAt, used, at } = this.store.copies()[id] ?? {};
    const learnerId = work.shares || this.learnerId();
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

  /** The id of the copy: the learner's own, or that of those who do it together. */
  copyId(handOutId: string, work: Slipped): string {
    return copyIdOf(handOutId, work.shares || this.learnerId());
  }

  /** Who wrote which answer: what is another than before, this learner did. */
  private writers(open: Copy['goes'][number] | 'first', answers: DeskSheetWork['answers']): Record<string, string> {
    const before = open === 'first' ? undefined : open;
    const by = { ...before?.by };
    for (const [item, answer] of Object.entries(answers))
      if (!isSame(answer, before?.answers[item])) by[item] = this.learnerId();
    return by;
  }

  /** What was given to the learner under a hand-out. */
  slipped(handOutId: string): Slipped | undefined {
    const works = this.slip()?.works ?? {};
    return Object.hasOwn(works, handOutId) ? works[handOutId] : undefined;
  }

  private deskWork(id: string, work: Slipped): DeskWork {
    const state = statesIn(this.store.states()[id]).get(work.shares || this.learnerId());
    return { id, work, state: stateNow(work, state, this.clock.minute()) };
  }
}

const openedAt = (w: Slipped): string => w.opensAt ?? w.givenAt ?? '';
