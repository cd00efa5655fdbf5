import { Injectable, signal } from '@angular/core';

/** Above this share of the quota a warning is shown, while there is still room to act. */
const WARN_AT = 0.7;

export const megabytes = (bytes: number): string =>
  bytes >= 1e9
    ? `${(bytes / 1e9).toFixed(1)} GB`
    : bytes >= 1e5
      ? `${(bytes / 1e6).toFixed(1)} MB`
      : `${Math.ceil(bytes / 1000)} kB`;

/** How much room the browser gives, and how much of it is used. */
@Injectable({ providedIn: 'root' })
export class StorageRoom {
  readonly state = signal<{ used: number; quota: number; warn: boolean } | null>(null);

  async measure(): Promise<void> {
    const { usage, quota } = (await navigator.storage?.estimate?.()) ?? {};
    if (usage === undefined || !quota) return;
    this.state.set({ used: usage, quota, warn: usage / quota > WARN_AT });
  }
}
