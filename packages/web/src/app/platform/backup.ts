import { Injectable } from '@angular/core';
import type { Asset, Family, Workspace } from '@lorvet/core';
import { type Remote, wrap } from 'comlink';
import type { AdjustmentsReading, BackupApi, BackupReading, FamilyReading } from './workers/backup.worker';
import { makeBackupWorker } from './workers/make-worker';

/** Backups, families and adjustments out and in, made off the main thread. */
@Injectable({ providedIn: 'root' })
export class Backup {
  write(workspace: Workspace, at: string): Promise<Blob> {
    return this.zip((api) => api.write(workspace, at));
  }

  read(file: Blob): Promise<BackupReading> {
    return this.from(file, async (api, bytes): Promise<BackupReading> => await api.read(bytes));
  }

  writeFamily(family: Family, assets: Readonly<Record<string, Asset>>, at: string): Promise<Blob> {
    return this.zip((api) => api.writeFamily(family, assets, at));
  }

  readFamily(file: Blob, id: string): Promise<FamilyReading> {
    return this.from(file, async (api, bytes): Promise<FamilyReading> => await api.readFamily(bytes, id));
  }

  writeAdjustments(
    family: Family,
    versionId: string,
    assets: Readonly<Record<string, Asset>>,
    at: string,
  ): Promise<Blob> {
    return this.zip((api) => api.writeAdjustments(family, versionId, assets, at));
  }

  readAdjustments(file: Blob): Promise<AdjustmentsReading> {
    return this.from(file, async (api, bytes): Promise<AdjustmentsReading> => await api.readAdjustments(bytes));
  }

  private async zip(make: (api: Remote<BackupApi>) => Promise<Uint8Array>): Promise<Blob> {
    return new Blob([(await this.withWorker(make)) as BlobPart], { type: 'application/zip' });
  }

  private async from<T>(file: Blob, read: (api: Remote<BackupApi>, bytes: Uint8Array) => Promise<T>): Promise<T> {
    const bytes = new Uint8Array(await file.arrayBuffer());
    return await this.withWorker((api) => read(api, bytes));
  }

  private async withWorker<T>(work: (api: Remote<BackupApi>) => Promise<T>): Promise<T> {
    const worker = makeBackupWorker();
    try {
      return await work(wrap<BackupApi>(worker));
    } finally {
      worker.terminate();
    }
  }
}
