import { colord, extend } from 'colord';
import a11yPlugin from 'colord/plugins/a11y';
import mixPlugin from 'colord/plugins/mix';

extend([a11yPlugin, mixPlugin]);

/** The least contrast of text on the desk, as WCAG 2.2 AA has it. */
export const LEAST_CONTRAST = 4.5;

/** Contrast of two colours (`#rrggbb`), 1 to 21, as WCAG 2.2 defines it. */
export const contrastOf = (a: string, b: string): number => colord(a).contrast(b);

/** Whether a ground is dark: light text stands better on it. */
export const isDark = (ground: string): boolean => contrastOf(ground, '#ffffff') > contrastOf(ground, '#000000');

/** `of` so much nearer to `to`; 0 is `of`, 1 is `to`. */
export const mixed = (of: string, to: string, share: number): string => colord(of).mix(to, share).toHex();

/**
 * The colour nearest to `ink` that stands on all `grounds` with at least this contrast; black or white where none in
 * between does, and it stands with what contrast it has.
 */
export function held(ink: string, grounds: readonly string[], least = LEAST_CONTRAST): string {
  const lowest = (c: string): number => Math.min(...grounds.map((g) => contrastOf(c, g)));
  if (lowest(ink) >= least) return ink;
  const [black, white] = ['#000000', '#ffffff'];
  const end = lowest(black) >= lowest(white) ? black : white;
  for (let share = 0.02; share < 1; share += 0.02) {
    const c = mixed(ink, end, share);
    if (lowest(c) >= least) return c;
  }
  return end;
}

/** The colours of a desk on one ground with one ink, by their role: all text at least at LEAST_CONTRAST, edges at 3:1. */
export function deskColours(ground: string, ink: string): Readonly<Record<DeskColour, string>> {
  const dark = isDark(ground);
  const end = dark ? '#ffffff' : '#000000';
  // A ground in the middle leaves little contrast: what lies on it may only lead away from the text.
  const roomy = contrastOf(ground, end) >= 8;
  const tint = (c: string, share: number) => mixed(ground, roomy ? c : dark ? '#000000' : '#ffffff', share);
  const brown = dark ? '#fff4e0' : '#6b5d45';
  const [paper, sunken] = [tint(dark ? '#000000' : brown, 0.05), tint(brown, 0.1)];
  const [accentSoft, ochreSoft] = [tint(dark ? '#f0a58a' : '#c2562f', 0.16), tint(dark ? '#ecc477' : '#d9a02b', 0.2)];
  const text = held(ink, [ground, paper, sunken, accentSoft, ochreSoft]);
  const accent = held(dark ? '#f0a58a' : '#86311a', [ground, paper, sunken, accentSoft]);
  return {
    paper,
    surface: ground,
    sunken,
    ink: text,
    ink2: held(mixed(text, ground, 0.15), [ground, paper, sunken]),
    accent,
    accentSoft,
    accentInk: held(ground, [accent]),
    line: mixed(ground, text, 0.2),
    lineStrong: held(mixed(text, ground, 0.5), [ground, paper], 3),
    moss: held(dark ? '#bcd6a1' : '#33491f', [ground, paper, sunken]),
    ochre: held(dark ? '#ecc477' : '#5c3c00', [ground, paper, ochreSoft]),
    ochreSoft,
    focus: text,
  };
}
export type DeskColour =
  | 'paper'
  | 'surface'
  | 'sunken'
  | 'ink'
  | 'ink2'
  | 'accent'
  | 'accentSoft'
  | 'accentInk'
  | 'line'
  | 'lineStrong'
  | 'moss'
  | 'ochre'
  | 'ochreSoft'
  | 'focus';
