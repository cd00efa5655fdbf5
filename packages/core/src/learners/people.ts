import { type Id, idSchema } from '../activity/block';
import { z } from '../zod';
import type { NamedAudience } from './audience';
import { type Day, daySchema, isOnDay } from './days';
import type { Learner } from './learner';

/** A class. A learner may be in several. */
export const classSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  learnerIds: z.array(idSchema).max(2000),
  /** The school's own id for it, where it came from its list. */
  rosterId: z.string().max(255).default(''),
});
export type SchoolClass = z.infer<typeof classSchema>;

/** Learners who work together for a purpose and a time; a day that is empty is not set. */
export const groupSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  purpose: z.string().max(200).default(''),
  from: daySchema.default(''),
  until: daySchema.default(''),
  learnerIds: z.array(idSchema).max(2000),
});
export type Group = z.infer<typeof groupSchema>;

/** What a new class and a new group are before anything is said of them. */
export const NEW_CLASS: Omit<SchoolClass, 'id' | 'name'> = { learnerIds: [], rosterId: '' };
export const NEW_GROUP: Omit<Group, 'id' | 'name'> = { learnerIds: [], purpose: '', from: '', until: '' };

export interface People {
  readonly learners: readonly Learner[];
  readonly classes: readonly SchoolClass[];
  readonly groups: readonly Group[];
  readonly audiences: readonly NamedAudience[];
  /** The day it is, as an ISO date: what is agreed for a time holds on it or not. */
  readonly today: Day;
}

/** The class a learner is in; of several the first, as they stand in the list. */
export const classOf = (learnerId: Id, { classes }: Pick<People, 'classes'>): SchoolClass | undefined =>
  classes.find((c) => c.learnerIds.includes(learnerId));

/** Groups that meet on a day. */
export const groupsOn = (groups: readonly Group[], day: Day): Group[] => groups.filter((g) => isOnDay(g, day));

/** Company that learners had: for each pair that stands together in a group, how often. Keys as `pairOf` gives them. */
export function companyIn(groups: readonly { readonly learnerIds: readonly Id[] }[]): ReadonlyMap<string, number> {
  const pairs = new Map<string, number>();
  for (const { learnerIds } of groups)
    learnerIds.forEach((a, i) => {
      for (const b of learnerIds.slice(i + 1)) pairs.set(pairOf(a, b), (pairs.get(pairOf(a, b)) ?? 0) + 1);
    });
  return pairs;
}

/** Two learners as one key, in whichever order. */
export const pairOf = (a: Id, b: Id): string => (a < b ? `${a}\n${b}` : `${b}\n${a}`);

/** The people of a workspace as they are on a day (ISO date, or an instant of it). */
export const peopleIn = (
  w: {
    readonly learners: Readonly<Record<Id, Learner>>;
    readonly classes: Readonly<Record<Id, SchoolClass>>;
    readonly groups: Readonly<Record<Id, Group>>;
    readonly audiences: Readonly<Record<Id, NamedAudience>>;
  },
  today: string,
): People => ({
  learners: Object.values(w.learners),
  classes: Object.values(w.classes),
  groups: Object.values(w.groups),
  audiences: Object.values(w.audiences),
  today: today.slice(0, 10),
});
