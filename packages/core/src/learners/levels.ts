import { idSchema } from '../activity/block';
import { z } from '../zod';
import { type Day, daySchema } from './days';

/** The skill that the readability of a text is held against. */
export const READING = 'reading';
/** Skills that are proposed. A teacher may write others, and an objective is one too. */
export const SKILLS = [READING, 'writing', 'spelling', 'number', 'measuring', 'telling the time', 'speaking'] as const;

export const scaleSchema = z.enum(['grade', 'year', 'age', 'percent', 'step']);
export type Scale = z.infer<typeof scaleSchema>;

/** What a level is counted in: its ends, and what is said of a value. */
export const SCALES: Readonly<
  Record<Scale, { readonly name: string; readonly least: number; readonly most: number; says(value: number): string }>
> = {
  grade: { name: 'school grade', least: 0, most: 13, says: (v) => `grade ${shown(v)}` },
  year: { name: 'school year (Year 1 is age 5 to 6)', least: 0, most: 14, says: (v) => `Year ${shown(v)}` },
  age: { name: 'reading or skill age, in years', least: 3, most: 20, says: (v) => `age ${shown(v)}` },
  percent: { name: 'percent right', least: 0, most: 100, says: (v) => `${shown(v)} percent` },
  step: { name: 'steps of our own', least: 0, most: 100, says: (v) => `step ${shown(v)}` },
};
const shown = (v: number): string => `${Math.round(v * 100) / 100}`;

/** How far a learner is in one skill, or on one objective, on a day. A learner is on no level as such. */
export const levelSchema = z.object({
  skill: z.string().min(1).max(120),
  /** Where the skill is an objective of the teacher's list. */
  objectiveId: idSchema.optional(),
  scale: scaleSchema,
  value: z.number().min(0).max(100),
  on: daySchema.default(''),
});
export type Level = z.infer<typeof levelSchema>;

const isSkill = (level: Level, skill: string): boolean => level.skill.toLowerCase() === skill.toLowerCase();

/** The newest level in a skill, whatever the case it is written in; of two of one day the later written. */
export function levelIn(levels: readonly Level[], skill: string): Level | undefined {
  let newest: Level | undefined;
  for (const l of levels) if (isSkill(l, skill) && (newest === undefined || l.on >= newest.on)) newest = l;
  return newest;
}

/** The newest level in each skill, in the order in which the skills were first written. */
export function levelsNow(levels: readonly Level[]): Level[] {
  const skills = [...new Map(levels.map((l) => [l.skill.toLowerCase(), l.skill])).values()];
  return skills.flatMap((s) => levelIn(levels, s) ?? []);
}

/**
 * A level as a US school grade, as the readability formulas count: a school year of England is one more than the grade,
 * a skill age five years more. Undefined for scales that are no measure of age.
 */
export function asGrade(level: Pick<Level, 'scale' | 'value'>): number | undefined {
  switch (level.scale) {
    case 'grade':
      return level.value;
    case 'year':
      return level.value - 1;
    case 'age':
      return level.value - 5;
    case 'percent':
    case 'step':
      return undefined;
  }
}

/** The grade at which a learner reads with ease, as the formulas count it; undefined where nobody wrote it. */
export function readingGrade(levels: readonly Level[]): number | undefined {
  const level = levelIn(levels, READING);
  return level && asGrade(level);
}

/** The levels with a new one: a level of the same skill and day is written anew, earlier ones stay. */
export function withLevel(levels: readonly Level[], level: Level): Level[] {
  const at = levels.findIndex((l) => isSkill(l, level.skill) && l.on === level.on);
  return at < 0 ? [...levels, level] : levels.map((l, i) => (i === at ? level : l));
}

/** “reading at grade 3.2 on 2026-09-14”; without the day where none is known. */
export const sayLevel = (l: Level, sayDay: (day: Day) => string = (d) => d): string =>
  `${l.skill} at ${SCALES[l.scale].says(l.value)}${l.on ? `, ${sayDay(l.on)}` : ''}`;
