import { beforeEach, describe, expect, it } from '@jest/globals';
import { derive, findBlock, latest } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { PartHarness } from '../testing/harnesses';
import { UpkeepView } from './upkeep';

let place: DemoPlace<UpkeepView>;
const words = (id: string) => {
  const block = findBlock(derive(place.family('rock-pool'), id).content, 'rp-t1')?.block;
  return block?.kind === 'text' ? block.text : '';
};
const masters = () => {
  const block = findBlock(latest(place.family('rock-pool')).content, 'rp-t1')?.block;
  return block?.kind === 'text' ? block.text : '';
};

describe('a question that two versions ask', () => {
  beforeEach(async () => {
    place = await DemoPlace.open(UpkeepView, { inputs: { familyId: 'rock-pool' } });
  });

  it('is asked once, with what was, the master’s, each version’s and the combination', async () => {
    expect(place.text).toContain('One answer for all 2');
    expect(place.text).toContain('The basis and this version changed the same words.');
    expect(await place.has(PartHarness, /^Twice each day/)).toBe(true);
    expect(place.text.match(/The combination, beside the master/g)).toHaveLength(4);
  });

  it('is settled for both by one answer', async () => {
    await place.press(/^Take the master's for all/);
    expect([words('rp-sup'), words('rp-core')]).toEqual([masters(), masters()]);
    // A sentence that both changed, and a hint whose question reads otherwise.
    await place.press(/^Take the master's/);
    await place.press(/^Take the master's/);
    expect(place.text).toContain('Nothing waits');
    expect(place.family('rock-pool').versions.every((v) => v.upTo === 3)).toBe(true);
    expect(place.text).toContain('decided: master');
  });

  it('is settled for one alone where that is wanted, and still waits for the other', async () => {
    const before = words('rp-core');
    await place.check(/^One answer for all/);
    await place.press(/^Take the master's for Supported/);
    expect(words('rp-sup')).toBe(masters());
    expect(words('rp-core')).toBe(before);
    expect(place.text).not.toContain('Nothing waits');
  });

  it('takes words of one’s own, for the version they were written for', async () => {
    const before = words('rp-core');
    await place.press(/^Write it yourself for Supported/);
    await place.write(/^Your own words for Supported/, 'The sea goes out, and the shore is dry.');
    await place.press(/^Take these words/);
    expect(words('rp-sup')).toBe('The sea goes out, and the shore is dry.');
    expect(words('rp-core')).toBe(before);
    expect(place.version('rock-pool', 'rp-sup').upkeepLog.at(-1)).toMatchObject({
      outcome: 'own words',
      by: 'Teacher',
      revision: 3,
    });
  });

  it('left for later no longer calls, and is answered below', async () => {
    for (const n of [1, 2, 3]) {
      await place.press('Leave it for later');
      expect(place.text).toContain(`Left for later (${n})`);
    }
    expect(place.text).toContain('Nothing waits');
    await place.press(/^Keep the version's for all/);
    await place.press(/^Keep the version's/);
    await place.press(/^Keep the version's/);
    expect(place.text).not.toContain('Left for later');
    expect(place.family('rock-pool').versions.every((v) => v.upTo === 3)).toBe(true);
  });

  it('is asked again when its answer is undone', async () => {
    await place.press(/^Keep the version's for all/);
    await place.undo();
    await place.rest();
    expect(place.text).toContain('One answer for all 2');
  });
});

it('says so where nothing waits', async () => {
  place = await DemoPlace.open(UpkeepView, { inputs: { familyId: 'puncture' } });
  expect(place.text).toContain('Every version is up to date with revision 1');
});
