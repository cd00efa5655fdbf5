/** The one place where the worker's file is named, so that tests can put a stand-in in its place. */
export const makeBackupWorker = (): Worker =>
  new Worker(new URL('./backup.worker', import.meta.url), { type: 'module' });
