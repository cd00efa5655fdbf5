import {
  ChangeDetectionStrategy,
  Component,
  Directive,
  effect,
  ElementRef,
  HostAttributeToken,
  inject,
  input,
  model,
} from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { ButtonDirective } from 'primeng/button';
import { Splitter } from 'primeng/splitter';
import { z } from '@lorvet/core';
import { keepsIfItCan, keptOrLetGo } from './kept-or-let-go';
import { onceDrawn } from './once-drawn';

const STEP = 24;

/**
 * Panes beside each other, as wide as they were left: `<p-splitter lvPanes="bench" panes="3" [names]="[…]">`. It gives
 * the part what it lacks: names for what parts the panes, each with the width of its own, and a press of a key that
 * counts however short it is.
 */
@Directive({
  selector: 'p-splitter[lvPanes]',
  host: {
    class: 'panes',
    '(mousedown)': 'taken($event)',
    '(keydown.arrowleft)': 'moved($event, -1)',
    '(keydown.arrowright)': 'moved($event, 1)',
  },
})
export class Panes {
  /** What each handle is called, from the left. */
  readonly names = input.required<readonly string[]>();
  private readonly splitter = inject(Splitter, { self: true });
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  constructor() {
    const { splitter } = this;
    const place = inject(new HostAttributeToken('lvPanes'));
    const panes = Number(inject(new HostAttributeToken('panes')));
    // In percent.
    const widths = z.array(z.number().min(5).max(95)).length(panes);
    splitter.stateKey = keptOrLetGo(`lorvet-panes-${place}`, widths);
    splitter.stateStorage = 'local';
    splitter.gutterSize = 4;
    keepsIfItCan(splitter);
    splitter.onResizeEnd.subscribe(() => this.say());
  }

  ngAfterViewInit(): void {
    // After the part, which writes its widths in its own turn of this.
    queueMicrotask(() => this.say());
  }

  /** Else the browser may drag what lies beside, and the part never hears that it was let go. */
  protected taken(event: Event): void {
    if (event.target instanceof Element && event.target.closest('.p-splitter-gutter')) event.preventDefault();
  }

  /** The part waits a moment before it moves, and forgets it where the key is let go meanwhile. */
  protected moved(event: Event, way: -1 | 1): void {
    const at = this.handles().indexOf(event.target as HTMLElement);
    const gutter = this.handles()[at]?.parentElement;
    if (!gutter) return;
    event.preventDefault();
    this.splitter.repeat({ currentTarget: gutter } as unknown as KeyboardEvent, at, way * STEP);
    this.splitter.onGutterKeyUp(event as KeyboardEvent);
  }

  private handles(): HTMLElement[] {
    return [...this.host.querySelectorAll<HTMLElement>(':scope > .p-splitter-gutter > .p-splitter-gutter-handle')];
  }

  private say(): void {
    const { width } = this.host.getBoundingClientRect();
    this.handles().forEach((handle, i) => {
      const pane = handle.parentElement?.previousElementSibling?.getBoundingClientRect().width ?? 0;
      const says = {
        role: 'separator',
        'aria-label': this.names()[i] ?? '',
        'aria-orientation': 'vertical',
        'aria-valuenow': `${width ? Math.round((100 * pane) / width) : 0}`,
      };
      for (const [name, value] of Object.entries(says)) handle.setAttribute(name, value);
      handle.parentElement?.setAttribute('role', 'presentation');
    });
  }
}

export interface Beside {
  /** The id of the element that is shown. */
  readonly id: string;
  readonly name: string;
}

/**
 * On a narrow screen, or a large one enlarged, what stands beside the work is a sheet at the foot of it: this bar says
 * what there is and opens it, so that it is never somewhere below a long page. Escape closes it.
 */
@Component({
  selector: 'lv-foot-bar',
  imports: [ButtonDirective, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown.escape)': 'escaped($event)' },
  template: `
    @for (x of list(); track x.id) {
      <button
        pButton
        severity="secondary"
        type="button"
        [attr.aria-expanded]="open() === x.id"
        [attr.aria-controls]="x.id"
        (click)="turn(x.id)"
      >
        <svg [lucideIcon]="open() === x.id ? 'chevron-down' : 'chevron-right'"></svg>{{ x.name }}
      </button>
    }
  `,
  styles: `
    :host {
      display: none;
    }
    @media (max-width: 900px) {
      :host {
        position: fixed;
        inset: auto 0 0;
        z-index: 6;
        display: flex;
        gap: 8px;
        height: 46px;
        padding: 4px 10px;
        border-top: 1px solid var(--line-strong);
        background: var(--surface);
      }
      button {
        min-width: 0;
        flex: 0 1 auto;
        overflow: hidden;
      }
    }
  `,
})
export class FootBar {
  readonly list = input.required<readonly Beside[]>();
  readonly open = model<string | null>(null);
  /** What a sheet speaks of, as a selector: it is kept in sight above it. */
  readonly about = input('');
  private readonly onceDrawn = onceDrawn();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  constructor() {
    effect((onCleanup) => {
      if (!this.open() || !this.about()) return;
      const timer = setTimeout(() => {
        const isNarrow = getComputedStyle(this.host).display !== 'none';
        if (isNarrow) document.querySelector(this.about())?.scrollIntoView({ block: 'nearest' });
      });
      onCleanup(() => clearTimeout(timer));
    });
  }

  protected turn(id: string): void {
    this.open.set(this.open() === id ? null : id);
    // Once it is shown it can take the focus.
    if (this.open() === id) this.onceDrawn(() => document.getElementById(id)?.focus({ preventScroll: true }));
  }

  protected escaped(event: Event): void {
    const id = this.open();
    const { target } = event;
    if (!id || event.defaultPrevented || !(target instanceof Element)) return;
    if (!this.host.contains(target) && !target.closest(`#${id}`)) return;
    this.open.set(null);
    this.host.querySelector<HTMLElement>(`[aria-controls="${id}"]`)?.focus();
  }
}
