/** The one place where the workers' files are named, so that tests can put a stand-in in their place. */
export const makePackWorker = (): Worker => new Worker(new URL('./pack.worker', import.meta.url), { type: 'module' });
export const makeKeepingWorker = (): Worker =>
  new Worker(new URL('./keeping.worker', import.meta.url), { type: 'module' });
export const makeIntakeWorker = (): Worker =>
  new Worker(new URL('./intake.worker', import.meta.url), { type: 'module' });
export const makeGroupingWorker = (): Worker =>
  new Worker(new URL('./grouping.worker', import.meta.url), { type: 'module' });
export const makePlanWorker = (): Worker => new Worker(new URL('./plan.worker', import.meta.url), { type: 'module' });
export const makeRosterWorker = (): Worker =>
  new Worker(new URL('./roster.worker', import.meta.url), { type: 'module' });
export const makeSearchWorker = (): Worker =>
  new Worker(new URL('./search.worker', import.meta.url), { type: 'module' });
export const makeWordsWorker = (): Worker => new Worker(new URL('./words.worker', import.meta.url), { type: 'module' });
export const makeMarkingWorker = (): Worker =>
  new Worker(new URL('./marking.worker', import.meta.url), { type: 'module' });
export const makeReportWorker = (): Worker =>
  new Worker(new URL('./report.worker', import.meta.url), { type: 'module' });
export const makeEvidenceWorker = (): Worker =>
  new Worker(new URL('./evidence.worker', import.meta.url), { type: 'module' });
export const makeDocxWorker = (): Worker => new Worker(new URL('./docx.worker', import.meta.url), { type: 'module' });
export const makeHelpsWorker = (): Worker => new Worker(new URL('./helps.worker', import.meta.url), { type: 'module' });
