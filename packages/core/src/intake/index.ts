export type { BadLine } from '../formats/class-list';
export * from './accept';
export * from './answer-sheet';
export { type FoundPicture, readHtml } from './html';
export { type DrawnShape, type LaidOutPage, readLaidOut, type TextItem } from './lines';
export type { Proposal } from './item-of';
export type { Material, MaterialPage, Part } from './material';
export { propose, setApart, type Proposed, type ProposedPage } from './propose';
export * from './question-list';
export { wordFile } from '../formats/zip';
export {
  type QtiReading,
  readQtiPackage,
  writeQtiPackage,
  type PictureFile,
  type QtiWriting,
} from '../formats/qti/package';
