/*
 * What the desk and the storage need, and nothing of what only a teacher does: no adjustments, no recipes, no measures.
 * The desk's part of the application imports from here alone, so that nothing else is fetched with it.
 */
export * from './activity/activity';
export * from './activity/block';
export * from './activity/blocks';
export { gapParts, type GapPart, type Gap } from './activity/blocks/gaps';
export { safeAddress } from './activity/blocks/link';
export { stepPressed, stepsTicked, weeksTicked } from './activity/blocks/steps';
export { type Board, NO_COUNTERS, type PiecePlace, placesOfBoard } from './activity/blocks/pieces';
export * from './activity/family';
export * from './activity/geometry';
export * from './activity/limits';
export { type CountedPage, questionNumbers } from './activity/numbering';
export * from './activity/parts';
export * from './activity/swatch';
export { CannotRecord } from './adjust/cannot-record';
export { type Album } from './assign/album';
export * from './assign/hand-out';
export { learnerPackage, type LearnerPackage, learnerPackageSchema, packageOf } from './assign/learner-package';
export {
  type Flaps,
  flapsOf,
  type LearnerSheet,
  learnerSheet,
  learnerSheetSchema,
  pagesFor,
  type SheetPage,
} from './assign/learner-sheet';
export * from './assign/one-by-one';
export {
  NOTHING_SAID,
  type Said,
  saidAt,
  type Slip,
  type Slipped,
  type SlippedCompanion,
  slipped,
  slipSchema,
} from './assign/slip';
export * from './collections';
export { counted } from './counted';
export { ANSWERS_FORMAT, mediaOfCopy, readAnswers, writeAnswers } from './formats/answers';
export { placesOf, Problem } from './formats/problem';
export { type Aside, asideSchema } from './keep/aside';
export * from './keep/head-parts';
export * from './keep/index-parts';
export { merge3, mergeCopies, type Merged } from './keep/merge';
export * from './keep/packed-ids';
export { mended, type Repaired } from './keep/repair';
export * from './keep/work-changes';
export * from './kept';
export * from './learners/comfort';
export { contrastOf, deskColours, held, LEAST_CONTRAST } from './learners/contrast';
export { type Accepted } from './work/accepted';
export { type GivenLevel, type Rubric } from './work/given-level';
export * from './work/answer';
export * from './work/copy';
export { withLifted } from './work/lifted';
export { formulaSource, type Shape, shaped } from './work/formula';
export { besideOf, type Overtaken, recorded, takenIn, type Written } from './work/journal';
export { z } from './zod';
