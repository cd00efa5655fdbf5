import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import type { Page } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { Changes } from '../ui/changes';
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
    await DemoPlace.open(Changes, { inputs: { was: '', now: '' } });
    return TestBed.inject(Words);
  };
  it('are fetched once, when they are first asked for', async () => {
    const w = await words();
    await w.simpler('creature');
    await w.simpler('expose');
    expect(asked).toEqual(['words/words.json']);
  });
  it('are asked for again where they could not be fetched, and nothing breaks', async () => {
    const w = await words();
    const served = globalThis.fetch;
    globalThis.fetch = jest.fn(() => Promise.reject(new TypeError('no connection')));
    expect(await w.simpler('creature')).toEqual([]);
    globalThis.fetch = served;
    expect(await w.simpler('creature')).toEqual(['animal', 'being']);
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
