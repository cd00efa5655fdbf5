import { DestroyRef, inject, PendingTasks, type Signal, signal } from '@angular/core';

/**
 * How many pieces of a crowded part are drawn: none at first and one more each frame, so that no frame is long; at the end
 * all there are. In the template: `@if (pieces() >= 2) { … }`. To be called where something is injected.
 */
export function pieceByPiece(count: () => number): Signal<number> {
  const drawn = signal(0);
  // Whoever waits until the page is still waits for all of them.
  const done = inject(PendingTasks).add();
  let frame = 0;
  const next = () => {
    const n = drawn() + 1;
    drawn.set(n < count() ? n : Infinity);
    if (n < count()) frame = requestAnimationFrame(next);
    else done();
  };
  frame = requestAnimationFrame(next);
  inject(DestroyRef).onDestroy(() => {
    cancelAnimationFrame(frame);
    done();
  });
  return drawn.asReadonly();
}
