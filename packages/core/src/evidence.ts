// Evidence: what was adjusted for a learner, and as documents. With what marks and what measures.
export * from './evidence/evidence';
export {
  Gathering,
  type DayOf,
  type DoneWork,
  evidenceOf,
  type Gathered,
  type GivenWork,
  type Period,
  reachedIn,
} from './evidence/gather';
export { type Unnamed, unnaming, withoutNames } from './evidence/without-names';
export { type DocumentPart, type PrintedDocument } from './formats/evidence/document';
export { dossier, type DossierOptions, goSaid, periodSaid, type Privacy, summary } from './formats/evidence/dossier';
export { evidenceCsv, evidenceLines } from './formats/evidence/evidence-csv';
export { type Dismissed } from './evidence/dismissed';
export {
  emptyFolder,
  type Folder,
  type FolderNote,
  LONGEST_FOLDER_NOTE,
  MOST_FOLDER_NOTES,
  type HeldReview,
  MOST_REVIEWS,
  type Review,
  noteKey,
  pieceKey,
  withFolder,
} from './evidence/folder';
export { reportLanguage } from './formats/report/report-words';
export { filesAsZip } from './formats/files-as-zip';
export { chronicleCsv } from './formats/evidence/chronicle-csv';
export { beginReview, cardAfter, reviewChanges, reviewOf } from './evidence/review';
export { overview } from './formats/evidence/overview';
export {
  type BlockWay,
  type HadIt,
  wayOf,
  type WayGiven,
  type WayHandOut,
  type WayStep,
  type WayVersion,
} from './lineage/way';
export { ifChanged, type WouldBe, type WouldFollow } from './lineage/if-changed';
// What following reads of activities and hand-outs.
export type { Content } from './activity/activity';
export { assetsHeld, assetsOfFamily } from './bank/assets';
export { derive } from './derive/derive';
export { wordsOf } from './activity/blocks';
export { latest } from './activity/family';
export { frozenIdsOf } from './assign/hand-out';
