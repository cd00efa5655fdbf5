import { z } from 'zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { wordsAt, wordsOf, withWords } from '../activity/blocks';
import { mergeText } from '../upkeep/merge-text';
import { adjustmentBase, type AdjustmentKind, type Applied, missed, nothing, snippet, untouched } from './adjustment';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('reword'),
  target: idSchema,
  /** The block's text that is reworded: 'text', 'prompt', 'option:<id>' … */
  field: z.string().max(80),
  /** The basis's words when this was written. */
  was: z.string().max(20000),
  now: z.string().max(20000),
});
export type Reword = z.infer<typeof schema>;

export const reword: AdjustmentKind<Reword> = {
  kind: 'reword',
  label: 'Reword',
  done: 'reworded',
  category: 'presentation',
  schema,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    const block = sheet.block(a.target);
    const basis = block && wordsAt(block, a.field);
    if (!block || basis === undefined) return missed(a.target, 'The words it changes are no longer there.');
    const merge = basis === a.was ? { clean: true, text: a.now } : mergeText(a.was, basis, a.now);
    // In conflict the version's own words stand, whole, until someone decides.
    const text = merge.clean ? merge.text : a.now;
    if (text === basis) return merge.clean ? nothing : { ...nothing, unsettled: true };
    return {
      edits: [{ edit: 'replace-block', before: block, block: withWords(block, a.field, text) }],
      missed: [],
      ...(merge.clean ? {} : { unsettled: true }),
    };
  },
  describe(a, basis) {
    const block = findBlock(basis, a.target)?.block;
    const label = block && wordsOf(block).find((w) => w.field === a.field)?.label;
    return `${label ?? 'The text'} “${snippet(a.was)}” is worded “${snippet(a.now, 80)}”.`;
  },
  review(a, sheet) {
    const block = sheet.basisBlock(a.target);
    const basis = block && wordsAt(block, a.field);
    if (basis === undefined)
      return {
        outcome: 'lost',
        target: a.target,
        field: a.field,
        why: block ? 'The part of the question it reworded is gone.' : 'The block it reworded is gone.',
        old: a.was,
        master: '',
        version: a.now,
        proposed: '',
        choices: [{ choice: 'master', label: 'Let the rewording go', result: null }],
      };
    if (basis === a.was) return untouched;
    if (basis === a.now)
      return {
        outcome: 'carried',
        target: a.target,
        why: 'The basis now says what this version said already.',
        result: null,
      };
    const merge = mergeText(a.was, basis, a.now);
    const settled = (now: string): Reword | null => (now === basis ? null : { ...a, was: basis, now });
    if (merge.clean)
      return {
        outcome: 'carried',
        target: a.target,
        why: `Both changes go together: “${snippet(merge.text, 90)}”.`,
        result: settled(merge.text),
      };
    return {
      outcome: 'to-decide',
      target: a.target,
      field: a.field,
      why: 'The basis and this version changed the same words.',
      old: a.was,
      master: basis,
      version: a.now,
      proposed: merge.text,
      choices: [
        { choice: 'master', label: "Take the master's", result: null },
        { choice: 'version', label: "Keep the version's", result: settled(a.now) },
        { choice: 'combined', label: 'Take the combination', result: settled(merge.text) },
      ],
    };
  },
  withWords(a, sheet, words) {
    const block = sheet.basisBlock(a.target);
    const basis = block && wordsAt(block, a.field);
    return { ...a, was: basis ?? a.was, now: words };
  },
};
