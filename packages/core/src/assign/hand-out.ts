import { z } from '../zod';
import { idSchema } from '../activity/block';
import { blockSchema } from '../activity/blocks';
import { companionSchema, MOST_COMPANIONS } from './companion';
import { withBlocks } from '../activity/with-blocks';
import type { Frozen, FrozenById } from './held/frozen';
import { lineageStepSchema } from './held/lineage-step';
import { acceptedSchema } from '../work/accepted';
import { rubricSchema } from '../work/given-level';
import { placeSchema } from './place';

export * from './companion';
export type { Frozen, FrozenById } from './held/frozen';
export type { LineageStep } from './held/lineage-step';
export * from './place';

/** Who gets which version; null is the master. A learner may stand on two lines by mistake: `coverage` says so. */
export const lineSchema = z.object({
  learnerId: idSchema,
  versionId: idSchema.nullable(),
  /** Pages that come from another version: a learner is not on one level in everything. */
  parts: z
    .array(z.object({ pageId: idSchema, versionId: idSchema.nullable() }))
    .max(200)
    .optional(),
  /** Id of the rule that gave it; none where it was chosen by hand. */
  rule: idSchema.optional(),
});
export type Line = z.infer<typeof lineSchema>;
export type Parts = NonNullable<Line['parts']>;

/** A hand-out is work, a notice with nothing to answer, or a folder of documents that an audience can always find. */
export const handOutKindSchema = z.enum(['work', 'notice', 'folder']);
export type HandOutKind = z.infer<typeof handOutKindSchema>;

/**
 * One each; one per group; one for all with a place for each; one for all, that all write in together; to read.
 */
export const wayToGiveSchema = z.enum(['one-each', 'per-group', 'place-each', 'together', 'to-read']);
export type WayToGive = z.infer<typeof wayToGiveSchema>;

/** Whoever it speaks of gets the version, also who joins later: everyone, a class, a group, an audience. */
export const planRuleSchema = z.object({
  id: idSchema,
  by: z.enum(['everyone', 'class', 'group', 'audience']),
  /** Id of the class, group or audience; empty for everyone. */
  of: z.string().max(64).default(''),
  versionId: idSchema.nullable(),
});
export type PlanRule = z.infer<typeof planRuleSchema>;

/** Those who have one copy together, where one is given per group. */
export const teamSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  learnerIds: z.array(idSchema).max(2000),
  versionId: idSchema.nullable(),
});
export type Team = z.infer<typeof teamSchema>;

/** As many objectives can be named for one. */
export const MOST_OBJECTIVES = 60;

/** Local date and time, 'yyyy-MM-ddTHH:mm'; null where none is set. */
const localSchema = z.string().max(16).nullable();
/** Dates that are other than everybody's for one learner; null is none, what is left out is as for all. */
export const ownDatesSchema = z.object({
  opensAt: localSchema.optional(),
  dueAt: localSchema.optional(),
  closesAt: localSchema.optional(),
});
export type OwnDates = z.infer<typeof ownDatesSchema>;

const sheetSchema = {
  /** Address of what was given; empty for a notice or a folder, which hold no activity. */
  frozen: z.string().max(64),
  own: z.array(z.object({ block: blockSchema, steps: z.array(lineageStepSchema) })).optional(),
};
/** What one learner got: a frozen activity, with the blocks that are this learner's own in place of its own. */
export const givenSchema = z.object({
  ...sheetSchema,
  /** What was given before it, the oldest first: up to which go it was worked on. */
  earlier: z
    .array(z.object({ ...sheetSchema, goes: z.number().int().min(1), at: z.string().max(40) }))
    .max(100)
    .optional(),
  /** Questions that ask something else than on the sheet before: what was answered there does not come along. */
  anew: z.array(idSchema).max(2000).optional(),
  /** Whose one piece of work this is, where several do it together: the id of their group, or `EVERYBODY`. */
  shares: idSchema.optional(),
});
export type Given = z.infer<typeof givenSchema>;

/** What the teacher said to a finding of the check that is no error: why it may stay. */
export const confirmedSchema = z.object({ key: z.string().max(200), reason: z.string().min(1).max(200) });

/** What was done to a hand-out, in words, with when; and what it was before, for as long as it can be undone. */
export const doneSchema = z.object({
  at: z.string().max(40),
  says: z.string().max(300),
  back: z
    .object({
      /** Fields of the hand-out as they were. */
      fields: z.record(z.string(), z.unknown()),
      /** By learner, what they had; null where they had nothing of it. */
      given: z.record(idSchema, givenSchema.nullable()),
      /** Goes that another one was asked for, with what had been decided on them. */
      asked: z.array(
        z.object({
          copyId: idSchema,
          go: z.number().int().min(1),
          was: z.enum(['another go', 'complete']).nullable(),
        }),
      ),
    })
    .optional(),
});
export type Done = z.infer<typeof doneSchema>;

/** As many photographs and scans of one hand-out wait to be placed. */
export const MOST_TO_PLACE = 400;
export const handOutSchema = z.object({
  id: idSchema,
  kind: handOutKindSchema.default('work'),
  /** The activity; empty for a notice or a folder. */
  familyId: z.union([idSchema, z.literal('')]),
  createdAt: z.string().max(40).default(''),
  title: z.string().min(1).max(200),
  way: wayToGiveSchema,
  note: z.string().max(5000).default(''),
  classIds: z.array(idSchema),
  groupIds: z.array(idSchema),
  learnerIds: z.array(idSchema),
  audienceIds: z.array(idSchema).default([]),
  /** Who has nothing of it, though in one of these. */
  leftOutIds: z.array(idSchema).max(2000).default([]),
  lines: z.array(lineSchema),
  rules: z.array(planRuleSchema).max(200).default([]),
  teams: z.array(teamSchema).max(500).default([]),
  place: placeSchema.nullable().default(null),
  companions: z.array(companionSchema).max(MOST_COMPANIONS).default([]),
  unit: z.string().max(120).default(''),
  objectiveIds: z.array(idSchema).max(MOST_OBJECTIVES).default([]),
  /** Whether points are given; what for is a matter of the items. */
  points: z.boolean().default(true),
  category: z.string().max(80).default(''),
  /** Local date and time, 'yyyy-MM-ddTHH:mm'; null opens at once, or is due never, closes never, keeps answers back. */
  opensAt: z.string().nullable(),
  dueAt: z.string().nullable(),
  closesAt: localSchema.default(null),
  answersAt: localSchema.default(null),
  /** The time zone that these are in, as IANA names it; empty is this machine's. */
  zone: z.string().max(60).default(''),
  /** By learner. */
  ownDates: z.record(idSchema, ownDatesSchema).default({}),
  /** Goes for everybody; null as the version says. */
  goes: z.number().int().min(1).max(20).nullable().default(null),
  /** Learners the teacher has looked as. */
  lookedAs: z.array(idSchema),
  confirmed: z.array(confirmedSchema).max(200).default([]),
  state: z.enum(['draft', 'given']),
  givenAt: z.string().nullable(),
  /** When marks and words go out: with the decision; by hand (empty); or at a local date and time. */
  marksAt: localSchema.optional(),
  /** Rubrics, by question. */
  rubrics: z.record(idSchema, rubricSchema).optional(),
  /** Answers that count as right besides the keys. */
  accepted: z.array(acceptedSchema).max(500).optional(),
  /** Photographs and scans of learners' sheets that are not placed yet, by their assets. */
  toPlace: z.array(z.string().max(80)).max(MOST_TO_PLACE).optional(),
  /** From when single learners see the answers, where that is another time than for all; empty is not until it is said. */
  ownAnswers: z.record(idSchema, z.string().max(16)).optional(),
  /** Taken out of sight after it was given; what was done stays. */
  isHidden: z.boolean().default(false),
  /** Once given: what each learner got, by learner id. */
  given: z.record(idSchema, givenSchema),
  history: z.array(doneSchema).max(1000).default([]),
  /** A plan that others are begun with, and that is never given itself. */
  isTemplate: z.boolean().default(false),
  /** The hand-outs that follow each other: the same for each of them; empty for one alone. */
  seriesId: z.string().max(64).default(''),
});
export type HandOut = z.infer<typeof handOutSchema>;

/** A plan in which nothing is said yet. `createdAt` is an ISO instant. */
export const newHandOut = (
  of: Pick<HandOut, 'id' | 'familyId' | 'title' | 'createdAt'> & Partial<Pick<HandOut, 'kind' | 'way'>>,
): HandOut =>
  handOutSchema.parse({
    way: 'one-each',
    classIds: [],
    groupIds: [],
    learnerIds: [],
    lines: [],
    opensAt: null,
    dueAt: null,
    lookedAs: [],
    state: 'draft',
    givenAt: null,
    given: {},
    ...of,
  });

export type HandOutState = 'draft' | 'scheduled' | 'given out' | 'closed' | 'taken back';

/** Draft, scheduled (given out, opening later), given out, closed, taken back. `now` in the form of `opensAt`. */
export function handOutState(
  h: Pick<HandOut, 'state' | 'opensAt'> & Partial<Pick<HandOut, 'closesAt' | 'isHidden'>>,
  now: string,
): HandOutState {
  if (h.state === 'draft') return 'draft';
  if (h.isHidden) return 'taken back';
  if (h.closesAt && h.closesAt <= now) return 'closed';
  return h.opensAt !== null && h.opensAt > now ? 'scheduled' : 'given out';
}

/** From when a learner sees the answers; null is not. */
export function answersFor(
  handOut: Pick<HandOut, 'answersAt'> & Partial<Pick<HandOut, 'ownAnswers'>>,
  learnerId: string,
): string | null {
  const own =
    handOut.ownAnswers && Object.hasOwn(handOut.ownAnswers, learnerId) ? handOut.ownAnswers[learnerId] : undefined;
  return own === undefined ? handOut.answersAt : own || null;
}

/** What a go was worked on: what is given now, or what was given before it. */
export const givenForGo = (given: Given, go: number): Pick<Given, 'frozen' | 'own'> =>
  given.earlier?.find((e) => go <= e.goes) ?? given;

/** Addresses of all that was ever given of a hand-out, and of what undoing brings back, each once. */
export function frozenIdsOf(
  handOut: Pick<HandOut, 'given'> & Partial<Pick<HandOut, 'history' | 'companions'>>,
): string[] {
  const before = (handOut.history ?? []).flatMap((d) => Object.values(d.back?.given ?? {}).flatMap((g) => g ?? []));
  const all = [...Object.values(handOut.given), ...before].flatMap((g) => [g, ...(g.earlier ?? [])]);
  const beside = (handOut.companions ?? []).flatMap((c) => (c.is === 'activity' ? c.frozen : []));
  return [...new Set([...all.map((x) => x.frozen), ...beside].filter(Boolean))];
}

/** Whose work it is where one piece is for all together. */
export const EVERYBODY = 'everybody';

/** What those who have one piece of work together are called; `team` is the name of their group, where it is known. */
export const sharedName = (key: string, team: string | undefined): string =>
  key === EVERYBODY ? 'Everybody' : (team ?? 'A group');

/** Under whom a learner's work on a hand-out is kept: under themselves, or under those they do it with. */
export const workKeyOf = (handOut: Pick<HandOut, 'given'>, learnerId: string): string =>
  (Object.hasOwn(handOut.given, learnerId) && handOut.given[learnerId]?.shares) || learnerId;

/** The pieces of work of a hand-out: under whom each is kept, and who does it. */
export function worksOf(handOut: Pick<HandOut, 'given'>): Map<string, string[]> {
  const out = new Map<string, string[]>();
  for (const learnerId of Object.keys(handOut.given)) {
    const key = workKeyOf(handOut, learnerId);
    const ids = out.get(key);
    if (ids) ids.push(learnerId);
    else out.set(key, [learnerId]);
  }
  return out;
}

/** What a learner got, whole, or had for an earlier go; undefined where nothing was given, or where it is not known here. */
export function frozenFor(
  handOut: Pick<HandOut, 'given'>,
  known: FrozenById,
  learnerId: string,
  go = Infinity,
): Frozen | undefined {
  const now = Object.hasOwn(handOut.given, learnerId) ? handOut.given[learnerId] : undefined;
  const given = now && givenForGo(now, go);
  const frozen = given && known[given.frozen];
  return frozen && withOwn(frozen, given);
}

/** The frozen activity with a learner's own blocks in it. */
export function withOwn(frozen: Frozen, given: Pick<Given, 'own'>): Frozen {
  if (!given.own?.length) return frozen;
  const lineage = { ...frozen.lineage };
  for (const { block, steps } of given.own) lineage[block.id] = [...(lineage[block.id] ?? []), ...steps];
  return {
    ...frozen,
    content: withBlocks(
      frozen.content,
      given.own.map((o) => o.block),
    ),
    lineage,
  };
}
