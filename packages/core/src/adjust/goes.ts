import { z } from '../zod';
import { accommodation, adjustmentBase, type AdjustmentKind, untouched } from './adjustment';
import { setting } from './setting';
import { counted } from '../counted';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('goes'),
  most: z.number().int().min(1).max(20),
});
export type Goes = z.infer<typeof schema>;

export const goes: AdjustmentKind<Goes> = {
  kind: 'goes',
  label: 'Number of goes',
  done: 'goes',
  category: 'timing',
  schema,
  targets: () => [],
  apply: (a, sheet) => setting(sheet, { goes: a.most }),
  describe: (a) => counted(a.most, 'There is one go.', 'There are up to {n} goes.'),
  judge: () => accommodation('The same work with another number of goes.'),
  review: () => untouched,
};
