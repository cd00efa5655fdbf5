import { effect, type Signal, signal, untracked } from '@angular/core';
import { type Content, measureInSteps, type Measures } from '@lorvet/core';

/** Milliseconds of counting before the page has its turn again. */
const TURN = 8;

/**
 * The measures of a content that may be large: counted page by page between other work. While a change is counted the
 * figures of before stand; null until there are first ones.
 */
export function measured(of: () => Content | null | undefined): Signal<Measures | null> {
  const result = signal<Measures | null>(null);
  effect((onCleanup) => {
    const content = of();
    if (!content) {
      untracked(() => result.set(null));
      return;
    }
    const steps = measureInSteps(content);
    let timer = 0;
    const turn = () => {
      const end = performance.now() + TURN;
      let step = steps.next();
      while (!step.done && performance.now() < end) step = steps.next();
      if (step.done) result.set(step.value);
      else timer = window.setTimeout(turn);
    };
    untracked(turn);
    onCleanup(() => clearTimeout(timer));
  });
  return result.asReadonly();
}
