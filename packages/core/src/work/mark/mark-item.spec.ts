import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { ItemBlock } from '../../activity/blocks';
import { b } from '../../demo/build';
import { markItem } from './mark-item';
import { readNumber } from './read-number';

const text = (t: string) => ({ kind: 'text' as const, text: t });
const chose = (...chosen: string[]) => ({ kind: 'choice' as const, chosen });
const verdict = (item: unknown, answer: Parameters<typeof markItem>[1]) => markItem(item as ItemBlock, answer).verdict;

describe('short text', () => {
  const crab = { ...b.short('q', 'Which?', ['crab', 'Shore crab', 'café']), spellingTolerant: false };
  it.each([
    ['Crab', 'right'],
    ['  shore   CRAB. ', 'right'],
    ['Café', 'right'],
    ['cafe', 'yours'],
    ['crabs', 'not-yet'],
    ['', 'empty'],
    ['   ', 'empty'],
  ])('“%s” is %s', (given, says) => expect(verdict(crab, text(given))).toBe(says));

  it('forgives a slip of spelling only where the teacher says so, and never in a very short word', () => {
    const tolerant = b.short('q', 'Which?', ['anemone', 'tin']);
    expect(verdict(tolerant, text('anemony'))).toBe('right');
    expect(verdict(tolerant, text('anymony'))).toBe('yours');
    expect(verdict(tolerant, text('ton'))).toBe('yours');
    expect(verdict({ ...tolerant, spellingTolerant: false }, text('anemony'))).toBe('not-yet');
  });

  it('leaves to the teacher what has no key', () => {
    expect(verdict({ ...crab, key: [] }, text('crab'))).toBe('yours');
    expect(verdict(b.long('q', 'Why?', 'Because.'), text('Because.'))).toBe('yours');
  });
});

describe('number', () => {
  const eggs = b.number('q', 'How many?', 2.5, 'kg', { tolerance: 0.1 });
  it.each([
    ['2.5', 'right'],
    ['2,5 kg', 'right'],
    ['2 1/2', 'right'],
    ['2.6', 'right'],
    ['2.61', 'not-yet'],
    ['two and a half', 'right'],
    ['2.5 apples', 'yours'],
  ])('“%s” is %s', (given, says) => expect(verdict(eggs, text(given))).toBe(says));

  it('reads back every number it is given, whatever its sign, comma and unit', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e6, max: 1e6 }), fc.nat(99), fc.boolean(), (whole, part, comma) => {
        const typed = `${whole}${comma ? ',' : '.'}${`${part}`.padStart(2, '0')} m`;
        expect(readNumber(typed.replace(' m', ''))).toBeCloseTo(Number(typed.replace(',', '.').replace(' m', '')), 6);
      }),
    );
    expect(readNumber('12 500')).toBe(12500);
    expect(readNumber('1/0')).toBeNull();
    expect(readNumber('\u22123')).toBe(-3);
  });
});

describe('choice', () => {
  const one = b.one('q', 'Which?', ['*a', 'b', 'c']);
  const many = b.many('q', 'Which?', ['*a', '*b', 'c', 'd']);
  it('marks one choice by the key', () => {
    expect(markItem(one as ItemBlock, chose('q-1'))).toMatchObject({ verdict: 'right', points: 1, outOf: 1 });
    expect(verdict(one, chose('q-2'))).toBe('not-yet');
    expect(verdict(one, chose())).toBe('empty');
  });
  it('gives part marks, and nothing more for choosing everything', () => {
    const points = (...chosen: string[]) => markItem(many as ItemBlock, chose(...chosen)).points;
    expect(points('q-1', 'q-2')).toBe(2);
    expect(points('q-1')).toBe(1);
    expect(points('q-1', 'q-2', 'q-3')).toBe(1);
    expect(points('q-1', 'q-2', 'q-3', 'q-4')).toBe(0);
  });
});
