import { type Id, idSchema } from '../../activity/block';
import { z } from '../../zod';

export const wishSchema = z.object({
  want: z.enum(['together', 'apart']),
  a: idSchema,
  b: idSchema,
  /** Hard: no proposal breaks it where one can be kept. Soft: it is weighed. */
  hard: z.boolean(),
});
export type Wish = z.infer<typeof wishSchema>;

/** What groups are to be made of, and by what they are judged. */
export interface GroupingProblem {
  readonly learnerIds: readonly Id[];
  /** How many groups; their sizes differ by one at most. */
  readonly groups: number;
  /** Groups of like need, or such that each is as mixed as the class. */
  readonly need: 'like' | 'mixed';
  /** Levels by skill and learner, in whatever scale; a learner who is not named is taken as in the middle. */
  readonly skills: readonly { readonly name: string; readonly levels: Readonly<Record<Id, number>> }[];
  readonly wishes: readonly Wish[];
  /** How many assistants there are to spread, one to a group at most; and who is to have one beside them. */
  readonly assistants: number;
  readonly besideAssistant: readonly Id[];
  /** Pairs that worked together before, by `pairOf`, with how often. */
  readonly company: ReadonlyMap<string, number>;
  /** Learners whose group the teacher chose, by the group's place from 0: they stay there. */
  readonly kept: Readonly<Record<Id, number>>;
}

/** One way to part them: the group of each learner, by place. */
export type Parting = readonly (readonly Id[])[];

/** Sizes of groups, even to one, the larger first. */
export function evenSizes(learners: number, groups: number): number[] {
  const base = Math.floor(learners / groups);
  return Array.from({ length: groups }, (_, i) => base + (i < learners % groups ? 1 : 0));
}

/** What one unit of each cost is worth beside the others. A hard wish outweighs all that soft things can come to. */
export const WEIGHTS = { need: 10, hard: 10_000, soft: 2, company: 1, assistant: 4, uneven: 1_000 } as const;
