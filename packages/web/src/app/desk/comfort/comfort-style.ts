import { type Comfort, deskColours, type LearnerPackage, PLAIN_COMFORT } from '@lorvet/core/desk';
import { GROUNDS } from './grounds';

/** Letters that have no shape in the typeface chosen take one of these. */
const OTHERS = "'Noto Sans Variable', 'Noto Sans Arabic Variable', sans-serif";
export const FONTS: Readonly<Record<Comfort['font'], string>> = {
  hyperlegible: `'Atkinson Hyperlegible Next Variable', ${OTHERS}`,
  lexend: `'Lexend', ${OTHERS}`,
  andika: `'Andika', ${OTHERS}`,
  opendyslexic: `'OpenDyslexic', ${OTHERS}`,
  serif: `'Literata Variable', ${OTHERS}`,
};

/** The colours of a comfort, by token: those of a ground that ships, or of the learner's own ground and ink. */
export function coloursOf(c: Pick<Comfort, 'colours' | 'ground' | 'ink'>): Readonly<Record<string, string>> {
  if (c.colours !== 'own') return GROUNDS[c.colours];
  const own = deskColours(c.ground, c.ink);
  return Object.fromEntries(
    Object.entries(own).map(([role, colour]) => [
      `--${role.replace(/[A-Z]/, (l) => `-${l.toLowerCase()}`).replace(/(?<=\D)2$/, '-2')}`,
      colour,
    ]),
  );
}

/** A learner's settings as style for the desk around their work. */
export function comfortStyle(comfort: Comfort | undefined): Record<string, string> {
  const c = comfort ?? PLAIN_COMFORT;
  const colours = coloursOf(c);
  return {
    ...colours,
    '--desk-font': FONTS[c.font],
    // Who chose other letters has them everywhere, in headings too.
    ...(c.font === PLAIN_COMFORT.font ? {} : { '--serif': FONTS[c.font] }),
    '--desk-size': `${c.size}px`,
    '--desk-line': `${c.spacing}`,
    '--desk-letters': `${c.letters}em`,
    '--desk-words': `${c.words}em`,
    '--desk-width': `${c.width}ch`,
    'color-scheme': isLight(colours['--ink'] ?? '') ? 'dark' : 'light',
  };
}

/** What of a comfort is no style: words for an attribute that the style sheets look at. */
export function comfortSays(comfort: Comfort | undefined): string {
  const c = comfort ?? PLAIN_COMFORT;
  return (['calm', 'large', 'left', 'plain'] as const).filter((k) => c[k]).join(' ');
}

/** Whether a colour is nearer to white than to black, by its green, which counts most. */
const isLight = (hex: string): boolean => parseInt(hex.slice(3, 5), 16) > 127;

/** A sheet's own print and the learner's comfort together: the larger of both. */
export function withPrint(comfort: Comfort, print: LearnerPackage['show']['print']): Comfort {
  if (!print) return comfort;
  return {
    ...comfort,
    font: print.font || comfort.font,
    size: Math.min(40, Math.max(comfort.size, Math.round(PLAIN_COMFORT.size * print.size))),
    spacing: Math.min(2.5, Math.max(comfort.spacing, PLAIN_COMFORT.spacing * print.spacing)),
    colours: print.colours || comfort.colours,
  };
}
