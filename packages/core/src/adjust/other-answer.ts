import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { type Block, isItem, type ItemBlock, keyWordsOf, labelOf } from '../activity/blocks';
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
import { basisBlock } from './judging';
import { ANSWER_WAYS, turned } from './turning';

const wasSchema = z.object({ kind: z.string().max(40), key: z.array(z.string()) });
const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('other-answer'),
  target: idSchema,
  to: z.enum(ANSWER_WAYS),
  /** Wrong answers to choose from, where it is chosen. */
  wrong: z.array(z.string().min(1).max(300)).max(20),
  was: wasSchema,
});
export type OtherAnswer = z.infer<typeof schema>;

export const answerBehind = (b: ItemBlock): OtherAnswer['was'] => ({ kind: b.kind, key: keyWordsOf(b) });

const TYPED = new Set(['short-text', 'number', 'long-text', 'gaps']);

export const otherAnswer: AdjustmentKind<OtherAnswer> = {
  kind: 'other-answer',
  label: 'Other way to answer',
  done: 'answered otherwise',
  category: 'response',
  schema,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    const before = sheet.block(a.target);
    if (!before || !isItem(before)) return missed(a.target, 'The question is no longer there.');
    const block = turned(before, a.to, a.wrong);
    if (typeof block === 'string') return missed(a.target, block);
    return replacing(before, block);
  },
  describe(a, basis) {
    const b = findBlock(basis, a.target)?.block;
    if (!b || !isItem(b)) return 'Another way to answer a question that the basis no longer has.';
    const now = turned(b, a.to, a.wrong);
    const how = typeof now === 'string' ? a.to : labelOf(now as Block).toLowerCase();
    return `“${snippet(b.prompt)}” is answered by ${how} in place of ${labelOf(b).toLowerCase()}.`;
  },
  judge(a, c) {
    const b = basisBlock(c, a.target);
    if (!b || !isItem(b)) return accommodation('The question is answered in another way.');
    return TYPED.has(b.kind) && a.to === 'single-choice'
      ? accommodation('The same question, with the answer chosen in place of written.')
      : accommodation('The same question, answered in another way.');
  },
  review(a, sheet) {
    const b = sheet.basisBlock(a.target);
    if (!b || !isItem(b)) return lostTarget(a.target, 'The question is gone.', a.was.key.join(' / '), a.to);
    const now = answerBehind(b);
    if (now.kind === a.was.kind && now.key.join('\n') === a.was.key.join('\n')) return untouched;
    const again = turned(b, a.to, a.wrong);
    const clash = a.wrong.filter((w) => now.key.includes(w));
    if (typeof again !== 'string' && clash.length === 0)
      return {
        outcome: 'carried',
        target: a.target,
        why: 'The key changed in the basis, and this way of answering follows it.',
        result: { ...a, was: now },
      };
    return ask({
      target: a.target,
      field: 'answer',
      why:
        typeof again === 'string'
          ? `It can no longer be answered this way: ${again}`
          : `A wrong answer of this version is right now: ${clash.join(', ')}.`,
      old: a.was.key.join(' / '),
      master: now.key.join(' / '),
      version: a.wrong.join(' / '),
      keep: { ...a, wrong: a.wrong.filter((w) => !clash.includes(w)), was: now },
    });
  },
};
