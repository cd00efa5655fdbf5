import { beforeEach, describe, expect, it } from '@jest/globals';
import type { Block } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { AlertHarness } from '../testing/harnesses';
import { NumberRules } from './number-rules';

type NumberBlock = Extract<Block, { kind: 'number' }>;
const block: NumberBlock = {
  id: 'q',
  kind: 'number',
  audience: 'learner',
  prompt: 'A ticket costs 3 coins. What do 5 tickets cost?',
  demand: 'apply',
  points: 1,
  key: 15,
  unit: 'coins',
  tolerance: 0,
};
let place: DemoPlace<NumberRules>;
let changed: NumberBlock[];
const lines = (text: string) => place.write(/^One a line/, text);
const formula = (text: string) => place.write(/^Key/, text);

beforeEach(async () => {
  changed = [];
  place = await DemoPlace.open(NumberRules, { inputs: { block } });
  place.fixture.componentInstance.changed.subscribe((change) => changed.push(change(block) as NumberBlock));
});

describe('numbers that may be others', () => {
  it('are named with their ranges, and the key follows', async () => {
    await lines('a = 3, 2 to 6\nB = 5, 1 – 9, step 2');
    await formula('a * b');
    expect(place.text).toContain('With these numbers the key is 15.');
    expect(changed.at(-1)).toMatchObject({
      formula: 'a * b',
      key: 15,
      given: [
        { name: 'a', value: 3, min: 2, max: 6, step: 1 },
        { name: 'b', value: 5, min: 1, max: 9, step: 2 },
      ],
    });
  });

  it.each([
    ['a = three', 'a * 2', '“a = three” is not understood. Write for example: a = 18, 5 to 20.'],
    ['a = 3, 9 to 2', 'a * 2', 'a: 9 is more than 2.'],
    ['a = 4, 2 to 6', 'a * 2', 'The question does not say 4.'],
    ['a = 3, 2 to 6', 'a * c', /“c” is none|c/],
    ['a = 3, 2 to 6', 'a / 0', /\.$/],
  ])('%s with %s is refused in words, and nothing is kept of it', async (given, key, why) => {
    await lines(given);
    await formula(key);
    expect(await place.has(AlertHarness, why)).toBe(true);
    expect(changed.some((b) => b.formula === key)).toBe(false);
  });

  it('go again when the lines are emptied', async () => {
    await lines('a = 3, 2 to 6');
    await formula('a * 5');
    await lines('');
    expect(changed.at(-1)).toEqual(block);
  });
});
