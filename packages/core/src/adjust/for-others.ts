import type { Adjustment } from './registry';

/** What several adjustments that were made at once are called where their own name stays here. */
const TOGETHER = 'made together';

/**
 * An adjustment as one passes it on: reasons, goals, the words of an overruling, its name and that of those made with it
 * speak of learners. What it does is said by the adjustment itself.
 */
export function forOthers(a: Adjustment): Adjustment {
  const { reason: _reason, name: _name, overrule, batch, ...rest } = a;
  return {
    ...rest,
    ...(batch ? { batch: { ...batch, name: TOGETHER } } : {}),
    ...(overrule ? { overrule: { ...overrule, reason: 'the teacher’s judgement' } } : {}),
  } as Adjustment;
}
