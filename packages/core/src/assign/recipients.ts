import type { Id } from '../activity/block';
import { inAudiences } from '../learners/audience';
import type { Learner } from '../learners/learner';
import type { People } from '../learners/people';
import type { HandOut } from './hand-out';

/** Whom a hand-out is for: whole classes, groups and audiences, and learners by name. */
export type Recipients = Pick<HandOut, 'classIds' | 'groupIds' | 'learnerIds'> & {
  readonly audienceIds?: readonly Id[];
  /** Who has nothing of it, though in one of these. */
  readonly leftOutIds?: readonly Id[];
};

/** The learners a hand-out is for: each once, in the order of classes, groups, audiences and single learners. */
export function recipientsOf(r: Recipients, people: People): Learner[] {
  const ids = new Set<Id>();
  for (const c of people.classes) if (r.classIds.includes(c.id)) c.learnerIds.forEach((id) => ids.add(id));
  for (const g of people.groups) if (r.groupIds.includes(g.id)) g.learnerIds.forEach((id) => ids.add(id));
  const audiences = people.audiences.filter((a) => r.audienceIds?.includes(a.id));
  if (audiences.length) inAudiences(audiences, people).forEach((id) => ids.add(id));
  r.learnerIds.forEach((id) => ids.add(id));
  r.leftOutIds?.forEach((id) => ids.delete(id));
  const byId = new Map(people.learners.map((l) => [l.id, l]));
  return [...ids].flatMap((id) => byId.get(id) ?? []);
}

export interface Band {
  readonly id: Id;
  readonly name: string;
  readonly learners: readonly Learner[];
}

/** The recipients under headings: each learner under the first group they are in, else under their class. */
export function bandsOf(r: Recipients, people: People): Band[] {
  const all = recipientsOf(r, people);
  const placed = new Set<Id>();
  const bands: Band[] = [];
  for (const part of [...people.groups, ...people.classes]) {
    const inIt = new Set(part.learnerIds);
    const learners = all.filter((l) => inIt.has(l.id) && !placed.has(l.id));
    if (learners.length === 0) continue;
    learners.forEach((l) => placed.add(l.id));
    bands.push({ id: part.id, name: part.name, learners });
  }
  const rest = all.filter((l) => !placed.has(l.id));
  return rest.length ? [...bands, { id: 'rest', name: 'Others', learners: rest }] : bands;
}
