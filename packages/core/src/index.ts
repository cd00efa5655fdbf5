export * from './activity/activity';
export * from './activity/block';
export * from './activity/blocks';
export * from './activity/family';
export * from './activity/geometry';
export * from './activity/limits';
export { gapParts, type GapPart, type Gap } from './activity/blocks/gaps';
export { safeAddress } from './activity/blocks/link';
export { type Board, type PiecePlace, placesOfBoard } from './activity/blocks/pieces';
export * from './activity/parts';
export * from './activity/rich';
export { contentAddress, fingerprint } from './activity/fingerprint';
export {
  type Category,
  type Choice,
  inverseOf,
  type Judgement,
  type PersonalValues,
  type ReviewContext,
  snippet,
} from './adjust/adjustment';
export { choicesToLeaveOut } from './adjust/fewer-choices';
export { hasPersonalField, PERSONAL_FIELDS, personalFieldsIn } from './adjust/personal-fields';
export { CannotRecord, type Stamp } from './adjust/drafted';
export { fitAdjustments, type Fitting, type Unfit } from './adjust/fitting';
export { type InPlace, recordInPlace } from './adjust/record';
export { withoutAdjustment } from './adjust/without';
export { type Adjustment, adjustmentKinds, type AdjustmentKindName, kindOfAdjustment } from './adjust/registry';
export { type Edit, Sheet } from './adjust/sheet';
export { proposeHardWords } from './adjust/glossary';
export { pictureIn } from './adjust/replace-picture';
export { proposeWords } from './adjust/word-bank';
export { type AskedObjective, askedObjectives } from './bank/asked';
export { assetsHeld, assetsOfFamily, AssetUses, assetUses } from './bank/assets';
export * from './bank/bank';
export { type ObjectiveList, readCase, readObjectivesCsv } from './bank/objectives';
export {
  audienceOf,
  type Audience as HandOutAudience,
  type Band,
  bandsOf,
  classOf,
  type People,
} from './assign/audience';
export { type Check, coverage } from './assign/coverage';
export { type Finding, lookOver } from './assign/look-over';
export { freeze, freezeFor } from './assign/freeze';
export { giveOut } from './assign/give-out';
export * from './assign/hand-out';
export { learnerPackage, type LearnerPackage, learnerPackageSchema, packageOf } from './assign/learner-package';
export { type Flaps, flapsOf, type LearnerSheet, learnerSheet, learnerSheetSchema } from './assign/learner-sheet';
export { FLAP_AFTER } from './adjust/flap';
export { NOTHING_SAID, type Said, type Slip, type Slipped, slipped, slipSchema } from './assign/slip';
export { CLEARLY_BETTER, suggest, type Suggestion } from './assign/suggest';
export * from './assign/one-by-one';
export * from './adjust/drafts';
export { canMix } from './adjust/mixing';
export { canDraw } from './adjust/other-numbers';
export { takenPart, type TakenPlace, takenTogether } from './adjust/from-activity';
export { ANSWER_WAYS, type AnswerWay, turned, waysFor } from './adjust/turning';
export { type Given } from './activity/blocks/number';
export { valueOf } from './activity/formula';
export * from './chain/chain';
export * from './recipe/recipe';
export * from './recipe/rules';
export { SHIPPED_RECIPES } from './recipe/shipped';
export { type CountedPage, questionNumbers } from './activity/numbering';
export { wholePageId } from './derive/divide';
export { type ComparePage, type CompareRow, compareVersions } from './derive/compare';
export * from './derive/derive';
export {
  type Aside,
  asideSchema,
  type BackupPart,
  BackupWriter,
  isItself,
  openBackup,
  readBackup,
  writeBackup,
} from './formats/backup';
export { migrateRecord, migrateWorkspace, type RawCollections, WORKSPACE_FORMAT } from './formats/migrations';
export { base64, fromBase64 } from './formats/base64';
export { type AdjustmentFile, readAdjustments, writeAdjustments } from './formats/adjustment-file';
export { namesPassedOn, readFamily, unsoundIn, writeFamily } from './formats/family-file';
export * from './formats/class-list';
export { ANSWERS_FORMAT, readAnswers, writeAnswers } from './formats/answers';
export { placesOf, Problem } from './formats/problem';
export { z } from './zod';
export * from './learners/learner';
export { calledNames, namesIn } from './learners/names';
export { SUPPORTS, type Support } from './learners/supports';
export {
  alignedItems,
  learnersWith,
  type Holders,
  type Lineage,
  lineageOf,
  type Use,
  whereUsed,
  whereUsedInSteps,
} from './lineage/lineage';
export { type Classified, classify, counts, type Verdict as AdjustmentVerdict } from './measure/classify';
export { measure, measureFamily, measureInSteps, measurePages, type Measures } from './measure/measure';
export {
  type Formula,
  FORMULAS,
  type FormulaId,
  isHard,
  LEAST_WORDS,
  type Readability,
  readability,
  sentencesIn,
  wordsIn,
} from './measure/readability';
export { mergeText, type TextChange, textChanges, type TextMerge } from './upkeep/merge-text';
export {
  carryOver,
  type Decision,
  isLeft,
  leaveForLater,
  pendingUpkeep,
  resolveUpkeep,
  saveRevision,
  type Settler,
} from './upkeep/resolve';
export {
  groupsToDecide,
  type MasterChange,
  masterChanges,
  reviewOf,
  upkeep,
  type UpkeepEntry,
  type UpkeepReport,
  waits,
} from './upkeep/upkeep';
export * from './work/answer';
export * from './work/copy';
export { markItem, markThatCounts } from './work/mark-item';
export { plainWords } from './work/match-words';
export { readNumber } from './work/read-number';
export * from './keep/heads';
export * from './keep/index-changes';
export * from './keep/index-parts';
export * from './keep/packed-ids';
export { merge3, mergeCopies, type Merged } from './keep/merge';
export * from './keep/removed';
export { repaired, type Repaired } from './keep/repair';
export * from './workspace';
