import { z } from '../zod';
import { idSchema } from '../activity/block';
import { type Block } from '../activity/blocks';
import { plainTextOf } from '../activity/plain-text';
import { stepsSchema } from '../activity/blocks/steps';
import { sentencesIn } from '../measure/words';
import { tellsToDo } from './tells-to-do';
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
} from './adjustment';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('steps-to-tick'),
  /** The instruction or text whose steps these are; they stand after it. */
  target: idSchema,
  blockId: idSchema,
  title: z.string().max(300),
  steps: stepsSchema,
  /** The text they were made from. */
  was: z.string().max(20000),
});
export type StepsToTick = z.infer<typeof schema>;

/** Words that only say which step it is. */
const ORDER = /^(?:first|next|then|after that|finally|lastly|second|third),?\s+/i;

/**
 * Steps from an instruction's list items, or else from its sentences. A sentence is a step only where it tells somebody to do
 * something that can be seen done: "Look at the picture.", not "You like boats." nor "A puncture is a small hole."
 */
export function proposeSteps(block: Block): string[] {
  const lines = plainTextOf(block)
    .split('\n')
    .map((l) => l.replace(/^\s*(?:[-+*•]|\d+[.)])\s*/, '').trim())
    .filter(Boolean);
  const said = lines.length > 2 ? lines : lines.flatMap(sentencesIn);
  // "First, …, then …" are two steps in one sentence.
  return said.flatMap((s) =>
    s
      .replace(/\s+/g, ' ')
      .split(/,? (?:and )?then /i)
      .flatMap((part, i) => {
        const rest = part.replace(ORDER, '').trim();
        // "Then you pull it out" tells to do as well as "Pull it out".
        const isNext = i > 0 || ORDER.test(part);
        const step = isNext ? rest.replace(/^you (?!can |may |will |are )/i, '') : rest;
        return tellsToDo(step) ? [`${step.charAt(0).toLocaleUpperCase('en')}${step.slice(1)}`.slice(0, 500)] : [];
      }),
  );
}

export const stepsToTick: AdjustmentKind<StepsToTick> = {
  kind: 'steps-to-tick',
  label: 'Steps to tick',
  done: 'steps to tick',
  category: 'support',
  schema,
  targets: (a) => [a.blockId, a.target],
  apply(a, sheet): Applied {
    const place = sheet.placeOf(a.target);
    if (!place) return missed(a.target, 'The instruction is no longer there.');
    const block: Block = {
      id: a.blockId,
      kind: 'steps',
      audience: 'learner',
      prompt: a.title,
      demand: 'recall',
      points: 0,
      steps: a.steps,
    };
    return { edits: [{ edit: 'insert-block', block, pageId: place.pageId, after: a.target }], missed: [] };
  },
  describe: (a) => `The instruction “${snippet(a.was)}” comes in ${a.steps.length} steps to tick off.`,
  judge: () => accommodation('Steps beside the work; no answer was found in them.'),
  review(a, sheet) {
    const block = sheet.basisBlock(a.target);
    const mine = a.steps.map((s) => s.text).join(' / ');
    if (!block) return lostTarget(a.target, 'The instruction these steps come from is gone.', a.was, mine);
    const now = plainTextOf(block);
    if (now === a.was) return untouched;
    const fromOld = proposeSteps({ ...block, text: a.was } as Block).join(' / ');
    const fresh = proposeSteps(block);
    if (mine === fromOld && fresh.length > 1)
      return {
        outcome: 'carried',
        target: a.target,
        why: 'The instruction changed, and the steps follow it.',
        result: { ...a, was: now, steps: fresh.map((text, i) => ({ id: `${a.blockId}-${i + 1}`, text })) },
      };
    return ask({
      target: a.target,
      field: 'steps',
      why: 'The instruction changed, and these steps were written by hand.',
      old: a.was,
      master: now,
      version: mine,
      keep: { ...a, was: now },
    });
  },
};
