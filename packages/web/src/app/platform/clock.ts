import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { nanoid } from 'nanoid';

/** Time and chance, which the core may not make up itself. */
@Injectable({ providedIn: 'root' })
export class Clock {
  private readonly day = signal(this.local().slice(0, 10));
  /** The local day, as an ISO date: another one once the page is looked at again after midnight. */
  readonly today = this.day.asReadonly();

  constructor() {
    const look = () => this.day.set(this.local().slice(0, 10));
    document.addEventListener('visibilitychange', look);
    inject(DestroyRef).onDestroy(() => document.removeEventListener('visibilitychange', look));
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
