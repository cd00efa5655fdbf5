// Marking: with a list of words and the units, which are large.
export { liftedBefore } from './work/lifted';
export { markItem, marksToRelease, markThatCounts } from './work/mark/mark-item';
