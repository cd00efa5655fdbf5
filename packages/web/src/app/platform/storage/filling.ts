import { COLLECTIONS, indexOf, INDEX_NAMES, type Workspace, WORKSPACE_FORMAT } from '@lorvet/core';
import type { Generation, Put } from './generation';
import { keptAsset } from './kept-asset';
import { type Kind, putsOf, type Wrapped } from './record-places';

/** Puts records one after the other into a generation that nobody reads yet, in their order. */
export class Filler {
  private place = 0;
  constructor(private readonly generation: Generation) {}

  async add(kind: Kind, id: string, data: unknown): Promise<void> {
    const wrap = (d: unknown): Wrapped => ({ format: WORKSPACE_FORMAT, rev: 1, place: ++this.place, data: d });
    const puts: readonly Put[] = putsOf(kind, id, wrap, data, undefined);
    await this.generation.fill(puts);
  }
}

/** Writes a whole workspace, and the index that follows from it. */
export async function fillWith(generation: Generation, workspace: Workspace): Promise<void> {
  const filler = new Filler(generation);
  for (const c of COLLECTIONS)
    for (const [id, record] of Object.entries(workspace[c]))
      await filler.add(c, id, c === 'assets' ? keptAsset(record as Workspace['assets'][string]) : record);
  const index = indexOf(workspace);
  for (const n of INDEX_NAMES) for (const [id, part] of Object.entries(index[n])) await filler.add(n, id, part);
}
