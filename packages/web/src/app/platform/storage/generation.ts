import { type Box, type Boxes, BOX_NAMES, type BoxName } from './boxes';

/** One thing to be written (undefined: removed) at its place. */
export interface Put {
  readonly box: BoxName;
  readonly key: string;
  readonly value: unknown;
  /** Found by the address of its content: it is written once, and does harm to nobody where nothing speaks of it. */
  readonly byAddress?: boolean;
}

const JOURNAL = '.journal';
const WHOLE = '.whole';

/**
 * The boxes of one generation. What belongs together is written whole or not at all: it is first written down as one
 * record, and then carried out, at the next opening if need be.
 */
export class Generation {
  constructor(
    private readonly boxes: Boxes,
    readonly id: string,
  ) {}

  box(name: BoxName): Box {
    return this.boxes.of(this.id, name);
  }

  /** All heads, with what a stopped write still owes them. */
  async heads(): Promise<Map<string, unknown>> {
    const all = await readAll(this.box('heads'));
    const owed = putsIn(all.get(JOURNAL));
    all.delete(JOURNAL);
    all.delete(WHOLE);
    for (const { box, key, value } of owed)
      if (box === 'heads') {
        if (value === undefined) all.delete(key);
        else all.set(key, value);
      }
    return all;
  }

  /** Carries out what a stopped write wrote down. The caller holds the lock of writing. */
  async settle(): Promise<void> {
    const heads = this.box('heads');
    const owed = putsIn(await heads.get(JOURNAL));
    if (owed.length === 0) return;
    for (const put of owed) await this.put(put);
    await heads.remove(JOURNAL);
  }

  /** Writes all of it or, where it fails, nothing that anybody would read. The caller holds the lock of writing. */
  async write(puts: readonly Put[]): Promise<void> {
    await this.settle();
    for (const put of puts) if (put.byAddress) await this.put(put);
    const rest = puts.filter((p) => !p.byAddress);
    const [only] = rest;
    if (rest.length === 1 && only) return await this.put(only);
    if (rest.length === 0) return;
    await this.box('heads').set(
      JOURNAL,
      rest.map(({ box, key, value }) => ({ box, key, value: value ?? null })),
    );
    await this.settle();
  }

  /** For a generation that nobody reads yet: in order, without writing down first. */
  async fill(puts: Iterable<Put>): Promise<void> {
    for (const put of puts) await this.put(put);
  }

  /** All that belongs to it is written: from now on it can be recognised by itself. */
  async finish(): Promise<void> {
    await this.box('heads').set(WHOLE, true);
  }

  async isWhole(): Promise<boolean> {
    return (await this.box('heads').get(WHOLE)) === true;
  }

  drop(): Promise<void> {
    return this.boxes.drop(this.id);
  }

  private put({ box, key, value }: Put): Promise<void> {
    return value === undefined || value === null ? this.box(box).remove(key) : this.box(box).set(key, value);
  }
}

function putsIn(journal: unknown): Put[] {
  if (!Array.isArray(journal)) return [];
  return journal.flatMap((p: unknown): Put[] => {
    if (typeof p !== 'object' || p === null) return [];
    const { box, key, value } = p as Readonly<Record<string, unknown>>;
    const known = BOX_NAMES.find((n) => n === box);
    return known && typeof key === 'string' ? [{ box: known, key, value: value ?? undefined }] : [];
  });
}

/**
 * Everything in a box. Where one record cannot be read, reading all at once fails: then each is read by itself, and the
 * one that cannot be is an `Unreadable`.
 */
export async function readAll(box: Box): Promise<Map<string, unknown>> {
  try {
    return await box.all();
  } catch {
    const all = new Map<string, unknown>();
    for (const key of await box.keys()) all.set(key, await readOne(box, key));
    return all;
  }
}

/** Stands for a record whose bytes the browser cannot give back. */
export class Unreadable {
  constructor(readonly why: string) {}
}

export async function readOne(box: Box, key: string): Promise<unknown> {
  try {
    return await box.get(key);
  } catch (error) {
    return new Unreadable(error instanceof Error ? error.name : 'unknown');
  }
}
