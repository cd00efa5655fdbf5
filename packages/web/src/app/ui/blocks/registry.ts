import type { Type } from '@angular/core';
import type { LearnerBlock } from '@lorvet/core/desk';
import { AudioDesk } from './audio/desk';
import { ContentsDesk } from './contents/desk';
import { DailyNoteDesk } from './daily-note/desk';
import { DividerDesk } from './divider/desk';
import { DocumentDesk } from './document/desk';
import { DrawingDesk } from './drawing/desk';
import { FamilyNoteDesk } from './family-note/desk';
import { GapsDesk } from './gaps/desk';
import { HeadingDesk } from './heading/desk';
import { InstructionDesk } from './instruction/desk';
import { LabelsDesk } from './labels/desk';
import { LinkDesk } from './link/desk';
import { LongTextDesk } from './long-text/desk';
import { MatchingDesk } from './matching/desk';
import { MultipleChoiceDesk } from './multiple-choice/desk';
import { NotesDesk } from './notes/desk';
import { NumberDesk } from './number/desk';
import { OrderingDesk } from './ordering/desk';
import { PaperDesk } from './paper/desk';
import { PassageDesk } from './passage/desk';
import { PhotoDesk } from './photo/desk';
import { PictureDesk } from './picture/desk';
import { PictureWritingDesk } from './picture-writing/desk';
import { PiecesDesk } from './pieces/desk';
import { ShortTextDesk } from './short-text/desk';
import { SingleChoiceDesk } from './single-choice/desk';
import { SortingDesk } from './sorting/desk';
import { SpotsDesk } from './spots/desk';
import { StepsDesk } from './steps/desk';
import { TableDesk } from './table/desk';
import { TableFillDesk } from './table-fill/desk';
import { TextDesk } from './text/desk';
import { VideoDesk } from './video/desk';
import { VocabularyDesk } from './vocabulary/desk';
import { VoiceDesk } from './voice/desk';
import { WordBankDesk } from './word-bank/desk';
import { WorkedExampleDesk } from './worked-example/desk';

/** The learner's form of every kind a learner can receive. A kind without one does not compile. */
export const DESK_PARTS: { readonly [K in LearnerBlock['kind']]: Type<unknown> } = {
  heading: HeadingDesk,
  text: TextDesk,
  instruction: InstructionDesk,
  passage: PassageDesk,
  picture: PictureDesk,
  table: TableDesk,
  audio: AudioDesk,
  video: VideoDesk,
  link: LinkDesk,
  document: DocumentDesk,
  vocabulary: VocabularyDesk,
  'word-bank': WordBankDesk,
  'worked-example': WorkedExampleDesk,
  divider: DividerDesk,
  contents: ContentsDesk,
  'daily-note': DailyNoteDesk,
  'family-note': FamilyNoteDesk,
  'single-choice': SingleChoiceDesk,
  'multiple-choice': MultipleChoiceDesk,
  'short-text': ShortTextDesk,
  'long-text': LongTextDesk,
  number: NumberDesk,
  gaps: GapsDesk,
  matching: MatchingDesk,
  sorting: SortingDesk,
  ordering: OrderingDesk,
  pieces: PiecesDesk,
  labels: LabelsDesk,
  spots: SpotsDesk,
  drawing: DrawingDesk,
  'picture-writing': PictureWritingDesk,
  'table-fill': TableFillDesk,
  steps: StepsDesk,
  photo: PhotoDesk,
  voice: VoiceDesk,
  paper: PaperDesk,
  notes: NotesDesk,
};
