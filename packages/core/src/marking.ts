// Marking: with a list of words and the units, which are large.
export { pointsByLevels, readRubric, rubricLines, withLevel } from './work/rubric';
export { goOnPaper, sheetsOf, withoutPaperGo } from './work/on-paper';
export { liftedBefore } from './work/lifted';
export { accepting, mayAccept, withAccepted } from './work/mark/accepted';
export { type Alike, gatherAlike, type Gathered } from './work/mark/gather';
export { markItem, markThatCounts } from './work/mark/mark-item';
export { type Marked, markedOne, marksOf, marksToRelease, originsOf, type Total, totalOf } from './work/mark/marks-of';
