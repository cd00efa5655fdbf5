import { Injectable } from '@angular/core';
import type { Asset, Family, Workspace } from '@lorvet/core';
import { wrap } from 'comlink';
import type { BackupApi, BackupReading, FamilyReading } from './workers/backup.worker';
import { makeBackupWorker } from './workers/make-worker';

/** Backups and families out and in, made off the main thread. */
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

  async writeFamily(family: Family, assets: Readonly<Record<string, Asset>>, at: string): Promise<Blob> {
    const bytes = await this.withWorker((api) => api.writeFamily(family, assets, at));
    return new Blob([bytes as BlobPart], { type: 'application/zip' });
  }

  async readFamily(file: Blob, id: string): Promise<FamilyReading> {
    const bytes = new Uint8Array(await file.arrayBuffer());
    return await this.withWorker(async (api): Promise<FamilyReading> => await api.readFamily(bytes, id));
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
