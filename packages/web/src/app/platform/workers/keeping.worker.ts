import { expose } from 'comlink';
import { LocalForageBoxes } from '../storage/localforage-boxes';
import { learnAllRules } from '../storage/all-rules';
import { Bulk, type Progress } from '../storage/bulk';
import { refusedOr } from './refused';

learnAllRules();
const bulk = new Bulk(new LocalForageBoxes());

const api = {
  writeBackup: (generation: string, at: string, progress: Progress) => bulk.writeBackup(generation, at, progress),
  checkBackup: (file: Blob, progress: Progress) => refusedOr(() => bulk.checkBackup(file, progress)),
  fillFromBackup: (file: Blob, generation: string, progress: Progress) =>
    refusedOr(() => bulk.fillFromBackup(file, generation, progress)),
  writeFirst: (at: string) => bulk.writeFirst(at),
  fillFromFirst: (generation: string, progress: Progress) => refusedOr(() => bulk.fillFromFirst(generation, progress)),
  usage: (generation: string, progress: Progress) => bulk.usage(generation, progress),
};

export type KeepingApi = typeof api;
expose(api);
