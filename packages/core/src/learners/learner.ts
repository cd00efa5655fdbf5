import { z } from '../zod';
import { idSchema } from '../activity/block';
import type { Family } from '../activity/family';
import type { PersonalValues } from '../adjust/adjustment';
import { SUPPORTS } from './supports';

/** A learner's reading settings, kept for them everywhere. Sizes in px, spacing as a factor. */
export const comfortSchema = z.object({
  font: z.enum(['hyperlegible', 'lexend', 'serif']).default('hyperlegible'),
  size: z.number().min(16).max(40).default(19),
  spacing: z.number().min(1).max(2.5).default(1.5),
  colours: z.enum(['paper', 'cream', 'mist', 'night']).default('paper'),
});
export type Comfort = z.infer<typeof comfortSchema>;
export const PLAIN_COMFORT: Comfort = comfortSchema.parse({});

/** A learner's comfort as it is kept, under the learner's id: the desk writes it, the needs card never does. */
export const keptComfortSchema = z.object({ id: idSchema, comfort: comfortSchema });
export type KeptComfort = z.infer<typeof keptComfortSchema>;

export const goalSchema = z.object({ id: idSchema, text: z.string().min(1).max(300) });

export const needsCardSchema = z.object({
  /** US school grade at which the learner reads with ease, as the formulas count it. */
  readingGrade: z.number().min(0).max(13).nullable().default(null),
  languages: z.array(z.string().max(40)).max(10).default([]),
  supports: z.array(z.enum(SUPPORTS)).default([]),
  goals: z.array(goalSchema).max(20).default([]),
  interests: z.array(z.string().max(80)).max(20).default([]),
  /** Standard tasks are too easy. */
  wantsMore: z.boolean().default(false),
  note: z.string().max(1000).default(''),
});
export type NeedsCard = z.infer<typeof needsCardSchema>;
export const EMPTY_NEEDS: NeedsCard = needsCardSchema.parse({});

export const learnerSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(120),
  /** What the learner is called, where it is not the first name. */
  chosenName: z.string().max(80).default(''),
  /** ISO date; empty where it is not known. */
  birthday: z.union([z.iso.date(), z.literal('')]).default(''),
  /** Fields the teacher has defined, by name. */
  fields: z.record(z.string().min(1).max(40), z.string().max(80)).default({}),
  needs: needsCardSchema,
});
export type Learner = z.infer<typeof learnerSchema>;

export const classSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  learnerIds: z.array(idSchema).max(2000),
});
export type SchoolClass = z.infer<typeof classSchema>;

export const groupSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  purpose: z.string().max(200).default(''),
  learnerIds: z.array(idSchema).max(2000),
});
export type Group = z.infer<typeof groupSchema>;

/** What a learner's card holds before anything is written on it. */
export const NO_PERSON = { chosenName: '', birthday: '', fields: {} };

/** Whole years between a birthday and a day, both ISO dates. */
export function ageOn(birthday: string, day: string): number {
  const years = Number(day.slice(0, 4)) - Number(birthday.slice(0, 4));
  return day.slice(5, 10) < birthday.slice(5, 10) ? years - 1 : years;
}

/** What a learner's card gives to personal fields on a day (ISO). A field that the card does not fill is empty. */
export function personalValues(learner: Learner, schoolClass: SchoolClass | undefined, day: string): PersonalValues {
  const [first = ''] = learner.name.split(' ');
  const { interests } = learner.needs;
  const date = learner.birthday && new Date(`${learner.birthday}T12:00:00Z`);
  return {
    ...learner.fields,
    // As the learner is called, where the card says so.
    name: learner.chosenName || first,
    'chosen name': learner.chosenName || first,
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
