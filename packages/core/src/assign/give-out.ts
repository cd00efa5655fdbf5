import type { Id } from '../activity/block';
import type { Family } from '../activity/family';
import { personalValues } from '../learners/learner';
import { classOf, type People } from '../learners/people';
import { recipientsOf } from './recipients';
import { type Freezing, freezing } from './freeze';
import type { Frozen, Given, HandOut } from './hand-out';

/**
 * The hand-out as given out, and the activities it gives: one for each version, whoever of the audience gets it.
 * A learner with no line gets nothing; one with two gets the first. `coverage` names both before it comes to that.
 */
export function giveOut(
  handOut: HandOut,
  family: Family,
  people: People,
  at: string,
): { handOut: HandOut; frozen: Frozen[] } {
  const made = new Map<Id | null, Freezing>();
  const given: Record<string, Given> = {};
  for (const learner of recipientsOf(handOut, people)) {
    const line = handOut.lines.find((l) => l.learnerId === learner.id);
    if (!line) continue;
    let one = made.get(line.versionId);
    if (!one) made.set(line.versionId, (one = freezing(family, line.versionId, at)));
    given[learner.id] = one.givenTo(personalValues(learner, classOf(learner.id, people), at));
  }
  const frozen = new Map([...made.values()].map((m) => [m.frozen.id, m.frozen]));
  return { handOut: { ...handOut, state: 'given', givenAt: at, given }, frozen: [...frozen.values()] };
}
