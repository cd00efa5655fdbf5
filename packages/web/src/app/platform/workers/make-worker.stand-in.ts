/** For unit tests, where no worker can run. */
export const makeBackupWorker = (): Worker => {
  throw new Error('No worker runs in unit tests.');
};
