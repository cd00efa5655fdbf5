import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import type { Page } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { WritingHelp } from '../bench/writing-help';
import { Words } from './words';

const LIST = {
  creature: ['a living organism', 'animal,being', '', ''],
  expose: ['', 'show', '', 'show; make visible'],
  retreat: ['a quiet place', 'leave', '', 'pull back'],
  berry: ['a small fruit', '', '', ''],
  constructor: ['somebody who builds', '', '', ''],
};
let asked: string[] = [];
beforeEach(() => {
  asked = [];
  globalThis.fetch = jest.fn((url: unknown) => {
    asked.push(String(url));
    return Promise.resolve({ ok: true, json: () => Promise.resolve(LIST) } as Response);
  });
});

describe('the shipped words', () => {
  const words = async () => {
    await DemoPlace.open(WritingHelp, { inputs: { text: 'A crab.' } });
    return TestBed.inject(Words);
  };
  it('are fetched once, when they are first asked for', async () => {
    const w = await words();
    await w.simpler('creature');
    await w.simpler('expose');
    expect(asked).toEqual(['words/words.json']);
  });
  it.each([
    ['creatures', ['animal', 'being']],
    ['Creature', ['animal', 'being']],
    ['exposed', ['show']],
    ['exposing', ['show']],
    ['berries', []],
    ['zeppelin', []],
    ['toString', []],
  ])('%s has the more common words %j', async (word, simpler) => {
    expect(await (await words()).simpler(word)).toEqual(simpler);
  });
  it('mean what they do as a verb where they stand as one', async () => {
    const page: Page = {
      id: 'p',
      title: '',
      orientation: 'portrait',
      blocks: [{ id: 'b', kind: 'text', audience: 'learner', text: 'The retreating sea exposes a berry.' }],
    };
    const lexicon = await (await words()).lexicon([page]);
    expect(lexicon('retreating')).toEqual({ meaning: 'pull back' });
    expect(lexicon('retreat')).toEqual({ meaning: 'a quiet place' });
    expect(lexicon('zeppelin')).toBeUndefined();
  });
});

describe('help with easier words', () => {
  const open = (text: string, target: number | null = null) =>
    DemoPlace.open(WritingHelp, { inputs: { text, target } });
  const LONG =
    'Creatures stranded there must withstand drying winds and sudden rain until the water comes back to the shore again.';

  it('says the grade by a named formula, and the one to reach', async () => {
    const place = await open(`${LONG} ${LONG}`, 3);
    expect(place.text).toMatch(/Grade \d+\.\d \(Flesch–Kincaid\), to reach 3\./);
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
