import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { type Id, idSchema, optionSchema } from '../activity/block';
import { type Block, isChoice, isItem, keyIdsOf } from '../activity/blocks';
import {
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  missed,
  nothing,
  snippet,
  untouched,
  WAITS,
  accommodation,
  modification,
} from './adjustment';
import { basisBlock } from './judging';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('fewer-choices'),
  target: idSchema,
  /** Ids of the choices left out. */
  leaveOut: z.array(idSchema).min(1),
  /** The choices and the key as they were when this was written. */
  was: z.object({ options: z.array(optionSchema), key: z.array(idSchema) }),
});
export type FewerChoices = z.infer<typeof schema>;

type ChoiceBlock = Extract<Block, { options: unknown }>;

/** The wrong choices to leave out so that `count` remain: the last ones, never the key. */
export function choicesToLeaveOut(block: ChoiceBlock, count: number): Id[] {
  const key = keyIdsOf(block);
  const wrong = block.options.filter((o) => !key.includes(o.id));
  const keepWrong = Math.max(0, count - (block.options.length - wrong.length));
  return wrong.slice(keepWrong).map((o) => o.id);
}

export const snapshotChoices = (block: ChoiceBlock): FewerChoices['was'] => ({
  options: block.options.map((o) => ({ id: o.id, text: o.text })),
  key: [...keyIdsOf(block)],
});

const listed = (options: readonly { text: string }[]) => options.map((o) => o.text).join(' · ');

export const fewerChoices: AdjustmentKind<FewerChoices> = {
  kind: 'fewer-choices',
  label: 'Fewer choices',
  done: 'fewer choices',
  category: 'support',
  schema,
  inPlace: true,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    const block = sheet.block(a.target);
    if (!block || !isChoice(block)) return missed(a.target, 'The question is no longer there.');
    const key = keyIdsOf(block);
    // A choice that has become the key since then stays until someone decides: a question without its answer is worse.
    const drop = a.leaveOut.filter((id) => !key.includes(id));
    const options = block.options.filter((o) => !drop.includes(o.id));
    const unsettled = drop.length < a.leaveOut.length ? WAITS : undefined;
    if (options.length === block.options.length) return unsettled ? { ...nothing, unsettled } : nothing;
    return {
      edits: [{ edit: 'replace-block', before: block, block: { ...block, options } }],
      missed: [],
      ...(unsettled ? { unsettled } : {}),
    };
  },
  describe(a, basis) {
    const block = findBlock(basis, a.target)?.block;
    if (!block || !isItem(block)) return 'Fewer choices for a question that the basis no longer has.';
    // A question that this version made one of choices has them from there.
    const options = isChoice(block) ? block.options : a.was.options;
    const left = options.filter((o) => !a.leaveOut.includes(o.id));
    return `“${snippet(block.prompt)}” offers ${left.length} choices in place of ${options.length}: ${listed(left)}.`;
  },
  judge(a, c) {
    const b = basisBlock(c, a.target);
    const { options, key } = b && isChoice(b) ? snapshotChoices(b) : a.was;
    const left = options.filter((o) => !a.leaveOut.includes(o.id));
    return left.every((o) => key.includes(o.id))
      ? modification('Only the answer is left to choose.')
      : accommodation(`${left.length} choices in place of ${options.length}, for the same question.`);
  },
  review(a, sheet) {
    const block = sheet.turnedBlock(a.target);
    if (!block || !isChoice(block))
      return {
        outcome: 'lost',
        target: a.target,
        why: 'The question is gone.',
        old: listed(a.was.options),
        master: '',
        version: listed(a.was.options.filter((o) => !a.leaveOut.includes(o.id))),
        proposed: '',
        choices: [{ choice: 'master', label: 'Let it go', result: null }],
      };
    const key = keyIdsOf(block);
    const here = block.options.map((o) => o.id);
    const still = a.leaveOut.filter((id) => here.includes(id));
    const now = snapshotChoices(block);
    const nowKey = a.leaveOut.filter((id) => key.includes(id));
    const rest = still.filter((id) => !key.includes(id));
    if (nowKey.length > 0) {
      const kept = block.options.filter((o) => !rest.includes(o.id));
      const combined = rest.length ? { ...a, leaveOut: rest, was: now } : null;
      return {
        outcome: 'to-decide',
        target: a.target,
        field: 'options',
        why: 'The key is now a choice that this version leaves out.',
        old: listed(a.was.options),
        master: listed(block.options),
        version: listed(block.options.filter((o) => !a.leaveOut.includes(o.id))),
        proposed: listed(kept),
        choices: [
          { choice: 'master', label: 'Show all choices', result: null },
          { choice: 'combined', label: 'Put the key back, leave the others out', result: combined },
        ],
      };
    }
    const sameOptions =
      now.options.length === a.was.options.length &&
      now.options.every((o) => a.was.options.some((w) => w.id === o.id)) &&
      now.key.join() === a.was.key.join();
    if (sameOptions) return untouched;
    const fresh = block.options.filter((o) => !a.was.options.some((w) => w.id === o.id));
    const left = block.options.filter((o) => !still.includes(o.id));
    // The basis took choices away as well: of what is left nothing is to choose.
    if (left.length <= 1 || left.every((o) => key.includes(o.id)))
      return {
        outcome: 'to-decide',
        target: a.target,
        field: 'options',
        why: 'With the choices that the basis took away too little is left to choose.',
        old: listed(a.was.options),
        master: listed(block.options),
        version: listed(left),
        proposed: listed(block.options),
        choices: [
          { choice: 'master', label: 'Show all choices', result: null },
          { choice: 'version', label: 'Leave them out all the same', result: { ...a, leaveOut: still, was: now } },
        ],
      };
    return {
      outcome: 'carried',
      target: a.target,
      why: fresh.length
        ? `A new choice comes in (${listed(fresh)}); the others stay left out.`
        : 'The choices changed in the basis; those left out stay left out.',
      result: still.length ? { ...a, leaveOut: still, was: now } : null,
    };
  },
};
