import { z } from '../zod';
import { findBlock } from '../activity/activity';
import { idSchema } from '../activity/block';
import type { Block } from '../activity/blocks';
import { type Given, type NumberBlock } from '../activity/blocks/number';
import { fingerprint } from '../activity/fingerprint';
import { valueOf } from '../activity/formula';
import {
  accommodation,
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  lostTarget,
  missed,
  modification,
  nothing,
  OLD_NUMBERS,
  snippet,
  untouched,
  replacing,
} from './adjustment';
import { followNumbers } from './follow-numbers';
import { basisBlock } from './judging';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('other-numbers'),
  target: idSchema,
  /** Other seeds draw other numbers; the same seed always the same. */
  seed: z.string().min(1).max(64),
  /** Ranges in place of the question's own, by name: a version may stay with small numbers. */
  ranges: z.record(z.string(), z.object({ min: z.number(), max: z.number() })).default({}),
  /** Fingerprint of the question's numbers and formula when this was written. */
  was: z.string().max(64),
});
export type OtherNumbers = z.infer<typeof schema>;

export const canDraw = (b: Block | undefined): b is NumberBlock & { given: Given[]; formula: string } =>
  b?.kind === 'number' && (b.given?.length ?? 0) > 0 && Boolean(b.formula);

const rulesOf = (b: NumberBlock) => fingerprint({ given: b.given ?? [], formula: b.formula ?? '' });

/** How often to draw again where a key comes out as no whole number, or as less than none. */
const TRIES = 60;

/** Where a given number stands in the question: as a number of its own, the first not taken yet. */
function placeOf(prompt: string, value: number, from: number): number {
  const at = new RegExp(`(?<![\\d.,])${String(value).replace('.', '[.,]')}(?![\\d]|[.,]\\d)`).exec(prompt.slice(from));
  return at ? from + at.index : -1;
}

/** The question with other numbers, or why there can be none. */
export function drawNumbers(b: NumberBlock, seed: string, ranges: OtherNumbers['ranges'] = {}): NumberBlock | string {
  const { given, formula } = b;
  if (!given?.length || !formula) return 'The question has no numbers that may be others.';
  const before = valueOf(formula, Object.fromEntries(given.map((g) => [g.name, g.value])));
  if ('problem' in before) return before.problem;
  const whole = Number.isInteger(before.value);
  for (let i = 0; i < TRIES; i++) {
    const drawn = given.map((g) => {
      const { min, max } = { ...g, ...ranges[g.name] };
      const count = Math.floor((max - min) / g.step + 1e-9) + 1;
      const at = parseInt(fingerprint([seed, g.name, i]).slice(0, 8), 16) % Math.max(1, count);
      return { ...g, value: Number((min + at * g.step).toFixed(6)) };
    });
    const key = valueOf(formula, Object.fromEntries(drawn.map((g) => [g.name, g.value])));
    if ('problem' in key) continue;
    if ((whole && !Number.isInteger(key.value)) || (before.value >= 0 && key.value < 0)) continue;
    if (drawn.every((g, at) => g.value === given[at]?.value)) continue;
    let prompt = b.prompt;
    let from = 0;
    // In the order they stand, so that a number put in is not taken for a later one.
    const order = given
      .map((g, at) => ({ g, now: drawn[at]?.value ?? g.value, at: placeOf(prompt, g.value, 0) }))
      .sort((x, y) => x.at - y.at);
    for (const { g, now } of order) {
      const at = placeOf(prompt, g.value, from);
      if (at < 0) return `The number ${g.value} no longer stands in the question.`;
      prompt = prompt.slice(0, at) + String(now) + prompt.slice(at + String(g.value).length);
      from = at + String(now).length;
    }
    return { ...b, prompt, given: drawn, key: Number(key.value.toFixed(6)) };
  }
  return 'No other numbers of these ranges give a key of the same kind.';
}

export const otherNumbers: AdjustmentKind<OtherNumbers> = {
  kind: 'other-numbers',
  label: 'Other numbers',
  done: 'other numbers',
  category: 'content',
  schema,
  inPlace: true,
  targets: (a) => [a.target],
  apply(a, sheet): Applied {
    const before = sheet.block(a.target);
    if (before?.kind !== 'number') return missed(a.target, 'The question is no longer there.');
    const block = drawNumbers(before, a.seed, a.ranges);
    if (typeof block === 'string') return missed(a.target, block);
    if (block.prompt === before.prompt) return nothing;
    // What goes with the question goes with its numbers.
    const [hint, flap] = [before.hint, before.flap].map((text) => (text ? followNumbers(text, before, block) : null));
    const applied = replacing(before, {
      ...block,
      ...(hint ? { hint: hint.text } : {}),
      ...(flap ? { flap: flap.text } : {}),
    });
    return hint?.left || flap?.left ? { ...applied, unsettled: OLD_NUMBERS } : applied;
  },
  describe(a, basis) {
    const b = findBlock(basis, a.target)?.block;
    if (b?.kind !== 'number') return 'Other numbers for a question that the basis no longer has.';
    const drawn = drawNumbers(b, a.seed, a.ranges);
    return typeof drawn === 'string'
      ? `“${snippet(b.prompt)}” cannot have other numbers: ${drawn}`
      : `“${snippet(b.prompt)}” has other numbers: “${snippet(drawn.prompt, 90)}” The key follows: ${drawn.key}.`;
  },
  judge(a, c) {
    const b = basisBlock(c, a.target);
    const narrower = Object.entries(a.ranges).some(([name, r]) => {
      const g = b?.kind === 'number' ? b.given?.find((x) => x.name === name) : undefined;
      return g && r.max < g.max / 2;
    });
    return narrower
      ? modification('The numbers stay much smaller than the master’s: less is asked.')
      : accommodation('The same calculation with other numbers; whether they are as hard was not looked at.');
  },
  review(a, sheet) {
    const b = sheet.basisBlock(a.target);
    if (b?.kind !== 'number') return lostTarget(a.target, 'The question is gone.', '', 'other numbers');
    if (!canDraw(b)) return lostTarget(a.target, 'The question has no numbers that may be others any more.', '', '');
    const now = rulesOf(b);
    if (now === a.was) return untouched;
    return {
      outcome: 'carried',
      target: a.target,
      why: 'The question’s numbers or formula changed; other numbers are drawn by the new ones.',
      result: { ...a, was: now },
    };
  },
};

export const otherNumbersFor = (
  b: NumberBlock,
  seed: string,
): Pick<OtherNumbers, 'target' | 'seed' | 'ranges' | 'was'> => ({
  target: b.id,
  seed,
  ranges: {},
  was: rulesOf(b),
});
