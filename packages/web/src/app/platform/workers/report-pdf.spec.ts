import { describe, expect, it } from '@jest/globals';
import { inLetters } from './report-letters';
import { reportDocument } from './report-pdf';

describe('letters of a report', () => {
  it('come from the part of the font that has them, spaces with what stands before', () => {
    expect(inLetters('Łucja and Оксана')).toEqual([
      { text: 'Ł', font: 'latin-ext' },
      { text: 'ucja and ', font: 'latin' },
      { text: 'Оксана', font: 'cyrillic' },
    ]);
  });

  it('say so where no part has them, and are never left out silently', () => {
    expect(inLetters('5 ≥ 3')).toEqual([{ text: '5 [?] 3', font: 'latin' }]);
    expect(inLetters('a\u0301\nb').map((r) => r.text)).toEqual(['á\nb']);
  });
});

it('each report begins on a page of its own', () => {
  const report = { language: 'en', title: 'A', parts: [{ is: 'title', text: 'A' }] } as const;
  const { content } = reportDocument([report, report], 'All');
  expect((content as { pageBreak?: string }[]).map((c) => c.pageBreak)).toEqual([undefined, 'before']);
});
