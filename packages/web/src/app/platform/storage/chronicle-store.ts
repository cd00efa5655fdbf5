import { inject, Injectable } from '@angular/core';
import { appended, type ChronicleEnd, type ChroniclePage, type DoneOnce, pageId, z } from '@lorvet/core';
import { WORKSPACE_FORMAT } from '@lorvet/core/desk';
import { BOXES } from './boxes-token';
import { Generation } from './generation';
import { keyOf, placeOf, type Wrapped } from './record-places';
import { goodOf, readStored } from './stored';

const endSchema = z.object({ page: z.string().max(20), n: z.number().int().min(0), hash: z.string().max(64) });
type End = z.infer<typeof endSchema>;
const endKey = (generation: string): string => `chronicle-end/${generation}`;

/** The record as it is kept. */
export interface KeptChronicle {
  readonly pages: readonly ChroniclePage[];
  /** Pages that cannot be read back. */
  readonly lost: readonly string[];
  /** Its end as it was noted apart from it. */
  readonly end: ChronicleEnd | undefined;
}

/**
 * The record in storage. It is written by itself, one tab after the other, and by nothing else: no undo takes it back. Where
 * it ends is noted apart from it, so that what is cut off shows.
 */
@Injectable({ providedIn: 'root' })
export class ChronicleStore {
  private readonly boxes = inject(BOXES);

  async append(generationId: string, done: readonly DoneOnce[]): Promise<void> {
    const generation = new Generation(this.boxes, generationId);
    await this.boxes.alone('lorvet-chronicle', async () => {
      const end = await this.end(generationId);
      const last = end?.page ?? (await this.pageIds(generation)).at(-1);
      const page = last ? goodOf(await readStored(generation, 'chronicle', last))?.data : undefined;
      const box = generation.box('bodies');
      for (const next of appended(page as ChroniclePage | undefined, done)) {
        const wrapped: Wrapped = { format: WORKSPACE_FORMAT, rev: 1, place: Number(next.id), data: next };
        await box.set(keyOf('chronicle', next.id), wrapped);
        const entry = next.entries.at(-1);
        if (entry) await this.boxes.root().set(endKey(generationId), { page: next.id, n: entry.n, hash: entry.hash });
      }
    });
  }

  async read(generationId: string): Promise<KeptChronicle> {
    const generation = new Generation(this.boxes, generationId);
    const end = await this.end(generationId);
    const ids = new Set(await this.pageIds(generation));
    for (let n = 1; n <= Number(end?.page ?? 0); n++) ids.add(pageId(n));
    const pages: ChroniclePage[] = [];
    const lost: string[] = [];
    for (const id of [...ids].sort()) {
      const good = goodOf(await readStored(generation, 'chronicle', id));
      if (good) pages.push(good.data as ChroniclePage);
      else lost.push(id);
    }
    return { pages, lost, end };
  }

  private async end(generationId: string): Promise<End | undefined> {
    const kept = await this.boxes
      .root()
      .get(endKey(generationId))
      .catch(() => undefined);
    const read = endSchema.safeParse(kept);
    return read.success ? read.data : undefined;
  }

  private async pageIds(generation: Generation): Promise<string[]> {
    const keys = await generation.box('bodies').keys();
    return keys
      .flatMap((key) => {
        const place = placeOf(key);
        return place?.kind === 'chronicle' ? [place.id] : [];
      })
      .sort();
  }
}
