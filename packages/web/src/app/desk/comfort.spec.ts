import { describe, expect, it } from '@jest/globals';
import { PLAIN_COMFORT } from '@lorvet/core';
import { comfortStyle, GROUNDS } from './comfort';

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

describe.each(Object.entries(GROUNDS))('the desk in %s', (_, tokens) => {
  const at = (name: string) => tokens[name] ?? '';
  it.each([
    ['--ink', '--paper'],
    ['--ink', '--surface'],
    ['--ink', '--sunken'],
    ['--ink', '--accent-soft'],
    ['--ink', '--ochre-soft'],
    ['--ink-2', '--paper'],
    ['--ink-2', '--surface'],
    ['--accent-ink', '--accent'],
    ['--accent', '--surface'],
  ])('%s on %s is at least 7:1', (ink, ground) => {
    expect(contrast(at(ink), at(ground))).toBeGreaterThanOrEqual(7);
  });

  it('draws the edges of its fields at 3:1', () => {
    expect(contrast(at('--line-strong'), at('--surface'))).toBeGreaterThanOrEqual(3);
    expect(contrast(at('--line-strong'), at('--paper'))).toBeGreaterThanOrEqual(3);
  });
});

describe('comfort', () => {
  it('becomes style, and falls back to the plain one', () => {
    expect(comfortStyle({ font: 'lexend', size: 28, spacing: 2, colours: 'night' })).toMatchObject({
      '--desk-size': '28px',
      '--desk-line': '2',
      'color-scheme': 'dark',
    });
    expect(comfortStyle(undefined)).toEqual(comfortStyle(PLAIN_COMFORT));
  });
});
