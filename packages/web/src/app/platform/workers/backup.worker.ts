import { Problem, readBackup, type Workspace, writeBackup } from '@lorvet/core';
import { expose, transfer } from 'comlink';

export type BackupReading =
  | { readonly ok: true; readonly workspace: Workspace; readonly at: string }
  | { readonly ok: false; readonly message: string; readonly details: readonly string[] };

const api = {
  write(workspace: Workspace, at: string): Uint8Array {
    const bytes = writeBackup(workspace, at);
    return transfer(bytes, [bytes.buffer]);
  },
  /** A problem is returned, not thrown: a class does not survive the way between threads. */
  read(bytes: Uint8Array): BackupReading {
    try {
      return { ok: true, ...readBackup(bytes) };
    } catch (error) {
      if (error instanceof Problem) return { ok: false, message: error.message, details: error.details };
      return { ok: false, message: 'The file could not be read. Nothing was changed.', details: [] };
    }
  },
};

export type BackupApi = typeof api;
expose(api);
