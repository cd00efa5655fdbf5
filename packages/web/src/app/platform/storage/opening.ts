import { inject, Injectable } from '@angular/core';
import {
  type Index,
  emptyIndex,
  emptyWorkspace,
  type IndexName,
  INDEX_NAMES,
  WORKSPACE_FORMAT,
} from '@lorvet/core/desk';
import { Asides } from './asides';
import type { Boxes } from './boxes';
import { BOXES } from './boxes-token';
import { Generation, Unreadable } from './generation';
import { type Arrival, Keeper } from './keeper';
import type { KeptDoc } from './kept-asset';
import { isWrapped, type Kind, migrated, placeOf, readRecord, type Wrapped } from './record-places';
import { isKnownHere } from './rules';
import { type Generations, readGenerations } from './root';

/** What is known at the opening: all heads, and the records that are small. */
export interface Opened {
  readonly doc: KeptDoc;
  readonly index: Index;
  /** Parts of the index that could not be read, to be made anew from what they follow from. */
  readonly toMend: readonly { readonly kind: IndexName; readonly id: string }[];
}

export type Opening =
  /** Nothing was ever kept here. */
  | { readonly state: 'fresh' }
  /** What an earlier Lorvet kept is still in its own form. */
  | { readonly state: 'first format' }
  | { readonly state: 'open'; readonly opened: Opened };

export const emptyDoc = (): KeptDoc => ({ ...emptyWorkspace(), assets: {} });

/** Opens what is kept: the heads in one read, and nothing else. */
@Injectable({ providedIn: 'root' })
export class Opener {
  private readonly boxes = inject(BOXES);
  private readonly keeper = inject(Keeper);
  private readonly asides = inject(Asides);

  async open(): Promise<Opening> {
    const generations = await readGenerations(this.boxes);
    if (!generations) return { state: (await this.hasFirst()) ? 'first format' : 'fresh' };
    const opened = await this.openGeneration(generations.current);
    void this.dropFirst().catch(() => undefined);
    void markWhole(new Generation(this.boxes, generations.current)).catch(() => undefined);
    void dropUnfinished(this.boxes, generations);
    return { state: 'open', opened };
  }

  async openGeneration(id: string): Promise<Opened> {
    const generation = new Generation(this.boxes, id);
    this.keeper.use(generation);
    // What a stopped write still owes is carried out before anything else is written.
    const heads = await generation.heads();
    this.asides.use(generation, heads);
    if (await this.keeper.takeLate()) return await this.openGeneration(id);
    return await this.read(heads);
  }

  /** The heads of these kinds, where only others were read before. */
  async more(kinds: ReadonlySet<Kind>): Promise<Pick<Opened, 'toMend'> & { readonly parts: readonly Arrival[] }> {
    const id = this.keeper.generationId;
    if (id === null) return { parts: [], toMend: [] };
    const { good, toMend } = await this.good(await new Generation(this.boxes, id).heads(), (kind) => kinds.has(kind));
    return { parts: good.map((g) => ({ kind: g.kind, id: g.id, value: g.data })), toMend };
  }

  private async hasFirst(): Promise<boolean> {
    return await this.boxes.hasFirst().catch(() => false);
  }

  /** What was brought up is let go in its earlier form once the new one was opened by itself. */
  private async dropFirst(): Promise<void> {
    if (await this.hasFirst()) await this.boxes.dropFirst();
  }

  private async read(heads: ReadonlyMap<string, unknown>): Promise<Opened> {
    const doc = emptyDoc() as unknown as Record<string, Record<string, unknown>>;
    const index = emptyIndex() as unknown as Record<string, Record<string, unknown>>;
    const { good, toMend } = await this.good(heads, isKnownHere);
    for (const { kind, id, data } of good) {
      const records = (isIndex(kind) ? index : doc)[kind];
      if (records) records[id] = data;
    }
    return { doc: doc as unknown as KeptDoc, index: index as unknown as Index, toMend };
  }

  /** What can be read of the heads that are wanted, in its order; what cannot be is set aside, or is to be mended. */
  private async good(heads: ReadonlyMap<string, unknown>, isWanted: (kind: Kind) => boolean) {
    const toMend: { kind: IndexName; id: string }[] = [];
    const good: { kind: Kind; id: string; wrapped: Wrapped; data: unknown }[] = [];
    for (const [key, value] of heads) {
      const place = placeOf(key);
      if (!place || !isWanted(place.kind)) continue;
      const { kind, id } = place;
      const read = readHead(kind, value);
      if ('data' in read) {
        good.push({ kind, id, wrapped: value as Wrapped, data: read.data });
        if (read.notes) await this.asides.putMended(key, read.notes, value);
      } else if (isIndex(kind)) toMend.push({ kind, id });
      else await this.asides.put(key, read.why, value instanceof Unreadable ? null : value);
    }
    good.sort((a, b) => a.wrapped.place - b.wrapped.place);
    for (const { kind, id, wrapped } of good) this.keeper.known(kind, id, wrapped);
    return { good, toMend };
  }
}

const isIndex = (kind: Kind): kind is IndexName => INDEX_NAMES.some((n) => n === kind);

function readHead(kind: Kind, value: unknown): { data: unknown; notes?: readonly string[] } | { why: string } {
  if (value instanceof Unreadable) return { why: `The browser cannot read it back (${value.why}).` };
  if (!isWrapped(value)) return { why: 'It is not a record of Lorvet.' };
  if (value.format > WORKSPACE_FORMAT) return { why: 'It was written by a newer Lorvet.' };
  const read = readRecord(kind, migrated(kind, value));
  return 'data' in read ? read : { why: read.faults.join('; ') };
}

/** One that is pointed to is whole: of an earlier time, it does not say so itself yet. */
async function markWhole(generation: Generation): Promise<void> {
  if (!(await generation.isWhole())) await generation.finish();
}

/** What a stopped exchange left half written is of no use to anybody. */
async function dropUnfinished(boxes: Boxes, generations: Generations): Promise<void> {
  const isWanted = ({ current, earlier }: Generations, name: string) =>
    current === name || earlier.some((e) => e.generation === name);
  const names = await boxes.generations().catch(() => []);
  for (const name of names.filter((n) => !isWanted(generations, n)))
    await boxes
      .alone(exchangeOf(name), async () => {
        // Another tab may have been writing it, and be done by now.
        const now = await readGenerations(boxes);
        if (now && !isWanted(now, name)) await boxes.drop(name);
      })
      .catch(() => undefined);
}

/** The lock under which a generation is written that nobody reads yet. */
export const exchangeOf = (generation: string): string => `exchange ${generation}`;
