import { Injectable, computed, inject, signal } from '@angular/core';
import {
  answerIsEmpty,
  besideOf,
  type Comfort,
  comfortNow,
  copyIdOf,
  type Go,
  type LearnerPackage,
  mayTakeBack,
  notesWritten,
  openGo,
  packageOf,
  PLAIN_COMFORT,
  saidAt,
  type Slipped,
  stateNow,
  statesIn,
  type Tools,
} from '@lorvet/core/desk';
import { Clock } from '../platform/clock';
import { DeskActions } from '../store/actions';
import { Parts } from '../store/parts';
import { WorkspaceStore } from '../store/workspace';
import { type Language, Say } from '../ui/say/say';
import { LANGUAGES } from '../ui/say/tables';
import { type DeskSheetWork, type DeskWork, NOTHING_SAID, type TeacherSaid, type Together } from './desk-work';

const AT_DESK = 'lorvet-desk';
const AT_DOOR = 'lorvet-door-language';

/**
 * Who sits at this machine's desk, and their work. It reads the learner's slip, the sheets on it and the learner's own
 * copies, and nothing of the teacher's: so nothing else can reach the page.
 */
@Injectable({ providedIn: 'root' })
export class DeskSession {
  private readonly store = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly parts = inject(Parts);
  private readonly say = inject(Say);
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

  /** The language that was chosen at this machine’s door. */
  readonly doorLanguage = signal(languageOf(localStorage.getItem(AT_DOOR)));
  readonly language = computed(() => this.comfort().language || this.doorLanguage());

  /** For as long as the part that calls it is there, the desk speaks the language of who sits at it. */
  speaks(): void {
    this.say.speakHere(this.language);
  }

  speakAtDoor(code: string): void {
    const language = languageOf(code);
    localStorage.setItem(AT_DOOR, language);
    this.doorLanguage.set(language);
  }

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
    const { said } = work;
    const { decisions } = said;
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
      together: this.together(work, earlier ?? last),
      overtaken: earlier || !last ? [] : besideOf(last),
      place: work.place,
      companions: work.companions,
      notes: copy?.notes ?? {},
      notesOvertaken: copy ? besideOf(notesWritten(copy)) : [],
      state,
      answers: (earlier ?? last)?.answers ?? {},
      isClosed,
      mayNote: !earlier && !isClosed && work.way !== 'to-read' && last !== undefined,
      locked: earlier !== undefined || work.way === 'to-read' || isClosed || open === undefined || open === 'next',
      left: copy?.at ?? '',
      tries: {
        go,
        goes: copy?.goes.map((g) => g.n) ?? [],
        again:
          earlier || work.way === 'to-read' || isClosed || open !== 'next'
            ? null
            : isNew
              ? 'sheet'
              : decisions[go] === 'another go'
                ? 'asked'
                : 'left',
        mayTakeBack: !isClosed && !earlier && state === 'submitted' && mayTakeBack(copy, work.said.begun),
        before: earlier ? {} : (copy?.goes.at(-2)?.answers ?? {}),
        only: !earlier && typeof open === 'object' && said.only.length && last?.n === said.go + 1 ? said.only : [],
        aside: typeof open === 'object' && !isClosed ? [...(open.aside ?? [])].reverse() : [],
      },
      said: {
        ...this.saidTo(work, go, !earlier),
        notes: work.said.notes,
        keys: this.keysTo(work, isClosed || state === 'submitted' || state === 'complete'),
      },
    };
  }

  private together(work: Slipped, go: Go | undefined): Together | null {
    if (!work.shares) return null;
    // What was emptied again nobody wrote.
    const by = Object.fromEntries(Object.entries(go?.by ?? {}).filter(([item]) => !answerIsEmpty(go?.answers[item])));
    const me = this.learner();
    const others = work.mateIds.map((id, i) => ({ id, name: work.mates[i] ?? '' }));
    return { team: work.team, mates: work.mates, members: me && others.length ? [me, ...others] : [], by };
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

  /** What the teacher said: to the last go too while it is gone over again; marks once they are out. */
  private saidTo({ said, answersAt }: Slipped, go: number, isLast: boolean): Omit<TeacherSaid, 'notes' | 'keys'> {
    const isAbout = said.go === go;
    const isOut = answersAt === null || answersAt <= this.clock.minute();
    const lastMarks = isOut && (isAbout || isLast) ? said.marks : {};
    const marks = isAbout ? lastMarks : {};
    return isAbout || isLast
      ? {
          comment: said.comment,
          comments: said.comments,
          voice: said.voice,
          voices: said.voices,
          writing: said.writing,
          levels: said.levels,
          sheets: said.sheets,
          marks,
          lastMarks,
          points: isOut ? said.points : null,
        }
      : { ...NOTHING_SAID, marks, lastMarks };
  }

  /** The answers, once they are out, for who is done. */
  private keysTo(work: Slipped, isDone: boolean): TeacherSaid['keys'] {
    if (work.answersAt === null || work.answersAt > this.clock.minute()) return {};
    return isDone || work.way === 'to-read' ? (this.store.index().keys[work.sheet]?.words ?? {}) : {};
  }

  /** The id of the copy: the learner's own, or that of those who do it together. */
  copyId(handOutId: string, work: Slipped): string {
    return copyIdOf(handOutId, work.shares || this.learnerId());
  }

  /** What was given to the learner under a hand-out. */
  slipped(handOutId: string): Slipped | undefined {
    const works = this.slip()?.works ?? {};
    const work = Object.hasOwn(works, handOutId) ? works[handOutId] : undefined;
    if (!work) return undefined;
    const said = saidAt(work.said, this.clock.minute());
    return said === work.said ? work : { ...work, said };
  }

  private deskWork(id: string, work: Slipped): DeskWork {
    const state = statesIn(this.store.states()[id]).get(work.shares || this.learnerId());
    // What was decided and is not told yet is still submitted.
    const isHeld = work.said.outAt !== '' && (state === 'complete' || state === 'another go');
    return { id, work, state: stateNow(work, isHeld ? 'submitted' : state, this.clock.minute()) };
  }
}

const openedAt = (w: Slipped): string => w.opensAt ?? w.givenAt ?? '';

const languageOf = (code: string | null): Language => LANGUAGES.find((l) => l.code === code)?.code ?? 'en';
