import type { Answer } from '../../work/answer';
import { counted } from '../../counted';

type Drawn = Extract<Answer, { kind: 'drawing' }>;

/** What drawing and writing on a picture share. */
export const drawingIsEmpty = (d: Drawn): boolean =>
  d.strokes.length === 0 && d.words.every((w) => w.text.trim() === '');

export function drawingWords(d: Drawn): string {
  const words = d.words.map((w) => w.text.trim()).filter(Boolean);
  const strokes = d.strokes.length
    ? counted(d.strokes.length, 'a drawing of {n} stroke', 'a drawing of {n} strokes')
    : '';
  return [strokes, ...words].filter(Boolean).join('; ');
}
