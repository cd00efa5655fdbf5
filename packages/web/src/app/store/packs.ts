import { computed, inject, Injectable, signal } from '@angular/core';
import { assetsHeld, calledNames, assetsOfFamily, type Family, versionOf } from '@lorvet/core';
import type { Remote } from 'comlink';
import { makePackWorker } from '../platform/workers/make-worker';
import type { AdjustmentsReading, FamilyReading, PackApi } from '../platform/workers/pack.worker';
import type { Refused } from '../platform/workers/refused';
import { Stopped, Task } from '../platform/workers/task';
import { KeptAssets } from './kept-assets';
import { WorkspaceStore } from './workspace';

/** Families and adjustments out and in as files, made off the main thread. */
@Injectable({ providedIn: 'root' })
export class Packs {
  private readonly assets = inject(KeptAssets);
  private readonly work = inject(WorkspaceStore);
  /** The file that is being read; it can be stopped. */
  readonly reading = signal<string | null>(null);
  private task: Task<PackApi> | null = null;

  stop(): void {
    this.task?.stop();
  }

  private async read<T>(file: File, work: (api: Remote<PackApi>) => Promise<T>): Promise<T | Refused> {
    this.reading.set(file.name);
    this.task = new Task<PackApi>(makePackWorker);
    try {
      return await this.task.run(work);
    } catch (error) {
      if (!(error instanceof Stopped)) throw error;
      return { ok: false, message: 'Reading was stopped. Nothing was changed.', details: [] };
    } finally {
      this.reading.set(null);
    }
  }

  /** The names of learners, none of which goes out. */
  readonly names = computed(() => calledNames(this.work.people().learners));

  async writeFamily(family: Family, at: string): Promise<Blob> {
    const assets = await this.assets.all(assetsOfFamily(family));
    return await new Task<PackApi>(makePackWorker).run((api) => api.writeFamily(family, assets, at, this.names()));
  }

  async readFamily(file: File, id: string): Promise<FamilyReading> {
    return await this.read<FamilyReading>(file, async (api) => await api.readFamily(file, id));
  }

  async writeAdjustments(family: Family, versionId: string, at: string): Promise<Blob> {
    const assets = await this.assets.all(new Set(assetsHeld(versionOf(family, versionId)?.adjustments ?? [])));
    return await new Task<PackApi>(makePackWorker).run((api) =>
      api.writeAdjustments(family, versionId, assets, at, this.names()),
    );
  }

  async readAdjustments(file: File): Promise<AdjustmentsReading> {
    return await this.read<AdjustmentsReading>(file, async (api) => await api.readAdjustments(file));
  }
}
