import { z } from '../zod';
import { idSchema } from '../activity/block';
import { accommodation, adjustmentBase, type AdjustmentKind, untouched } from './adjustment';
import { canMix } from './mixing';
import { setting } from './setting';
import { counted } from '../counted';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('mix-up'),
  targets: z.array(idSchema).min(1).max(500),
});
export type MixUp = z.infer<typeof schema>;

/** Pieces and choices come in another order for each learner and each go; the key follows, since it goes by ids. */
export const mixUp: AdjustmentKind<MixUp> = {
  kind: 'mix-up',
  label: 'Mix up the pieces',
  done: 'mixed up',
  category: 'presentation',
  schema,
  targets: (a) => a.targets,
  apply(a, sheet) {
    const here = a.targets.filter((id) => {
      const b = sheet.block(id);
      return b && canMix(b);
    });
    const missed = a.targets
      .filter((id) => !here.includes(id))
      .map((target) => ({ target, why: 'The question is no longer there, or has nothing to mix.' }));
    if (here.length === 0) return { edits: [], missed };
    return { ...setting(sheet, { mix: [...new Set([...(sheet.settings()?.mix ?? []), ...here])] }), missed };
  },
  describe(a) {
    const n = a.targets.length;
    return counted(
      n,
      'The pieces and choices of {n} question come in another order for each learner and go.',
      'The pieces and choices of {n} questions come in another order for each learner and go.',
    );
  },
  judge: () => accommodation('The same question in another order.'),
  review(a, sheet) {
    const left = a.targets.filter((id) => sheet.basisBlock(id));
    if (left.length === a.targets.length) return untouched;
    return {
      outcome: 'carried',
      target: a.targets.find((id) => !left.includes(id)) ?? '',
      why: 'A question it mixed is gone from the basis; the others stay mixed.',
      result: left.length ? { ...a, targets: left } : null,
    };
  },
};
