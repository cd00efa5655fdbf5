/** One box of keys and plain data. Each write is whole or not at all; a box of many keys is read in one go by `all`. */
export interface Box {
  keys(): Promise<string[]>;
  all(): Promise<Map<string, unknown>>;
  /** Undefined where there is no such key. */
  get(key: string): Promise<unknown>;
  set(key: string, value: unknown): Promise<void>;
  remove(key: string): Promise<void>;
}

/**
 * The boxes of one generation: `heads` is small and read whole at the opening; `lists` are read whole where a place asks;
 * `bodies` are read by key; `files` hold the bytes of pictures, sounds and documents.
 */
export const BOX_NAMES = ['heads', 'lists', 'bodies', 'files'] as const;
export type BoxName = (typeof BOX_NAMES)[number];

/** The one port to storage. */
export interface Boxes {
  /** What is known of all generations: which one is current, and the lock. */
  root(): Box;
  /**
   * A workspace is kept in a generation; another workspace in its place is another generation, written beside it and
   * then exchanged for it.
   */
  of(generation: string, name: BoxName): Box;
  drop(generation: string): Promise<void>;
  /** All generations there are, finished or not. */
  generations(): Promise<string[]>;
  /** The one box of the first format. */
  first(): Box;
  hasFirst(): Promise<boolean>;
  dropFirst(): Promise<void>;
  /** Runs `work` while no other tab runs work under the same name. */
  alone<T>(name: string, work: () => Promise<T>): Promise<T>;
}

/** A value as it comes back from a real store: another object with the same content. Bytes stay what they are. */
function cloned(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || value instanceof Blob || ArrayBuffer.isView(value)) return value;
  if (Array.isArray(value)) return value.map(cloned);
  return Object.fromEntries(
    Object.entries(value).flatMap(([k, v]) => (v === undefined ? [] : [[k, cloned(v)] as const])),
  );
}

export class MemoryBox implements Box {
  readonly records = new Map<string, unknown>();

  keys(): Promise<string[]> {
    return Promise.resolve([...this.records.keys()]);
  }
  all(): Promise<Map<string, unknown>> {
    return Promise.resolve(new Map([...this.records].map(([k, v]) => [k, cloned(v)])));
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
}

/** For tests: keeps nothing beyond its own life. */
export class MemoryBoxes implements Boxes {
  private readonly boxes = new Map<string, MemoryBox>();
  private readonly queues = new Map<string, Promise<unknown>>();

  /** Another storage with the same content. */
  copy(): MemoryBoxes {
    const out = new MemoryBoxes();
    for (const [name, box] of this.boxes) {
      const into = out.box(name);
      for (const [key, value] of box.records) into.records.set(key, value);
    }
    return out;
  }

  private box(name: string): MemoryBox {
    let box = this.boxes.get(name);
    if (!box) this.boxes.set(name, (box = new MemoryBox()));
    return box;
  }
  root(): Box {
    return this.box('root');
  }
  of(generation: string, name: BoxName): Box {
    return this.box(`${generation}/${name}`);
  }
  first(): Box {
    return this.box('first');
  }
  hasFirst(): Promise<boolean> {
    return Promise.resolve((this.boxes.get('first')?.records.size ?? 0) > 0);
  }
  dropFirst(): Promise<void> {
    this.boxes.delete('first');
    return Promise.resolve();
  }
  generations(): Promise<string[]> {
    const names = [...this.boxes.keys()].flatMap((k) => (k.includes('/') ? [k.slice(0, k.indexOf('/'))] : []));
    return Promise.resolve([...new Set(names)]);
  }
  drop(generation: string): Promise<void> {
    for (const name of BOX_NAMES) this.boxes.delete(`${generation}/${name}`);
    return Promise.resolve();
  }
  alone<T>(name: string, work: () => Promise<T>): Promise<T> {
    const done = (this.queues.get(name) ?? Promise.resolve()).then(work);
    this.queues.set(
      name,
      done.catch(() => undefined),
    );
    return done;
  }
}
