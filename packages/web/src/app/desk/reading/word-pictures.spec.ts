import { describe, expect, it } from '@jest/globals';
import type { LearnerPackage } from '@lorvet/core';
import { picturedIn, picturesOf } from './word-pictures';

const pages = [
  {
    blocks: [
      {
        kind: 'vocabulary',
        entries: [
          { id: '1', word: 'Stall ', meaning: 'a table', assetId: 'a-stall' },
          { id: '2', word: 'till', meaning: 'where you pay' },
        ],
      },
      { kind: 'heading', text: 'Stalls' },
    ],
  },
] as unknown as LearnerPackage['pages'];

describe('pictures above words', () => {
  it('are those of the sheet’s own words, wherever the words stand and in whatever form', () => {
    const own = picturesOf(pages);
    expect([...own]).toEqual([['stall', 'a-stall']]);
    const found = (text: string) => picturedIn(text, own).map(({ from, to }) => text.slice(from, to));
    expect(found('Stalls, a STALL and the till; no stallion, no install.')).toEqual(['Stalls', 'STALL']);
    expect(found('')).toEqual([]);
  });
});
