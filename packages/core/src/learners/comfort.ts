import { idSchema } from '../activity/block';
import { z } from '../zod';

const colourSchema = z.string().regex(/^#[0-9a-f]{6}$/);

/**
 * A learner's reading settings, kept for them everywhere. Sizes in px, `spacing` as a factor of the size, `letters` and
 * `words` as added space in em, `width` in letters to a line.
 */
export const comfortSchema = z.object({
  /** The language of the desk’s own words, as its code; empty for the one that was chosen at the door. */
  language: z.enum(['', 'en', 'es', 'fr', 'ar', 'uk']).default(''),
  font: z.enum(['hyperlegible', 'lexend', 'serif', 'opendyslexic', 'andika']).default('hyperlegible'),
  size: z.number().min(16).max(40).default(19),
  spacing: z.number().min(1).max(2.5).default(1.5),
  letters: z.number().min(0).max(0.3).default(0),
  words: z.number().min(0).max(1).default(0),
  width: z.number().min(25).max(90).default(62),
  colours: z.enum(['paper', 'cream', 'mist', 'night', 'own']).default('paper'),
  /** Background and text, where the colours are the learner's own. */
  ground: colourSchema.default('#fffdf8'),
  ink: colourSchema.default('#241f1a'),
  /** A band that goes with the reading. */
  ruler: z.enum(['none', 'band', 'shade']).default('none'),
  /** One question at a time. */
  alone: z.boolean().default(false),
  /** All pages one below the other, and not turned. */
  scroll: z.boolean().default(false),
  /** Only what the work needs stands on the page. */
  plain: z.boolean().default(false),
  /** Reading aloud: how fast, as a factor; the voice’s own name, or empty for the first that fits. */
  speed: z.number().min(0.5).max(2).default(1),
  voice: z.string().max(200).default(''),
  /** How much is read at a press. */
  reads: z.enum(['all', 'part', 'sentence']).default('all'),
  /** Words shown in their parts; kinds of word shown by a mark and a colour. */
  parts: z.boolean().default(false),
  kinds: z.boolean().default(false),
  /** Pictures above the words that the sheet has a picture for. */
  symbols: z.boolean().default(false),
  /** The language at home, as its code; empty for none. */
  home: z.string().max(12).default(''),
  calm: z.boolean().default(false),
  large: z.boolean().default(false),
  left: z.boolean().default(false),
});
export type Comfort = z.infer<typeof comfortSchema>;
export const PLAIN_COMFORT: Comfort = comfortSchema.parse({});

/** What a learner can set or use at the desk, each with the settings that belong to it. */
export const TOOLS = {
  language: ['language'],
  letters: ['font'],
  size: ['size'],
  spaces: ['spacing', 'letters', 'words', 'width'],
  colours: ['colours', 'ground', 'ink'],
  ruler: ['ruler'],
  alone: ['alone'],
  scroll: ['scroll'],
  plain: ['plain'],
  aloud: ['speed', 'voice', 'reads'],
  parts: ['parts'],
  kinds: ['kinds'],
  symbols: ['symbols'],
  meaning: [],
  home: ['home'],
  speak: [],
  calm: ['calm'],
  large: ['large'],
  left: ['left'],
} as const satisfies Record<string, readonly (keyof Comfort)[]>;
export type Tool = keyof typeof TOOLS;
const TOOL_NAMES = Object.keys(TOOLS) as Tool[];

/** What the teacher settled of the tools: fixed as set on the card, or not there at all. The others are offered. */
export const toolsSchema = z.partialRecord(z.enum(TOOL_NAMES), z.enum(['fixed', 'hidden'])).default({});
export type Tools = z.infer<typeof toolsSchema>;

/**
 * The comfort that counts: the learner's own, else the start that the teacher set. What is fixed is as the teacher set
 * it, and so is what is hidden.
 */
export function comfortNow(own: Comfort | undefined, start: Comfort | null | undefined, tools: Tools = {}): Comfort {
  const first = start ?? PLAIN_COMFORT;
  if (!own) return first;
  const kept = TOOL_NAMES.filter((t) => tools[t]).flatMap((t): readonly (keyof Comfort)[] => TOOLS[t]);
  return { ...own, ...Object.fromEntries(kept.map((field) => [field, first[field]])) };
}

/** How often, and for how many seconds, something was used. */
export const useSchema = z.object({ times: z.number().int().min(0), seconds: z.number().int().min(0) });
export type Use = z.infer<typeof useSchema>;
/** What was used with one piece of work, by tool. */
export const usedSchema = z.partialRecord(z.enum(TOOL_NAMES), useSchema);
export type Used = z.infer<typeof usedSchema>;

/** What was used in all: both together. */
export function usedTogether(a: Used | undefined, b: Used | undefined): Used {
  const out: Used = { ...a };
  for (const t of TOOL_NAMES) {
    const more = b?.[t];
    const was = out[t];
    if (more) out[t] = { times: (was?.times ?? 0) + more.times, seconds: (was?.seconds ?? 0) + more.seconds };
  }
  return out;
}

/** What was used since `base`. */
export function usedSince(now: Used | undefined, base: Used | undefined): Used {
  const out: Used = {};
  for (const t of TOOL_NAMES) {
    const [is, was] = [now?.[t], base?.[t]];
    const more = { times: (is?.times ?? 0) - (was?.times ?? 0), seconds: (is?.seconds ?? 0) - (was?.seconds ?? 0) };
    if (more.times > 0 || more.seconds > 0)
      out[t] = { times: Math.max(0, more.times), seconds: Math.max(0, more.seconds) };
  }
  return out;
}

/** A learner's comfort as it is kept, under the learner's id: the desk writes it, the needs card never does. */
export const keptComfortSchema = z.object({ id: idSchema, comfort: comfortSchema });
export type KeptComfort = z.infer<typeof keptComfortSchema>;
