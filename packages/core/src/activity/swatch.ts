import { z } from '../zod';
import { fingerprint } from './fingerprint';

export const PATTERNS = ['twill', 'plain', 'basket', 'herringbone', 'stripe', 'dots', 'check', 'cross'] as const;
/** Without those that are easily read as a numeral or as each other. */
export const LETTERS = [...'ABCDEFGHJKLMNPRSTUVWXYZ'];
export const COLOURS = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'] as const;

/** The woven mark of a version, or of the master among them. It says nothing of level. */
export const swatchSchema = z.object({
  pattern: z.enum(PATTERNS),
  colour: z.enum(COLOURS),
  letter: z.string().regex(/^[A-Z]$/),
});
export type Swatch = z.infer<typeof swatchSchema>;

/** A mark that follows from some words by lot, unlike those that are taken where there is one left. */
export function swatchFrom(words: string, taken: readonly Swatch[] = []): Swatch {
  const lot = (what: string) => parseInt(fingerprint([words, what]).slice(0, 8), 16);
  const free = <T>(all: readonly T[], used: readonly T[], what: string): T => {
    const left = all.filter((x) => !used.includes(x));
    const from = left.length ? left : all;
    return from[lot(what) % from.length] as T;
  };
  return {
    pattern: free(
      PATTERNS,
      taken.map((s) => s.pattern),
      'pattern',
    ),
    colour: free(
      COLOURS,
      taken.map((s) => s.colour),
      'colour',
    ),
    letter: free(
      LETTERS,
      taken.map((s) => s.letter),
      'letter',
    ),
  };
}
