import { inject, Injectable } from '@angular/core';
import { assetsHeld, assetsOfFamily, type Family, versionOf } from '@lorvet/core';
import { makePackWorker } from '../platform/workers/make-worker';
import type { AdjustmentsReading, FamilyReading, PackApi } from '../platform/workers/pack.worker';
import { Task } from '../platform/workers/task';
import { KeptAssets } from './kept-assets';

/** Families and adjustments out and in as files, made off the main thread. */
@Injectable({ providedIn: 'root' })
export class Packs {
  private readonly assets = inject(KeptAssets);

  async writeFamily(family: Family, at: string): Promise<Blob> {
    const assets = await this.assets.all(assetsOfFamily(family));
    return await new Task<PackApi>(makePackWorker).run((api) => api.writeFamily(family, assets, at));
  }

  async readFamily(file: Blob, id: string): Promise<FamilyReading> {
    return await new Task<PackApi>(makePackWorker).run(
      async (api): Promise<FamilyReading> => await api.readFamily(file, id),
    );
  }

  async writeAdjustments(family: Family, versionId: string, at: string): Promise<Blob> {
    const assets = await this.assets.all(new Set(assetsHeld(versionOf(family, versionId)?.adjustments ?? [])));
    return await new Task<PackApi>(makePackWorker).run((api) => api.writeAdjustments(family, versionId, assets, at));
  }

  async readAdjustments(file: Blob): Promise<AdjustmentsReading> {
    return await new Task<PackApi>(makePackWorker).run(
      async (api): Promise<AdjustmentsReading> => await api.readAdjustments(file),
    );
  }
}
