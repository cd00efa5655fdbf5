import { afterNextRender, Directive, ElementRef, inject, input } from '@angular/core';

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

/** Where a press leads on the same page: once it is there it is brought into sight and has the focus. */
@Directive({ selector: '[lvInSight]', host: { tabindex: '-1' } })
export class InSight {
  /** Whether somebody asked for it; else it stays where it is. */
  readonly lvInSight = input.required<boolean>();

  constructor() {
    const here = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => {
      if (!this.lvInSight()) return;
      // Where it can be read already nothing moves.
      const { top } = here.getBoundingClientRect();
      if (top < 0 || top > innerHeight / 2) here.scrollIntoView({ block: 'start' });
      here.focus({ preventScroll: true });
    });
  }
}
