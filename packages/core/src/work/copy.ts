import { z } from '../zod';
import { idSchema } from '../activity/block';
import { usedSchema } from '../learners/comfort';
import { answerIsEmpty, answerSchema, emptied, verdictSchema, writingSchema } from './answer';
import { liftedSchema } from './lifted';
import { givenLevelSchema, MOST_CRITERIA } from './given-level';
import { journalSchema, overtakenSchema, type Pen, recorded, stepped, type Written } from './journal';

/** What was written and put aside for a fresh start: nothing of it is lost. */
export const putAsideSchema = z.object({
  id: idSchema,
  at: z.string().max(40),
  answers: z.record(z.string(), answerSchema),
});
export type PutAside = z.infer<typeof putAsideSchema>;
/** As many fresh starts are kept with one go. */
export const MOST_ASIDE = 20;

/** One try at the work. Answers are kept until the teacher deletes the copy. */
export const goSchema = z.object({
  n: z.number().int().min(1),
  startedAt: z.string(),
  submittedAt: z.string().nullable(),
  answers: z.record(z.string(), answerSchema),
  /** Who wrote what, by item, where several do the work together. */
  by: z.record(z.string(), idSchema).optional(),
  /** Answers of this go that another one took the place of, written at the same time somewhere else. */
  earlier: z.array(overtakenSchema).optional(),
  /** Which entries the answers are, where they were written since answers are numbered. */
  journal: journalSchema.optional(),
  // Of all who write at once, each may have as many.
  aside: z
    .array(putAsideSchema)
    .max(50 * MOST_ASIDE)
    .optional(),
  /** Flaps that were lifted, by item. */
  lifted: z.record(z.string(), liftedSchema).optional(),
  /** The teacher submitted it for the learner. */
  submittedFor: z.boolean().optional(),
});
export type Go = z.infer<typeof goSchema>;

/** What a learner wrote to another's place; the teacher sees it before anybody else does. */
export const remarkSchema = z.object({ id: idSchema, to: idSchema, text: z.string().min(1).max(500), at: z.string() });
export type Remark = z.infer<typeof remarkSchema>;

/** What a learner did with what they got, or several together. Written by the desk only. */
export const copySchema = z.object({
  id: idSchema,
  handOutId: idSchema,
  /** Under whom it is kept: a learner, or those who do it together. */
  learnerId: idSchema,
  /** Key of the hand-out's `frozen`. */
  frozen: z.string().max(64),
  goes: z.array(goSchema),
  /** When it was last opened at the desk, as an ISO instant. */
  seenAt: z.string().max(40).optional(),
  /** What was written on sheets of notes, by companion: nobody marks it. */
  notes: z.record(z.string(), z.string().max(20_000)).optional(),
  /** Which entries those are, and what of them had to give way to what was written at the same time. */
  noted: z.object({ journal: journalSchema.optional(), earlier: z.array(overtakenSchema).optional() }).optional(),
  remarks: z.array(remarkSchema).max(1000).optional(),
  /** The block at which it was left: there it goes on. */
  at: z.string().max(64).optional(),
  /** What of the desk was used with it, and how long. */
  used: usedSchema.optional(),
});
export type Copy = z.infer<typeof copySchema>;

export const markSchema = z.object({
  verdict: verdictSchema.exclude(['empty', 'yours']),
  points: z.number().min(0),
});
export type Mark = z.infer<typeof markSchema>;

/** A mark as the learner is given it: the teacher's own, or the computed one that the teacher let stand. Points up to `outOf`. */
export const releasedMarkSchema = z.strictObject({
  verdict: verdictSchema,
  points: z.number().min(0),
  outOf: z.number().min(0),
});
export type ReleasedMark = z.infer<typeof releasedMarkSchema>;

/** Words of the teacher's to a place for notes; `at` is an instant (ISO). */
export const noteSchema = z.strictObject({ text: z.string().min(1).max(2000), at: z.string() });
export type Note = z.infer<typeof noteSchema>;
export const MOST_NOTES = 50;

/** How another go is asked for: saying which answers are not right yet, or not; and which questions can be answered anew. */
export const againSchema = z.object({
  where: z.boolean(),
  /** Questions that are open; without it, all are. */
  only: z.array(idSchema).max(2000).optional(),
});
export type AskedAgain = z.infer<typeof againSchema>;

/**
 * What a mark was made by: the sheet that the answer was given on, under its address (with it the version, its revision, the
 * wording and the key as they were), whose mark it is and why, and what had been accepted besides the key.
 */
export const originSchema = z.object({
  sheet: z.string().max(64),
  by: z.enum(['rule', 'teacher']),
  why: z.string().max(2000),
  accepted: z.array(z.string().max(2000)).max(100).optional(),
});
export type MarkOrigin = z.infer<typeof originSchema>;

/** A photograph or scan of a page of a learner's sheet; `pageId` is empty where it shows several, or none in particular. */
export const paperPageSchema = z.strictObject({
  /** What the teacher writes on it: a layer of its own. */
  writing: writingSchema.optional(),
  assetId: z.string().max(80),
  pageId: z.union([idSchema, z.literal('')]),
});
export type PaperPage = z.infer<typeof paperPageSchema>;
export const MOST_PAPER = 60;

/** What the teacher says to one go. */
export const responseSchema = z.object({
  go: z.number().int().min(1),
  /** The teacher's own marks, by item id, in place of the computed ones. */
  marks: z.record(z.string(), markSchema),
  comments: z.record(z.string(), z.string().max(2000)),
  comment: z.string().max(2000),
  decision: z.enum(['another go', 'complete']).nullable(),
  decidedAt: z.string().nullable(),
  /** The marks by item as they were when the teacher decided: they go to the learner. */
  released: z.record(z.string(), releasedMarkSchema).optional(),
  /** What is said back to places for notes, by item, the oldest first: it goes to the learner at once. */
  notes: z.record(z.string(), z.array(noteSchema).max(MOST_NOTES)).optional(),
  /** The asset in which the teacher speaks to the learner; and on one answer, by item. */
  voice: z.string().max(80).optional(),
  voices: z.record(z.string(), z.string().max(80)).optional(),
  /** Levels that were given, by item, in their words. */
  levels: z.record(z.string(), z.array(givenLevelSchema).max(MOST_CRITERIA)).optional(),
  /** What is written on drawings and photographs, by item. */
  writing: z.record(z.string(), writingSchema).optional(),
  /** What is said of it to the family, in their report. */
  family: z.string().max(2000).optional(),
  /** How another go is asked for. */
  again: againSchema.optional(),
  /** By item, what each mark was made by when the teacher decided. */
  origins: z.record(z.string(), originSchema).optional(),
  /** What was done on paper, as the teacher placed it. */
  paper: z.array(paperPageSchema).max(MOST_PAPER).optional(),
  /** Points for the whole work in place of those of its questions together: 0 up to what they can be. */
  points: z.number().min(0).optional(),
  /** Until when the learner is told nothing of it: local date and time, or empty until it is let out by hand. */
  heldUntil: z.string().max(16).optional(),
});
export type Response = z.infer<typeof responseSchema>;

/** Everything the teacher said to one copy. Written by Marking only, so that desk and teacher never write one record. */
export const markingSchema = z.object({ id: idSchema, copyId: idSchema, responses: z.array(responseSchema) });
export type Marking = z.infer<typeof markingSchema>;

export type CopyState = 'not open yet' | 'to start' | 'working' | 'submitted' | 'another go' | 'complete';

/** A hand-out and a learner make one copy: its id is the two together. */
export const copyIdOf = (handOutId: string, learnerId: string): string => `${handOutId}.${learnerId}`;

export const responseTo = (marking: Marking | undefined, go: number): Response | undefined =>
  marking?.responses.find((r) => r.go === go);

export const emptyResponse = (go: number): Response => ({
  go,
  marks: {},
  comments: {},
  comment: '',
  decision: null,
  decidedAt: null,
});

/** What the teacher decided on the goes of a copy, by the number of the go. */
export type Decisions = Readonly<Record<string, 'another go' | 'complete'>>;

export const decisionsOf = (marking: Marking | undefined): Decisions =>
  Object.fromEntries((marking?.responses ?? []).flatMap((r) => (r.decision ? [[`${r.go}`, r.decision] as const] : [])));

/** In place of a time, where it is let out by hand. */
export const HELD = 'held';

/** Whether a submitted go may be taken back by who submitted it: until the teacher has begun to mark it. */
export function mayTakeBack(copy: Pick<Copy, 'goes'> | undefined, begun: readonly number[]): boolean {
  const go = copy?.goes.at(-1);
  return !!go?.submittedAt && !go.submittedFor && !begun.includes(go.n);
}

/** What a journal calls the step of submitting a go, or of taking it back; and of putting a try aside, or bringing it back. */
export const SUBMITTED = 'submitted';
export const asideStep = (id: string): string => `aside ${id}`;

/** The go submitted; by the teacher, where the learner did not. */
export function asSubmitted(go: Go, pen: Pen, forLearner = false): Go {
  const journal = stepped(go.journal, SUBMITTED, pen.from);
  return { ...go, submittedAt: pen.at, ...(forLearner ? { submittedFor: true } : {}), journal };
}

/** The go not submitted any more. */
export const asTakenBack = (go: Go, pen: Pen): Go => ({
  ...go,
  submittedAt: null,
  journal: stepped(go.journal, SUBMITTED, pen.from),
});

/** What is written on sheets of notes, as entries: by companion. */
export const notesWritten = ({ notes, noted }: Pick<Copy, 'notes' | 'noted'>): Written => ({
  answers: Object.fromEntries(Object.entries(notes ?? {}).map(([id, text]) => [id, { kind: 'text', text }])),
  ...noted,
});

/** The copy with these sheets of notes. */
export function withNotes(copy: Copy, { answers, journal, earlier }: Written): Copy {
  const notes = Object.entries(answers).flatMap(([id, a]) => (a.kind === 'text' ? [[id, a.text] as const] : []));
  const noted = { ...(journal ? { journal } : {}), ...(earlier?.length ? { earlier } : {}) };
  const { notes: _, noted: __, ...rest } = copy;
  return {
    ...rest,
    ...(notes.length ? { notes: Object.fromEntries(notes) } : {}),
    ...(Object.keys(noted).length ? { noted } : {}),
  };
}

/** A go from its beginning again: what was there is put aside. The same go where there is no more room for it. */
export const afresh = (go: Go, pen: Pen & { readonly id: string }): Go =>
  (go.aside?.length ?? 0) >= MOST_ASIDE ? go : putAside(go, pen);

function putAside(go: Go, pen: Pen & { readonly id: string }): Go {
  const written = Object.fromEntries(Object.entries(go.answers).filter(([, a]) => !answerIsEmpty(a)));
  if (Object.keys(written).length === 0) return go;
  // Emptied, not left out: where two write at once, what was put aside does not come back by itself.
  const empty = Object.fromEntries(Object.entries(go.answers).map(([item, a]) => [item, emptied(a)]));
  const fresh = recorded(go, empty, pen);
  return {
    ...fresh,
    journal: stepped(fresh.journal, asideStep(pen.id), pen.from),
    aside: [...(go.aside ?? []), { id: pen.id, at: pen.at, answers: written }],
  };
}

/** A go with what was put aside in its place again; what stands there now is put aside itself. */
export function broughtBack(go: Go, asideId: string, pen: Pen & { readonly id: string }): Go {
  const one = go.aside?.find((a) => a.id === asideId);
  if (!one) return go;
  const aside = (go.aside ?? []).filter((a) => a !== one);
  const journal = stepped(go.journal, asideStep(asideId), pen.from);
  return recorded(putAside({ ...go, aside, journal }, pen), one.answers, pen);
}

/** How far begun work is; undefined where nothing was begun. */
export function workState(
  copy: Pick<Copy, 'goes'> | undefined,
  decisions: Decisions,
): Exclude<CopyState, 'not open yet' | 'to start'> | undefined {
  const go = copy?.goes.at(-1);
  if (!go) return undefined;
  const said = decisions[go.n];
  if (said) return said;
  if (go.submittedAt) return 'submitted';
  return go.n > 1 && decisions[go.n - 1] === 'another go' ? 'another go' : 'working';
}

/** `now` is local, 'yyyy-MM-ddTHH:mm'. */
export function copyState(
  handOut: { readonly opensAt: string | null },
  copy: Copy | undefined,
  marking: Marking | undefined,
  now: string,
): CopyState {
  return stateNow(handOut, workState(copy, decisionsOf(marking)), now);
}

/** The state of work as it is shown: before it opens, there is none. */
export const stateNow = (
  handOut: { readonly opensAt: string | null },
  state: Exclude<CopyState, 'not open yet' | 'to start'> | undefined,
  now: string,
): CopyState => (handOut.opensAt !== null && handOut.opensAt > now ? 'not open yet' : (state ?? 'to start'));

/**
 * The go a learner may write in now: the open one; the first; the next one, where another was asked for, or where fewer
 * than `most` were used and the work is not complete. Undefined: nothing to do.
 */
export function openGo(
  copy: Pick<Copy, 'goes'> | undefined,
  decisions: Decisions,
  most = 1,
): 'first' | 'next' | Go | undefined {
  const go = copy?.goes.at(-1);
  if (!go) return 'first';
  // Also where it was not submitted: another sheet was given meanwhile.
  if (!go.submittedAt && decisions[go.n] !== 'another go') return go;
  const decision = decisions[go.n];
  return decision === 'another go' || (decision !== 'complete' && go.n < most) ? 'next' : undefined;
}
