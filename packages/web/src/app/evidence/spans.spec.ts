import { describe, expect, it } from '@jest/globals';
import { periodOf } from './spans';

const NONE = { from: '', until: '' };

describe('spans of time', () => {
  it.each([
    ['term', '2026-11-26', '2026-08-01', '2026-12-31'],
    ['term', '2027-01-01', '2027-01-01', '2027-03-31'],
    ['term', '2028-02-29', '2028-01-01', '2028-03-31'],
    ['term', '2027-04-30', '2027-04-01', '2027-07-31'],
    ['year', '2026-11-26', '2026-08-01', '2027-07-31'],
    ['year', '2027-07-31', '2026-08-01', '2027-07-31'],
    ['month', '2027-01-15', '2026-12-16', '2027-01-15'],
    ['all', '2026-11-26', '', ''],
  ] as const)('%s on %s is from %s until %s', (span, today, from, until) => {
    expect(periodOf(span, today, NONE)).toEqual({ from, until });
  });

  it('one’s own days are what they are', () => {
    const own = { from: '2026-09-01', until: '' };
    expect(periodOf('own', '2026-11-26', own)).toEqual(own);
  });
});
