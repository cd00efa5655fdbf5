import { Injectable } from '@angular/core';
import { type Alike, gatherAlike, type Gathered } from '@lorvet/core/marking';
import { type Remote, wrap } from 'comlink';
import { makeMarkingWorker } from '../../platform/workers/make-worker';
import type { MarkingApi } from '../../platform/workers/marking.worker';

/** From so many answers on they are gathered beside the page. */
const MANY = 60;

/** Puts alike answers together; many of them in a worker that lives as long as the application. */
@Injectable({ providedIn: 'root' })
export class Gathering {
  private api: Remote<MarkingApi> | null = null;

  async alike(given: readonly Gathered[]): Promise<readonly Alike[]> {
    if (given.length < MANY) return gatherAlike(given);
    this.api ??= wrap<MarkingApi>(makeMarkingWorker());
    return await this.api.gather(given);
  }
}
