import type { Comfort, Tool } from '@lorvet/core/desk';
import type { Plain } from './say/say';

/** What of a comfort is a number: what it is called, from where to where it goes, and in which steps. */
export interface Slider {
  readonly tool: Tool;
  readonly field: 'size' | 'spacing' | 'letters' | 'words' | 'width' | 'speed';
  readonly says: Plain;
  readonly min: number;
  readonly max: number;
  readonly step: number;
}
export const SLIDERS: readonly Slider[] = [
  { tool: 'size', field: 'size', says: 'Size of letters', min: 16, max: 40, step: 1 },
  { tool: 'spaces', field: 'spacing', says: 'Space between lines', min: 1, max: 2.5, step: 0.1 },
  { tool: 'spaces', field: 'letters', says: 'Space between letters', min: 0, max: 0.3, step: 0.02 },
  { tool: 'spaces', field: 'words', says: 'Space between words', min: 0, max: 1, step: 0.1 },
  { tool: 'spaces', field: 'width', says: 'Letters to a line', min: 25, max: 90, step: 1 },
];
export const SPEED: Slider = {
  tool: 'aloud',
  field: 'speed',
  says: 'How fast it is read',
  min: 0.5,
  max: 2,
  step: 0.1,
};

/** What of a comfort is on or off, by where it acts. */
export interface Switch {
  readonly tool: Tool & keyof Comfort;
  readonly says: Plain;
}
export const WORD_SWITCHES: readonly (Switch & { readonly tool: 'parts' | 'kinds' | 'symbols' })[] = [
  { tool: 'parts', says: 'Words in their parts' },
  { tool: 'kinds', says: 'Kinds of word' },
  { tool: 'symbols', says: 'Pictures above words' },
];
export const PAGE_SWITCHES: readonly (Switch & {
  readonly tool: 'alone' | 'scroll' | 'plain' | 'large' | 'left' | 'calm';
})[] = [
  { tool: 'alone', says: 'Only this question' },
  { tool: 'scroll', says: 'All pages below each other' },
  { tool: 'plain', says: 'Less on the page' },
  { tool: 'large', says: 'Larger buttons' },
  { tool: 'left', says: 'For the left hand' },
  { tool: 'calm', says: 'Nothing moves' },
];

/** What one of several can be chosen of: each with what it is called. */
export const FONT_NAMES: Readonly<Record<Comfort['font'], Plain>> = {
  hyperlegible: 'Clear',
  lexend: 'Wide',
  andika: 'School',
  opendyslexic: 'OpenDyslexic',
  serif: 'Book',
};
export const COLOUR_NAMES: Readonly<Record<Comfort['colours'], Plain>> = {
  paper: 'Paper',
  cream: 'Cream',
  mist: 'Mist',
  night: 'Night',
  own: 'My own colours',
};
export const RULER_NAMES: Readonly<Record<Comfort['ruler'], Plain>> = {
  none: 'none',
  band: 'a band',
  shade: 'the rest is pale',
};
export const READS_NAMES: Readonly<Record<Comfort['reads'], Plain>> = {
  all: 'all',
  part: 'one part',
  sentence: 'one sentence',
};

/** What there is at the desk, as it is called. */
export const TOOL_NAMES: Readonly<Record<Tool, Plain>> = {
  language: 'Language of the desk',
  letters: 'Letters',
  size: 'Size of letters',
  spaces: 'Spaces and lines',
  colours: 'Colours',
  ruler: 'Reading ruler',
  aloud: 'Reading aloud',
  meaning: 'Word help',
  home: 'Language at home',
  speak: 'Answers by speaking',
  ...nameOf(WORD_SWITCHES),
  ...nameOf(PAGE_SWITCHES),
};

function nameOf<T extends string>(list: readonly { readonly tool: T; readonly says: Plain }[]): Record<T, Plain> {
  return Object.fromEntries(list.map((s) => [s.tool, s.says])) as Record<T, Plain>;
}
