import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { isChoice, isItem, type ItemBlock, keyIdsOf, keyWordsOf } from '../activity/blocks';
import {
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  ask,
  missed,
  nothing,
  OLD_NUMBERS,
  snippet,
  untouched,
  accommodation,
  replacing,
} from './adjustment';
import { plainWords } from '../work/plain-words';
import { followNumbers } from './follow-numbers';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('hint'),
  target: idSchema,
  text: z.string().max(1000),
  /** The question, its key and its own hint when this was written. */
  was: z.object({
    prompt: z.string(),
    key: z.array(z.string()),
    /** For choices, whose words a version may change without changing the key. */
    keyIds: z.array(idSchema),
    hint: z.string().optional(),
  }),
});
export type Hint = z.infer<typeof schema>;

/** What a hint was written for. */
export const questionBehind = (block: ItemBlock): Hint['was'] => ({
  prompt: block.prompt,
  key: keyWordsOf(block),
  keyIds: [...keyIdsOf(block)],
  ...(block.hint === undefined ? {} : { hint: block.hint }),
});

export const hint: AdjustmentKind<Hint> = {
  kind: 'hint',
  label: 'Hint',
  done: 'hint added',
  category: 'support',
  schema,
  inPlace: true,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    const block = sheet.block(a.target);
    if (!block || !isItem(block)) return missed(a.target, 'The question is no longer there.');
    const { text, left } = followNumbers(a.text, sheet.basisBlock(a.target) ?? block, block);
    const applied = block.hint === text ? nothing : replacing(block, { ...block, hint: text });
    return left ? { ...applied, unsettled: OLD_NUMBERS } : applied;
  },
  describe(a, basis) {
    const block = findBlock(basis, a.target)?.block;
    return `“${snippet(block && isItem(block) ? block.prompt : a.was.prompt)}” has a hint: “${snippet(a.text, 80)}”.`;
  },
  judge: () => accommodation('Help on the way; the answer was not found in it.'),
  review(a, sheet) {
    const block = sheet.basisBlock(a.target);
    if (!block || !isItem(block))
      return {
        outcome: 'lost',
        target: a.target,
        why: 'The question this hint helps with is gone.',
        old: a.was.prompt,
        master: '',
        version: a.text,
        proposed: '',
        choices: [{ choice: 'master', label: 'Let the hint go', result: null }],
      };
    const was = questionBehind(block);
    const { key } = was;
    const sameKey = isChoice(block)
      ? was.keyIds.join('\n') === a.was.keyIds.join('\n')
      : key.join('\n') === a.was.key.join('\n');
    const isOther = plainWords(block.prompt) !== plainWords(a.was.prompt);
    if (sameKey && block.hint === a.was.hint)
      return isOther
        ? ask({
            target: a.target,
            field: 'hint',
            why: 'The question reads otherwise: the hint may not fit it any more.',
            old: a.was.prompt,
            master: block.prompt,
            version: a.text,
            keep: { ...a, was },
          })
        : untouched;
    return {
      outcome: 'to-decide',
      target: a.target,
      field: 'hint',
      why: sameKey ? 'The basis changed its own hint.' : 'The key changed: the hint may lead to the old answer.',
      old: sameKey ? (a.was.hint ?? '') : `key: ${a.was.key.join(' / ')}`,
      master: sameKey ? (block.hint ?? '') : `key: ${key.join(' / ')}`,
      version: a.text,
      proposed: a.text,
      choices: [
        { choice: 'master', label: sameKey ? "Take the master's hint" : 'Take the hint away', result: null },
        { choice: 'version', label: 'Keep this hint', result: { ...a, was } },
      ],
    };
  },
  withWords(a, sheet, words) {
    const block = sheet.basisBlock(a.target);
    if (!block || !isItem(block)) return { ...a, text: words };
    return { ...a, text: words, was: questionBehind(block) };
  },
};
