import { computed, Injectable, signal } from '@angular/core';
import { nanoid } from 'nanoid';

/** A minute is not missed by more than that. */
const LOOK_MS = 5000;

/** Time and chance, which the core may not make up itself. */
@Injectable({ providedIn: 'root' })
export class Clock {
  private readonly minutes = signal(this.local());
  /** The local minute, as 'yyyy-MM-ddTHH:mm': what opens or closes by itself is looked at anew as it turns. */
  readonly minute = this.minutes.asReadonly();
  /** The local day, as an ISO date. */
  readonly today = computed(() => this.minute().slice(0, 10));

  constructor() {
    // There is one of it, for as long as the page is open.
    setInterval(() => this.look(), LOOK_MS);
    document.addEventListener('visibilitychange', () => this.look());
  }

  /** Looks what time it is, at once. */
  look(): void {
    this.minutes.set(this.local());
  }

  /** Milliseconds since 1970. */
  ms(): number {
    return Date.now();
  }

  iso(): string {
    return new Date().toISOString();
  }

  /** Local 'yyyy-MM-ddTHH:mm', as date fields write it. */
  local(): string {
    const now = new Date();
    return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
  }

  newId(): string {
    return nanoid(12);
  }

  /** A letter at random, so that none becomes the low one. */
  letter(taken: readonly string[]): string {
    const free = 'ABCDEFGHJKLMNPRSTUVWXYZ'.split('').filter((l) => !taken.includes(l));
    return free[Math.floor(Math.random() * free.length)] ?? 'Z';
  }

  pick<T>(from: readonly T[]): T {
    return from[Math.floor(Math.random() * from.length)] as T;
  }
}
