import { InjectionToken } from '@angular/core';

/** The one port to storage: keys to plain data. Writes are whole or not at all. */
export interface RecordStore {
  keys(): Promise<string[]>;
  get(key: string): Promise<unknown>;
  set(key: string, value: unknown): Promise<void>;
  remove(key: string): Promise<void>;
  /** Runs `work` while no other tab runs work under the same name. */
  alone<T>(name: string, work: () => Promise<T>): Promise<T>;
}

export const RECORD_STORE = new InjectionToken<RecordStore>('RecordStore');

/** A record as it comes back from a real store: another object with the same content. */
const cloned = (value: unknown): unknown => (value === undefined ? undefined : JSON.parse(JSON.stringify(value)));

/** For tests: keeps nothing beyond its own life. */
export class MemoryStore implements RecordStore {
  private readonly records = new Map<string, unknown>();
  private queue: Promise<unknown> = Promise.resolve();

  keys(): Promise<string[]> {
    return Promise.resolve([...this.records.keys()]);
  }
  get(key: string): Promise<unknown> {
    return Promise.resolve(cloned(this.records.get(key)));
  }
  set(key: string, value: unknown): Promise<void> {
    this.records.set(key, cloned(value));
    return Promise.resolve();
  }
  remove(key: string): Promise<void> {
    this.records.delete(key);
    return Promise.resolve();
  }
  alone<T>(_name: string, work: () => Promise<T>): Promise<T> {
    const done = this.queue.then(work);
    this.queue = done.catch(() => undefined);
    return done;
  }
}
