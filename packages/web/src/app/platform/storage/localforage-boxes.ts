import localforage from 'localforage';
import { BOX_NAMES, type Box, type Boxes, type BoxName } from './boxes';

const FIRST = 'lorvet';
const STORE = 'records';

class LocalForageBox implements Box {
  private readonly records: LocalForage;

  constructor(name: string) {
    this.records = localforage.createInstance({ name, storeName: STORE, driver: localforage.INDEXEDDB });
  }
  opened(): Promise<void> {
    return this.records.ready();
  }
  keys(): Promise<string[]> {
    return this.records.keys();
  }
  async all(): Promise<Map<string, unknown>> {
    const all = new Map<string, unknown>();
    await this.records.iterate((value, key) => {
      all.set(key, value);
    });
    return all;
  }
  async get(key: string): Promise<unknown> {
    return (await this.records.getItem(key)) ?? undefined;
  }
  async set(key: string, value: unknown): Promise<void> {
    await this.records.setItem(key, value);
  }
  remove(key: string): Promise<void> {
    return this.records.removeItem(key);
  }
}

/** The browser's own storage, a database for each box. Tabs take turns by Web Locks. */
export class LocalForageBoxes implements Boxes {
  private readonly boxes = new Map<string, LocalForageBox>();

  private box(name: string): LocalForageBox {
    let box = this.boxes.get(name);
    if (!box) this.boxes.set(name, (box = new LocalForageBox(name)));
    return box;
  }
  root(): Box {
    return this.box('lorvet-root');
  }
  of(generation: string, name: BoxName): Box {
    return this.box(`lorvet-${generation}-${name}`);
  }
  first(): Box {
    return this.box(FIRST);
  }
  async hasFirst(): Promise<boolean> {
    // Asked first: opening it would make it.
    const all = await indexedDB.databases?.();
    if (all && !all.some((d) => d.name === FIRST)) return false;
    return (await this.first().keys()).length > 0;
  }
  async dropFirst(): Promise<void> {
    await this.dropBox(FIRST);
  }
  async drop(generation: string): Promise<void> {
    for (const name of BOX_NAMES) await this.dropBox(`lorvet-${generation}-${name}`);
  }
  private async dropBox(name: string): Promise<void> {
    // The library drops only what it has opened.
    await this.box(name).opened();
    this.boxes.delete(name);
    await localforage.dropInstance({ name });
  }
  async generations(): Promise<string[]> {
    const all = (await indexedDB.databases?.()) ?? [];
    const names = all.flatMap(({ name }) => /^lorvet-(.+)-(?:heads|lists|bodies|files)$/.exec(name ?? '')?.[1] ?? []);
    return [...new Set(names)];
  }
  async alone<T>(name: string, work: () => Promise<T>): Promise<T> {
    return await navigator.locks.request(`lorvet:${name}`, work);
  }
}
