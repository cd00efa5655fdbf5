import type { HandOut } from '../hand-out';

/** A hand-out keeps this many of the things that were done to it; the oldest go first. */
const MOST_DONE = 1000;

/** The hand-out with a change that was made after it was given, in its history. `at` is an ISO instant. */
export function changedAfter(handOut: HandOut, patch: Partial<HandOut>, at: string, says: string): HandOut {
  const history = [...handOut.history, { at, says }].slice(-MOST_DONE);
  return { ...handOut, ...patch, history };
}
