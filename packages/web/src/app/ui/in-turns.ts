import { effect, type Signal, signal, untracked } from '@angular/core';

/** Milliseconds of work at once: at first, beside what else the page is drawing, and then with nothing beside it. */
const FIRST_TURN = 4;
const TURN = 8;

/**
 * The result of work that may be long, done step by step between other work. While new work is under way the result of
 * before stands; null until there is a first one, or where there is nothing to do.
 */
export function inTurns<R>(work: () => Generator<unknown, R> | null): Signal<R | null> {
  const result = signal<R | null>(null);
  effect((onCleanup) => {
    const steps = work();
    if (!steps) {
      untracked(() => result.set(null));
      return;
    }
    let timer = 0;
    const turn = (length: number) => {
      const end = performance.now() + length;
      let step = steps.next();
      while (!step.done && performance.now() < end) step = steps.next();
      if (step.done) result.set(step.value);
      else timer = window.setTimeout(() => turn(TURN));
    };
    untracked(() => turn(FIRST_TURN));
    onCleanup(() => clearTimeout(timer));
  });
  return result.asReadonly();
}
