import type { Family } from '../activity/family';
import { coverage } from '../assign/check/coverage';
import type { HandOut } from '../assign/hand-out';
import { demoWorkspace } from '../demo/index';
import { peopleIn } from '../learners/people';

/** Local, in the form of a plan's dates. */
export const NOW = '2026-11-24T09:00';
export const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
export const people = peopleIn(w, '2026-11-24');
export const pool = w.families['rock-pool'] as Family;
/** The demo's survey as it was before it was given out. */
export const survey = {
  ...(w.handOuts['h-survey'] as HandOut),
  state: 'draft' as const,
  opensAt: null,
  dueAt: null,
};
export const codes = (h: HandOut, family = pool): string[] => coverage(h, family, people, NOW).map((c) => c.code);
