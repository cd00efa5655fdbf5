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
} from '@angular/core';
import { Router } from '@angular/router';
import type { Answer, Comfort } from '@lorvet/core';
import { Keeper } from '../platform/keeper';
import { DeskActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { DeskSession } from './desk-session';
import { SheetView } from './sheet-view';

const PAUSE_MS = 400;

/** One piece of work at the desk. It saves itself: after each pause, on turning away and on leaving. */
@Component({
  selector: 'lv-desk-sheet',
  imports: [SheetView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(window:pagehide)': 'save()' },
  template: `
    @if (work(); as w) {
      <lv-sheet-view
        [sheet]="w.sheet"
        [answers]="answers()"
        [comfort]="session.comfort()!"
        [locked]="w.locked"
        [name]="session.learner()?.name ?? ''"
        [status]="status()"
        [comment]="w.comment"
        [comments]="w.comments"
        (answered)="take($event.id, $event.answer)"
        (submitted)="submit()"
        (comfortChanged)="setComfort($event)"
        (left)="leave()"
      />
    }
  `,
})
export class DeskSheet {
  readonly handOutId = input.required<string>();
  protected readonly session = inject(DeskSession);
  private readonly store = inject(WorkspaceStore);
  private readonly keeper = inject(Keeper);
  private readonly router = inject(Router);
  protected readonly work = computed(() => this.session.of(this.handOutId()));
  protected readonly answers = signal<Readonly<Record<string, Answer>>>({});
  private readonly dirty = signal(false);
  private timer: ReturnType<typeof setTimeout> | undefined;

  protected readonly status = computed(() => {
    const w = this.work();
    if (!w) return '';
    if (w.sheet.way === 'to-read') return 'To read';
    // “Submitted” is said only once it is written.
    if (!this.keeper.saved()) return 'Saving …';
    const { goes } = w.sheet.show;
    if (w.state === 'submitted')
      return w.locked ? 'Submitted' : `Submitted. You may try again: go ${w.go} of ${goes ?? 1}`;
    if (w.state === 'complete') return 'Finished';
    return this.dirty() ? 'Saving …' : 'Saved';
  });

  constructor() {
    effect(() => {
      const work = this.work();
      if (!work) {
        void this.router.navigate(['/desk/work'], { replaceUrl: true });
        return;
      }
      // What is being written here stands before what comes from storage.
      if (!untracked(this.dirty)) this.answers.set(work.answers);
    });
    inject(DestroyRef).onDestroy(() => this.save());
  }

  protected take(id: string, answer: Answer): void {
    this.answers.set({ ...this.answers(), [id]: answer });
    this.dirty.set(true);
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.save(), PAUSE_MS);
  }

  protected save(): void {
    clearTimeout(this.timer);
    if (!this.dirty()) return;
    const copy = this.session.answered(this.handOutId(), this.answers());
    if (copy) this.store.dispatch(DeskActions.copySaved({ copy }));
    this.dirty.set(false);
  }

  protected async submit(): Promise<void> {
    clearTimeout(this.timer);
    const copy = this.session.answered(this.handOutId(), this.answers(), true);
    this.dirty.set(false);
    if (copy) this.store.dispatch(DeskActions.copySaved({ copy }));
    await this.keeper.flush();
    this.leave();
  }

  protected setComfort(comfort: Comfort): void {
    const learnerId = this.session.learner()?.id;
    if (learnerId) this.store.dispatch(DeskActions.comfortSaved({ learnerId, comfort }));
  }

  protected leave(): void {
    this.save();
    void this.router.navigate(['/desk/work']);
  }
}
