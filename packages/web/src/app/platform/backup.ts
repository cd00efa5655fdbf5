import { Injectable } from '@angular/core';
import type { Workspace } from '@lorvet/core';
import { wrap } from 'comlink';
import type { BackupApi, BackupReading } from './workers/backup.worker';
import { makeBackupWorker } from './workers/make-worker';

/** Backups out and in, made off the main thread. */
@Injectable({ providedIn: 'root' })
export class Backup {
  async write(workspace: Workspace, at: string): Promise<Blob> {
    const bytes = await this.withWorker((api) => api.write(workspace, at));
    return new Blob([bytes as BlobPart], { type: 'application/zip' });
  }

  async read(file: Blob): Promise<BackupReading> {
    const bytes = new Uint8Array(await file.arrayBuffer());
    return await this.withWorker(async (api): Promise<BackupReading> => await api.read(bytes));
  }

  private async withWorker<T>(work: (api: ReturnType<typeof wrap<BackupApi>>) => Promise<T>): Promise<T> {
    const worker = makeBackupWorker();
    try {
      return await work(wrap<BackupApi>(worker));
    } finally {
      worker.terminate();
    }
  }
}
