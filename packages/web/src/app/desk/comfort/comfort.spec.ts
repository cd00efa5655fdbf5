import { describe, expect, it } from '@jest/globals';
import { contrastOf, PLAIN_COMFORT } from '@lorvet/core/desk';
import { comfortStyle } from './comfort-style';
import { GROUNDS } from './grounds';

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
    expect(contrastOf(at(ink), at(ground))).toBeGreaterThanOrEqual(7);
  });

  it('draws the edges of its fields at 3:1', () => {
    expect(contrastOf(at('--line-strong'), at('--surface'))).toBeGreaterThanOrEqual(3);
    expect(contrastOf(at('--line-strong'), at('--paper'))).toBeGreaterThanOrEqual(3);
  });
});

describe('comfort', () => {
  it('becomes style, and falls back to the plain one', () => {
    expect(comfortStyle({ ...PLAIN_COMFORT, font: 'lexend', size: 28, spacing: 2, colours: 'night' })).toMatchObject({
      '--desk-size': '28px',
      '--desk-line': '2',
      'color-scheme': 'dark',
    });
    expect(comfortStyle(undefined)).toEqual(comfortStyle(PLAIN_COMFORT));
  });
});
