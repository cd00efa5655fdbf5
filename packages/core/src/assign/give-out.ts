import type { Family } from '../activity/family';
import { personalValues } from '../learners/learner';
import { audienceOf, classOf, type People } from './audience';
import { freeze } from './freeze';
import type { Frozen, HandOut } from './hand-out';

/**
 * The hand-out with everything it gives frozen: one activity for each learner of the audience, equal ones kept once.
 * A learner with no line gets nothing; one with two gets the first. `coverage` names both before it comes to that.
 */
export function giveOut(handOut: HandOut, family: Family, people: People, at: string): HandOut {
  const frozen: Record<string, Frozen> = {};
  const given: Record<string, string> = {};
  for (const learner of audienceOf(handOut, people)) {
    const line = handOut.lines.find((l) => l.learnerId === learner.id);
    if (!line) continue;
    const one = freeze(family, line.versionId, at, personalValues(learner, classOf(learner.id, people), at));
    // Two versions may come to the same content: the address names the version too, so that the lineage stays true.
    const address = `${one.hash.slice(0, 40)}-${(line.versionId ?? 'master').slice(0, 22)}`;
    frozen[address] ??= one;
    given[learner.id] = address;
  }
  return { ...handOut, state: 'given', givenAt: at, frozen, given };
}
