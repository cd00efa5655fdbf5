import { InteractivityChecker } from '@angular/cdk/a11y';
import { DestroyRef, DOCUMENT, inject, Injectable } from '@angular/core';

/**
 * F6 leads from pane to pane of a place, Shift F6 back, each time to where the focus was in it: what can be done with a
 * block is one key away from it, however many blocks come after.
 */
@Injectable({ providedIn: 'root' })
export class PaneKeys {
  private readonly page = inject(DOCUMENT);
  private readonly checker = inject(InteractivityChecker);
  private readonly last = new WeakMap<Element, HTMLElement>();

  constructor() {
    const remember = ({ target }: FocusEvent) => {
      const pane = target instanceof HTMLElement && target.closest('.pane');
      if (pane) this.last.set(pane, target);
    };
    this.page.addEventListener('focusin', remember);
    inject(DestroyRef).onDestroy(() => this.page.removeEventListener('focusin', remember));
  }

  /** False where the place has no panes to go to. */
  go(back: boolean): boolean {
    const panes = [...this.page.querySelectorAll<HTMLElement>('main .pane')].filter((p) => this.checker.isVisible(p));
    const at = panes.findIndex((p) => p.contains(this.page.activeElement));
    const step = back ? -1 : 1;
    for (let i = 1; i <= panes.length; i++) {
      const pane = panes[(Math.max(at, back ? 0 : -1) + i * step + i * panes.length) % panes.length];
      const target = pane && this.within(pane);
      if (!target || pane.contains(this.page.activeElement)) continue;
      target.focus();
      return true;
    }
    return false;
  }

  private within(pane: HTMLElement): HTMLElement | undefined {
    const last = this.last.get(pane);
    if (last && last !== pane && pane.contains(last) && this.checker.isVisible(last)) return last;
    const all = pane.querySelectorAll<HTMLElement>('a, button, input, select, textarea, [tabindex]');
    return [...all].find((e) => this.checker.isFocusable(e) && this.checker.isTabbable(e) && this.checker.isVisible(e));
  }
}
