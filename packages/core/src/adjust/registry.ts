import { z } from 'zod';
import type { Id } from '../activity/block';
import type { AdjustmentKind } from './adjustment';
import { fewerChoices } from './fewer-choices';
import { hint } from './hint';
import { insertBlock } from './insert-block';
import { keepPages } from './keep-pages';
import { leaveOut } from './leave-out';
import { personalFields } from './personal-fields';
import { reword } from './reword';
import { wordBank } from './word-bank';

/** Every kind of adjustment, by name. */
export const adjustmentKinds = {
  'leave-out': leaveOut,
  'keep-pages': keepPages,
  reword,
  'fewer-choices': fewerChoices,
  'word-bank': wordBank,
  hint,
  'insert-block': insertBlock,
  'personal-fields': personalFields,
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
