import type { Id } from '../activity/block';
import type { Family } from '../activity/family';
import { type Learner, personalValues } from '../learners/learner';
import { classOf, type People } from '../learners/people';
import { type Freezing, freezing } from './freeze';
import type { Frozen, Given, HandOut } from './hand-out';
import { recipientsOf } from './recipients';
import { linesNow } from './rules';

/** A hand-out after something was given, and the activities it gave: one for each version, whoever gets it. */
export interface GivenOut {
  readonly handOut: HandOut;
  readonly frozen: readonly Frozen[];
}

/** What some learners get now. A learner with no line gets nothing; one with two gets the first: `coverage` names both. */
function givenTo(
  learners: readonly Learner[],
  handOut: HandOut,
  family: Family | undefined,
  people: People,
  at: string,
): { given: Record<string, Given>; frozen: Frozen[] } {
  if (handOut.kind !== 'work' || !family)
    return { given: Object.fromEntries(learners.map((l) => [l.id, { frozen: '' }])), frozen: [] };
  const made = new Map<Id | null, Freezing>();
  const given: Record<string, Given> = {};
  const lines = new Map<Id, Id | null>();
  for (const l of linesNow(handOut, people)) if (!lines.has(l.learnerId)) lines.set(l.learnerId, l.versionId);
  for (const learner of learners) {
    const versionId = lines.get(learner.id);
    if (versionId === undefined) continue;
    let one = made.get(versionId);
    if (!one) made.set(versionId, (one = freezing(family, versionId, at)));
    given[learner.id] = one.givenTo(personalValues(learner, classOf(learner.id, people), at));
  }
  const frozen = new Map([...made.values()].map((m) => [m.frozen.id, m.frozen]));
  return { given, frozen: [...frozen.values()] };
}

/** The hand-out as given out to all of its audience. `at` is an ISO instant. */
export function giveOut(handOut: HandOut, family: Family | undefined, people: People, at: string): GivenOut {
  const { given, frozen } = givenTo(recipientsOf(handOut, people), handOut, family, people, at);
  return { handOut: { ...handOut, state: 'given', givenAt: at, given }, frozen };
}

/** Those of the audience who have nothing of a hand-out that was given out: they joined since, or were forgotten. */
export const joinedSince = (handOut: HandOut, people: People): Learner[] =>
  handOut.state === 'draft' ? [] : recipientsOf(handOut, people).filter((l) => !Object.hasOwn(handOut.given, l.id));

/** The hand-out with what those get who joined since, by its rules and lines; everybody else keeps what they have. */
export function giveLate(handOut: HandOut, family: Family | undefined, people: People, at: string): GivenOut {
  const late = joinedSince(handOut, people);
  const { given, frozen } = givenTo(late, handOut, family, people, at);
  const names = late.filter((l) => given[l.id]).map((l) => l.name);
  const says =
    names.length === 1 ? `given to ${names[0]}, who joined since` : `given to ${names.length} who joined since`;
  const history = names.length ? [...handOut.history, { at, says }] : handOut.history;
  return { handOut: { ...handOut, given: { ...handOut.given, ...given }, history }, frozen };
}
