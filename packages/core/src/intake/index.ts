export type { BadLine } from '../formats/csv-lines';
export * from './accept';
export * from './answer-sheet';
export { type FoundPicture, readHtml } from './html';
export { withShortLines } from './markdown';
export { readLaidOut } from './lines';
export type { DrawnShape, LaidOutPage, TextItem } from './text-lines';
export { isKeyed, type Proposal } from './item-of';
export type { Material, MaterialPage, Part } from './material';
export type { Decision } from './apart';
export { propose, type Proposed, type ProposedPage } from './propose';
export * from './question-list';
export { PAGE_BREAK_STYLE, wordFile, type WordFile } from '../formats/word';
export {
  type QtiReading,
  readQtiPackage,
  writeQtiPackage,
  type PictureFile,
  type QtiWriting,
} from '../formats/qti/package';
