import { DestroyRef, inject, Injectable } from '@angular/core';
import { NavigationStart, Router } from '@angular/router';

type Listener = () => void;

/**
 * The moment in which a page is put away, closed or covered, or a place is left: whoever has words that were not said yet
 * says them at once. What stands in a field that says itself only when it is left is said too.
 */
@Injectable({ providedIn: 'root' })
export class Leaving {
  private readonly words = new Set<Listener>();
  private readonly after = new Set<Listener>();
  /** The field that was typed in and has not said so. */
  private typedIn: EventTarget | null = null;

  constructor() {
    const gone = new AbortController();
    const { signal } = gone;
    const leave = () => this.leave();
    addEventListener('pagehide', leave, { signal });
    document.addEventListener(
      'visibilitychange',
      () => {
        if (document.visibilityState === 'hidden') leave();
      },
      { signal },
    );
    document.addEventListener('input', (e) => (this.typedIn = e.target), { signal, capture: true });
    document.addEventListener(
      'change',
      (e) => {
        if (e.target === this.typedIn) this.typedIn = null;
      },
      { signal, capture: true },
    );
    const moved = inject(Router).events.subscribe((e) => {
      if (e instanceof NavigationStart) this.sayAll();
    });
    inject(DestroyRef).onDestroy(() => {
      gone.abort();
      moved.unsubscribe();
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

  /** Says all that was written and not said yet. */
  sayAll(): void {
    this.typedIn?.dispatchEvent(new Event('change', { bubbles: true }));
    for (const listener of this.words) listener();
  }

  private leave(): void {
    this.sayAll();
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
