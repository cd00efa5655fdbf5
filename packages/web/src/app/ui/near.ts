import { afterNextRender, DestroyRef, Directive, ElementRef, inject, output } from '@angular/core';

/** The foot of a list that is drawn in steps: says so each time it comes near what is seen, until it no longer does. */
@Directive({ selector: '[lvNear]' })
export class Near {
  readonly lvNear = output<void>();

  constructor() {
    const foot = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    const onDestroy = inject(DestroyRef);
    afterNextRender(() => {
      const watcher = new IntersectionObserver(
        (entries) => {
          if (!entries.some((e) => e.isIntersecting)) return;
          this.lvNear.emit();
          // An observer speaks only of changes: watched anew, it says whether the foot is still near.
          watcher.unobserve(foot);
          watcher.observe(foot);
        },
        { rootMargin: '600px' },
      );
      watcher.observe(foot);
      onDestroy.onDestroy(() => watcher.disconnect());
    });
  }
}
