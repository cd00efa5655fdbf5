/** The parts of the font that PDFs are written in, and which letters each holds: its package parts it so. */
export const LETTERS = [
  ['latin', [0x20, 0xff], [0x131], [0x152, 0x153], [0x2000, 0x206f], [0x20ac], [0x2122], [0x2212]],
  ['latin-ext', [0x100, 0x2ba], [0x1e00, 0x1e9f], [0x1ef2, 0x1eff], [0x20a0, 0x20c0], [0xa720, 0xa7ff]],
  ['cyrillic', [0x400, 0x45f], [0x490, 0x491], [0x4b0, 0x4b1], [0x2116]],
  ['vietnamese', [0x1ea0, 0x1ef1]],
] as const satisfies readonly (readonly [string, ...(readonly [number, number?])[]])[];
export type LetterPart = (typeof LETTERS)[number][0];

/** In place of what no part of the font can write. */
const UNKNOWN = '[?]';

export interface Run {
  readonly text: string;
  readonly font: LetterPart;
}

/** A text by the parts of the font that write it; marks and spaces stay with what stands before them. */
export function inLetters(text: string): Run[] {
  const out: { text: string; font: LetterPart }[] = [];
  for (const sign of text.normalize('NFC').replace(/\t/g, ' ')) {
    const code = sign.codePointAt(0) ?? 0;
    const last = out.at(-1);
    const part = sign === '\n' ? 'latin' : partOf(code);
    // What joins or turns letters has no shape of its own.
    if (!part && /\p{M}|\p{Cf}/u.test(sign)) continue;
    const font = part ?? 'latin';
    const shown = part ? sign : UNKNOWN;
    if (last && (last.font === font || sign === ' ')) last.text += shown;
    else out.push({ text: shown, font });
  }
  return out;
}

function partOf(code: number): LetterPart | undefined {
  for (const [part, ...ranges] of LETTERS)
    if (ranges.some(([from, to = from]) => code >= from && code <= to)) return part;
  return undefined;
}
