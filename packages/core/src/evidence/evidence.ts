import { idSchema } from '../activity/block';
import { verdictSchema } from '../work/answer';
import { judgementSchema } from '../adjust/adjustment';
import { categorySchema } from '../adjust/category';
import { daySchema } from '../learners/days';
import { z } from '../zod';

/** Format number of evidence as a file. */
export const EVIDENCE_FORMAT = 1;

/** What an adjustment counts as: an own judgement comes before the computed one; empty where none was held fast. */
const countsAsSchema = z.enum([...judgementSchema.options, 'to judge', '']);

/** How a part of the learner's sheet differs from the master's. */
export const sideSchema = z.strictObject({
  blockId: idSchema,
  /** Title of its page. */
  page: z.string(),
  /** The question's number on the learner's sheet; 0 for what is no question, or is not on it. */
  number: z.number().int().min(0),
  /** What kind of block it is, in words. */
  is: z.string(),
  how: z.enum(['changed', 'added', 'left out']),
  /** Its words in the master's revision; empty where it is not there. */
  master: z.string(),
  /** Its words on the learner's sheet; empty where it is not there. */
  learner: z.string(),
  adjustmentIds: z.array(idSchema),
  /** Of a question, in the last go: what was answered, and the mark that counts; empty where it was not answered or has none. */
  answer: z.string(),
  verdict: z.union([verdictSchema, z.literal('')]),
});
export type Side = z.infer<typeof sideSchema>;

/** Right ones of those that are marked. */
export const rightOfSchema = z.strictObject({ right: z.number().int(), of: z.number().int() });
export type RightOf = z.infer<typeof rightOfSchema>;

/** One adjustment as it reached the learner, as it was held fast when it was given. */
export const adjustedSchema = z.strictObject({
  adjustmentId: idSchema,
  versionId: idSchema,
  versionName: z.string(),
  category: z.union([categorySchema, z.literal('')]),
  name: z.string(),
  /** What it does, in a sentence. */
  sentence: z.string(),
  countsAs: countsAsSchema,
  /** Why it was computed so. */
  why: z.string(),
  /** The teacher's own judgement in place of the computed one, and why; null where it stands as computed. */
  overruled: z.strictObject({ judgement: judgementSchema, was: countsAsSchema, reason: z.string() }).nullable(),
  reason: z.string(),
  goal: z.strictObject({ id: idSchema, text: z.string() }).nullable(),
  author: z.string(),
  /** ISO instant at which it was written; days in force, empty where they are open. */
  at: z.string(),
  from: z.string(),
  until: z.string(),
  /** Whether it was used, where the work can tell: “lifted 2 of 3”; empty where it cannot. */
  used: z.string(),
  /** The questions that it speaks of, in the last go; null where none of them is marked. */
  result: rightOfSchema.nullable(),
});
export type Adjusted = z.infer<typeof adjustedSchema>;

export const goOfSchema = z.strictObject({
  n: z.number().int().min(1),
  /** ISO instants; empty where it did not happen. */
  submittedAt: z.string(),
  decidedAt: z.string(),
  decision: z.enum(['another go', 'complete', '']),
  onPaper: z.boolean(),
  right: z.number().int(),
  /** Marked questions, and those that are still to be judged. */
  of: z.number().int(),
  open: z.number().int(),
  points: z.number(),
  outOf: z.number(),
  comment: z.string(),
});
export type GoOf = z.infer<typeof goOfSchema>;

/** One hand-out that reached the learner in the period. */
export const evidenceWorkSchema = z.strictObject({
  handOutId: idSchema,
  title: z.string(),
  familyId: z.string(),
  activity: z.string(),
  /** ISO instant. */
  givenAt: z.string(),
  takenBack: z.boolean(),
  /** The work is done by several together. */
  together: z.boolean(),
  versionId: idSchema.nullable(),
  versionName: z.string(),
  revision: z.number().int(),
  /** Address of the sheet as it was given. */
  sheet: z.string(),
  /** What the version counts as as a whole. */
  countsAs: z.enum([...countsAsSchema.options, 'same']),
  /** Local date and time; empty where there is none. */
  dueAt: z.string(),
  ownDueAt: z.string(),
  /** Why the learner's date is another one, in words; empty where it is not. */
  moreTime: z.string(),
  /** Goes that there are; 0 for as many as are asked for. */
  goesAllowed: z.number().int().min(0),
  adjustments: z.array(adjustedSchema),
  sides: z.array(sideSchema),
  goes: z.array(goOfSchema),
  /** What of the desk was used with it. */
  used: z.array(z.strictObject({ tool: z.string(), times: z.number().int(), seconds: z.number().int() })),
});
export type EvidenceWork = z.infer<typeof evidenceWorkSchema>;

/** An agreed support against what was given. */
export const supportGivenSchema = z.strictObject({
  what: z.string(),
  category: categorySchema,
  from: daySchema,
  until: daySchema,
  reviewOn: daySchema,
  note: z.string(),
  /** Whether sheets and work can tell whether it was given. */
  canTell: z.boolean(),
  /** Works given while it was agreed: those that had it, with where it was seen; those that lacked it, or had it in part. */
  given: z.array(z.strictObject({ handOutId: idSchema, title: z.string(), seen: z.string() })),
  lacking: z.array(z.strictObject({ handOutId: idSchema, title: z.string(), seen: z.string() })),
});
export type SupportGiven = z.infer<typeof supportGivenSchema>;

/** What the teacher added. */
export const evidenceNoteSchema = z.strictObject({
  id: idSchema,
  /** The day it speaks of. */
  on: daySchema,
  text: z.string(),
  /** A photograph's asset; empty for none. */
  assetId: z.string(),
  /** The work it speaks of; empty for none. */
  handOutId: z.string(),
});
export type EvidenceNote = z.infer<typeof evidenceNoteSchema>;

/**
 * What was adjusted for one learner in a period, why, and with what result: put together anew from what was held fast
 * whenever it is asked for, never kept.
 */
export const evidenceSchema = z.strictObject({
  product: z.literal('lorvet'),
  kind: z.literal('evidence'),
  format: z.literal(EVIDENCE_FORMAT),
  /** ISO instant. */
  at: z.string(),
  learner: z.strictObject({ id: idSchema, name: z.string(), called: z.string(), classes: z.array(z.string()) }),
  /** Days, both included. */
  period: z.strictObject({ from: daySchema, until: daySchema }),
  goals: z.array(
    z.strictObject({
      id: idSchema,
      text: z.string(),
      measure: z.string(),
      target: z.number().nullable(),
      by: daySchema,
    }),
  ),
  supports: z.array(supportGivenSchema),
  works: z.array(evidenceWorkSchema),
  notes: z.array(evidenceNoteSchema),
  /** Reviews that were held in the time. */
  reviews: z.array(z.strictObject({ on: daySchema, said: z.string(), changes: z.array(z.string()) })),
  /** Pieces that the teacher stressed, by key; see `pieceKey`. */
  stressed: z.array(z.string()),
});
export type Evidence = z.infer<typeof evidenceSchema>;
