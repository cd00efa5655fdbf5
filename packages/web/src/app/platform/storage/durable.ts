import { Injectable, signal } from '@angular/core';

/**
 * Whether the browser promises to keep what is here when the machine runs short of room. It is asked once, with the first
 * work of one's own.
 */
@Injectable({ providedIn: 'root' })
export class Durable {
  private asked = false;
  /** Null: not known, or not asked for yet. */
  readonly kept = signal<boolean | null>(null);

  async look(): Promise<void> {
    this.kept.set((await navigator.storage?.persisted?.()) ? true : this.kept());
  }

  ask(): void {
    if (this.asked) return;
    this.asked = true;
    void (async () => {
      const already = await navigator.storage?.persisted?.();
      this.kept.set(already || ((await navigator.storage?.persist?.()) ?? null));
    })().catch(() => undefined);
  }
}
