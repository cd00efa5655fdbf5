import {
  type AdjustmentFile,
  type Asset,
  type Family,
  Problem,
  readAdjustments,
  readBackup,
  readFamily,
  type Workspace,
  writeAdjustments,
  writeBackup,
  writeFamily,
} from '@lorvet/core';
import { expose, transfer } from 'comlink';

interface Refused {
  readonly ok: false;
  readonly message: string;
  readonly details: readonly string[];
}
export type BackupReading = { readonly ok: true; readonly workspace: Workspace; readonly at: string } | Refused;
export type FamilyReading = { readonly ok: true; readonly family: Family; readonly assets: readonly Asset[] } | Refused;
export type AdjustmentsReading =
  { readonly ok: true; readonly file: AdjustmentFile; readonly assets: readonly Asset[] } | Refused;

/** A problem is returned, not thrown: a class does not survive the way between threads. */
function refusedOr<T>(read: () => T): T | Refused {
  try {
    return read();
  } catch (error) {
    if (error instanceof Problem) return { ok: false, message: error.message, details: error.details };
    return { ok: false, message: 'The file could not be read. Nothing was changed.', details: [] };
  }
}

const api = {
  write(workspace: Workspace, at: string): Uint8Array {
    const bytes = writeBackup(workspace, at);
    return transfer(bytes, [bytes.buffer]);
  },
  read: (bytes: Uint8Array): BackupReading => refusedOr(() => ({ ok: true, ...readBackup(bytes) })),
  writeFamily(family: Family, assets: Readonly<Record<string, Asset>>, at: string): Uint8Array {
    const bytes = writeFamily(family, assets, at);
    return transfer(bytes, [bytes.buffer]);
  },
  /** `id` is the family's own here. */
  readFamily: (bytes: Uint8Array, id: string): FamilyReading =>
    refusedOr(() => ({ ok: true, ...readFamily(bytes, () => id) })),
  writeAdjustments(family: Family, versionId: string, assets: Readonly<Record<string, Asset>>, at: string): Uint8Array {
    const bytes = writeAdjustments(family, versionId, assets, at);
    return transfer(bytes, [bytes.buffer]);
  },
  readAdjustments: (bytes: Uint8Array): AdjustmentsReading =>
    refusedOr(() => ({ ok: true, ...readAdjustments(bytes) })),
};

export type BackupApi = typeof api;
expose(api);
