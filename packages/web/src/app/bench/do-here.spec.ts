import { beforeEach, describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { type Block, derive, findBlock } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { ButtonHarness } from '../testing/harnesses';
import { BenchView } from './bench-view';
import { DoHere } from './do-here';

let place: DemoPlace<DoHere>;
async function open(...ids: string[]) {
  place = await DemoPlace.open(DoHere, {
    bench: { family: 'rock-pool', version: 'rp-ext' },
    inputs: { selection: { content: { pages: [] }, blocks: [], pages: [] } },
  });
  await choose(...ids);
}
async function choose(...ids: string[]) {
  const view = TestBed.inject(BenchView);
  view.choose(null);
  for (const id of ids) view.choose(id, true);
  await place.rest();
  place.fixture.componentRef.setInput('selection', view.selection());
  await place.rest();
}
const mine = () => place.version('rock-pool', 'rp-ext').adjustments;
const block = (id: string): Block | undefined =>
  findBlock(derive(place.family('rock-pool'), 'rp-ext').content, id)?.block;

describe('what can be done here', () => {
  it('is what suits what is chosen', async () => {
    await open('rp-t1');
    expect(await place.has(ButtonHarness, 'Steps to tick …')).toBe(true);
    expect(await place.has(ButtonHarness, 'Fewer choices …')).toBe(false);
    await choose('rp-q1');
    expect(await place.has(ButtonHarness, 'Fewer choices …')).toBe(true);
    await choose();
    expect(await place.has(ButtonHarness, 'Extra time …')).toBe(true);
    expect(await place.has(ButtonHarness, 'Flap to check …')).toBe(false);
  });
});

describe('before it is done', () => {
  beforeEach(() => open('rp-q1'));

  it('is shown as the learner would see it, said in a sentence, and changes nothing', async () => {
    const before = mine();
    await place.press('Fewer choices …');
    await place.write(/^Choices at most/, '2');
    expect(place.text).toContain('Which animal can close its shell');
    expect(place.text).toContain('offers 2 choices in place of 4: Mussel · Jellyfish.');
    expect(mine()).toBe(before);
    await place.press('Cancel');
    expect(mine()).toBe(before);
  });

  it('says what stands in the way, and cannot be done', async () => {
    await place.press('Fewer choices …');
    await place.write(/^Choices at most/, '9');
    expect(place.text).toContain('It has no more than 9 choices.');
    expect(await (await place.button('Do it')).isDisabled()).toBe(true);
  });

  it('goes away when another block is chosen', async () => {
    await place.press('Fewer choices …');
    await choose('rp-q4');
    expect(await place.has(ButtonHarness, 'Do it')).toBe(false);
  });
});

describe('done', () => {
  it('in several places is one act with a name, and one step back takes it back', async () => {
    await open('rp-q1', 'rp-q2', 'rp-q11');
    const before = mine();
    await place.press('Fewer choices …');
    await place.write(/^Choices at most/, '2');
    await place.press('Do it');
    expect(place.work.undoLabel()).toBe('fewer choices in 3 places');
    expect(block('rp-q1')).toMatchObject({ options: { length: 2 } });
    // All three right answers of this one stay, and a wrong one.
    expect(block('rp-q2')).toMatchObject({ options: { length: 4 } });
    await place.undo();
    expect(mine()).toEqual(before);
  });

  it('a block moves to where it is wanted, on its own page or another', async () => {
    await open('rp-q4');
    await place.press('Move …');
    expect(await place.options(/^Where to/)).toContain('first on Life between the tides');
    await place.choose(/^Where to/, 'after “It looks like a flower and stings …”');
    await place.press('Do it');
    expect(place.blocks('rock-pool', 'rp-ext')[1]?.slice(1, 4)).toEqual(['rp-q5', 'rp-q6', 'rp-q4']);
    await choose('rp-q4');
    await place.press('Move …');
    await place.choose(/^Where to/, 'first on Why is it made like that?');
    await place.press('Do it');
    expect(place.blocks('rock-pool', 'rp-ext')[2]?.[0]).toBe('rp-q4');
    // The same act again: it took the first one's place.
    expect(mine().filter((a) => a.kind === 'move')).toHaveLength(1);
  });

  it('a page moves with all that is on it', async () => {
    await open('rp-q9');
    await place.press('Move its page …');
    await place.choose(/^The page stands after/, 'nothing: it comes first');
    await place.press('Do it');
    expect(place.blocks('rock-pool', 'rp-ext')[0]).toContain('rp-q9');
  });

  it('another way to answer offers only ways there are', async () => {
    await open('rp-q9');
    await place.press('Other way to answer …');
    expect(await place.options(/^Answered by/)).toEqual(expect.arrayContaining(['voice', 'drawing', 'paper']));
    expect(await place.options(/^Answered by/)).not.toContain('ordering');
    await place.choose(/^Answered by/, 'voice');
    await place.press('Do it');
    expect(block('rp-q9')).toMatchObject({ kind: 'voice', id: 'rp-q9' });
  });

  it('settings of the whole version are its own', async () => {
    await open();
    await place.press('Extra time …');
    await place.write(/^Days more until it is due/, '3');
    await place.press('Do it');
    expect(derive(place.family('rock-pool'), 'rp-ext').content.settings).toMatchObject({
      extraTime: { percent: 0, days: 3 },
    });
  });
});
