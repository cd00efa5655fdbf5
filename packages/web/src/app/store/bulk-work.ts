import { inject, Injectable, signal } from '@angular/core';
import { Problem } from '@lorvet/core';
import { proxy, type Remote } from 'comlink';
import { Clock } from '../platform/clock';
import type { Bulk, BackupChecked, Usage } from '../platform/storage/bulk';
import type { Generation } from '../platform/storage/generation';
import type { KeepingApi } from '../platform/workers/keeping.worker';
import { makeKeepingWorker } from '../platform/workers/make-worker';
import type { Refused } from '../platform/workers/refused';
import { Task } from '../platform/workers/task';
import { Exchanging } from './exchanging';
import { KeepingSync } from './keeping-sync';
import { Recording } from './recording';

type Api = Remote<KeepingApi> | Bulk;

/** A file was refused, in words. */
export class RefusedFile extends Error {
  constructor(readonly refused: Refused) {
    super(refused.message);
  }
}

/** Long work on all that is kept, with how far it is; one at a time, and it can be stopped. */
@Injectable({ providedIn: 'root' })
export class BulkWork {
  private readonly sync = inject(KeepingSync);
  private readonly exchanging = inject(Exchanging);
  private readonly clock = inject(Clock);
  private readonly recording = inject(Recording);
  private task: Task<KeepingApi> | null = null;
  readonly busy = signal<{ readonly what: string; readonly done: number; readonly of: number } | null>(null);

  stop(): void {
    this.task?.stop();
  }

  async backup(): Promise<Blob> {
    await this.sync.flush();
    await this.recording.flush();
    return await this.run('Writing the backup', (api, p) => api.writeBackup(this.generation(), this.clock.iso(), p));
  }

  async check(file: Blob): Promise<BackupChecked> {
    return taken(
      await this.run(
        'Reading the file',
        async (api, p): Promise<BackupChecked | Refused> => await api.checkBackup(file, p),
      ),
    );
  }

  /** The backup in place of what is here; where it fails or is stopped, all is as it was. */
  async restore(file: Blob): Promise<void> {
    await this.exchanging.with(async (generation: Generation) => {
      taken(
        await this.run(
          'Restoring the backup',
          async (api, p): Promise<{ ok: true } | Refused> => await api.fillFromBackup(file, generation.id, p),
        ),
      );
    }, 'restore the backup');
    this.recording.note('restored', 'restore a backup');
  }

  async firstFormatBackup(): Promise<Blob> {
    return await this.run('Writing the backup', (api) => api.writeFirst(this.clock.iso()));
  }

  async bringUp(): Promise<void> {
    await this.exchanging.with(async (generation: Generation) => {
      taken(
        await this.run(
          'Bringing up what is kept',
          async (api, p): Promise<{ ok: true } | Refused> => await api.fillFromFirst(generation.id, p),
        ),
      );
    }, 'bring up');
  }

  async usage(): Promise<Usage> {
    await this.sync.flush();
    return await this.run('Looking through all that is kept', (api, p) => api.usage(this.generation(), p));
  }

  private generation(): string {
    return this.sync.generation() ?? '';
  }

  /** For unit tests, where no worker runs: the same work on the same thread. */
  protected here(): Bulk | null {
    return null;
  }

  private async run<T>(
    what: string,
    work: (api: Api, progress: (done: number, of: number) => void) => Promise<T>,
  ): Promise<T> {
    this.busy.set({ what, done: 0, of: 0 });
    let said = 0;
    let over = false;
    const progress = (done: number, of: number) => {
      // Told often enough to be seen, and no more often; what comes after the result comes too late.
      if (over || (done < of && performance.now() - said < 60)) return;
      said = performance.now();
      this.busy.set({ what, done, of });
    };
    try {
      const here = this.here();
      if (here) return await work(here, progress).catch(asRefused);
      this.task = new Task<KeepingApi>(makeKeepingWorker);
      return await this.task.run((api) => work(api, proxy(progress)));
    } finally {
      over = true;
      this.task = null;
      this.busy.set(null);
    }
  }
}

/** What a worker gives back as a refusal is thrown where there is none. */
function asRefused(error: unknown): never {
  if (error instanceof Problem) throw new RefusedFile({ ok: false, message: error.message, details: error.details });
  throw error;
}

function taken<T extends { readonly ok: true }>(result: T | Refused): T {
  if (!result.ok) throw new RefusedFile(result);
  return result;
}
