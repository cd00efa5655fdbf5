import type { Type } from '@angular/core';
import type { LearnerBlock } from '@lorvet/core';
import { HeadingDesk } from './heading/desk';
import { InstructionDesk } from './instruction/desk';
import { LongTextDesk } from './long-text/desk';
import { MultipleChoiceDesk } from './multiple-choice/desk';
import { NumberDesk } from './number/desk';
import { PictureDesk } from './picture/desk';
import { ShortTextDesk } from './short-text/desk';
import { SingleChoiceDesk } from './single-choice/desk';
import { TextDesk } from './text/desk';
import { WordBankDesk } from './word-bank/desk';

/** The learner's form of every kind a learner can receive. A kind without one does not compile. */
export const DESK_PARTS: { readonly [K in LearnerBlock['kind']]: Type<unknown> } = {
  heading: HeadingDesk,
  text: TextDesk,
  instruction: InstructionDesk,
  picture: PictureDesk,
  'word-bank': WordBankDesk,
  'single-choice': SingleChoiceDesk,
  'multiple-choice': MultipleChoiceDesk,
  'short-text': ShortTextDesk,
  'long-text': LongTextDesk,
  number: NumberDesk,
};
