import { z } from '../zod';
import { accommodation, adjustmentBase, type AdjustmentKind, untouched } from './adjustment';
import { setting } from './setting';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('one-at-a-time'),
});
export type OneAtATime = z.infer<typeof schema>;

export const oneAtATime: AdjustmentKind<OneAtATime> = {
  kind: 'one-at-a-time',
  label: 'One at a time',
  done: 'one at a time',
  category: 'presentation',
  schema,
  targets: () => [],
  apply: (a, sheet) => setting(sheet, { oneAtATime: true }),
  describe: () => 'One question is on the page at a time.',
  judge: () => accommodation('The same questions, one after the other.'),
  review: () => untouched,
};
