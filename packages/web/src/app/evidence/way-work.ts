import { inject, Injectable } from '@angular/core';
import { type Remote, wrap } from 'comlink';
import type { FoundSheet, PicturePlace, WayDesk, WholeWay } from '../platform/way-desk';
import type { EvidenceApi } from '../platform/workers/evidence.worker';
import { makeEvidenceWorker } from '../platform/workers/make-worker';
import { KeepingSync } from '../store/keeping-sync';

/** Asks a worker for the way of what is kept: as much as a term's work is read for one question. */
@Injectable({ providedIn: 'root' })
export class WayWork {
  private readonly sync = inject(KeepingSync);
  private reader: Remote<EvidenceApi> | null = null;

  async way(familyId: string, blockId: string): Promise<WholeWay | null> {
    return await this.ask(
      (desk) => desk.way(familyId, blockId),
      (api, generation) => api.way(generation, familyId, blockId),
    );
  }

  async sheet(code: string): Promise<FoundSheet | null> {
    return await this.ask(
      (desk) => desk.sheet(code),
      (api, generation) => api.sheet(generation, code),
    );
  }

  async picture(assetId: string): Promise<readonly PicturePlace[]> {
    return await this.ask(
      (desk) => desk.picture(assetId),
      (api, generation) => api.picture(generation, assetId),
    );
  }

  /** For unit tests, where no worker runs: what reads on the same thread. */
  protected here(): ((generation: string) => Promise<WayDesk>) | null {
    return null;
  }

  private async ask<T>(
    ofDesk: (desk: WayDesk) => Promise<T>,
    ofWorker: (api: Remote<EvidenceApi>, generation: string) => Promise<T>,
  ): Promise<T> {
    await this.sync.flush();
    const generation = this.sync.generation() ?? '';
    const here = this.here();
    if (here) return await ofDesk(await here(generation));
    this.reader ??= wrap<EvidenceApi>(makeEvidenceWorker());
    return await ofWorker(this.reader, generation);
  }
}
