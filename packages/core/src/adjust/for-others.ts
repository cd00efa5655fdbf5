import type { Adjustment } from './registry';

/** An adjustment as one passes it on: reasons, goals and the words of an overruling speak of learners. */
export function forOthers(a: Adjustment): Adjustment {
  const { reason: _, overrule, ...rest } = a;
  return overrule ? { ...rest, overrule: { ...overrule, reason: 'the teacher’s judgement' } } : rest;
}
