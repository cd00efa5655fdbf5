import { afterNextRender, Directive, ElementRef, inject } from '@angular/core';

/**
 * Where somebody is taken by a press: it has the focus as soon as it is there, and is read out. Without it the focus would
 * fall back to the page when what was pressed goes.
 */
@Directive({ selector: '[lvFocused]', host: { tabindex: '-1' } })
export class Focused {
  constructor() {
    const here = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => here.focus({ preventScroll: false }));
  }
}
