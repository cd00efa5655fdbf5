import { DestroyRef, Directive, inject, TemplateRef, ViewContainerRef } from '@angular/core';

/** What waits to be drawn, on the whole page, in order. */
const waiting: (() => void)[] = [];
let timer: ReturnType<typeof setTimeout> | undefined;

function next(): void {
  timer = undefined;
  waiting.shift()?.();
  if (waiting.length) timer ??= setTimeout(next);
}

/**
 * A part of something large, drawn in a turn of its own after what stands before it, so that all of it together is not
 * one long task: `<lv-do-here *lvSoon [selection]="…" />`.
 */
@Directive({ selector: '[lvSoon]' })
export class Soon {
  constructor() {
    const template = inject<TemplateRef<unknown>>(TemplateRef);
    const place = inject(ViewContainerRef);
    let gone = false;
    inject(DestroyRef).onDestroy(() => (gone = true));
    waiting.push(() => {
      if (!gone) place.createEmbeddedView(template);
    });
    timer ??= setTimeout(next);
  }
}
