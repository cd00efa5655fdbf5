import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { DemoPlace } from '../testing/demo-place';
import { WritingHelp } from './writing-help';

beforeEach(() => {
  const list = { creature: ['a living organism', 'animal,being', '', ''] };
  globalThis.fetch = jest.fn(() => Promise.resolve({ ok: true, json: () => Promise.resolve(list) } as Response));
});

describe('help with easier words', () => {
  const open = (text: string, target: number | null = null) =>
    DemoPlace.open(WritingHelp, { inputs: { text, target } });
  const LONG =
    'Creatures stranded there must withstand drying winds and sudden rain until the water comes back to the shore again.';

  it('says the grade by a named formula, and the one to reach', async () => {
    const place = await open(`${LONG} ${LONG}`, 3);
    expect(place.text).toMatch(/Grade \d+\.\d \(Flesch–Kincaid, a rough sign: under 100 words\), to reach 3\./);
    expect(place.text).toContain('2 long sentences (over 14 words), tinted.');
  });
  it('says so where a text is too short for a grade', async () => {
    expect((await open('A crab hides.')).text).toContain('Too short for a grade.');
  });
  it('marks hard words and offers more common ones in their place', async () => {
    const place = await open(LONG);
    const swaps: unknown[] = [];
    place.fixture.componentInstance.swap.subscribe((s) => swaps.push(s));
    const marked = [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('.hard')].map(
      (e) => e.textContent,
    );
    expect(marked).toContain('Creatures');
    expect(marked).not.toContain('water');
    await place.press('animal in place of creatures');
    expect(swaps).toEqual([{ from: 'creatures', to: 'animal' }]);
  });
  it('never marks a field that is filled for each learner', async () => {
    const place = await open('[interest] and [chosen name] go to see the sea.');
    const marked = (place.fixture.nativeElement as HTMLElement).querySelectorAll('.hard');
    expect(marked).toHaveLength(0);
  });
});
