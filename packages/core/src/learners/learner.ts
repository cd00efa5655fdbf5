import { z } from '../zod';
import { idSchema } from '../activity/block';
import type { Family } from '../activity/family';
import type { PersonalValues } from '../adjust/adjustment';
import { comfortSchema, toolsSchema } from './comfort';
import { daySchema } from './days';
import { levelSchema, levelsNow, SCALES } from './levels';
import { type SchoolClass } from './people';
import { agreedSupportSchema, supportsOn } from './supports';

/** A goal of a learner, with what is counted and how much of it is aimed at. */
export const goalSchema = z.object({
  id: idSchema,
  text: z.string().min(1).max(300),
  /** What is counted: “facts found in a short text, of 4”. */
  measure: z.string().max(200).default(''),
  /** How much of it is aimed at; null where it is not said. */
  target: z.number().min(0).max(100_000).nullable().default(null),
  /** The day by which. */
  by: daySchema.default(''),
});
export type Goal = z.infer<typeof goalSchema>;

/** How much of a goal is aimed at, from 0 to 1, where its measure says of how many: 3 of “facts found, of 4” is 0.75. */
export function shareAimedAt({ target, measure }: Pick<Goal, 'target' | 'measure'>): number | undefined {
  const of = Number(/\bof (\d{1,5})\b/.exec(measure)?.[1] ?? (measure.includes('%') ? 100 : 0));
  return target !== null && of >= target && of > 0 ? target / of : undefined;
}

/** The parts of a needs card that may be for others to see too. */
export const CARD_PARTS = [
  'levels',
  'supports',
  'goals',
  'languages',
  'interests',
  'birthday',
  'works',
  'avoid',
  'note',
] as const;
export const cardPartSchema = z.enum(CARD_PARTS);
export type CardPart = z.infer<typeof cardPartSchema>;

/** Who may see a part of the card: the teacher alone, also those who work with the learner, also the family. */
export const viewerSchema = z.enum(['teacher', 'team', 'family']);
export type Viewer = z.infer<typeof viewerSchema>;

export const needsCardSchema = z.object({
  /** Levels by skill or objective, with their day; earlier ones stay as they were. */
  levels: z.array(levelSchema).max(200).default([]),
  languages: z.array(z.string().max(40)).max(10).default([]),
  supports: z.array(agreedSupportSchema).max(40).default([]),
  goals: z.array(goalSchema).max(20).default([]),
  interests: z.array(z.string().max(80)).max(20).default([]),
  /** Standard tasks are too easy. */
  wantsMore: z.boolean().default(false),
  /** What works with this learner, and what is better avoided. */
  works: z.string().max(1000).default(''),
  avoid: z.string().max(1000).default(''),
  note: z.string().max(1000).default(''),
  /** How the desk looks until the learner sets it otherwise; null as usual. */
  comfort: comfortSchema.nullable().default(null),
  /** What of the desk is fixed as set here, or is not there at all; the rest is offered. */
  tools: toolsSchema,
  /** Parts that others than the teacher may see; those not named are the teacher's alone. */
  seenBy: z.partialRecord(cardPartSchema, viewerSchema).default({}),
});
export type NeedsCard = z.infer<typeof needsCardSchema>;
export const EMPTY_NEEDS: NeedsCard = needsCardSchema.parse({});

/** Whether a part of a card is for somebody to see: the team sees what the family may, and the teacher sees all. */
export function maySee(needs: Pick<NeedsCard, 'seenBy'>, part: CardPart, viewer: Viewer): boolean {
  if (viewer === 'teacher') return true;
  const to = needs.seenBy[part] ?? 'teacher';
  return to === 'family' || (to === 'team' && viewer === 'team');
}

/** The card as somebody may see it: what they may not is empty. */
export function cardFor(needs: NeedsCard, viewer: Viewer): NeedsCard {
  const kept = (['levels', 'supports', 'goals', 'languages', 'interests', 'works', 'avoid', 'note'] as const).filter(
    (part) => maySee(needs, part, viewer),
  );
  const seen = Object.fromEntries(kept.map((part) => [part, needs[part]]));
  return { ...EMPTY_NEEDS, ...seen, seenBy: needs.seenBy };
}

export const learnerSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(120),
  /** What the learner is called, where it is not the first name. */
  chosenName: z.string().max(80).default(''),
  /** ISO date; empty where it is not known. */
  birthday: daySchema.default(''),
  /** Fields the teacher has defined, by name. */
  fields: z.record(z.string().min(1).max(40), z.string().max(80)).default({}),
  /** The school's own id for them, where they came from its list. */
  rosterId: z.string().max(255).default(''),
  needs: needsCardSchema,
});
export type Learner = z.infer<typeof learnerSchema>;

/** What a learner's card holds before anything is written on it. */
export const NO_PERSON = { chosenName: '', birthday: '', fields: {}, rosterId: '' };

/** Whole years between a birthday and a day, both ISO dates. */
export function ageOn(birthday: string, day: string): number {
  const years = Number(day.slice(0, 4)) - Number(birthday.slice(0, 4));
  return day.slice(5, 10) < birthday.slice(5, 10) ? years - 1 : years;
}

/** What a learner is called: as their card says, or by the first of their names. */
export const calledOf = (learner: Pick<Learner, 'name' | 'chosenName'>): string =>
  learner.chosenName || (learner.name.trim().split(/\s/)[0] ?? '');

/** What a learner's card gives to personal fields on a day (ISO). A field that the card does not fill is empty. */
export function personalValues(learner: Learner, schoolClass: SchoolClass | undefined, day: string): PersonalValues {
  const called = calledOf(learner);
  const { interests } = learner.needs;
  const date = learner.birthday && new Date(`${learner.birthday}T12:00:00Z`);
  return {
    ...learner.fields,
    // As the learner is called, where the card says so.
    name: called,
    'chosen name': called,
    birthday: date
      ? new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' }).format(date)
      : '',
    age: learner.birthday ? `${ageOn(learner.birthday, day)}` : '',
    interest: interests[0] ?? '',
    interests: interests.join(', '),
    class: schoolClass?.name ?? '',
  };
}

/** Goals that a reason may point to, for the learners of a version. */
export const goalOf = (learners: readonly Learner[], goalId: string) =>
  learners.flatMap((l) => l.needs.goals).find((g) => g.id === goalId);

/** Versions made for one learner. */
export const personalVersions = (family: Family, learnerId: string) =>
  family.versions.filter((v) => v.learnerId === learnerId);

/** A card in short, as lists and plans say it on a day (ISO): levels, supports in force, and the wish for more. */
export const cardInShort = (needs: NeedsCard, today: string): string[] => [
  ...levelsNow(needs.levels).map((l) => `${l.skill} ${SCALES[l.scale].says(l.value)}`),
  ...supportsOn(needs.supports, today),
  ...(needs.wantsMore ? ['wants more'] : []),
];
