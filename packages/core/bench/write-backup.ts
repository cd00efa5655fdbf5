import { closeSync, openSync, writeSync } from 'node:fs';
import { type Asset, BackupWriter, COLLECTIONS, type Workspace } from '../src/index';

/** Writes a workspace to a file as a backup, record by record. */
export function writeBackupTo(name: string, workspace: Workspace): void {
  const file = openSync(name, 'w');
  const writer = new BackupWriter('2026-11-24T09:00:00.000Z', (bytes) => writeSync(file, bytes));
  for (const c of COLLECTIONS)
    for (const record of Object.values(workspace[c]))
      if (c === 'assets') writer.addAsset(record as Asset);
      else writer.add(c, record);
  writer.end();
  closeSync(file);
}
