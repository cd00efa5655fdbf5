import { effect, type Signal, signal, untracked } from '@angular/core';

/**
 * Follows a signal once the page has drawn what it changed by itself: for what is large and stands beside it, so that
 * the two are not one long task. Of quick changes only the last is followed. Until then it is `first`, or what `of` is.
 */
export function afterDrawing<T>(of: Signal<T>, first = untracked(of)): Signal<T> {
  const later = signal(first);
  effect((onCleanup) => {
    const now = of();
    const timer = setTimeout(() => later.set(now));
    onCleanup(() => clearTimeout(timer));
  });
  return later.asReadonly();
}
