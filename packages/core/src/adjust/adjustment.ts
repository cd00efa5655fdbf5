import { z } from '../zod';
import type { Content, Page } from '../activity/activity';
import { type Id, idSchema } from '../activity/block';
import type { Block } from '../activity/blocks';
import { type Category } from './category';
import { type Edit, invertEdit, type Sheet } from './sheet';

export { type Category } from './category';

/** Accommodation: another way to the same objective. Modification: something else is asked. Addition: more is asked. */
export const judgementSchema = z.enum(['accommodation', 'modification', 'addition']);
export type Judgement = z.infer<typeof judgementSchema>;

export const adjustmentBase = {
  id: idSchema,
  name: z.string().max(120).optional(),
  reason: z.object({ text: z.string().max(500), goalId: idSchema.optional() }).optional(),
  author: z.string().max(120),
  /** ISO 8601 instant at which it was written. */
  at: z.string().max(40),
  /** ISO dates in force, both included. */
  from: z.string().max(40).optional(),
  until: z.string().max(40).optional(),
  off: z.boolean().optional(),
  /** Adjustments made by one act share it: "fewer choices in 4 items". */
  batch: z.object({ id: idSchema, name: z.string().max(200) }).optional(),
  /** The recipe's rule that made it. */
  recipe: z.object({ id: idSchema, rule: z.number().int().min(0) }).optional(),
  /** The teacher's own judgement, kept beside the computed one. */
  overrule: z.object({ judgement: judgementSchema, reason: z.string().max(500) }).optional(),
};

/** What of a learner may fill a personal field. */
export type PersonalValues = Readonly<Record<string, string>>;

export interface ApplyContext {
  readonly learner?: PersonalValues;
}

/** What upkeep knows besides the basis: the present content of activities that parts were taken from. */
export interface ReviewContext {
  readonly source?: (familyId: Id) => { readonly revision: number; readonly content: Content } | undefined;
}

/** What the review of one adjustment knows besides: of its version, and of the master as it was. */
export interface Reviewing extends ReviewContext {
  /** The master when the version was last up to date with it. */
  readonly before: Content | undefined;
  /** Whether the version rewords these words of a block. */
  readonly rewords: (target: Id, field: string) => boolean;
}

/** What applying gave: edits for the targets that fit, and a reason for each that did not. */
export interface Applied {
  readonly edits: readonly Edit[];
  readonly missed: readonly {
    readonly target: Id;
    readonly why: string;
    /** Whether the basis has it, and this version itself leaves it out. */
    readonly leftOut?: boolean;
  }[];
  /** Why it cannot be left at that: its words stand until someone decides. */
  readonly unsettled?: string;
}

/** Both sides changed the same thing. */
export const WAITS = 'Waits for a decision in upkeep.';
export const OLD_NUMBERS = 'It may speak of numbers that are others here: look at its words.';

const NONE: readonly never[] = [];
export const nothing: Applied = { edits: NONE, missed: NONE };
export const replacing = (before: Block, block: Block): Applied => ({
  edits: [{ edit: 'replace-block', before, block }],
  missed: NONE,
});
export const missed = (target: Id, why: string): Applied => ({ edits: [], missed: [{ target, why }] });

/** One answer that settles a question of upkeep; `result` null drops the adjustment. */
export interface Choice<A> {
  readonly choice: 'master' | 'version' | 'combined';
  readonly label: string;
  readonly result: A | null;
  readonly also?: readonly A[];
}

/** What a change of the basis asks of one adjustment. */
export type Review<A> =
  | { readonly outcome: 'untouched' }
  | {
      readonly outcome: 'carried';
      readonly target: Id;
      readonly why: string;
      readonly result: A | null;
      /** Further adjustments that come of it, where one became two. */
      readonly also?: readonly A[];
    }
  | {
      readonly outcome: 'to-decide' | 'lost';
      readonly target: Id;
      readonly field?: string;
      readonly why: string;
      readonly old: string;
      readonly master: string;
      readonly version: string;
      readonly proposed: string;
      readonly choices: readonly Choice<A>[];
    };

/** What a kind's own judgement looks at. */
export interface JudgeContext {
  readonly basis: Content;
}
export interface Judged {
  readonly judgement: Judgement;
  readonly why: string;
  /** Neither how nor what is asked changes: it does not count for the version. */
  readonly neutral?: boolean;
}
export const accommodation = (why: string): Judged => ({ judgement: 'accommodation', why });
export const modification = (why: string): Judged => ({ judgement: 'modification', why });
export const addition = (why: string): Judged => ({ judgement: 'addition', why });

/** The adjustment's target is gone: it can only be let go. */
export function lostTarget<A>(target: Id, why: string, old: string, version: string): Review<A> {
  return {
    outcome: 'lost',
    target,
    why,
    old,
    master: '',
    version,
    proposed: '',
    choices: [{ choice: 'master', label: 'Let it go', result: null }],
  };
}

/** Both sides changed one thing: the basis's, or the version's kept as it is. */
export function ask<A>(q: {
  readonly target: Id;
  readonly field?: string;
  readonly why: string;
  readonly old: string;
  readonly master: string;
  readonly version: string;
  readonly keep: A;
}): Review<A> {
  const { keep, ...rest } = q;
  return {
    outcome: 'to-decide',
    ...rest,
    proposed: q.version,
    choices: [
      { choice: 'master', label: "Take the master's", result: null },
      { choice: 'version', label: "Keep the version's", result: keep },
    ],
  };
}

export const untouched = { outcome: 'untouched' } as const;

/** One kind of adjustment: all that the core asks of it. */
export interface AdjustmentKind<A extends { id: Id }> {
  readonly kind: string;
  /** The teacher's name for the kind, as on a button. */
  readonly label: string;
  /** As the gutter says it: "reworded". */
  readonly done: string;
  readonly category: Category;
  readonly schema: z.ZodType<A>;
  /** Applied after all others, since it needs the learner. */
  readonly late?: boolean;
  /** Replaces blocks where they stand: pages and places stay as they are, so that no other review depends on it. */
  readonly inPlace?: boolean;
  /**
   * Ids of the blocks before which a new page begins. Such a division changes nothing on the sheet: it is laid on after
   * the whole chain and everything else, so that no adjustment ever speaks of a page that it makes.
   */
  breaks?(a: A, page: Page): readonly Id[];
  /** Ids of the blocks and pages it speaks of. */
  targets(a: A): readonly Id[];
  apply(a: A, sheet: Sheet, context: ApplyContext): Applied;
  /** A sentence a parent understands. `basis` is what it is applied to. */
  describe(a: A, basis: Content): string;
  review(a: A, sheet: Sheet, context: Reviewing): Review<A>;
  /** What it does to what is asked, as far as its kind can know; `classify` looks at the finished version besides. */
  judge(a: A, context: JudgeContext): Judged;
  /** The adjustment with words of the teacher's own in place of the proposed ones, where its question is about words. */
  withWords?(a: A, sheet: Sheet, words: string): A;
}

/** The edits that take an adjustment back again, once it has been applied to `sheet`. */
export function inverseOf<A extends { id: Id }>(
  kind: AdjustmentKind<A>,
  a: A,
  sheet: Sheet,
  context: ApplyContext = {},
): Edit[] {
  return kind.apply(a, sheet, context).edits.map(invertEdit).reverse();
}

/** The first words of a text, for a sentence about it. */
export function snippet(text: string, length = 48): string {
  const flat = text.replace(/\s+/g, ' ').trim();
  return flat.length <= length ? flat : `${flat.slice(0, length - 1).replace(/\s\S*$/, '')} …`;
}
