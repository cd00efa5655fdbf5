import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { Router } from '@angular/router';
import { type Answer, type Copy, mediaOfCopy, type Used, usedTogether, writeAnswers } from '@lorvet/core/desk';
import { Clock } from '../../platform/clock';
import { download } from '../../platform/download';
import { sayOnLeaving } from '../../platform/leaving';
import { Keeper } from '../../platform/storage/keeper';
import { assetOfKept } from '../../platform/storage/kept-asset';
import { DeskActions } from '../../store/actions';
import { KeepingSync } from '../../store/keeping-sync';
import { WorkspaceStore } from '../../store/workspace';
import { Full } from '../../ui/full';
import type { Noted } from '../companions/companions';
import { DeskCopies, type Typed } from '../desk-copies';
import { DeskSession } from '../desk-session';
import type { Trouble } from './not-kept';
import { SheetView } from './sheet-view';
import { saying } from '../../ui/say/say';

const PAUSE_MS = 400;

/** One piece of work at the desk. It saves itself: after each pause, on turning away and on leaving. */
@Component({
  selector: 'lv-desk-sheet',
  imports: [SheetView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (work(); as w) {
      <lv-sheet-view
        [sheet]="w.sheet"
        [answers]="answers()"
        [comfort]="session.comfort()"
        [start]="session.start()"
        [tools]="session.tools()"
        [locked]="w.locked"
        [mayNote]="w.mayNote"
        [name]="session.learner()?.name ?? ''"
        [status]="status()"
        [companions]="w.companions"
        [noted]="notes()"
        [notesOvertaken]="w.notesOvertaken"
        (noting)="note($event)"
        [together]="w.together"
        [writer]="writer()"
        (passedOn)="passOn($event)"
        [overtaken]="w.overtaken"
        [placeIds]="w.place?.pageIds ?? []"
        [hasPlaces]="w.place?.isOpen ?? false"
        (placesAsked)="toPlaces()"
        [said]="w.said"
        [tries]="w.tries"
        [leftAt]="ready() ? (w.locked ? '' : w.left) : null"
        (moved)="at = $event"
        (begunAfresh)="afresh()"
        (broughtBack)="bringBack($event)"
        (takenBack)="takeBack()"
        [trouble]="trouble()"
        [isFull]="isFull()"
        (goChosen)="look($event)"
        (triedAgain)="keeper.tryAgain()"
        (filed)="toFile()"
        [under]="under"
        (answered)="take($event.id, $event.answer)"
        (submitted)="submit()"
        (begunAgain)="beginAgain()"
        (comfortChanged)="session.setComfort($event)"
        (left)="leave()"
      />
    }
  `,
})
export class DeskSheet {
  protected readonly t = saying();
  readonly handOutId = input.required<string>();
  private readonly view = viewChild(SheetView);
  protected readonly session = inject(DeskSession);
  private readonly copies = inject(DeskCopies);
  private readonly store = inject(WorkspaceStore);
  protected readonly keeper = inject(Keeper);
  private readonly sync = inject(KeepingSync);
  private readonly router = inject(Router);
  /** What stands under a flap. That it was lifted is kept, with the answer as it was then: the teacher sees it. */
  protected readonly under = async (blockId: string) => {
    this.save();
    const words = await this.session.under(this.handOutId(), blockId);
    if (words !== undefined && !this.looked()) this.keep(this.copies.lifted(this.handOutId(), blockId), {});
    return words;
  };
  protected readonly writer = computed(() => this.copies.writer() || (this.session.learner()?.id ?? ''));
  protected readonly ready = this.session.hold(() => this.handOutId());
  /** The earlier go that is looked at. */
  private readonly looked = signal<number | undefined>(undefined);
  protected readonly work = computed(() => this.session.of(this.handOutId(), this.looked()));
  /** What was written since it was last handed on, by item: it stands before what comes from elsewhere. */
  private readonly written = signal<Readonly<Record<string, Typed>>>({});
  protected readonly answers = computed(() => {
    const kept = this.work()?.answers ?? {};
    if (this.looked()) return kept;
    return { ...kept, ...Object.fromEntries(Object.entries(this.written()).map(([item, t]) => [item, t.answer])) };
  });
  /** What was written on sheets of notes since, by companion. */
  private readonly noted = signal<Readonly<Record<string, Typed>>>({});
  protected readonly notes = computed(() => {
    const typed = Object.entries(this.noted()).flatMap(([id, { answer }]) =>
      answer.kind === 'text' ? [[id, answer.text] as const] : [],
    );
    return { ...this.work()?.notes, ...Object.fromEntries(typed) };
  });
  private readonly isDirty = computed(() => [this.written(), this.noted()].some((typed) => Object.keys(typed).length));
  /** The block at which the learner is now; empty until they went anywhere. */
  protected at = '';
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** Why what was written is not kept. */
  protected readonly trouble = computed<Trouble>(() => {
    const failed = this.keeper.failed();
    if (failed) return failed === 'QuotaExceededError' ? 'full' : 'failing';
    return this.keeper.refused().length ? 'refused' : null;
  });
  /** Whether the field that is written in has no more room. */
  protected readonly isFull = computed(() => this.full.field() !== null);
  private readonly full = inject(Full);
  private readonly clock = inject(Clock);

  protected readonly status = computed(() => {
    const w = this.work();
    if (!w) return '';
    if (w.sheet.way === 'to-read') return this.t('To read');
    if (this.looked()) return this.t('Go {number}, to look at', { number: w.tries.go });
    if (this.trouble()) return this.t('Not saved yet');
    // “Submitted” is said only once it is written.
    if (!this.keeper.saved()) return this.t('Saving …');
    const { goes } = w.sheet.show;
    if (w.isClosed && w.state !== 'submitted' && w.state !== 'complete') return this.t('The time is over');
    if (w.state === 'submitted')
      return w.tries.again === 'left'
        ? this.t('Submitted. You may try again: go {go} of {goes}', { go: w.tries.go + 1, goes: goes ?? 1 })
        : this.t('Submitted');
    if (w.state === 'complete') return this.t('Finished');
    return this.t(this.isDirty() ? 'Saving …' : 'Saved');
  });

  constructor() {
    this.session.speaks();
    effect(() => {
      if (this.ready() && !this.work())
        untracked(() => void this.router.navigate(['/desk/work'], { replaceUrl: true }));
    });
    // Once: it is told that it was opened, with the time.
    const opening = effect(() => {
      if (!this.ready() || !this.work()) return;
      untracked(() => {
        const copy = this.copies.opened(this.handOutId());
        if (copy) this.store.dispatch(DeskActions.copySaved({ copy }));
        opening.destroy();
      });
    });
    sayOnLeaving(() => this.save(true));
    // It is said here, and not to the teacher who comes after.
    inject(DestroyRef).onDestroy(() => {
      this.full.field.set(null);
      this.copies.writer.set('');
    });
  }

  protected look(go: number): void {
    this.save();
    this.looked.set(go === this.work()?.tries.goes.at(-1) ? undefined : go);
  }

  /** The answers as a file, for the teacher: the browser has no room for them. */
  protected async toFile(): Promise<void> {
    this.save();
    const copy = this.copies.kept(this.handOutId());
    const w = this.work();
    if (!copy || !w) return;
    const held = mediaOfCopy(copy).flatMap((id) => this.store.assets()[id] ?? []);
    const media = await Promise.all(held.map(assetOfKept));
    const name = `${w.sheet.title} ${this.session.learner()?.name ?? ''}`.replace(/[^\p{L}\p{N}]+/gu, '-');
    download(
      new Blob([writeAnswers(copy, this.clock.iso(), media)], { type: 'application/json' }),
      `${name}.answers.json`,
    );
  }

  protected take(id: string, answer: Answer): void {
    this.at = id;
    // What was there as it was begun: what comes from elsewhere meanwhile is not written over.
    const begun = this.written()[id];
    const over = begun ? begun.over : this.work()?.answers[id];
    this.written.set({ ...this.written(), [id]: { answer, over } });
    this.saveSoon();
  }

  private saveSoon(): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.save(), PAUSE_MS);
  }

  /** `withUse`: what of the desk was used is written down too; that waits until the sheet is left. */
  protected save(withUse = false): void {
    clearTimeout(this.timer);
    const used = withUse ? (this.view()?.takeUse() ?? {}) : {};
    this.keepNotes();
    if (Object.keys(this.written()).length) this.keep(this.copies.answered(this.handOutId(), this.written()), used);
    else if (Object.keys(used).length || (withUse && this.at)) this.keep(this.copies.kept(this.handOutId()), used);
    this.written.set({});
  }

  private keepNotes(): void {
    if (!Object.keys(this.noted()).length) return;
    this.keep(this.copies.noted(this.handOutId(), this.noted()), {});
    this.noted.set({});
  }

  private keep(copy: Copy | undefined, used: Used): void {
    if (!copy) return;
    const left = this.at ? { ...copy, at: this.at } : copy;
    this.store.dispatch(DeskActions.copySaved({ copy: withUse(left, used) }));
  }

  protected async submit(): Promise<void> {
    clearTimeout(this.timer);
    this.keepNotes();
    this.keep(this.copies.answered(this.handOutId(), this.written(), true), this.view()?.takeUse() ?? {});
    this.written.set({});
    await this.sync.flush();
    if (this.keeper.saved()) this.leave();
  }

  protected beginAgain(): void {
    this.looked.set(undefined);
    const copy = this.copies.begunAgain(this.handOutId());
    if (copy) this.store.dispatch(DeskActions.copySaved({ copy }));
  }

  protected afresh(): void {
    this.save();
    this.keep(this.copies.freshStart(this.handOutId()), {});
  }

  protected bringBack(asideId: string): void {
    this.save();
    this.keep(this.copies.broughtBack(this.handOutId(), asideId), {});
  }

  protected takeBack(): void {
    this.keep(this.copies.takenBack(this.handOutId()), {});
  }

  protected note({ id, text, swaps }: Noted): void {
    const kept = swaps ? undefined : this.work()?.notes[id];
    const begun = this.noted()[id];
    const over: Answer | undefined = begun ? begun.over : kept === undefined ? undefined : { kind: 'text', text: kept };
    this.noted.set({ ...this.noted(), [id]: { answer: { kind: 'text', text }, over } });
    this.saveSoon();
  }

  /** It is another's turn: what was written so far is its writer's. */
  protected passOn(learnerId: string): void {
    this.save();
    this.copies.writer.set(learnerId);
  }

  protected toPlaces(): void {
    this.save();
    void this.router.navigate(['/desk/work', this.handOutId(), 'places']);
  }

  protected leave(): void {
    this.save();
    void this.router.navigate(['/desk/work']);
  }
}

const withUse = (copy: Copy, used: Used): Copy =>
  Object.keys(used).length ? { ...copy, used: usedTogether(copy.used, used) } : copy;
