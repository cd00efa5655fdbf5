// What the desk and the storage need besides all else: without what a teacher does with it.
export * from './desk';
export * from './activity/family-schema';
export { plainTextOf } from './activity/plain-text';
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
export { type Stamp } from './adjust/drafted';
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
export { placesInOrder } from './assign/album-of';
export { type Band, bandsOf, type Recipients, recipientsOf } from './assign/recipients';
export { type Again, again, type SeriesStep, seriesOf } from './assign/after/again';
export * from './assign/after/another';
export { changedAfter, lastDone, seenBy, undone } from './assign/after/history';
export { type Beside, type Finding as PlanFinding, type Mend } from './assign/check/finding';
export * from './assign/dates';
export { type Finding, lookOver } from './assign/look-over';
export { contentOn, freeze, freezeFor } from './assign/held/freeze';
export type { Decided, HeldRecord } from './assign/held/decided';
export { keysFor } from './assign/learner-sheet';
export { companionsFor } from './assign/slip';
export { activityBeside, withActivities } from './assign/companions';
export * from './assign/teams';
export * from './assign/ways';
export { duesOf, giveLate, giveOut, joinedSince } from './assign/give-out';
export { inRule, linesNow, withRule } from './assign/rules';
export { FLAP_AFTER } from './adjust/flap';
export * from './adjust/drafts';
export { proposeWrong } from './adjust/propose-wrong';
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
export { wholePageId } from './derive/divide';
export { type ComparePage, type CompareRow, compareVersions } from './derive/compare';
export * from './derive/derive';
export { type BackupPart, BackupWriter, isItself, openBackup, readBackup, writeBackup } from './formats/backup';
export { migrateRecord, migrateWorkspace, type RawCollections } from './formats/migrations';
export { base64, fromBase64 } from './formats/base64';
export { type AdjustmentFile, readAdjustments, writeAdjustments } from './formats/adjustment-file';
export { namesPassedOn, readFamily, unsoundIn, writeFamily } from './formats/family-file';
export { calledNames, namesIn } from './learners/names';
export { emptyFolder, type Folder, MOST_REVIEWS } from './evidence/folder';
export * from './learners/audience';
export * from './learners/days';
export * from './learners/learner';
export * from './learners/grouping';
export * from './learners/levels';
export * from './learners/people';
export { ROSTER_ID, type RosterReading } from './learners/roster-reading';
export * from './learners/supports';
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
export { nameForSupports, rulesForSupports } from './assign/begin-version';
export { LANGUAGES, LANGUAGE_LABELS, type Language, languageSchema } from './activity/language';
export { SKILLS, type Skill } from './activity/skill';
export { proposeProtects, SKILL_LABELS } from './verdict/skills';
export { type Classified, classify, counts, type Verdict as AdjustmentVerdict } from './verdict/classify';
export { isHard } from './measure/hard';
export { sentencesIn, wordsIn } from './measure/words';
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
export * from './work/phrase';
export { saidOf, type SaidToGo } from './work/said';
export { plainWords } from './work/plain-words';
export {
  appended,
  type Checked,
  checkedChronicle,
  checkedInSteps,
  type ChronicleEnd,
  type ChroniclePage,
  type Doing,
  DOINGS,
  type Done as DoneOnce,
  type Entry,
  MOST_NAMED,
  pageId,
} from './keep/chronicle';
export * from './keep/heads';
export * from './keep/index-changes';
export * from './keep/removed';
export { mendedFamily, repaired } from './keep/repair-records';
export * from './workspace';
