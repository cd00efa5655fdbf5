/** For unit tests, where no worker can run. */
const none = (): Worker => {
  throw new Error('No worker runs in unit tests.');
};
export const makePackWorker = none;
export const makeKeepingWorker = none;
export const makeIntakeWorker = none;
export const makeGroupingWorker = none;
export const makePlanWorker = none;
export const makeRosterWorker = none;
export const makeSearchWorker = none;
export const makeWordsWorker = none;
export const makeMarkingWorker = none;
export const makeReportWorker = none;
export const makeEvidenceWorker = none;
export const makeDocxWorker = none;
export const makeHelpsWorker = none;
