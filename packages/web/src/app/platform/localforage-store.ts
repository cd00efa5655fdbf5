import localforage from 'localforage';
import type { RecordStore } from './record-store';

/** The browser's own storage. Tabs take turns by Web Locks. */
export class LocalForageStore implements RecordStore {
  private readonly records = localforage.createInstance({ name: 'lorvet', storeName: 'records' });

  keys(): Promise<string[]> {
    return this.records.keys();
  }
  get(key: string): Promise<unknown> {
    return this.records.getItem(key);
  }
  async set(key: string, value: unknown): Promise<void> {
    await this.records.setItem(key, value);
  }
  remove(key: string): Promise<void> {
    return this.records.removeItem(key);
  }
  async alone<T>(name: string, work: () => Promise<T>): Promise<T> {
    return await navigator.locks.request(`lorvet:${name}`, work);
  }
}
