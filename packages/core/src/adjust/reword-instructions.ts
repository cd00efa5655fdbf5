import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { accommodation, adjustmentBase, type AdjustmentKind, snippet } from './adjustment';
import { basisBlock } from './judging';
import { reword, type Reword } from './reword';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('reword-instructions'),
  target: idSchema,
  was: z.string().max(20000),
  now: z.string().max(20000),
});
export type RewordInstructions = z.infer<typeof schema>;

/** Other instructions for the same page: they merge with the master's as any words do. */
const asReword = (a: RewordInstructions): Reword => ({ ...a, kind: 'reword', field: 'text' });
const back = (r: Reword): RewordInstructions => {
  const { field: _, ...rest } = r;
  return { ...rest, kind: 'reword-instructions' };
};

export const rewordInstructions: AdjustmentKind<RewordInstructions> = {
  kind: 'reword-instructions',
  label: 'Other instructions',
  done: 'other instructions',
  category: 'presentation',
  schema,
  inPlace: true,
  targets: (a) => [a.target],
  apply: (a, sheet, context) => reword.apply(asReword(a), sheet, context),
  describe(a, basis) {
    const still = findBlock(basis, a.target) ? '' : ' (the basis no longer has it)';
    return `The instruction “${snippet(a.was)}” is “${snippet(a.now, 80)}”${still}.`;
  },
  judge: (a, c) =>
    basisBlock(c, a.target)?.kind === 'instruction'
      ? accommodation('Other instructions; no answer was found in them.')
      : reword.judge(asReword(a), c),
  review(a, sheet, context) {
    const r = reword.review(asReword(a), sheet, context);
    if (r.outcome === 'untouched') return r;
    if (r.outcome === 'carried') return { ...r, result: r.result && back(r.result), also: (r.also ?? []).map(back) };
    return { ...r, choices: r.choices.map(({ also: _, ...c }) => ({ ...c, result: c.result && back(c.result) })) };
  },
  withWords: (a, sheet, words) => back(reword.withWords?.(asReword(a), sheet, words) ?? asReword(a)),
};
