import { z } from '../zod';
import type { Id } from '../activity/block';
import type { AdjustmentKind } from './adjustment';
import { byInterest } from './by-interest';
import { chooseItemsKind } from './choose-items';
import { chunk } from './chunk';
import { extensionItem } from './extension-item';
import { extraTime } from './extra-time';
import { fewerChoices } from './fewer-choices';
import { flap } from './flap';
import { fromActivity } from './from-activity';
import { glossary } from './glossary';
import { goes } from './goes';
import { hint } from './hint';
import { insertBlock } from './insert-block';
import { insertPage } from './insert-page';
import { keepPages } from './keep-pages';
import { largerPrint } from './larger-print';
import { leaveOut } from './leave-out';
import { mixUp } from './mix-up';
import { move } from './move';
import { oneAtATime } from './one-at-a-time';
import { otherAnswer } from './other-answer';
import { otherNumbers } from './other-numbers';
import { personalFields } from './personal-fields';
import { recordedInstruction } from './recorded-instruction';
import { replacePicture } from './replace-picture';
import { reword } from './reword';
import { rewordInstructions } from './reword-instructions';
import { sentenceStarters } from './sentence-starters';
import { stepsToTick } from './steps-to-tick';
import { wordBank } from './word-bank';
import { workedExampleAdded } from './worked-example';

/** Every kind of adjustment, by name. One that lacks a part of `AdjustmentKind` does not compile. */
export const adjustmentKinds = {
  'leave-out': leaveOut,
  'keep-pages': keepPages,
  'choose-items': chooseItemsKind,
  'fewer-choices': fewerChoices,
  reword,
  'reword-instructions': rewordInstructions,
  'replace-picture': replacePicture,
  'other-numbers': otherNumbers,
  'other-answer': otherAnswer,
  'word-bank': wordBank,
  'sentence-starters': sentenceStarters,
  hint,
  'worked-example': workedExampleAdded,
  glossary,
  'steps-to-tick': stepsToTick,
  flap,
  'recorded-instruction': recordedInstruction,
  'extension-item': extensionItem,
  'insert-block': insertBlock,
  'insert-page': insertPage,
  'from-activity': fromActivity,
  move,
  chunk,
  'one-at-a-time': oneAtATime,
  'larger-print': largerPrint,
  'mix-up': mixUp,
  'personal-fields': personalFields,
  'by-interest': byInterest,
  'extra-time': extraTime,
  goes,
};

type Kinds = typeof adjustmentKinds;
export type AdjustmentKindName = keyof Kinds;
export type Adjustment = { [K in AdjustmentKindName]: z.infer<Kinds[K]['schema']> }[AdjustmentKindName];

type Option = z.core.$ZodTypeDiscriminable;
const schemas = Object.values(adjustmentKinds).map((k) => k.schema);
export const adjustmentSchema = z.discriminatedUnion(
  'kind',
  schemas as unknown as [Option, ...Option[]],
) as unknown as z.ZodType<Adjustment>;

// As with blocks: the one place where an adjustment meets its own kind.
export const kindOfAdjustment = (a: { kind: AdjustmentKindName; id: Id }): AdjustmentKind<Adjustment> =>
  adjustmentKinds[a.kind] as unknown as AdjustmentKind<Adjustment>;
