import { z } from '../zod';
import { settingsSchema } from '../activity/activity';
import { accommodation, adjustmentBase, type AdjustmentKind, untouched } from './adjustment';
import { setting } from './setting';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('larger-print'),
  print: settingsSchema.shape.print.unwrap(),
});
export type LargerPrint = z.infer<typeof schema>;

const FONTS = { '': '', hyperlegible: 'plain letters', lexend: 'wide letters', serif: 'book letters' };

function says({ print: p }: LargerPrint): string {
  const parts = [
    p.size > 1 ? `letters ${Math.round((p.size - 1) * 100)} % larger` : '',
    p.spacing > 1 ? `lines ${Math.round((p.spacing - 1) * 100)} % further apart` : '',
    FONTS[p.font],
    p.colours ? `on ${p.colours}` : '',
  ].filter(Boolean);
  return parts.length ? `Everything is shown with ${parts.join(', ')}.` : 'The print is as usual.';
}

export const largerPrint: AdjustmentKind<LargerPrint> = {
  kind: 'larger-print',
  label: 'Larger print and colours',
  done: 'print',
  category: 'presentation',
  schema,
  targets: () => [],
  apply: (a, sheet) => setting(sheet, { print: a.print }),
  describe: says,
  judge: () => accommodation('The same words, easier to see.'),
  review: () => untouched,
};
