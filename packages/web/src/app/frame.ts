import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  signal,
} from '@angular/core';
import { Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { ButtonDirective } from 'primeng/button';
import { Tooltip } from 'primeng/tooltip';
import { Keeper } from './platform/storage/keeper';
import { StorageRoom } from './platform/storage-room';
import { Commands } from './ui/commands';
import { Full } from './ui/full';
import { isTyping } from './ui/keys';
import { Palette } from './ui/palette';
import { keepSmall } from './ui/kept-or-let-go';
import { PaneKeys } from './ui/pane-keys';
import { Notice } from './ui/notice';
import { Notices } from './ui/notices';
import { Shortcuts } from './ui/shortcuts';
import { TypedAhead } from './ui/typed-ahead';
import { ProgressLine } from './ui/progress';
import { Trouble, TroubleLine } from './ui/trouble';
import { KeepingActions } from './store/actions';
import { Packs } from './store/packs';
import { WorkspaceStore } from './store/workspace';
import { dressParts } from './ui/preset/dress';

const THEME = 'lorvet-theme';

/** The teacher's frame around every place: where to go, undo and redo, what is kept. */
@Component({
  selector: 'lv-frame',
  imports: [
    ButtonDirective,
    LucideDynamicIcon,
    Notices,
    Palette,
    ProgressLine,
    RouterLink,
    RouterLinkActive,
    RouterOutlet,
    Shortcuts,
    Tooltip,
    TroubleLine,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'keyed($event)', '(window:beforeunload)': 'leaving($event)' },
  template: `
    <a class="skip" href="#place" (click)="skip($event)">To the work</a>
    <header>
      <a class="brand" routerLink="/shelf"
        ><img src="favicon.svg" alt="" width="26" height="26" /><span>Lorvet</span></a
      >
      <nav aria-label="Places">
        @for (p of places; track p.path) {
          <a [routerLink]="p.path" routerLinkActive="on" ariaCurrentWhenActive="page">{{ p.name }}</a>
        }
      </nav>
      <span class="grow"></span>
      @if (room.state()?.warn) {
        <a class="tag madder" routerLink="/keeping">storage nearly full</a>
      }
      <button
        pButton
        severity="secondary"
        text
        type="button"
        tooltipPosition="bottom"
        pTooltip="Find any action (Ctrl K)"
        (click)="palette.set(true)"
      >
        <svg lucideIcon="search"></svg><kbd>Ctrl K</kbd><span class="sr">Find any action</span>
      </button>
      <span class="small kept" role="status">{{ kept() }}</span>
      <button
        pButton
        severity="secondary"
        text
        class="icon"
        type="button"
        [disabled]="!work.undoLabel()"
        (click)="work.undo()"
        tooltipPosition="bottom"
        [pTooltip]="work.undoLabel() ? 'Undo: ' + work.undoLabel() + ' (Ctrl Z)' : 'Nothing to undo'"
      >
        <svg lucideIcon="undo-2"></svg
        ><span class="sr">{{ work.undoLabel() ? 'Undo: ' + work.undoLabel() : 'Undo' }}</span>
      </button>
      <button
        pButton
        severity="secondary"
        text
        class="icon"
        type="button"
        [disabled]="!work.redoLabel()"
        (click)="work.redo()"
        tooltipPosition="bottom"
        [pTooltip]="work.redoLabel() ? 'Redo: ' + work.redoLabel() + ' (Ctrl Y)' : 'Nothing to redo'"
      >
        <svg lucideIcon="redo-2"></svg
        ><span class="sr">{{ work.redoLabel() ? 'Redo: ' + work.redoLabel() : 'Redo' }}</span>
      </button>
      <button
        pButton
        severity="secondary"
        text
        class="icon"
        type="button"
        (click)="switchTheme()"
        [attr.aria-pressed]="dark()"
        tooltipPosition="bottom"
        pTooltip="Dark colours"
      >
        <svg [lucideIcon]="dark() ? 'sun' : 'moon'"></svg><span class="sr">Dark colours</span>
      </button>
      <a pButton severity="secondary" routerLink="/desk">Learners’ desk</a>
    </header>
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
    header {
      display: flex;
      align-items: center;
      gap: 4px;
      padding: 0 16px;
      border-bottom: 1px solid var(--line);
      background: var(--surface);
    }
    .brand {
      display: flex;
      gap: 9px;
      align-items: center;
      margin-right: 18px;
      font: 20px var(--serif);
      text-decoration: none;
    }
    nav {
      display: flex;
      align-self: stretch;
      overflow-x: auto;
      scrollbar-width: none;
    }
    nav a {
      display: flex;
      align-items: center;
      padding: 0 12px;
      color: var(--ink-2);
      font-weight: 500;
      text-decoration: none;
      border-bottom: 3px solid transparent;
      border-top: 3px solid transparent;
      white-space: nowrap;
    }
    nav a:focus-visible {
      outline-offset: -3px;
    }
    nav a:hover {
      color: var(--ink);
    }
    nav a.on {
      color: var(--ink);
      font-weight: 650;
      border-bottom-color: var(--accent);
    }
    .kept {
      padding-right: 6px;
      white-space: nowrap;
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
      header kbd {
        display: none;
      }
      header {
        flex-wrap: wrap;
        padding: 4px 10px;
      }
      .brand {
        margin-right: 4px;
      }
      nav {
        order: 1;
        flex: 1 0 100%;
        min-height: 38px;
      }
      .kept {
        display: none;
      }
    }
    @media (max-width: 480px) {
      .brand span {
        position: absolute;
        clip-path: inset(50%);
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
    @media print {
      header {
        display: none;
      }
    }
  `,
})
export class Frame {
  protected readonly work = inject(WorkspaceStore);
  protected readonly keeper = inject(Keeper);
  protected readonly room = inject(StorageRoom);
  protected readonly trouble = inject(Trouble);
  protected readonly packs = inject(Packs);
  protected readonly notice = inject(Notice);
  private readonly panes = inject(PaneKeys);
  protected readonly kept = computed(() =>
    this.trouble.isThere() ? 'Not kept' : this.keeper.saved() ? 'All kept' : 'Keeping …',
  );
  protected readonly dark = signal(document.documentElement.classList.contains('dark'));
  protected readonly places = [
    { path: '/shelf', name: 'Shelf' },
    { path: '/bench', name: 'Bench' },
    { path: '/bank', name: 'Bank' },
    { path: '/learners', name: 'Learners' },
    { path: '/hand-outs', name: 'Hand-outs' },
    { path: '/marking', name: 'Marking' },
    { path: '/keeping', name: 'Keeping' },
  ];

  /** The place comes a turn after what stands around it: both at once would be felt. */
  protected readonly isDrawn = signal(false);
  protected readonly palette = signal(false);
  protected readonly keys = signal(false);

  constructor() {
    dressParts();
    afterNextRender(() => setTimeout(() => this.isDrawn.set(true)));
    const router = inject(Router);
    const off = inject(Commands).add([
      ...this.places.map((p) => ({ group: 'Go to', name: p.name, run: () => void router.navigate([p.path]) })),
      { group: 'Go to', name: 'Learners’ desk', run: () => void router.navigate(['/desk']) },
      { group: 'Go to', name: 'Bring in what you have', run: () => void router.navigate(['/bring-in']) },
      { group: 'Edit', name: 'Undo', keys: 'Ctrl Z', run: () => this.work.undo() },
      { group: 'Edit', name: 'Redo', keys: 'Ctrl Shift Z', run: () => this.work.redo() },
      { group: 'View', name: 'Light or dark colours', run: () => this.switchTheme() },
      { group: 'Help', name: 'Keys', keys: '?', run: () => this.keys.set(true) },
    ]);
    inject(DestroyRef).onDestroy(off);
    void this.room.measure();
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
    const wanted =
      localStorage.getItem(THEME) ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
    this.show(wanted === 'dark');
  }

  protected switchTheme(): void {
    this.show(!this.dark());
    keepSmall(THEME, this.dark() ? 'dark' : 'light');
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

  private show(dark: boolean): void {
    this.dark.set(dark);
    document.documentElement.classList.toggle('dark', dark);
  }
}
