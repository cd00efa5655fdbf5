import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import { type Block, wordsAt, wordsOf, withWords } from '../activity/blocks';
import { cutAlike, mergeRich, mergeText } from '../upkeep/merge-text';
import {
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  type Reviewing,
  nothing,
  snippet,
  untouched,
  WAITS,
  accommodation,
  replacing,
} from './adjustment';
import type { Sheet } from './sheet';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('reword'),
  target: idSchema,
  /** The block's text that is reworded: 'text', 'prompt', 'option:<id>' … */
  field: z.string().max(80),
  /** The basis's words when this was written. */
  was: z.string().max(40000),
  now: z.string().max(40000),
});
export type Reword = z.infer<typeof schema>;

const isRich = (b: Block, field: string): boolean => (b.kind === 'text' || b.kind === 'passage') && field === 'text';

/**
 * Both changes in one text. Where nothing of the rewording would be left, and yet the basis does not say what it said,
 * that is no answer: someone decides.
 */
function merged(b: Block | undefined, a: Reword, basis: string) {
  const merge = (b && isRich(b, a.field) ? mergeRich : mergeText)(a.was, basis, a.now);
  return merge.text === basis && basis !== a.now ? { ...merge, clean: false } : merge;
}

const flat = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** Where the basis parted a block into two: the rewording parted at the same place, or null where it is no such case. */
function parted(
  a: Reword,
  sheet: Sheet,
  basis: string,
  { rewords }: Reviewing,
): { first: string; second: string; next: Block; its: string } | null {
  if (basis.length >= a.was.length) return null;
  const page = sheet.pageOf(a.target);
  const at = page?.blocks.findIndex((b) => b.id === a.target) ?? -1;
  const next = page?.blocks[at + 1];
  const its = next && wordsAt(next, a.field);
  // Most changes are no parting: lengths that do not add up say so at once.
  if (
    !next ||
    its === undefined ||
    rewords(next.id, a.field) ||
    Math.abs(basis.length + its.length + 1 - a.was.length) > 8
  )
    return null;
  if (flat(`${basis} ${its}`) !== flat(a.was)) return null;
  const cut = cutAlike(flat(a.was), flat(basis), flat(a.now));
  return cut && { first: cut[0], second: cut[1], next, its };
}

/** The block that took in the words of one that is gone, where there is just one, and the version does not reword it. */
function joinedInto(a: Reword, sheet: Sheet, { before, rewords }: Reviewing): { block: Block; text: string } | null {
  if (flat(a.was).length < 12) return null;
  const found = sheet.allPages().flatMap((p) =>
    p.blocks.flatMap((block) => {
      const text = wordsAt(block, a.field);
      return text?.includes(a.was) ? [{ block, text }] : [];
    }),
  );
  const [only, ...more] = found;
  if (!only || more.length || rewords(only.block.id, a.field)) return null;
  const was = before && findBlock(before, only.block.id)?.block;
  return was && wordsAt(was, a.field)?.includes(a.was) ? null : only;
}

export const reword: AdjustmentKind<Reword> = {
  kind: 'reword',
  label: 'Reword',
  done: 'reworded',
  category: 'presentation',
  schema,
  inPlace: true,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    const block = sheet.block(a.target);
    const basis = block && wordsAt(block, a.field);
    if (!block || basis === undefined) {
      const whole = block && sheet.basisBlock(a.target);
      // A choice that this version leaves out, or a way to answer that it changed: the basis has the words still.
      const leftOut = whole !== undefined && wordsAt(whole, a.field) !== undefined;
      return { edits: [], missed: [{ target: a.target, why: 'The words it changes are no longer there.', leftOut }] };
    }
    if (basis === a.was) return basis === a.now ? nothing : replacing(block, withWords(block, a.field, a.now));
    const merge = merged(block, a, basis);
    // In conflict the version's own words stand, whole, until someone decides.
    const text = merge.clean ? merge.text : a.now;
    if (text === basis) return merge.clean ? nothing : { ...nothing, unsettled: WAITS };
    const applied = replacing(block, withWords(block, a.field, text));
    return merge.clean ? applied : { ...applied, unsettled: WAITS };
  },
  describe(a, basis) {
    const block = findBlock(basis, a.target)?.block;
    const label = block && wordsOf(block).find((w) => w.field === a.field)?.label;
    return `${label ?? 'The text'} “${snippet(a.was)}” is worded “${snippet(a.now, 80)}”.`;
  },
  judge: () => accommodation('Other words; no answer, no other number and no “not” was found in them.'),
  review(a, sheet, context) {
    const block = sheet.basisBlock(a.target);
    const basis = block && wordsAt(block, a.field);
    if (basis === undefined) {
      const home = block ? null : joinedInto(a, sheet, context);
      if (home)
        return {
          outcome: 'carried',
          target: home.block.id,
          why: 'Its words were joined to another block, and the rewording goes with them.',
          result: { ...a, target: home.block.id, was: home.text, now: home.text.replace(a.was, () => a.now) },
        };
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
    }
    if (basis === a.was) return untouched;
    if (basis === a.now)
      return {
        outcome: 'carried',
        target: a.target,
        why: 'The basis now says what this version said already.',
        result: null,
      };
    const two = parted(a, sheet, basis, context);
    if (two)
      return {
        outcome: 'carried',
        target: a.target,
        why: 'The block was parted into two, and the rewording with it.',
        result: two.first === basis ? null : { ...a, was: basis, now: two.first },
        also:
          two.second === two.its
            ? []
            : [{ ...a, id: `${a.id.slice(0, 60)}~2`, target: two.next.id, was: two.its, now: two.second }],
      };
    const merge = merged(block, a, basis);
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
        ...(merge.text === basis
          ? []
          : [{ choice: 'combined' as const, label: 'Take the combination', result: settled(merge.text) }]),
      ],
    };
  },
  withWords(a, sheet, words) {
    const block = sheet.basisBlock(a.target);
    const basis = block && wordsAt(block, a.field);
    return { ...a, was: basis ?? a.was, now: words };
  },
};
