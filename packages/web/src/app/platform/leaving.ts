import { DestroyRef, inject, Injectable } from '@angular/core';

type Listener = () => void;

/**
 * The moment in which a page is put away, closed or covered: whoever has words that were not said yet says them at once,
 * and they are kept at once.
 */
@Injectable({ providedIn: 'root' })
export class Leaving {
  private readonly words = new Set<Listener>();
  private readonly after = new Set<Listener>();

  constructor() {
    const leave = () => this.leave();
    const covered = () => {
      if (document.visibilityState === 'hidden') leave();
    };
    addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', covered);
    inject(DestroyRef).onDestroy(() => {
      removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', covered);
    });
  }

  /** Says what was written and not said yet. What is given back ends it. */
  say(listener: Listener): Listener {
    this.words.add(listener);
    return () => this.words.delete(listener);
  }

  /** Comes after everything was said. */
  onLeave(listener: Listener): void {
    this.after.add(listener);
  }

  private leave(): void {
    for (const listener of this.words) listener();
    for (const listener of this.after) listener();
  }
}

/** For a part that is being written in: `say` is called when the page is left, and when the part goes. */
export function sayOnLeaving(say: Listener): void {
  const off = inject(Leaving).say(say);
  inject(DestroyRef).onDestroy(() => {
    off();
    say();
  });
}
