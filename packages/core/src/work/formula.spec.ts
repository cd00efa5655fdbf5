import { describe, expect, it } from '@jest/globals';
import { shortText } from '../activity/blocks/short-text';
import { formulaSource, onOneLine, plainFormula, shaped } from './formula';
import { markItem } from './mark/mark-item';
import { judgeNumber } from './mark/judge-number';
import { readNumber } from './mark/read-number';

describe('a formula', () => {
  it.each([
    ['fraction', ['3', '4'], '', '3/4'],
    ['fraction', ['3', '4'], '2', ' 3/4'],
    ['fraction', ['x + 1', '2y'], 'y = ', '(x + 1)/(2y)'],
    ['fraction', ['1', 'a-b'], '', '1/(a-b)'],
    ['power', ['x', '2'], '', 'x²'],
    ['power', ['(a+b)', '-1'], '', '(a+b)⁻¹'],
    ['power', ['2', 'n+1'], '', '2ⁿ⁺¹'],
    ['power', ['2', '2x+10'], '', '2^(2x+10)'],
    ['power', ['2', 'x'], '', '2^x'],
    ['root', ['16'], '', '√16'],
    ['root', ['x+1'], '', '√(x+1)'],
  ] as const)('%s of %j after "%s" is %s', (shape, filled, before, text) => {
    expect(shaped(shape, filled, before)).toBe(text);
  });

  it.each([
    ['3/4', '3/4'],
    ['x²', 'x^2'],
    ['2¹⁰', '2^{:10:}'],
    ['√(x+1)', 'sqrt (x+1)'],
    ['The area is 1½ m²', '"The"   "area"   "is"  1 1/2 m^2'],
    ['sin(x)/2', 'sin (x)/2'],
    ['a crab', null],
    ['3 + 4 = 7', null],
    ['', null],
    ['"/`', '/'],
    ['/'.repeat(500), null],
  ])('%s is laid out from %s', (text, source) => {
    expect(formulaSource(text)).toBe(source);
  });

  it('is the same however it is written, and another where it means another', () => {
    for (const [a, b] of [
      ['x²', 'x^2'],
      ['3 × 4 = 12', '3*4=12'],
      ['6 ÷ 2', '6/2'],
      ['√(16)', '√16'],
      ['1½', '1 1/2'],
      ['3 − 4', '3-4'],
      ['2^(10)', '2¹⁰'],
    ] as const)
      expect(plainFormula(a)).toBe(plainFormula(b));
    for (const [a, b] of [
      ['1 1/2', '11/2'],
      ['x^2', 'x2'],
      ['(a+b)/2', 'a+b/2'],
      ['12', '1 2'],
    ] as const)
      expect(plainFormula(a)).not.toBe(plainFormula(b));
    expect(onOneLine('11½')).toBe('11 1/2');
  });

  it('counts as a short answer where signs for maths stand beside the field, and a sign of a half as a number', () => {
    const item = { ...shortText.fresh('q', () => 'x'), key: ['x² + 1'], signs: true };
    const mark = (text: string, signs = true) => markItem({ ...item, signs }, { kind: 'text', text }).verdict;
    expect([mark('x^2+1'), mark('x2+1'), mark('x^2+1', false)]).toEqual(['right', 'not-yet', 'not-yet']);
    expect(['½', '2½', '−¾', '1 ½', '3/4'].map((t) => readNumber(t))).toEqual([0.5, 2.5, -0.75, 1.5, 0.75]);
    expect(judgeNumber('12 m²', { prompt: '', key: 12, tolerance: 0, unit: 'm²' }).is).toBe('same');
  });
});
