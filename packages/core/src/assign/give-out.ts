import type { Id } from '../activity/block';
import type { Family } from '../activity/family';
import type { PersonalValues } from '../adjust/adjustment';
import { goalOf, type Learner, personalValues } from '../learners/learner';
import { classOf, type People } from '../learners/people';
import { changedAfter } from './after/history';
import { type Freezing, freezing } from './held/freeze';
import { EVERYBODY, type Frozen, type Given, type HandOut, type Line, type Parts } from './hand-out';
import { recipientsOf } from './recipients';
import { linesNow } from './rules';

/** A hand-out after something was given, and the activities it gave: one for each version, whoever gets it. */
export interface GivenOut {
  readonly handOut: HandOut;
  readonly frozen: readonly Frozen[];
}

/** What of the activity a learner is to get, and with whom. */
export interface Due {
  readonly versionId: Id | null;
  /** Pages that come from another version. */
  readonly parts?: Parts;
  readonly shares?: Id;
  /** What stands in its personal fields. */
  readonly values: PersonalValues;
}

/** By learner. One with no line gets nothing; one with two gets the first: `coverage` names both. */
export function duesOf(handOut: HandOut, people: People, at: string): (learner: Learner) => Due | undefined {
  if (handOut.way === 'per-group') {
    const by = new Map<Id, Due>();
    for (const t of handOut.teams)
      for (const id of t.learnerIds)
        if (!by.has(id)) by.set(id, { versionId: t.versionId, shares: t.id, values: { name: t.name } });
    return (l) => by.get(l.id);
  }
  const lines = new Map<Id, Line>();
  for (const l of linesNow(handOut, people)) if (!lines.has(l.learnerId)) lines.set(l.learnerId, l);
  return (learner) => {
    const line = lines.get(learner.id);
    if (!line) return undefined;
    const { versionId, parts } = line;
    if (handOut.way === 'together') return { versionId, shares: EVERYBODY, values: {} };
    const values = personalValues(learner, classOf(learner.id, people), at);
    return { versionId, ...(parts?.length ? { parts } : {}), values };
  };
}

/** What some learners get now. */
export function givenTo(
  learners: readonly Learner[],
  handOut: HandOut,
  family: Family | undefined,
  people: People,
  at: string,
): { given: Record<string, Given>; frozen: Frozen[] } {
  if (handOut.kind !== 'work' || !family)
    return { given: Object.fromEntries(learners.map((l) => [l.id, { frozen: '' }])), frozen: [] };
  const made = new Map<string, Freezing>();
  const wordsOfGoals = (id: Id) => goalOf(people.learners, id)?.text;
  const given: Record<string, Given> = {};
  const dueTo = duesOf(handOut, people, at);
  for (const learner of learners) {
    const due = dueTo(learner);
    if (!due) continue;
    const key = JSON.stringify([due.versionId, due.parts ?? []]);
    let one = made.get(key);
    if (!one) made.set(key, (one = freezing(family, due.versionId, at, due.parts, wordsOfGoals)));
    given[learner.id] = { ...one.givenTo(due.values), ...(due.shares ? { shares: due.shares } : {}) };
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
  const all = { given: { ...handOut.given, ...given } };
  return { handOut: names.length ? changedAfter(handOut, all, at, says) : handOut, frozen };
}
