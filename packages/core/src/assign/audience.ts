import type { Id } from '../activity/block';
import type { Group, Learner, SchoolClass } from '../learners/learner';
import type { HandOut } from './hand-out';

export interface People {
  readonly learners: readonly Learner[];
  readonly classes: readonly SchoolClass[];
  readonly groups: readonly Group[];
}

export type Audience = Pick<HandOut, 'classIds' | 'groupIds' | 'learnerIds'>;

/** The learners a hand-out is for: each once, in the order of classes, groups and single learners. */
export function audienceOf(a: Audience, people: People): Learner[] {
  const ids = new Set<Id>();
  for (const c of people.classes) if (a.classIds.includes(c.id)) c.learnerIds.forEach((id) => ids.add(id));
  for (const g of people.groups) if (a.groupIds.includes(g.id)) g.learnerIds.forEach((id) => ids.add(id));
  a.learnerIds.forEach((id) => ids.add(id));
  const byId = new Map(people.learners.map((l) => [l.id, l]));
  return [...ids].flatMap((id) => byId.get(id) ?? []);
}

export const classOf = (learnerId: Id, people: People): SchoolClass | undefined =>
  people.classes.find((c) => c.learnerIds.includes(learnerId));

export interface Band {
  readonly id: Id;
  readonly name: string;
  readonly learners: readonly Learner[];
}

/** The audience under headings: each learner under the first group they are in, else under their class. */
export function bandsOf(a: Audience, people: People): Band[] {
  const all = audienceOf(a, people);
  const placed = new Set<Id>();
  const bands: Band[] = [];
  for (const part of [...people.groups, ...people.classes]) {
    const learners = all.filter((l) => part.learnerIds.includes(l.id) && !placed.has(l.id));
    if (learners.length === 0) continue;
    learners.forEach((l) => placed.add(l.id));
    bands.push({ id: part.id, name: part.name, learners });
  }
  const rest = all.filter((l) => !placed.has(l.id));
  return rest.length ? [...bands, { id: 'rest', name: 'Others', learners: rest }] : bands;
}
