import { afterNextRender, inject, Injector } from '@angular/core';

/**
 * Does something once what was just changed has been drawn: moves the focus to what is new, brings it into sight. To be
 * called where something is injected: `private readonly onceDrawn = onceDrawn();`.
 */
export function onceDrawn(): (then: () => void) => void {
  const injector = inject(Injector);
  return (then) => void afterNextRender(then, { injector });
}
