import { effect, type Signal, signal, untracked } from '@angular/core';

/** How much of a long list is on the page, and a way to show more. */
export interface Growing {
  readonly budget: Signal<number>;
  grow(): void;
  reach(n: number): void;
}

/**
 * A list that is drawn in steps, so that a large one opens at once: `step` more with each frame up to `always`, then as
 * its foot comes near (see `Near`). What `from` reads begins it anew.
 */
export function growing(from: () => unknown, step: number, always: number): Growing {
  const budget = signal(step);
  const grow = () => budget.update((n) => n + step);
  effect((onCleanup) => {
    from();
    untracked(() => budget.set(step));
    let frame = 0;
    const more = () => {
      grow();
      if (untracked(budget) < always) frame = requestAnimationFrame(more);
    };
    frame = requestAnimationFrame(more);
    onCleanup(() => cancelAnimationFrame(frame));
  });
  return { budget, grow, reach: (n) => budget.update((old) => Math.max(old, n)) };
}
