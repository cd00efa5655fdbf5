import type { Id } from '../activity/block';
import type { Group, People } from '../learners/people';
import type { HandOut, Team } from './hand-out';
import { recipientsOf } from './recipients';

/** Who of the audience is in no group yet: only they are offered. */
export function unplaced(handOut: HandOut, people: People): Id[] {
  const placed = new Set(handOut.teams.flatMap((t) => t.learnerIds));
  return recipientsOf(handOut, people).flatMap((l) => (placed.has(l.id) ? [] : [l.id]));
}

/** Groups that there are, taken into the plan: each learner of the audience once, in the first that has them. */
export function teamsOf(groups: readonly Group[], handOut: HandOut, people: People, newId: () => Id): Team[] {
  const left = new Set(unplaced(handOut, people));
  return groups.flatMap((g) => {
    const learnerIds = g.learnerIds.filter((id) => left.has(id));
    learnerIds.forEach((id) => left.delete(id));
    return learnerIds.length ? [{ id: newId(), name: g.name, learnerIds, versionId: null }] : [];
  });
}

/** How many groups a number of learners makes where each has this many, or one fewer. */
export const countOfTeams = (learners: number, size: number): number => Math.max(1, Math.ceil(learners / size));

/** The groups with a learner in one of them and no other; an unknown or empty id takes them out of all. */
export const placed = (teams: readonly Team[], learnerId: Id, teamId: Id): Team[] =>
  teams.map((t) => {
    const rest = t.learnerIds.filter((id) => id !== learnerId);
    return { ...t, learnerIds: t.id === teamId ? [...rest, learnerId] : rest };
  });
