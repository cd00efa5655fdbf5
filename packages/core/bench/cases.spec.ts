import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { CASE_SETS, runCases } from '../src/testing/cases/index';

const folder = new URL('../../../docs/cases/', import.meta.url);

describe('the cases of docs/cases', () => {
  it.each(CASE_SETS)('$name: the core says what is wanted', (set) => {
    const results = runCases(set, readFileSync(new URL(set.file, folder), 'utf8'));
    expect(results.length).toBeGreaterThan(14);
    expect(
      results.filter((r) => r.is !== 'right').map((r) => `${r.is}: ${JSON.stringify(r.row)} says ${r.got}`),
    ).toEqual([]);
  });
});
