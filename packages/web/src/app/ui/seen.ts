import { afterNextRender, DestroyRef, Directive, ElementRef, inject, output } from '@angular/core';

/** Says when an element comes near what is in sight, and when it goes: `<tbody lvSeen (inView)="…">`. */
@Directive({ selector: '[lvSeen]' })
export class Seen {
  readonly inView = output<boolean>();

  constructor() {
    const element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    const onDestroy = inject(DestroyRef);
    afterNextRender(() => {
      const watcher = new IntersectionObserver((entries) => this.inView.emit(entries.at(-1)?.isIntersecting ?? false), {
        rootMargin: '300px',
      });
      watcher.observe(element);
      onDestroy.onDestroy(() => watcher.disconnect());
    });
  }
}
