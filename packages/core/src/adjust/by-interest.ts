import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { wordsAt, withWords } from '../activity/blocks';
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

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('by-interest'),
  target: idSchema,
  field: z.string().max(80),
  /** The words for those with none of the interests. */
  was: z.string().max(20000),
  by: z
    .array(z.object({ interest: z.string().min(1).max(80), text: z.string().min(1).max(20000) }))
    .min(1)
    .max(12),
});
export type ByInterest = z.infer<typeof schema>;

const plain = (t: string) => t.trim().toLocaleLowerCase('en');

/** Another example for those with an interest: "boats" for one, "drums" for another. */
export const byInterest: AdjustmentKind<ByInterest> = {
  kind: 'by-interest',
  label: 'Example by interest',
  done: 'by interest',
  category: 'presentation',
  schema,
  inPlace: true,
  late: true,
  targets: (a) => [a.target],
  apply(a, sheet, { learner }): Applied {
    const block = sheet.block(a.target);
    const here = block && wordsAt(block, a.field);
    if (!block || here === undefined) return missed(a.target, 'The words it changes are no longer there.');
    const interests = (learner?.['interests'] ?? learner?.['interest'] ?? '').split(',').map(plain);
    const mine = interests.map((i) => a.by.find((b) => plain(b.interest) === i)).find((b) => b !== undefined);
    if (!mine || mine.text === here) return nothing;
    return replacing(block, withWords(block, a.field, mine.text));
  },
  describe: (a, basis) =>
    findBlock(basis, a.target)
      ? `“${snippet(a.was)}” has examples by interest: ${a.by.map((b) => `${b.interest} (“${snippet(b.text, 40)}”)`).join(', ')}.`
      : 'Examples by interest for words that the basis no longer has.',
  judge: () => accommodation('Other examples; no answer was found in them.'),
  review(a, sheet) {
    const block = sheet.basisBlock(a.target);
    const here = block && wordsAt(block, a.field);
    const mine = a.by.map((b) => `${b.interest}: ${b.text}`).join(' / ');
    if (here === undefined) return lostTarget(a.target, 'The words these examples stand for are gone.', a.was, mine);
    if (here === a.was) return untouched;
    return ask({
      target: a.target,
      field: a.field,
      why: 'The basis’s words changed: the examples may no longer fit.',
      old: a.was,
      master: here,
      version: mine,
      keep: { ...a, was: here },
    });
  },
};
