import type { DrawnShape, TextItem } from '@lorvet/core/intake';
import { asMatrix, type Matrix, type PdfTools, times, UNIT } from './pdf-matrix';

/** What was painted before the words, as a place in points, and whether words that are white can be read on it. */
interface Ground extends DrawnShape {
  readonly white: boolean;
}

/** What is painted on a page, in its order. */
export interface Ink {
  /** All signs, without room between them, and which of them are white. */
  readonly signs: string;
  readonly white: readonly boolean[];
  /** Every line and every frame. */
  readonly shapes: readonly DrawnShape[];
  readonly grounds: readonly Ground[];
}

interface Painted {
  readonly fnArray: readonly number[];
  readonly argsArray: readonly unknown[];
}

/** A sign as it is compared: joined signs are as many as they stand for, and room is none. */
const plain = (text: string): string => text.normalize('NFKC').replace(/\s/g, '');
const isWhite = (colour: string): boolean => /^#f{6}$/i.test(colour);
const FILLS = ['fill', 'eoFill', 'fillStroke', 'eoFillStroke', 'closeFillStroke', 'closeEOFillStroke'];
const PICTURES = ['paintImageXObject', 'paintInlineImageXObject', 'paintImageMaskXObject'];

/** Follows what is painted on a page: its lines and frames, the colour of each sign, and what lies under them. */
export function inkOf(list: Painted, toView: Matrix, { OPS }: PdfTools): Ink {
  const fills = new Set(FILLS.map((name) => OPS[name]));
  const pictures = new Set(PICTURES.map((name) => OPS[name]));
  const white: boolean[] = [];
  const shapes: DrawnShape[] = [];
  const grounds: Ground[] = [];
  const kept: { at: Matrix; colour: string }[] = [];
  let signs = '';
  let now: { at: Matrix; colour: string } = { at: UNIT, colour: '#000000' };
  const placeOf = (x0: number, y0: number, x1: number, y1: number): DrawnShape => {
    const m = times(toView, now.at);
    const ends = [
      [x0, y0],
      [x1, y1],
    ].map(([x = 0, y = 0]) => [m[0] * x + m[2] * y + m[4], m[1] * x + m[3] * y + m[5]] as const);
    const [xs, ys] = [ends.map((e) => e[0]), ends.map((e) => e[1])];
    const [x, y] = [Math.min(...xs), Math.min(...ys)];
    return { x, y, w: Math.max(...xs) - x, h: Math.max(...ys) - y };
  };
  list.fnArray.forEach((fn, i) => {
    const args = (list.argsArray[i] ?? []) as unknown[];
    if (fn === OPS['save']) kept.push(now);
    else if (fn === OPS['restore'] || fn === OPS['paintFormXObjectEnd']) now = kept.pop() ?? now;
    else if (fn === OPS['transform']) now = { ...now, at: times(now.at, asMatrix(args as number[])) };
    else if (fn === OPS['paintFormXObjectBegin']) {
      kept.push(now);
      if (args[0]) now = { ...now, at: times(now.at, asMatrix(args[0] as number[])) };
    } else if (fn === OPS['setFillRGBColor']) now = { ...now, colour: String(args[0]) };
    // A pattern is no white.
    else if (fn === OPS['setFillColorN']) now = { ...now, colour: '' };
    else if (fn === OPS['constructPath'] && args[2]) {
      const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = Array.from(args[2] as ArrayLike<number>);
      const place = placeOf(x0, y0, x1, y1);
      shapes.push(place);
      if (fills.has(args[0] as number)) grounds.push({ ...place, white: isWhite(now.colour) });
    } else if (pictures.has(fn)) grounds.push({ ...placeOf(0, 0, 1, 1), white: false });
    else if (fn === OPS['showText'])
      for (const glyph of args[0] as readonly (number | { unicode?: string } | null)[]) {
        const sign = plain(typeof glyph === 'object' ? (glyph?.unicode ?? '') : '');
        signs += sign;
        for (let n = 0; n < sign.length; n++) white.push(isWhite(now.colour));
      }
  });
  return { signs, white, shapes, grounds };
}

/**
 * Words without those that are white with nothing coloured behind them, and whether there were any. Where the words and
 * what was painted do not agree sign for sign, all of them are read.
 */
export function withoutWhite(items: readonly TextItem[], ink: Ink): { items: readonly TextItem[]; hid: boolean } {
  const signsOf = (text: string) => [...text].map(plain);
  if (!ink.white.includes(true) || items.flatMap((i) => signsOf(i.text)).join('') !== ink.signs)
    return { items, hid: false };
  let at = 0;
  let hid = false;
  const seen = items.flatMap((item): TextItem[] => {
    const signs = [...item.text];
    const isHidden = signs.map((sign) => {
      const n = plain(sign).length;
      at += n;
      return n > 0 && ink.white[at - n] === true;
    });
    const first = isHidden.indexOf(true);
    if (first < 0) return [item];
    const last = isHidden.lastIndexOf(true);
    const step = item.w / signs.length;
    const [x, y] = [item.x + ((first + last + 1) / 2) * step, item.y + item.h / 2];
    const on = ink.grounds.findLast((g) => x >= g.x && x <= g.x + g.w && y >= g.y && y <= g.y + g.h);
    if (on && !on.white) return [item];
    hid = true;
    const isSeen = signs.map((sign, i) => !isHidden[i] && sign.trim() !== '');
    const [from, to] = [isSeen.indexOf(true), isSeen.lastIndexOf(true) + 1];
    if (from < 0) return [];
    const text = signs
      .slice(from, to)
      .filter((_, i) => !isHidden[from + i])
      .join('');
    return [{ ...item, text, x: item.x + from * step, w: (to - from) * step }];
  });
  return { items: seen, hid };
}
