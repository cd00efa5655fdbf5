import { z } from '../zod';
import { settingsSchema } from '../activity/activity';
import { accommodation, adjustmentBase, type AdjustmentKind, untouched } from './adjustment';
import { setting } from './setting';
import { counted } from '../counted';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('extra-time'),
  ...settingsSchema.shape.extraTime.unwrap().shape,
});
export type ExtraTime = z.infer<typeof schema>;

function says(a: ExtraTime): string {
  const parts = [
    a.percent ? `${a.percent} % more time` : '',
    a.days ? counted(a.days, '{n} day more until it is due', '{n} days more until it is due') : '',
  ].filter(Boolean);
  return parts.length ? `There is ${parts.join(' and ')}.` : 'The time is as usual.';
}

export const extraTime: AdjustmentKind<ExtraTime> = {
  kind: 'extra-time',
  label: 'Extra time',
  done: 'extra time',
  category: 'timing',
  schema,
  targets: () => [],
  apply: (a, sheet) => setting(sheet, { extraTime: { percent: a.percent, days: a.days } }),
  describe: says,
  judge: () => accommodation('The same work with more time.'),
  review: () => untouched,
};
