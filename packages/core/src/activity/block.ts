import { z } from '../zod';
import type { Answer, ItemMark } from '../work/answer';
import type { Judge } from '../work/mark/judge';

/** Names that every object answers to: as an id they would find what was never kept. */
const NO_IDS = Object.getOwnPropertyNames(Object.prototype).join('|');
export const idSchema = z
  .string()
  .min(1)
  .max(64)
  // No line breaks either: lists of ids are kept as lines.
  .regex(new RegExp(`^(?!(?:${NO_IDS})$)[^\\n]+$`), 'This is no id.');
export type Id = string;

/** Whom a block is for. Teacher and key blocks never reach a learner's package. */
export const audienceSchema = z.enum(['learner', 'teacher', 'key']);
export type Audience = z.infer<typeof audienceSchema>;

/** What an item asks of the learner, from least to most. */
export const demandSchema = z.enum(['recall', 'understand', 'apply', 'explain']);
export type Demand = z.infer<typeof demandSchema>;
export const DEMANDS: readonly Demand[] = demandSchema.options;

/** Where a page or block was brought from. */
export const sourceSchema = z.object({
  /** Id of the activity; empty where it came from a file. */
  familyId: z.string().max(64),
  revision: z.number().int().min(0),
  /** Id of the page or block there. */
  id: z.string().max(64),
  /** The activity's or the file's name when it was brought. */
  title: z.string().max(300),
});
export type Source = z.infer<typeof sourceSchema>;

/** The fields every block has. */
export const blockBase = {
  id: idSchema,
  audience: audienceSchema.default('learner'),
  source: sourceSchema.optional(),
};

/** How much is to be written before a flap can be lifted, and whether it must be submitted. */
export const flapAfterSchema = z.strictObject({
  /** Letters of a typed answer; any other answer counts where there is one. */
  letters: z.number().int().min(1).max(20),
  submitted: z.boolean(),
});
export type FlapAfter = z.infer<typeof flapAfterSchema>;
export const ANY_ANSWER: FlapAfter = { letters: 1, submitted: false };

/** The fields every block that asks for an answer (an item) has besides. */
export const itemBase = {
  ...blockBase,
  prompt: z.string().max(4000),
  objectiveId: idSchema.optional(),
  demand: demandSchema.default('recall'),
  points: z.number().min(0).max(100).default(1),
  hint: z.string().max(1000).optional(),
  /** For those who are ahead of time; a recipe may leave it out. */
  optional: z.boolean().optional(),
  /** Under a cover that a learner may lift once there is an answer: to check oneself. */
  flap: z.string().max(2000).optional(),
  /** What counts as an answer, before the flap can be lifted. */
  flapAfter: flapAfterSchema.optional(),
  note: z.string().max(2000).optional(),
};

/** A choice: words, or a picture with words that describe it. */
export const optionSchema = z.object({
  id: idSchema,
  text: z.string().max(500),
  assetId: z.string().max(80).optional(),
});
export type Option = z.infer<typeof optionSchema>;

/** One text of a block that a teacher can reword and a merge can join. */
export interface WordsField {
  /** 'text', 'prompt', 'hint' or 'option:<id>' */
  readonly field: string;
  readonly label: string;
  readonly text: string;
}

/** What an item kind knows besides what every block kind knows. */
export interface ItemRules<B> {
  /** Minutes to think and answer, besides reading. */
  readonly minutes: number;
  /** The key as words; empty where only the teacher can judge. */
  keyWords(block: B): string[];
  isEmpty(answer: Answer): boolean;
  /** The learner's answer as words, for the teacher. */
  answerWords(block: B, answer: Answer): string;
  /** Marks an answer in which something was given. What was typed is judged by the one it is passed. */
  mark(block: B, answer: Answer, by: Judge): ItemMark;
  /** The block with an answer accepted too; the same block where it is already, or where its key is no list of words. */
  accept?(block: B, answer: Answer, by: Judge): B;
  /** Whether giving nothing is the right answer: then an empty one is the teacher's to judge. */
  emptyIsKey?(block: B): boolean;
}

/** One block kind: everything the core has to know about it. */
export interface BlockKind<B, L> {
  readonly kind: string;
  /** The teacher's name for the kind. */
  readonly label: string;
  readonly schema: z.ZodType<B>;
  readonly learnerSchema: z.ZodType<L>;
  fresh(id: Id, newId: () => Id): B;
  words(block: B): WordsField[];
  /** The block with one text replaced; the same block where the field is not there. */
  withWords(block: B, field: string, text: string): B;
  /** What a learner may receive: built field by field, never by deleting. */
  forLearner(block: B): L;
  /** The lists of a learner's block whose order says nothing of the key, so that they may come in any; none where not given. */
  readonly mixes?: readonly (keyof L & string)[];
  /** Ids of the assets it shows; none where it is not given. */
  assets?(block: B): string[];
  readonly item: B extends { prompt: string } ? ItemRules<B> : null;
}

/** The fields an item begins with, before its kind's own. */
export const freshItem = (id: Id) => ({
  id,
  audience: 'learner' as const,
  prompt: '',
  demand: 'recall' as const,
  points: 1,
});

/** The base fields of a learner's item. */
export const learnerItemBase = {
  id: idSchema,
  prompt: z.string(),
  hint: z.string().optional(),
  /** What it is lifted after; its words come with the lifting. Sheets given out before had them here. */
  flap: z.union([flapAfterSchema, z.string()]).optional(),
};

export function learnerItem(block: {
  id: Id;
  prompt: string;
  hint?: string | undefined;
  flap?: string | undefined;
  flapAfter?: FlapAfter | undefined;
}) {
  return {
    id: block.id,
    prompt: block.prompt,
    ...(block.hint ? { hint: block.hint } : {}),
    ...(block.flap ? { flap: block.flapAfter ?? ANY_ANSWER } : {}),
  };
}

export function itemWords(block: {
  prompt: string;
  hint?: string | undefined;
  flap?: string | undefined;
}): WordsField[] {
  const fields: WordsField[] = [{ field: 'prompt', label: 'Question', text: block.prompt }];
  if (block.hint) fields.push({ field: 'hint', label: 'Hint', text: block.hint });
  if (block.flap) fields.push({ field: 'flap', label: 'Under the flap', text: block.flap });
  return fields;
}

export function withItemWords<B extends { prompt: string; hint?: string | undefined; flap?: string | undefined }>(
  block: B,
  field: string,
  text: string,
): B {
  if (field === 'prompt') return { ...block, prompt: text };
  if (field === 'hint') return { ...block, hint: text };
  if (field === 'flap') return { ...block, flap: text };
  return block;
}

export const optionField = (optionId: Id): string => `option:${optionId}`;
