import { Injectable, signal } from '@angular/core';
import { type Aside, asideSchema } from '@lorvet/core/desk';
import type { Generation } from './generation';
import { boxOf, placeOf } from './record-places';

/** Where a record lies that is out of the way but not lost, and why; its data is read when it is asked for. */
export type AsideHead = Omit<Aside, 'data'>;

const headSchema = asideSchema.omit({ data: true });
const PREFIX = 'aside/';

/** Records that could not be read, or came too late. They can be had as files, mended and put back, or let go. */
@Injectable({ providedIn: 'root' })
export class Asides {
  private generation: Generation | null = null;
  readonly all = signal<readonly AsideHead[]>([]);

  /** What of the heads of a generation was set aside. */
  use(generation: Generation, heads: ReadonlyMap<string, unknown>): void {
    this.generation = generation;
    const read = [...heads].flatMap(([key, value]) => {
      const head = key.startsWith(PREFIX) ? headSchema.safeParse(value) : undefined;
      return head?.success ? [head.data] : [];
    });
    this.all.set(read.sort((a, b) => a.at.localeCompare(b.at)));
  }

  /** What is set aside from here on goes there. */
  moveTo(generation: Generation): void {
    this.generation = generation;
  }

  /** Sets a record aside that was kept under `key`; it is taken from there unless `remove` is false. */
  async put(key: string, why: string, data: unknown, remove = true): Promise<void> {
    const { generation } = this;
    if (!generation) return;
    const head: AsideHead = { id: crypto.randomUUID(), key, why, at: new Date().toISOString() };
    await generation.box('bodies').set(PREFIX + head.id, data ?? null);
    await generation.box('heads').set(PREFIX + head.id, head);
    const place = placeOf(key);
    if (remove && place) await generation.box(boxOf(place.kind)).remove(key);
    this.all.update((all) => [...all, head]);
  }

  /** What was mended as it was read: its first form is kept beside it. */
  async putMended(key: string, notes: readonly string[], raw: unknown): Promise<void> {
    const why = `It was mended as it was read: ${notes.join('; ')}`;
    if (!this.all().some((a) => a.key === key && a.why === why)) await this.put(key, why, raw, false);
  }

  async data(id: string): Promise<unknown> {
    return (await this.generation?.box('bodies').get(PREFIX + id)) ?? null;
  }

  async drop(id: string): Promise<void> {
    const { generation } = this;
    if (!generation) return;
    await generation.box('heads').remove(PREFIX + id);
    await generation.box('bodies').remove(PREFIX + id);
    this.all.update((all) => all.filter((a) => a.id !== id));
  }
}
