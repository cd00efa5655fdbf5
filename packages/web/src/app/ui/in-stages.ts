import { DestroyRef, effect, inject, PendingTasks, type Signal, signal, untracked } from '@angular/core';

/**
 * How many parts of a crowded place are drawn, once what they show is there: one more each frame, so that no frame is
 * long. In the template: `@if (stage() >= 2) { … }`. To be called where something is injected.
 */
export function inStages(isThere: () => boolean, count: number): Signal<number> {
  const stage = signal(0);
  const tasks = inject(PendingTasks);
  let frame = 0;
  // Whoever waits until the page is still waits for all of them.
  let done: (() => void) | undefined;
  const next = () => {
    const n = untracked(stage) + 1;
    stage.set(n);
    if (n < count) frame = requestAnimationFrame(next);
    else done?.();
  };
  const begun = effect(() => {
    if (!isThere()) return;
    done = tasks.add();
    untracked(next);
    begun.destroy();
  });
  inject(DestroyRef).onDestroy(() => {
    cancelAnimationFrame(frame);
    done?.();
  });
  return stage.asReadonly();
}

/** A value as it was a frame ago: for what may come a little later than the rest, so that no frame is long. */
export function aFrameLater<T>(value: () => T): Signal<T | undefined> {
  const later = signal<T | undefined>(undefined);
  const tasks = inject(PendingTasks);
  effect((onCleanup) => {
    const now = value();
    const done = tasks.add();
    const frame = requestAnimationFrame(() => {
      later.set(now);
      done();
    });
    onCleanup(() => {
      cancelAnimationFrame(frame);
      done();
    });
  });
  return later.asReadonly();
}
