import { type Block, type Content, type Family, FAMILY_FORMAT, type Page, type Version } from '../src/index';

const block = (p: number, i: number): Block => ({
  id: `b${p}-${i}`,
  kind: 'text',
  audience: 'learner',
  text: `Words of block ${i} on page ${p}, some ten or so.`,
});

/** A master of pages × blocks with versions of so many rewordings each, spread over it. */
export function largeFamily(pages: number, blocks: number, versions: number, adjustments: number): Family {
  const content: Content = {
    title: 'Bench',
    subject: '',
    ages: '',
    objectives: [],
    pages: Array.from({ length: pages }, (_, p): Page => ({
      id: `p${p}`,
      title: `Page ${p}`,
      orientation: 'portrait',
      blocks: Array.from({ length: blocks }, (_, i) => block(p, i)),
    })),
  };
  const at = '2026-01-01T00:00:00.000Z';
  return {
    format: FAMILY_FORMAT,
    id: 'large',
    swatch: { pattern: 'plain', colour: 'a', letter: 'L' },
    createdAt: at,
    revisions: [{ n: 1, at, author: 'T', note: '', content }],
    versions: Array.from({ length: versions }, (_, v): Version => ({
      id: `v${v}`,
      name: `Version ${v}`,
      swatch: { pattern: 'plain', colour: 'a', letter: 'A' },
      purpose: '',
      basis: null,
      upTo: 1,
      upkeepLog: [],
      adjustments: Array.from({ length: adjustments }, (_, k) => {
        const target = content.pages[(v * 7 + k * 3) % pages]?.blocks[(v + k) % blocks] as Block & { text: string };
        return {
          id: `a${v}-${k}`,
          kind: 'reword',
          at,
          author: 'T',
          target: target.id,
          field: 'text',
          was: target.text,
          now: `${target.text} Version ${v}.`,
        };
      }),
    })),
  };
}
