import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { isItem } from '../activity/blocks';
import {
  accommodation,
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  ask,
  lostTarget,
  missed,
  snippet,
  untouched,
  replacing,
} from './adjustment';
import { questionShape, readsOtherwise } from './written-for';

const startersSchema = z.array(z.string().min(1).max(200)).max(12);
const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('sentence-starters'),
  target: idSchema,
  starters: startersSchema.min(1),
  was: startersSchema,
  ...questionShape,
});
export type SentenceStarters = z.infer<typeof schema>;

export const STARTERS = ['First …', 'I think … because …', 'It shows that …'];

export const sentenceStarters: AdjustmentKind<SentenceStarters> = {
  kind: 'sentence-starters',
  label: 'Sentence starters',
  done: 'sentence starters',
  category: 'support',
  schema,
  inPlace: true,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    const block = sheet.block(a.target);
    if (block?.kind !== 'long-text') return missed(a.target, 'The question is no longer there.');
    return replacing(block, { ...block, starters: [...a.starters] });
  },
  describe(a, basis) {
    const block = findBlock(basis, a.target)?.block;
    const of = block && isItem(block) ? `“${snippet(block.prompt)}”` : 'A question that the basis no longer has';
    return `${of} offers beginnings to write on from: ${a.starters.join(' / ')}.`;
  },
  judge: () => accommodation('Beginnings of sentences; the answer was not found in them.'),
  review(a, sheet, { before }) {
    const block = sheet.turnedBlock(a.target);
    if (block?.kind !== 'long-text')
      return lostTarget(a.target, 'The question these beginnings help with is gone.', '', a.starters.join(' / '));
    const now = block.starters ?? [];
    if (now.join('\n') === a.was.join('\n')) {
      const other = readsOtherwise(a.question, block, before);
      if (!other) return untouched;
      return ask({
        target: a.target,
        field: 'starters',
        why: 'The question reads otherwise: these beginnings may not fit it any more.',
        old: other.was,
        master: block.prompt,
        version: a.starters.join(' / '),
        keep: { ...a, question: block.prompt },
      });
    }
    return ask({
      target: a.target,
      field: 'starters',
      why: 'The basis changed its own sentence starters.',
      old: a.was.join(' / '),
      master: now.join(' / '),
      version: a.starters.join(' / '),
      keep: { ...a, was: [...now] },
    });
  },
};
