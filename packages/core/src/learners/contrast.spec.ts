import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { contrastOf, deskColours, held, LEAST_CONTRAST } from './contrast';

const colour = fc
  .tuple(fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 255 }))
  .map((rgb) => `#${rgb.map((n) => n.toString(16).padStart(2, '0')).join('')}`);

describe('contrast', () => {
  it('is 21 at most, 1 at least, and as the standard counts it', () => {
    expect([contrastOf('#000000', '#ffffff'), contrastOf('#777777', '#777777')]).toEqual([21, 1]);
    expect(contrastOf('#767676', '#ffffff')).toBeCloseTo(4.54, 1);
  });

  it('leaves an ink that can be read, and makes another one stronger by no more than is needed', () => {
    expect(held('#241f1a', ['#fffdf8'])).toBe('#241f1a');
    const stronger = held('#9aa0a6', ['#ffffff']);
    expect(contrastOf(stronger, '#ffffff')).toBeGreaterThanOrEqual(LEAST_CONTRAST);
    expect(contrastOf(stronger, '#ffffff')).toBeLessThan(5.2);
  });

  it('is held on every ground that a learner may choose, with every ink', () => {
    fc.assert(
      fc.property(colour, colour, (ground, ink) => {
        const c = deskColours(ground, ink);
        for (const on of [c.paper, c.surface, c.sunken]) {
          expect(contrastOf(c.ink, on)).toBeGreaterThanOrEqual(LEAST_CONTRAST);
          expect(contrastOf(c.ink2, on)).toBeGreaterThanOrEqual(LEAST_CONTRAST);
        }
        expect(contrastOf(c.ink, c.accentSoft)).toBeGreaterThanOrEqual(LEAST_CONTRAST);
        expect(contrastOf(c.ink, c.ochreSoft)).toBeGreaterThanOrEqual(LEAST_CONTRAST);
        expect(contrastOf(c.accentInk, c.accent)).toBeGreaterThanOrEqual(LEAST_CONTRAST);
        expect(contrastOf(c.accent, c.surface)).toBeGreaterThanOrEqual(LEAST_CONTRAST);
        expect(contrastOf(c.lineStrong, c.surface)).toBeGreaterThanOrEqual(3);
      }),
      { numRuns: 300 },
    );
  });
});
