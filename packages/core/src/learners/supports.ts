import { type Category, categorySchema } from '../adjust/category';
import { z } from '../zod';
import { type Day, daySchema, isOnDay } from './days';

/** Supports that can be agreed for a learner and seen in an activity. */
export const SUPPORTS = [
  'word bank',
  'hints',
  'two or three choices',
  'pictures',
  'short sentences',
  'sentence starters',
  'worked example',
  'glossary',
  'steps to tick',
  'spoken instructions',
] as const;
export type Support = (typeof SUPPORTS)[number];

/** More time to hand in: it moves a learner's due date by the days that were agreed. */
export const EXTRA_TIME = 'extra time';

/** Supports that are proposed on a needs card, with the practice category they belong to. A teacher may write others. */
export const KNOWN_SUPPORTS: readonly { readonly what: string; readonly category: Category }[] = [
  { what: 'word bank', category: 'support' },
  { what: 'hints', category: 'support' },
  { what: 'two or three choices', category: 'response' },
  { what: 'pictures', category: 'presentation' },
  { what: 'short sentences', category: 'presentation' },
  { what: 'sentence starters', category: 'support' },
  { what: 'worked example', category: 'support' },
  { what: 'glossary', category: 'support' },
  { what: 'steps to tick', category: 'support' },
  { what: 'spoken instructions', category: 'presentation' },
  { what: EXTRA_TIME, category: 'timing' },
  { what: 'large print', category: 'presentation' },
  { what: 'text read aloud', category: 'presentation' },
  { what: 'answers by voice', category: 'response' },
  { what: 'answers written down by somebody', category: 'response' },
  { what: 'an assistant beside them', category: 'setting' },
  { what: 'a quiet place', category: 'setting' },
  { what: 'breaks', category: 'timing' },
];

/** The category a support belongs to; of one that the teacher wrote, 'support'. */
export const categoryOfSupport = (what: string): Category =>
  KNOWN_SUPPORTS.find((s) => s.what === what)?.category ?? 'support';

/** A support that was agreed for a learner, and for how long. A day that is empty is not set: there is no end. */
export const agreedSupportSchema = z.object({
  what: z.string().min(1).max(60),
  category: categorySchema,
  from: daySchema.default(''),
  until: daySchema.default(''),
  /** The day on which it is looked at again. */
  reviewOn: daySchema.default(''),
  /** Of extra time: how many days later the work is due. */
  days: z.number().int().min(0).max(60).default(0),
  note: z.string().max(300).default(''),
});
export type AgreedSupport = z.infer<typeof agreedSupportSchema>;

/** A support as it is agreed first: without an end. */
export const agreed = (what: string): AgreedSupport =>
  agreedSupportSchema.parse({ what, category: categoryOfSupport(what), ...(what === EXTRA_TIME ? { days: 1 } : {}) });

/** The names of the supports in force on a day, each once. Without a day: all that were ever agreed. */
export function supportsOn(agreedOnes: readonly AgreedSupport[], day?: Day): string[] {
  return [...new Set(agreedOnes.filter((s) => day === undefined || isOnDay(s, day)).map((s) => s.what))];
}

/** Days by which a learner's work is due later, on a day: the most that is agreed; 0 for none. */
export const extraDaysOn = (agreedOnes: readonly AgreedSupport[], day: Day): number =>
  Math.max(0, ...agreedOnes.filter((s) => s.what === EXTRA_TIME && isOnDay(s, day)).map((s) => s.days));
