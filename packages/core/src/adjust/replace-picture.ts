import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import type { Block } from '../activity/blocks';
import { assetIdSchema } from '../activity/parts';
import {
  accommodation,
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  ask,
  lostTarget,
  missed,
  nothing,
  snippet,
  untouched,
  replacing,
} from './adjustment';

const shownSchema = z.object({ assetId: assetIdSchema, alt: z.string().max(2000) });
const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('replace-picture'),
  target: idSchema,
  was: shownSchema,
  now: shownSchema,
});
export type ReplacePicture = z.infer<typeof schema>;

export const pictureIn = (b: Block | undefined): z.infer<typeof shownSchema> | null =>
  b?.kind === 'picture' ? { assetId: b.assetId, alt: b.alt } : null;

export const replacePicture: AdjustmentKind<ReplacePicture> = {
  kind: 'replace-picture',
  label: 'Other picture',
  done: 'other picture',
  category: 'presentation',
  schema,
  inPlace: true,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    const block = sheet.block(a.target);
    if (block?.kind !== 'picture') return missed(a.target, 'The picture is no longer there.');
    if (block.assetId === a.now.assetId && block.alt === a.now.alt) return nothing;
    return replacing(block, { ...block, ...a.now });
  },
  describe: (a, basis) =>
    findBlock(basis, a.target)
      ? `Another picture stands in place of “${snippet(a.was.alt)}”: “${snippet(a.now.alt)}”.`
      : 'Another picture for one that the basis no longer has.',
  judge: () => accommodation('Another picture; no question on its page was found to be about it.'),
  review(a, sheet) {
    const now = pictureIn(sheet.basisBlock(a.target));
    if (!now) return lostTarget(a.target, 'The picture it replaced is gone.', a.was.alt, a.now.alt);
    if (now.assetId === a.was.assetId) return untouched;
    if (now.assetId === a.now.assetId)
      return { outcome: 'carried', target: a.target, why: 'The basis now shows the same picture.', result: null };
    return ask({
      target: a.target,
      field: 'picture',
      why: 'The basis shows another picture now.',
      old: a.was.alt,
      master: now.alt,
      version: a.now.alt,
      keep: { ...a, was: now },
    });
  },
};
