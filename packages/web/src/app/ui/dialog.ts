import { DestroyRef, Directive, effect, inject, untracked } from '@angular/core';
import { Dialog } from 'primeng/dialog';
import { TypedAhead } from './typed-ahead';

const FIRST =
  '.p-dialog-content :is(input, select, textarea, button, a[href], [tabindex="0"]):not(:disabled):not([tabindex="-1"])';

/** What all dialogs here are alike in: the focus is in the first field at once, not when the dialog has come to rest. */
@Directive({ selector: 'p-dialog' })
export class OpensAtOnce {
  constructor() {
    const dialog = inject(Dialog);
    const ahead = inject(TypedAhead);
    dialog.modal = true;
    dialog.draggable = false;
    // The page stands still under it where it can scroll at all: to tell a large page so has all of it looked at anew.
    const holdPage = dialog.enableModality.bind(dialog);
    dialog.enableModality = () => {
      const { scrollHeight, clientHeight } = document.documentElement;
      if (scrollHeight > clientHeight) holdPage();
    };
    dialog.closeAriaLabel = 'Close';
    dialog.focusOnShow = false;
    // By hand: PrimeNG's own does not hear the key while a list that was just closed is still fading.
    dialog.closeOnEscape = false;
    const keyed = (event: KeyboardEvent) => {
      const within = dialog.container();
      if (event.key !== 'Escape' || event.defaultPrevented || !(event.target instanceof Node)) return;
      // Pressed before it stands, it is not to come.
      if (!within) {
        if (dialog.visible) dialog.close(event);
      } else if (event.target === document.body || within.contains(event.target)) dialog.close(event);
    };
    document.addEventListener('keydown', keyed);
    inject(DestroyRef).onDestroy(() => document.removeEventListener('keydown', keyed));
    let opener: Element | null = null;
    let stood: Element | null = null;
    effect(() => {
      const container = dialog.container();
      untracked(() => {
        const at = document.activeElement;
        if (container) {
          // Told again when it has come to rest: the focus is in it by then, what was typed for it too, or it is over.
          if (stood === container && (container.contains(at) || !dialog.visible)) return;
          stood = container;
          if (!container.contains(at)) opener = at;
          const first = container.querySelector<HTMLElement>(FIRST) ?? container.querySelector<HTMLElement>('button');
          if (first) ahead.into(first);
          // It may be on the page still, fading, with the focus in it.
        } else {
          if (opener instanceof HTMLElement && (at === document.body || stood?.contains(at))) opener.focus();
          stood = null;
        }
      });
    });
  }
}

/** For the imports of a part with a `p-dialog`. */
export const DIALOG = [Dialog, OpensAtOnce] as const;
