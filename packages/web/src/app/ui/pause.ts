import { DestroyRef, inject, type Signal, signal } from '@angular/core';

/** Seconds of a pause that runs down; read anew by `look`. Call it where something is injected. */
export function pauseOf(left: () => number): { readonly seconds: Signal<number>; look: () => void } {
  const seconds = signal(0);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const look = () => {
    clearTimeout(timer);
    const ms = left();
    seconds.set(Math.ceil(ms / 1000));
    if (ms > 0) timer = setTimeout(look, ms % 1000 || 1000);
  };
  inject(DestroyRef).onDestroy(() => clearTimeout(timer));
  look();
  return { seconds: seconds.asReadonly(), look };
}
