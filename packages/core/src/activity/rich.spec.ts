import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { safeAddress } from './blocks/link';
import { gapParts } from './blocks/gaps';
import { moveRect, readingOrder, rectBetween, resizeRect, SNAP, snapRect } from './geometry';
import { plainRich, readRich, type RichPart, type Run, writeRich } from './rich';

const words = fc
  .array(fc.constantFrom('sea', 'a*b', '2_3', 'c\\d', '1.', '-', '+', '**', 'é', '5)'), { minLength: 1, maxLength: 5 })
  .map((w) => w.join(' '));
const run: fc.Arbitrary<Run> = fc.record({ text: words, strong: fc.boolean(), em: fc.boolean() });
/** Runs as an editor gives them: no two of one manner side by side, and a space between them. */
const runs = fc.array(run, { minLength: 1, maxLength: 4 }).map((list) =>
  list.reduce<Run[]>((out, r, i) => {
    const last = out.at(-1);
    if (last?.strong === r.strong && last.em === r.em) return out;
    return i === 0 ? [r] : [...out, { text: ' ', strong: false, em: false }, r];
  }, []),
);
const part: fc.Arbitrary<RichPart> = fc.oneof(
  runs.map((r): RichPart => ({ kind: 'paragraph', runs: r })),
  fc.record({
    kind: fc.constant('list' as const),
    ordered: fc.boolean(),
    items: fc.array(runs, { minLength: 1, maxLength: 3 }),
  }),
);
const plain = (parts: readonly RichPart[]) =>
  parts
    .map((p) => (p.kind === 'paragraph' ? [p.runs] : p.items).map((r) => r.map((x) => x.text).join('')).join('\n'))
    .join('\n');

describe('marked words', () => {
  it('read: paragraphs, lists, strong and stressed; nothing else has a meaning', () => {
    expect(readRich('The **red** and *old* boat\n\n- one\n- two')).toEqual([
      {
        kind: 'paragraph',
        runs: [
          { text: 'The ', strong: false, em: false },
          { text: 'red', strong: true, em: false },
          { text: ' and ', strong: false, em: false },
          { text: 'old', strong: false, em: true },
          { text: ' boat', strong: false, em: false },
        ],
      },
      {
        kind: 'list',
        ordered: false,
        items: [[{ text: 'one', strong: false, em: false }], [{ text: 'two', strong: false, em: false }]],
      },
    ]);
    for (const inert of ['<b>x</b>', '# x', '[x](http://y.z)', '`x`', '> x', '![x](y)'])
      expect(plainRich(inert)).toBe(inert);
  });

  it('lose no word on the way out and in again', () => {
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 3 }), (parts) => {
        const text = writeRich(parts);
        const squeeze = (t: string) => t.replace(/\s+/g, ' ').trim();
        expect(squeeze(plainRich(text))).toBe(squeeze(plain(parts)));
        expect(writeRich(readRich(text))).toBe(writeRich(readRich(writeRich(readRich(text)))));
      }),
    );
  });

  it('any text is some rich text', () => {
    fc.assert(fc.property(fc.string(), (t) => expect(() => plainRich(t)).not.toThrow()));
    for (const mark of ['- ', '1. ', '*a ', '> ', '**a*b']) expect(readRich(mark.repeat(5000))).toHaveLength(1);
    expect(plainRich('- [ ] a box\n- two\n  - in it')).toBe('[ ] a box\ntwo\nin it');
  });
});

describe('gaps in a text', () => {
  it('only a known id in braces is a gap, and the parts give the text back', () => {
    const gaps = [{ id: 'g1' }, { id: 'g2' }];
    expect(gapParts('A {g1} b {x} {g2}.', gaps)).toEqual([
      { text: 'A ' },
      { gap: 'g1' },
      { text: ' b {x} ' },
      { gap: 'g2' },
      { text: '.' },
    ]);
    fc.assert(
      fc.property(fc.string(), (t) => {
        expect(
          gapParts(t, gaps)
            .map((p) => ('text' in p ? p.text : `{${p.gap}}`))
            .join(''),
        ).toBe(t);
      }),
    );
  });
});

describe('addresses', () => {
  it.each(['https://example.org/a?b=c#d', 'http://sub.example.org:8080', 'HTTPS://EXAMPLE.ORG'])(
    '%s may be opened',
    (a) => {
      expect(safeAddress(a)?.host).toMatch(/example\.org$/);
    },
  );
  it.each([
    'javascript:alert(1)',
    'data:text/html,x',
    'https://user:pw@example.org',
    'https://a b.org',
    'ftp://example.org',
    'https://localhost/',
    'https://example.org/"onx=',
    '//example.org',
    '',
  ])('%s may not', (a) => expect(safeAddress(a)).toBeNull());
});

describe('places on a page', () => {
  const n = fc.double({ min: -150, max: 250, noNaN: true });
  const point = fc.record({ x: n, y: n });
  const inside = (r: { x: number; y: number; w: number; h: number }) =>
    r.x >= 0 && r.y >= 0 && r.w > 0 && r.h > 0 && r.x + r.w <= 100.011 && r.y + r.h <= 100.011;

  it('stay on it, however they are drawn, moved, sized and snapped', () => {
    fc.assert(
      fc.property(point, point, n, n, (a, b, dx, dy) => {
        const r = rectBetween(a, b);
        const moved = moveRect(r, dx, dy);
        for (const x of [r, moved, resizeRect(moved, dx, dy), snapRect(r, [moved])]) expect(inside(x)).toBe(true);
        expect([moved.w, moved.h]).toEqual([r.w, r.h]);
      }),
    );
  });

  it('snap an edge that is near, and only then', () => {
    const other = { x: 20, y: 20, w: 30, h: 10 };
    expect(snapRect({ x: 20 + SNAP / 2, y: 60, w: 10, h: 5 }, [other]).x).toBe(20);
    expect(snapRect({ x: 20 + SNAP * 2, y: 60, w: 10, h: 5 }, [other]).x).toBe(20 + SNAP * 2);
  });

  it('are read line by line from the left, each once', () => {
    const places = {
      low: { x: 10, y: 80, w: 20, h: 4 },
      right: { x: 60, y: 11, w: 20, h: 4 },
      left: { x: 10, y: 10, w: 20, h: 4 },
      tall: { x: 35, y: 9, w: 20, h: 8 },
    };
    expect(readingOrder(places)).toEqual(['left', 'tall', 'right', 'low']);
  });
});
