import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { ButtonDirective } from 'primeng/button';
import { Tooltip } from 'primeng/tooltip';
import { Keeper } from './platform/storage/keeper';
import { StorageRoom } from './platform/storage-room';
import { WorkspaceStore } from './store/workspace';
import { onceDrawn } from './ui/once-drawn';
import { Theme } from './ui/theme';
import { Trouble } from './ui/trouble';

/** Where a teacher can go. */
export const PLACES = [
  { path: '/shelf', name: 'Shelf' },
  { path: '/bench', name: 'Bench' },
  { path: '/bank', name: 'Bank' },
  { path: '/learners', name: 'Learners' },
  { path: '/hand-outs', name: 'Hand-outs' },
  { path: '/marking', name: 'Marking' },
  { path: '/evidence', name: 'Evidence' },
  { path: '/keeping', name: 'Keeping' },
] as const;

/** The bar over every place: where to go, what is kept, undo and redo, colours, the desk. */
@Component({
  selector: 'lv-frame-bar',
  imports: [ButtonDirective, LucideDynamicIcon, RouterLink, RouterLinkActive, Tooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <a class="brand" routerLink="/shelf"
        ><img src="favicon.svg" alt="" width="26" height="26" /><span>Lorvet</span></a
      >
      <nav aria-label="Places">
        @for (p of places; track p.path) {
          <a
            #link
            [routerLink]="p.path"
            routerLinkActive="on"
            ariaCurrentWhenActive="page"
            (isActiveChange)="$event && shown(link)"
            >{{ p.name }}</a
          >
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
        (click)="findAsked.emit()"
      >
        <svg lucideIcon="search"></svg><kbd>Ctrl K</kbd><span class="sr">Find any action</span>
      </button>
      <span class="small kept" role="status">{{ kept() }}</span>
      @for (s of steps(); track s.name) {
        <button
          pButton
          severity="secondary"
          text
          class="icon"
          type="button"
          [disabled]="!s.of"
          (click)="s.go()"
          tooltipPosition="bottom"
          [pTooltip]="s.of ? s.name + ': ' + s.of + ' (' + s.keys + ')' : 'Nothing to ' + s.name.toLowerCase()"
        >
          <svg [lucideIcon]="s.icon"></svg><span class="sr">{{ s.of ? s.name + ': ' + s.of : s.name }}</span>
        </button>
      }
      <button
        pButton
        severity="secondary"
        text
        class="icon"
        type="button"
        (click)="theme.turn()"
        [attr.aria-pressed]="theme.dark()"
        tooltipPosition="bottom"
        pTooltip="Dark colours"
      >
        <svg [lucideIcon]="theme.dark() ? 'sun' : 'moon'"></svg><span class="sr">Dark colours</span>
      </button>
      <a pButton severity="secondary" routerLink="/desk">Learners’ desk</a>
    </header>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
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
      scroll-margin-inline: 4px;
      white-space: nowrap;
    }
    /* Scrolled to its end, the last one stands whole also where the width is no whole number. */
    nav a:last-child {
      margin-inline-end: 4px;
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
    @media (max-width: 900px) {
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
    @media print {
      header {
        display: none;
      }
    }
  `,
})
export class FrameBar {
  readonly findAsked = output();
  protected readonly room = inject(StorageRoom);
  protected readonly theme = inject(Theme);
  protected readonly places = PLACES;
  private readonly onceDrawn = onceDrawn();
  private readonly work = inject(WorkspaceStore);
  /** Back and forth through what was done. */
  protected readonly steps = computed(() => [
    { name: 'Undo', icon: 'undo-2', keys: 'Ctrl Z', of: this.work.undoLabel(), go: () => this.work.undo() },
    { name: 'Redo', icon: 'redo-2', keys: 'Ctrl Y', of: this.work.redoLabel(), go: () => this.work.redo() },
  ]);
  private readonly keeper = inject(Keeper);
  private readonly trouble = inject(Trouble);
  protected readonly kept = computed(() =>
    this.trouble.isThere() ? 'Not kept' : this.keeper.saved() ? 'All kept' : 'Keeping …',
  );

  /** Where one is stays in sight, also where the places have more than the width. */
  protected shown(link: HTMLElement): void {
    this.onceDrawn(() => link.scrollIntoView({ block: 'nearest', inline: 'nearest' }));
  }
}
