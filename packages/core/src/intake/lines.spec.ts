import { describe, expect, it } from '@jest/globals';
import { readLaidOut } from './lines';
import type { Part } from './material';
import type { DrawnShape, TextItem } from './text-lines';

/** Words at a place, in points; 12 high and about half as wide a letter where nothing else is said. */
const at = (x: number, y: number, text: string, more: Partial<TextItem> = {}): TextItem => ({
  ...{ text, x, y, w: text.length * (more.h ?? 12) * 0.5, h: 12, bold: false },
  ...more,
});
/** Lines under each other, from the top. */
const under = (x: number, top: number, texts: readonly string[], step = 15) =>
  texts.map((t, i) => at(x, top + i * step, t));
const read = (items: readonly TextItem[], shapes: readonly DrawnShape[] = []): readonly Part[] =>
  readLaidOut({ n: 1, width: 595, height: 842, items, shapes }).parts;
const said = (parts: readonly Part[]) =>
  parts.map((p) => (p.kind === 'paragraph' || p.kind === 'heading' ? `${p.kind}: ${p.text}` : p.kind));

describe('words on a page', () => {
  it('that were stored letter by letter, or out of order, are lines and paragraphs again', () => {
    const letters = [...'The tide'].map((c, i) => at(60 + i * 6, 100, c));
    const second = under(60, 115, ['comes in twice a day and leaves pools behind it.']);
    const first = at(114, 100, 'that falls in the night and in the day');
    expect(said(read([...second, first, ...letters]))).toEqual([
      'paragraph: The tide that falls in the night and in the day comes in twice a day and leaves pools behind it.',
    ]);
  });

  it('a word parted at the end of a line is one word, a name with a hyphen stays', () => {
    const lines = under(60, 100, [
      'Many animals of the shore are well adap-',
      'ted to the air, says the coast-guard of',
      'Kelp Bay.',
    ]);
    expect(said(read(lines))).toEqual([
      'paragraph: Many animals of the shore are well adapted to the air, says the coast-guard of Kelp Bay.',
    ]);
  });

  it('larger or bold words by themselves are headings, and a question is none however bold', () => {
    const body = under(60, 200, [
      'Some of them shut their shell while the water is away.',
      'Others hide under stones or in the wet weed there.',
    ]);
    const parts = read([
      at(60, 60, 'The shore', { h: 24 }),
      at(60, 120, 'Who lives here', { bold: true }),
      at(60, 160, '1. Who hides?', { bold: true }),
      ...body,
    ]);
    expect(parts.map((p) => (p.kind === 'heading' ? `${p.text} ${p.level}` : p.kind))).toEqual([
      'The shore 1',
      'Who lives here 2',
      'paragraph',
      'paragraph',
    ]);
  });

  it('a marked line begins anew, a short line before a capital too', () => {
    expect(said(read(under(60, 100, ['1. Which one floats on the water of the bay?', 'A. cork', 'B. stone'])))).toEqual(
      ['paragraph: 1. Which one floats on the water of the bay?', 'paragraph: A. cork', 'paragraph: B. stone'],
    );
    expect(
      said(read(under(60, 100, ['Ask first.', 'The whole class walks down to the harbour in the morning.']))),
    ).toHaveLength(2);
  });
});

describe('columns', () => {
  const left = [
    'The crab walks to the side',
    'because of how its legs are',
    'made, and it hides in weed',
    'when a gull flies over it.',
    'It can wait a long time.',
  ];
  const right = [
    'The limpet clings to a rock',
    'with its foot and goes back',
    'to the same place each day',
    'before the water has gone.',
    'No wave moves it then.',
  ];

  it('are read one after the other, under a heading that stands over both', () => {
    const parts = said(
      read([at(60, 60, 'Two animals', { h: 22 }), ...under(60, 120, left), ...under(320, 120, right)]),
    );
    expect(parts[0]).toBe('heading: Two animals');
    const text = parts.slice(1).join(' ');
    expect(text.indexOf('gull')).toBeLessThan(text.indexOf('limpet'));
    expect(text).toContain('its legs are made, and it hides');
    expect(text).toContain('goes back to the same place');
  });

  it('however short are read one after the other where the count goes on', () => {
    const parts = said(
      read([
        at(60, 60, 'Opposites', { h: 22 }),
        ...under(60, 120, ['1. hot', '2. big']),
        ...under(320, 119, ['3. wet', '4. early']),
        at(60, 170, 'Answers', { h: 18 }),
        at(60, 200, '1. cold 2. small 3. dry 4. late, and that stands under both'),
      ]),
    );
    expect(parts.join(' ').match(/\d/g)?.join('')).toBe('12341234');
  });

  it('of a script that is read from the right begin at the right', () => {
    const words = (w: string) => Array.from({ length: 5 }, () => `${w} ${w} ${w} ${w}`);
    const parts = said(read([...under(60, 120, words('שמאל')), ...under(320, 120, words('ימין'))]));
    const text = parts.join(' ');
    expect(text.indexOf('ימין')).toBeLessThan(text.indexOf('שמאל'));
  });

  it('of short words under each other are a table, its empty cells too', () => {
    const row = (y: number, ...cells: readonly string[]) =>
      cells.flatMap((c, i) => (c ? [at(60 + i * 150, y, c)] : []));
    const [table] = read([
      ...row(100, 'Animal', 'Legs', 'Home'),
      ...row(118, 'crab', '10', 'weed'),
      ...row(136, 'gull', '2', ''),
    ]);
    expect(table).toMatchObject({
      kind: 'table',
      rows: [
        ['Animal', 'Legs', 'Home'],
        ['crab', '10', 'weed'],
        ['gull', '2', ''],
      ],
    });
  });
});

describe('what is drawn', () => {
  const question = at(60, 100, '1. What do you see in the pool?');

  it('lines that make cells are a table, whatever stands in them; cells without a word are room to draw in', () => {
    const down = (xs: number[]): DrawnShape[] => xs.map((x) => ({ x, y: 100, w: 1, h: 60 }));
    const across = (ys: number[]): DrawnShape[] => ys.map((y) => ({ x: 60, y, w: 200, h: 1 }));
    const drawn = [...down([60, 100, 259]), ...across([100, 120, 140, 159])];
    const words = [
      // Stored as one, across the line between them.
      at(64, 104, 'No Answer', { w: 90 }),
      at(64, 124, '1.'),
      at(104, 124, 'moon'),
      at(64, 144, '2.'),
    ];
    expect(read([at(60, 60, 'Key', { h: 20 }), ...words], drawn)).toMatchObject([
      { kind: 'heading' },
      {
        kind: 'table',
        rows: [
          ['No', 'Answer'],
          ['1.', 'moon'],
          ['2.', ''],
        ],
      },
    ]);
    expect(said(read([at(60, 60, '1. Show seven in the frame.')], drawn))).toEqual([
      'paragraph: 1. Show seven in the frame.',
      'box',
    ]);
    // Lines that end short of each other make none.
    expect(said(read([at(60, 60, 'Write.')], across([100, 120, 140])))).toEqual([
      'paragraph: Write.',
      'rule',
      'rule',
      'rule',
    ]);
  });

  it('a line to write on stands under its question, with its place in hundredths', () => {
    const parts = read([question], [{ x: 60, y: 140, w: 400, h: 1 }]);
    expect(said(parts)).toEqual(['paragraph: 1. What do you see in the pool?', 'rule']);
    expect(parts[1]).toMatchObject({ box: { x: 10.08, y: 16.63, w: 67.23 } });
  });

  it('a line close under words underlines them, one across the page is a border', () => {
    expect(read([question], [{ x: 60, y: 113, w: 190, h: 1 }])).toHaveLength(1);
    expect(read([question], [{ x: 10, y: 140, w: 575, h: 1 }])).toHaveLength(1);
  });

  it('an empty frame is room to answer, one round words is not, and one drawn twice is one', () => {
    const frame = { x: 60, y: 140, w: 400, h: 120 };
    expect(said(read([question], [frame, { ...frame, x: 61 }]))).toEqual([expect.any(String), 'box']);
    expect(said(read([question, at(80, 160, 'Mind the tide.')], [frame]))).not.toContain('box');
    expect(said(read([question], [{ x: 0, y: 0, w: 595, h: 842 }]))).not.toContain('box');
  });

  it('the page’s own number is no words of it, and the same in the middle is', () => {
    expect(said(read([at(60, 400, 'Page 1 of 2'), at(60, 810, 'Page 1 of 2'), at(280, 822, '– 3 –')]))).toEqual([
      'paragraph: Page 1 of 2',
    ]);
  });

  it('a page with a picture and no words says so', () => {
    expect(readLaidOut({ n: 3, width: 595, height: 842, items: [at(0, 0, '  ')], shapes: [] })).toEqual({
      n: 3,
      parts: [],
      size: { width: 595, height: 842 },
      pictureOnly: true,
    });
  });
});
