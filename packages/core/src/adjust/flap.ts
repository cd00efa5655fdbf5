import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { isItem, keyWordsOf } from '../activity/blocks';
import { plainWords } from '../work/plain-words';
import {
  accommodation,
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  ask,
  lostTarget,
  missed,
  OLD_NUMBERS,
  snippet,
  untouched,
  replacing,
} from './adjustment';
import { followNumbers } from './follow-numbers';
import { questionShape, readsOtherwise } from './written-for';

/** When a flap can be lifted: after any answer, after a few letters of one, or once it is submitted. */
export const FLAP_AFTER = ['anything', 'few-letters', 'submitted'] as const;
const FEW = 3;

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('flap'),
  target: idSchema,
  /** What stands under the flap. */
  text: z.string().min(1).max(2000),
  /** What counts as an answer; where it is not said, a few letters. */
  lifts: z.enum(FLAP_AFTER).optional(),
  /** The key when this was written. */
  was: z.array(z.string()),
  ...questionShape,
});
export type Flap = z.infer<typeof schema>;

const bare = (key: string): string => plainWords(key).replace(/^(?:a|an|the) (?=\S)/, '');

/** A key as a flap says it: each answer once, without those that differ by an article or by how a time is written. */
export function saidUnderFlap(keys: readonly string[]): string {
  const said = new Map<string, string>();
  for (const key of keys) {
    const one = bare(key);
    const time = /^0?(\d{1,2})[:.](\d{2})$/.exec(one);
    const plain = time ? `${time[1] ?? ''}:${time[2] ?? ''}` : one;
    if (!said.has(plain)) said.set(plain, key);
  }
  return [...said.values()].join(' / ');
}

/** Whether a flap says the key and nothing else: then it is right for as long as the key is. */
const saysOnlyKey = (text: string, keys: readonly string[]): boolean =>
  text === saidUnderFlap(keys) || text === keys.join(' / ');

/** An answer under a cover, to check oneself: it can be lifted once something was answered. */
export const flap: AdjustmentKind<Flap> = {
  kind: 'flap',
  label: 'Flap to check',
  done: 'flap to check',
  category: 'support',
  schema,
  inPlace: true,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    const block = sheet.block(a.target);
    if (!block || !isItem(block)) return missed(a.target, 'The question is no longer there.');
    // A right answer of two letters lifts it as well.
    const shortest = Math.min(FEW, ...keyWordsOf(block).map((k) => k.trim().length || FEW));
    const flapAfter = {
      letters: a.lifts === 'anything' ? 1 : Math.max(1, shortest),
      submitted: a.lifts === 'submitted',
    };
    const { text, left } = followNumbers(a.text, sheet.basisBlock(a.target) ?? block, block);
    const applied = replacing(block, { ...block, flap: text, flapAfter });
    return left ? { ...applied, unsettled: OLD_NUMBERS } : applied;
  },
  describe(a, basis) {
    const block = findBlock(basis, a.target)?.block;
    const of = block && isItem(block) ? `“${snippet(block.prompt)}”` : 'A question that the basis no longer has';
    return `${of} has a flap to check the answer, ${a.lifts === 'submitted' ? 'once it is submitted' : 'once there is one'}: “${snippet(a.text, 60)}”.`;
  },
  judge: () => accommodation('The answer is seen only after the learner’s own.'),
  review(a, sheet, { before }) {
    const block = sheet.basisBlock(a.target);
    if (!block || !isItem(block))
      return lostTarget(a.target, 'The question under this flap is gone.', a.was.join(' / '), a.text);
    const key = keyWordsOf(block);
    if (key.join('\n') === a.was.join('\n')) {
      const other = readsOtherwise(a.question, block, before);
      if (!other || saysOnlyKey(a.text, key)) return untouched;
      return ask({
        target: a.target,
        field: 'flap',
        why: 'The question reads otherwise: what stands under the flap may not answer it any more.',
        old: other.was,
        master: block.prompt,
        version: a.text,
        keep: { ...a, question: block.prompt },
      });
    }
    if (saysOnlyKey(a.text, a.was) && key.length)
      return {
        outcome: 'carried',
        target: a.target,
        why: `The key changed, and the flap follows it: ${saidUnderFlap(key)}.`,
        result: { ...a, text: saidUnderFlap(key), was: key },
      };
    return ask({
      target: a.target,
      field: 'flap',
      why: 'The key changed: the flap may show the old answer.',
      old: a.was.join(' / '),
      master: key.join(' / '),
      version: a.text,
      keep: { ...a, was: key },
    });
  },
  withWords(a, sheet, words) {
    const block = sheet.basisBlock(a.target);
    return { ...a, text: words, was: block ? keyWordsOf(block) : a.was };
  },
};
