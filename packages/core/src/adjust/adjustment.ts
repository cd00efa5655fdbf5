import { z } from 'zod';
import type { Content } from '../activity/activity';
import { type Id, idSchema } from '../activity/block';
import { type Edit, invertEdit, type Sheet } from './sheet';

/** The practice category an adjustment belongs to, as plans and reviews ask for it. */
export const categorySchema = z.enum([
  'presentation',
  'response',
  'timing',
  'setting',
  'content',
  'support',
  'challenge',
]);
export type Category = z.infer<typeof categorySchema>;

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
  /** The teacher's own judgement, kept beside the computed one. */
  overrule: z.object({ judgement: judgementSchema, reason: z.string().max(500) }).optional(),
};

/** What of a learner may fill a personal field. */
export interface PersonalValues {
  readonly name?: string;
  readonly interest?: string;
  readonly class?: string;
}

export interface ApplyContext {
  readonly learner?: PersonalValues;
}

/** What applying gave: edits for the targets that fit, and a reason for each that did not. */
export interface Applied {
  readonly edits: readonly Edit[];
  readonly missed: readonly { readonly target: Id; readonly why: string }[];
  /** Both sides changed the same thing, and the version's words stand until someone decides. */
  readonly unsettled?: boolean;
}

export const nothing: Applied = { edits: [], missed: [] };
export const missed = (target: Id, why: string): Applied => ({ edits: [], missed: [{ target, why }] });

/** One answer that settles a question of upkeep; `result` null drops the adjustment. */
export interface Choice<A> {
  readonly choice: 'master' | 'version' | 'combined';
  readonly label: string;
  readonly result: A | null;
}

/** What a change of the basis asks of one adjustment. */
export type Review<A> =
  | { readonly outcome: 'untouched' }
  | { readonly outcome: 'carried'; readonly target: Id; readonly why: string; readonly result: A | null }
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
  /** Ids of the blocks and pages it speaks of. */
  targets(a: A): readonly Id[];
  apply(a: A, sheet: Sheet, context: ApplyContext): Applied;
  /** A sentence a parent understands. `basis` is what it is applied to. */
  describe(a: A, basis: Content): string;
  review(a: A, sheet: Sheet): Review<A>;
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
