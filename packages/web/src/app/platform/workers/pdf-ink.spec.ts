import { describe, expect, it } from '@jest/globals';
import type { TextItem } from '@lorvet/core/intake';
import { inkOf, withoutWhite } from './pdf-ink';
import { UNIT } from './pdf-matrix';

const NAMES = ['save', 'restore', 'transform', 'setFillRGBColor', 'constructPath', 'fill', 'showText'];
const OPS: Readonly<Record<string, number>> = Object.fromEntries(NAMES.map((name, i) => [name, i]));
type Step = readonly [name: string, ...args: unknown[]];
const ink = (...steps: Step[]) =>
  inkOf({ fnArray: steps.map(([name]) => OPS[name] ?? -1), argsArray: steps.map(([, ...args]) => args) }, UNIT, {
    OPS,
  });
const shown = (text: string): Step => ['showText', [...text].map((unicode) => ({ unicode }))];
const item = (text: string, y: number): TextItem => ({ text, x: 0, y, w: text.length * 10, h: 10, bold: false });
const box = (x0: number, y0: number, x1: number, y1: number): Step => [
  'constructPath',
  OPS['fill'],
  [],
  [x0, y0, x1, y1],
];
const words = (items: readonly TextItem[], ...steps: Step[]) => {
  const { items: seen, hid } = withoutWhite(items, ink(...steps));
  return [seen.map((i) => i.text), hid];
};
const WHITE: Step = ['setFillRGBColor', '#ffffff'];
const BLACK: Step = ['setFillRGBColor', '#000000'];

describe('white words of a page', () => {
  it('are left out, also within a line, and what is left keeps its place', () => {
    const line = item('Who digs? a mole', 0);
    const { items, hid } = withoutWhite(
      [line, item('1. a mole', 20)],
      ink(shown('Who digs? '), WHITE, shown('a mole'), shown('1. a mole')),
    );
    expect([items.map((i) => [i.text.trim(), i.x, i.w]), hid]).toEqual([[['Who digs?', 0, 90]], true]);
  });

  it('are read on a coloured ground, and not where white was painted over it', () => {
    const on = item('Read this', 0);
    const dark: Step[] = [['setFillRGBColor', '#223344'], box(0, 0, 100, 20)];
    expect(words([on], ...dark, WHITE, shown('Read this'))).toEqual([['Read this'], false]);
    expect(words([on], ...dark, WHITE, box(0, 0, 100, 20), shown('Read this'))).toEqual([[], true]);
  });

  it('come back to another colour with what was kept; joined signs are the letters they stand for', () => {
    expect(
      words(
        [item('first', 0)],
        ['save'],
        WHITE,
        ['restore'],
        ['showText', [{ unicode: 'ﬁ' }, -20, { unicode: 'r' }, { unicode: 's' }, { unicode: 't' }]],
      ),
    ).toEqual([['first'], false]);
    expect(words([item('first', 0)], WHITE, shown('ﬁrst'))).toEqual([[], true]);
  });

  it('where the page and its words do not agree, all are read', () => {
    expect(words([item('Who digs?', 0)], WHITE, shown('Who'), BLACK, shown('swims?'))).toEqual([['Who digs?'], false]);
  });
});
