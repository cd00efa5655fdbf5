import type { Type } from '@angular/core';
import type { BlockKindName } from '@lorvet/core';
import { AudioEditor } from './audio/editor';
import { ContentsEditor } from './contents/editor';
import { DailyNoteEditor } from './daily-note/editor';
import { DocumentEditor } from './document/editor';
import { DrawingEditor } from './drawing/editor';
import { FamilyNoteEditor } from './family-note/editor';
import { GapsEditor } from './gaps/editor';
import { InstructionEditor } from './instruction/editor';
import { LabelsEditor } from './labels/editor';
import { LinkEditor } from './link/editor';
import { MatchingEditor } from './matching/editor';
import { OrderingEditor } from './ordering/editor';
import { PaperEditor } from './paper/editor';
import { PassageEditor } from './passage/editor';
import { PhotoEditor } from './photo/editor';
import { PictureWritingEditor } from './picture-writing/editor';
import { PiecesEditor } from './pieces/editor';
import { SortingEditor } from './sorting/editor';
import { SpotsEditor } from './spots/editor';
import { StepsEditor } from './steps/editor';
import { TableEditor } from './table/editor';
import { TableFillEditor } from './table-fill/editor';
import { VideoEditor } from './video/editor';
import { VocabularyEditor } from './vocabulary/editor';
import { VoiceEditor } from './voice/editor';
import { WorkedExampleEditor } from './worked-example/editor';

/** Kinds whose words are all there is to write, or that the Bench writes in its own frame. */
type Plain =
  | 'heading'
  | 'text'
  | 'picture'
  | 'word-bank'
  | 'teacher-note'
  | 'divider'
  | 'single-choice'
  | 'multiple-choice'
  | 'short-text'
  | 'long-text'
  | 'number'
  | 'notes';

/** The editor of every other kind: what a block holds besides its question. A kind without one does not compile. */
export const EDITOR_PARTS: { readonly [K in Exclude<BlockKindName, Plain>]: Type<unknown> } = {
  passage: PassageEditor,
  table: TableEditor,
  audio: AudioEditor,
  video: VideoEditor,
  instruction: InstructionEditor,
  link: LinkEditor,
  document: DocumentEditor,
  vocabulary: VocabularyEditor,
  'worked-example': WorkedExampleEditor,
  contents: ContentsEditor,
  'daily-note': DailyNoteEditor,
  'family-note': FamilyNoteEditor,
  gaps: GapsEditor,
  matching: MatchingEditor,
  sorting: SortingEditor,
  ordering: OrderingEditor,
  pieces: PiecesEditor,
  labels: LabelsEditor,
  spots: SpotsEditor,
  drawing: DrawingEditor,
  'picture-writing': PictureWritingEditor,
  'table-fill': TableFillEditor,
  steps: StepsEditor,
  photo: PhotoEditor,
  voice: VoiceEditor,
  paper: PaperEditor,
};
