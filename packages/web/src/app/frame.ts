import { afterNextRender, ChangeDetectionStrategy, Component, DestroyRef, effect, inject, signal } from '@angular/core';
import { Router, RouterOutlet } from '@angular/router';
import { FrameBar, PLACES } from './frame-bar';
import { StorageRoom } from './platform/storage-room';
import { Commands } from './ui/commands';
import { Full } from './ui/full';
import { isTyping } from './ui/keys';
import { Palette } from './ui/palette';
import { PaneKeys } from './ui/pane-keys';
import { Notice } from './ui/notice';
import { Notices } from './ui/notices';
import { Shortcuts } from './ui/shortcuts';
import { TypedAhead } from './ui/typed-ahead';
import { ProgressLine } from './ui/progress';
import { Theme } from './ui/theme';
import { Trouble, TroubleLine } from './ui/trouble';
import { KeepingActions } from './store/actions';
import { Packs } from './store/packs';
import { WorkspaceStore } from './store/workspace';
import { dressParts } from './ui/preset/dress';

/** The teacher's frame around every place: where to go, undo and redo, what is kept. */
@Component({
  selector: 'lv-frame',
  imports: [FrameBar, Notices, Palette, ProgressLine, RouterOutlet, Shortcuts, TroubleLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'keyed($event)', '(window:beforeunload)': 'leaving($event)' },
  template: `
    <a class="skip" href="#place" (click)="skip($event)">To the work</a>
    <lv-frame-bar (findAsked)="palette.set(true)" />
    <main id="place" tabindex="-1">
      @if (trouble.isThere()) {
        <lv-trouble />
      }
      @defer (when packs.reading()) {
        @if (packs.reading(); as name) {
          <lv-progress class="reading" [what]="'Reading “' + name + '”'" (stopped)="packs.stop()" />
        }
      }
      @if (isDrawn()) {
        <router-outlet />
      }
    </main>
    @defer (when notice.isWanted()) {
      <lv-notices />
    }
    @defer (when palette()) {
      <lv-palette [(open)]="palette" />
    }
    @defer (when keys()) {
      <lv-shortcuts [(open)]="keys" />
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template: 50px minmax(0, 1fr) / minmax(0, 1fr);
      height: 100%;
    }
    main {
      position: relative;
      min-height: 0;
      overflow: auto;
      outline: none;
    }
    .reading {
      display: block;
      padding: 8px 20px;
    }
    .skip {
      position: absolute;
      left: -999px;
      z-index: 10;
      padding: 8px 14px;
      background: var(--surface);
    }
    .skip:focus {
      left: 8px;
      top: 8px;
    }
    @media (max-width: 900px) {
      :host {
        grid-template-rows: auto minmax(0, 1fr);
      }
    }
    /* Enlarged to where the bar would take a third of what is seen: it goes away with the page. */
    @media (max-width: 900px) and (max-height: 600px) {
      :host {
        display: block;
        height: auto;
      }
      main {
        min-height: 60vh;
        overflow: visible;
      }
    }
  `,
})
export class Frame {
  protected readonly work = inject(WorkspaceStore);
  protected readonly trouble = inject(Trouble);
  protected readonly packs = inject(Packs);
  protected readonly notice = inject(Notice);
  private readonly panes = inject(PaneKeys);
  /** The place comes a turn after what stands around it: both at once would be felt. */
  protected readonly isDrawn = signal(false);
  protected readonly palette = signal(false);
  protected readonly keys = signal(false);

  constructor() {
    dressParts();
    afterNextRender(() => setTimeout(() => this.isDrawn.set(true)));
    const [router, theme] = [inject(Router), inject(Theme)];
    const off = inject(Commands).add([
      ...PLACES.map((p) => ({ group: 'Go to', name: p.name, run: () => void router.navigate([p.path]) })),
      { group: 'Go to', name: 'Learners’ desk', run: () => void router.navigate(['/desk']) },
      { group: 'Go to', name: 'Bring in what you have', run: () => void router.navigate(['/bring-in']) },
      { group: 'Edit', name: 'Undo', keys: 'Ctrl Z', run: () => this.work.undo() },
      { group: 'Edit', name: 'Redo', keys: 'Ctrl Shift Z', run: () => this.work.redo() },
      { group: 'View', name: 'Light or dark colours', run: () => theme.turn() },
      { group: 'Help', name: 'Keys', keys: '?', run: () => this.keys.set(true) },
    ]);
    theme.wear();
    inject(DestroyRef).onDestroy(() => {
      off();
      theme.takeOff();
    });
    void inject(StorageRoom).measure();
    const { notice } = this;
    effect(() => {
      const problem = this.work.problem();
      if (!problem) return;
      notice.cannot(problem);
      this.work.dispatch(KeepingActions.problemDismissed());
    });
    inject(TypedAhead);
    const full = inject(Full);
    effect(() => {
      const field = full.field();
      if (field)
        notice.cannot(
          `There is room for ${field.most.toLocaleString('en')} letters here. What is beyond was not taken.`,
        );
    });
  }

  protected skip(event: Event): void {
    event.preventDefault();
    document.getElementById('place')?.focus();
  }

  /** The browser asks before it lets go of a change that could not be written. */
  protected leaving(event: BeforeUnloadEvent): void {
    if (this.trouble.isThere()) event.preventDefault();
  }

  protected keyed(event: KeyboardEvent): void {
    if ((event.ctrlKey || event.metaKey) && !event.altKey && event.key.toLowerCase() === 'k') {
      event.preventDefault();
      this.palette.set(true);
      return;
    }
    if (event.key === 'F6' && !event.ctrlKey && !event.altKey && !event.metaKey) {
      if (this.panes.go(event.shiftKey)) event.preventDefault();
      return;
    }
    if (event.key === '?' && !isTyping(event)) {
      event.preventDefault();
      this.keys.set(true);
      return;
    }
    if (!(event.ctrlKey || event.metaKey) || event.altKey || isTyping(event)) return;
    const key = event.key.toLowerCase();
    if (key === 'z' && !event.shiftKey) this.work.undo();
    else if (key === 'y' || (key === 'z' && event.shiftKey)) this.work.redo();
    else return;
    event.preventDefault();
  }
}
