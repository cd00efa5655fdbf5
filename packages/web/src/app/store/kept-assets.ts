import { inject, Injectable } from '@angular/core';
import type { KeptAsset } from '../platform/storage/kept-asset';
import { Parts } from './parts';
import { WorkspaceStore } from './workspace';

/** Kept assets for a moment: what is written into a file, say. */
@Injectable({ providedIn: 'root' })
export class KeptAssets {
  private readonly parts = inject(Parts);
  private readonly work = inject(WorkspaceStore);

  /** Those of the ids that are in this browser. */
  async all(ids: Iterable<string>): Promise<KeptAsset[]> {
    const wanted = [...ids];
    return await this.parts.during(async (want) => {
      await want('assets', wanted);
      return wanted.flatMap((id) => this.work.assets()[id] ?? []);
    });
  }
}
