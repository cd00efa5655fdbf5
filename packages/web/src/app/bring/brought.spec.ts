import { describe, expect, it } from '@jest/globals';
import type { ReadQuestion } from '@lorvet/core/intake';
import { broughtMaster, documentKind, isQuestion, pictureBlocks, picturePages, questionPages } from './brought';
import type { KeptAsset } from '../platform/storage/kept-asset';

const newId = (() => {
  let n = 0;
  return () => `n${++n}`;
})();
const question = (line: number): ReadQuestion => ({
  line,
  objective: '',
  block: {
    id: `q${line}`,
    kind: 'short-text',
    audience: 'learner',
    prompt: `Question of line ${line}`,
    demand: 'recall',
    points: 1,
    key: ['x'],
    spellingTolerant: false,
  },
});
const picture = (name: string): KeptAsset => ({ id: `sha256-${name}`, mime: 'image/png', name, data: new Blob() });

describe('what is brought in', () => {
  it('a list becomes pages of twenty, each question once and known by its line', () => {
    const pages = questionPages(
      Array.from({ length: 45 }, (_, i) => question(i + 2)),
      newId,
    );
    expect(pages.map((p) => [p.n, p.title, p.proposals.length])).toEqual([
      [1, 'Questions 1 to 20', 20],
      [2, 'Questions 21 to 40', 20],
      [3, 'Questions 41 to 45', 5],
    ]);
    const says = pages.flatMap((p) => p.proposals.map((x) => x.says));
    expect(new Set(says).size).toBe(45);
    expect(says[0]).toBe('Line 2');
    expect(pages.flatMap((p) => p.proposals).every((p) => isQuestion(p) && p.keyed)).toBe(true);
    expect(questionPages([], newId)).toEqual([]);
  });

  it('pictures become blocks of one page, or pages to answer on', () => {
    const assets = [picture('a.png'), picture('b.png')];
    const blocks = pictureBlocks(assets, 'Shore', newId);
    expect(blocks.proposals.map((p) => p.block)).toMatchObject([
      { kind: 'picture', assetId: 'sha256-a.png', alt: '' },
      { kind: 'picture', assetId: 'sha256-b.png', alt: '' },
    ]);
    expect(blocks.proposals.some(isQuestion)).toBe(false);
    expect(picturePages(assets).map((p) => [p.n, p.pictureOnly])).toEqual([
      [1, true],
      [2, true],
    ]);
  });

  it('a file is read by its ending, and one of no known ending is not', () => {
    expect(['docx', 'htm', 'md', 'zip'].map(documentKind)).toEqual(['docx', 'html', 'markdown', 'qti']);
    expect(['exe', 'constructor'].map(documentKind)).toEqual([undefined, undefined]);
  });

  it('becomes a master whose first revision says where it came from', () => {
    const content = { title: 'T', subject: '', ages: '', objectives: [], pages: [] };
    const family = broughtMaster(content, `From ${'x'.repeat(400)}`, { id: 'f', at: '2026-11-24', author: 'T' });
    expect(family.revisions).toMatchObject([{ n: 1, content }]);
    expect(family.revisions[0]?.note).toHaveLength(300);
  });
});
