import { comfortSchema, toolsSchema } from '../learners/comfort';
import { writingSchema } from '../work/answer';
import { HELD, MOST_PAPER, noteSchema, releasedMarkSchema } from '../work/copy';
import { z } from '../zod';
import { idSchema } from '../activity/block';
import { learnerBlockSchema } from '../activity/blocks';
import { safeAddress } from '../activity/blocks/link';
import { swatchFrom, swatchSchema } from '../activity/swatch';
import { laterBy, type LearnerDates } from './dates';
import { type Given, type Companion, type HandOut, handOutKindSchema, type Place, wayToGiveSchema } from './hand-out';
import { type LearnerSheet, ownForLearner } from './learner-sheet';

/** Words and marks to one go. */
const toGo = {
  comment: z.string(),
  comments: z.record(z.string(), z.string()),
  /** The go that the words and marks are about; 0 where none was decided on. */
  go: z.number().int().default(0),
  /** The marks of that go, by item. */
  marks: z.record(z.string(), releasedMarkSchema).default({}),
  /** Points that were given to the whole by hand; null where they are the sum. */
  points: z.number().nullable().default(null),
  /** The asset in which the teacher speaks; empty for none. */
  voice: z.string().max(80).default(''),
  /** The same on one answer, by item. */
  voices: z.record(z.string(), z.string().max(80)).default({}),
  /** What the teacher wrote on drawings and photographs, by item. */
  writing: z.record(z.string(), writingSchema).default({}),
  /** Levels that the teacher gave, by item, each in words. */
  levels: z.record(z.string(), z.array(z.string().max(700))).default({}),
  /** Sheets of paper that the teacher wrote on. */
  sheets: z
    .array(z.strictObject({ assetId: z.string().max(80), writing: writingSchema }))
    .max(MOST_PAPER)
    .default([]),
  /** Questions that can be answered anew in the go after `go`; empty for all. */
  only: z.array(z.string()).default([]),
};

/** What the teacher said to a learner about one piece of work: never another learner's. */
export const saidSchema = z.strictObject({
  /** By the number of the go. */
  decisions: z.record(z.string(), z.enum(['another go', 'complete'])),
  ...toGo,
  /** Numbers of the goes that the teacher has begun to mark: they cannot be taken back any more. */
  begun: z.array(z.number().int()).default([]),
  /** What was said back to places for notes, by item. */
  notes: z.record(z.string(), z.array(noteSchema)).default({}),
  /** The go that was decided on and is not to be told of yet, and from when it is: local date and time, or 'held'. */
  heldGo: z.number().int().default(0),
  outAt: z.string().max(16).default(''),
  /** What is told until then: the words and marks to the go before. */
  before: z.strictObject(toGo).optional(),
});
export type Said = z.infer<typeof saidSchema>;

/** What of that may be told now ('yyyy-MM-ddTHH:mm'). Where nothing is held back any more, `outAt` is empty. */
export function saidAt(said: Said, now: string): Said {
  if (said.outAt === '') return said;
  if (said.outAt !== HELD && said.outAt <= now) return { ...said, heldGo: 0, outAt: '' };
  const { [said.heldGo]: _, ...decisions } = said.decisions;
  if (said.go !== said.heldGo) return { ...said, decisions };
  const { before, ...all } = said;
  return { ...all, decisions, ...(before ?? NO_WORDS) };
}

const NO_WORDS = {
  go: 0,
  comment: '',
  comments: {},
  marks: {},
  points: null,
  voice: '',
  voices: {},
  writing: {},
  levels: {},
  sheets: [],
  only: [],
};

export const NOTHING_SAID: Said = {
  decisions: {},
  ...NO_WORDS,
  begun: [],
  notes: {},
  heldGo: 0,
  outAt: '',
};

/** Further material as a learner may see it. */
export const slippedCompanionSchema = z.strictObject({
  id: idSchema,
  is: z.enum(['activity', 'file', 'link', 'page', 'notes', 'spoken', 'family']),
  title: z.string(),
  /** An address of the web, words, the id of a file, or the address of a sheet; empty for a sheet of notes. */
  holds: z.string(),
});
export type SlippedCompanion = z.infer<typeof slippedCompanionSchema>;

/** One piece of work on a learner's slip: how it was given, and which sheet it is. */
export const slippedSchema = z.strictObject({
  kind: handOutKindSchema.default('work'),
  companions: z.array(slippedCompanionSchema).default([]),
  title: z.string(),
  note: z.string(),
  way: wayToGiveSchema,
  /** Local date and time, as on the hand-out; the due date with this learner's extra days. */
  opensAt: z.string().nullable(),
  dueAt: z.string().nullable(),
  givenAt: z.string().nullable(),
  /** After that nothing can be begun or submitted; null is never. */
  closesAt: z.string().nullable().default(null),
  /** Why the due date is another than for others, in words for the learner; empty where it is not. */
  more: z.string().default(''),
  swatch: swatchSchema,
  goes: z.number().int().nullable(),
  /** Address of the sheet; empty where there is none. */
  sheet: z.string().max(64),
  /** The blocks that are this learner's own. */
  own: z.array(learnerBlockSchema),
  /** What was given before it, the oldest first: up to which go it was worked on. */
  earlier: z
    .array(z.strictObject({ sheet: z.string().max(64), own: z.array(learnerBlockSchema), goes: z.number().int() }))
    .default([]),
  /** Questions that ask something else than on the sheet before. */
  anew: z.array(idSchema).default([]),
  /** Local date and time from which the answers are to be seen by who is done; null is not. */
  answersAt: z.string().nullable().default(null),
  said: saidSchema,
  /** Under whom the work is kept, where several do it together; empty where it is the learner's own. */
  shares: z.string().max(64).default(''),
  /** What they are called together, and who they are; empty where it is the learner's own. */
  team: z.string().default(''),
  mates: z.array(z.string()).default([]),
  /** Their ids, in the same order: whose turn it is, and who wrote what. */
  mateIds: z.array(idSchema).default([]),
  /** Where there is a place for each: which pages it is, and what of the others' can be seen. */
  place: z
    .strictObject({ pageIds: z.array(idSchema), names: z.boolean(), isOpen: z.boolean(), comments: z.boolean() })
    .nullable()
    .default(null),
});
export type Slipped = z.infer<typeof slippedSchema>;

/** A learner's slip: all that was given to them, by hand-out. The desk reads it and nothing of the teacher's. */
export const slipSchema = z.strictObject({
  id: idSchema,
  works: z.record(idSchema, slippedSchema),
  /** How the desk looks until the learner sets it otherwise; null as usual. */
  comfort: comfortSchema.nullable().default(null),
  /** What of the desk the teacher fixed or hid. */
  tools: toolsSchema,
});
export type Slip = z.infer<typeof slipSchema>;

interface WorkTogether {
  /** Of what several do together: what they are called, and the names of the others. */
  readonly together?: { readonly team: string; readonly mates: readonly string[]; readonly mateIds: readonly string[] };
}

export function slipped(
  handOut: Pick<HandOut, 'title' | 'note' | 'way' | 'opensAt' | 'dueAt' | 'givenAt'> &
    Partial<Pick<HandOut, 'closesAt' | 'goes' | 'companions' | 'place' | 'answersAt'>>,
  given: Given,
  sheet: LearnerSheet,
  {
    said = NOTHING_SAID,
    dates,
    together,
    answersAt = handOut.answersAt ?? null,
  }: {
    readonly said?: Said;
    readonly dates?: LearnerDates;
    /** From when this learner sees the answers. */
    readonly answersAt?: string | null;
  } & WorkTogether = {},
): Slipped {
  const { opensAt, dueAt, closesAt } = dates ?? { closesAt: null, ...handOut };
  // What the version gives of itself counts where it is more.
  const version = handOut.dueAt && sheet.days ? laterBy(handOut.dueAt, sheet.days) : null;
  const due = version && (!dueAt || version > dueAt) ? version : dueAt;
  return {
    kind: 'work',
    companions: companionsFor(handOut.companions ?? []),
    title: handOut.title,
    note: handOut.note,
    way: handOut.way,
    opensAt,
    dueAt: due,
    closesAt: closesAt && due && closesAt < due ? due : (closesAt ?? null),
    more: due && handOut.dueAt && due > handOut.dueAt ? 'more time' : '',
    givenAt: handOut.givenAt,
    swatch: sheet.swatch,
    goes: handOut.goes ?? sheet.show.goes,
    sheet: sheet.id,
    own: ownForLearner(given),
    earlier: (given.earlier ?? []).map((e) => ({ sheet: e.frozen, own: ownForLearner(e), goes: e.goes })),
    anew: given.anew ?? [],
    answersAt,
    said,
    shares: given.shares ?? '',
    team: together?.team ?? '',
    mates: [...(together?.mates ?? [])],
    mateIds: [...(together?.mateIds ?? [])],
    place: handOut.way === 'place-each' && handOut.place ? placeFor(handOut.place) : null,
  };
}

const placeFor = ({ pageIds, names, isOpen, comments }: Place): Slipped['place'] => ({
  pageIds,
  names,
  isOpen,
  comments: isOpen && comments,
});

/** What of the companions is for a learner to see: built from this list of fields. */
export function companionsFor(companions: readonly Companion[]): SlippedCompanion[] {
  return companions.flatMap((c): SlippedCompanion[] => {
    if (c.is === 'link') {
      const address = safeAddress(c.address);
      return address ? [{ id: c.id, is: c.is, title: c.title, holds: address.href }] : [];
    }
    // Until it is given, there is no sheet of it.
    if (c.is === 'activity') return c.frozen ? [{ id: c.id, is: c.is, title: c.title, holds: c.frozen }] : [];
    const holds = c.is === 'notes' ? '' : 'assetId' in c ? c.assetId : c.text;
    return [{ id: c.id, is: c.is, title: c.title, holds }];
  });
}

/** A notice or a folder on a learner's slip: words and documents, and nothing to answer. */
export function noticed(handOut: HandOut, dates?: LearnerDates): Slipped {
  const { opensAt, closesAt } = dates ?? handOut;
  return {
    kind: handOut.kind,
    companions: companionsFor(handOut.companions),
    title: handOut.title,
    note: handOut.note,
    way: 'to-read',
    opensAt,
    dueAt: null,
    givenAt: handOut.givenAt,
    closesAt,
    more: '',
    swatch: swatchFrom(handOut.id),
    goes: null,
    sheet: '',
    own: [],
    earlier: [],
    anew: [],
    answersAt: null,
    said: NOTHING_SAID,
    shares: '',
    team: '',
    mates: [],
    mateIds: [],
    place: null,
  };
}
