import { z } from '../../../zod';
import { chosenOf } from '../../../work/answer';
import {
  type BlockKind,
  freshItem,
  idSchema,
  itemBase,
  itemWords,
  learnerItem,
  learnerItemBase,
  withItemWords,
} from '../../block';
import { listWords, shareMark, withListWords } from '../../parts';

export const stepsSchema = z.array(z.object({ id: idSchema, text: z.string().max(500) })).max(40);
/** Whether the steps begin anew each week. */
const weekly = z.boolean().optional();
const schema = z.object({ ...itemBase, kind: z.literal('steps'), steps: stepsSchema, weekly });
type Steps = z.infer<typeof schema>;
const learnerSchema = z.object({ ...learnerItemBase, kind: z.literal('steps'), steps: stepsSchema, weekly });

type Ticked = Pick<Steps, 'steps' | 'weekly'>;
/** Weeks whose ticks are kept; older ones are let go. */
const MOST_WEEKS = 8;
const OF_WEEK = '@';

/** The weeks that something was ticked in, by their Mondays (ISO), the newest first; none where steps begin but once. */
export const weeksTicked = (chosen: readonly string[]): string[] =>
  [...new Set(chosen.flatMap((c) => c.split(OF_WEEK)[1] ?? []))].sort().reverse();

/** Ids of the steps that are ticked: of weekly steps those of one week, by its Monday. */
export function stepsTicked(b: Ticked, chosen: readonly string[], week: string): string[] {
  const ids = b.weekly
    ? chosen.flatMap((c) => (c.split(OF_WEEK)[1] === week ? [c.split(OF_WEEK)[0] ?? ''] : []))
    : chosen;
  return b.steps.flatMap((s) => (ids.includes(s.id) ? [s.id] : []));
}

/** What is ticked once a step was pressed, in the week of this Monday. */
export function stepPressed(b: Ticked, chosen: readonly string[], week: string, stepId: string): string[] {
  const tick = b.weekly ? `${stepId}${OF_WEEK}${week}` : stepId;
  if (chosen.includes(tick)) return chosen.filter((c) => c !== tick);
  const kept = new Set([week, ...weeksTicked(chosen)].slice(0, MOST_WEEKS));
  return [...chosen.filter((c) => !b.weekly || kept.has(c.split(OF_WEEK)[1] ?? '')), tick];
}

export const steps: BlockKind<Steps, z.infer<typeof learnerSchema>> = {
  kind: 'steps',
  label: 'Steps to tick off',
  schema,
  learnerSchema,
  fresh: (id, newId) => ({
    ...freshItem(id),
    kind: 'steps',
    prompt: 'Tick each step when it is done.',
    steps: [1, 2, 3].map(() => ({ id: newId(), text: '' })),
  }),
  words: (b) => [...itemWords(b), ...listWords('step', 'Step', b.steps)],
  withWords: (b, field, text) =>
    field.startsWith('step:')
      ? { ...b, steps: withListWords('step', b.steps, field, text) }
      : withItemWords(b, field, text),
  forLearner: (b) => ({
    ...learnerItem(b),
    kind: 'steps',
    steps: b.steps.map((s) => ({ id: s.id, text: s.text })),
    ...(b.weekly ? { weekly: true } : {}),
  }),
  item: {
    minutes: 3,
    keyWords: () => [],
    isEmpty: (a) => chosenOf(a).length === 0,
    answerWords: (b, a) => {
      const [last, ...others] = weeksTicked(chosenOf(a));
      const said = (week = '') => `${stepsTicked(b, chosenOf(a), week).length} of ${b.steps.length} steps ticked`;
      if (!b.weekly || !last) return said(last);
      return [last, ...others].map((week) => `week of ${week}: ${said(week)}`).join('; ');
    },
    mark: (b, a) =>
      shareMark(b.points, {
        hits: stepsTicked(b, chosenOf(a), weeksTicked(chosenOf(a))[0] ?? '').length,
        of: b.steps.length,
        what: 'steps ticked',
      }),
  },
};
