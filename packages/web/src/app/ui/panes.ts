import { Component, ChangeDetectionStrategy, effect, ElementRef, inject, input, model } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { ButtonDirective } from 'primeng/button';
import { z } from 'zod';
import { keptOrLetGo } from './kept-or-let-go';

/** What the handle between two panes of a splitter says of itself: the part leaves it without a name. */
export const PANES_SAY = {
  panel: {},
  gutter: { role: 'presentation' },
  gutterHandle: { role: 'separator', 'aria-label': 'Width of what stands beside it', 'aria-orientation': 'vertical' },
};

/**
 * Where the widths of panes are kept, for a splitter's `stateKey`. Widths that cannot be (another program's, an earlier
 * form's) are let go first: the part would take them as they are.
 * @param panes how many there are
 */
export function widthsKept(place: string, panes: number): string {
  return keptOrLetGo(`lorvet-panes-${place}`, z.array(z.number().min(5).max(95)).length(panes));
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
    if (this.open() === id) setTimeout(() => document.getElementById(id)?.focus({ preventScroll: true }));
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
