import { beforeEach, describe, expect, it } from '@jest/globals';
import type { Family } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { ButtonHarness } from '../testing/harnesses';
import { FromElsewhere } from './from-elsewhere';

let place: DemoPlace<FromElsewhere>;
const taken = () =>
  place.version('puncture', 'pun-core').adjustments.flatMap((a) => (a.kind === 'from-activity' ? [a] : []));

describe('parts of another activity', () => {
  beforeEach(async () => {
    place = await DemoPlace.open(FromElsewhere, {
      inputs: { open: true },
      bench: { family: 'puncture', version: 'pun-core' },
    });
  });

  it('are offered from every activity but this one', async () => {
    expect(await place.options(/^Activity/)).not.toContain('Mending a puncture');
    expect(await place.options(/^Activity/)).toContain('Rock-pool survey');
    expect(await (await place.button(/^Bring in/)).isDisabled()).toBe(true);
  });

  it('pages and single blocks come together, each to its own place, and one undo takes them back', async () => {
    await place.choose(/^Activity/, 'Rock-pool survey');
    await place.check(/^Who lives here/);
    await place.check(/lost its groove/);
    await place.check(/^Text A limpet/);
    await place.choose(/^Blocks stand on/, 'What you need');
    await place.choose(/^after/, /^nothing/);
    await place.press('Bring in 1 page and 2 blocks');
    expect(taken().map((a) => a.source.id)).toEqual(['rp-p2', 'rp-t3', 'rp-q11']);
    const [first = [], , last = []] = place.blocks('puncture', 'pun-core');
    // In the order in which they stand where they come from.
    expect(first.slice(0, 2).map((id) => id.split('.')[1])).toEqual(['rp-t3', 'rp-q11']);
    expect(last.some((id) => id.endsWith('rp-q4'))).toBe(true);
    expect(place.work.undoLabel()).toBe('1 page and 2 blocks from “Rock-pool survey”');
    await place.undo();
    expect(taken()).toEqual([]);
  });

  it('a block whose page comes anyway comes once', async () => {
    await place.choose(/^Activity/, 'Rock-pool survey');
    await place.check(/lost its groove/);
    await place.check(/^Why is it made/);
    await place.press('Bring in 1 page');
    expect(taken()).toHaveLength(1);
  });

  it('follow their activity unless that is not wanted', async () => {
    await place.choose(/^Activity/, 'Rock-pool survey');
    await place.check(/^Follow the activity/);
    await place.check(/^Who lives here/);
    await place.press('Bring in 1 page');
    expect(taken()[0]).toMatchObject({ follow: false, source: { familyId: 'rock-pool', revision: 3 } });
  });

  it('another activity chosen lets go of what was picked', async () => {
    await place.choose(/^Activity/, 'Rock-pool survey');
    await place.check(/^Who lives here/);
    await place.choose(/^Activity/, 'Catching the right bus');
    expect(await (await place.button(/^Bring in/)).isDisabled()).toBe(true);
  });
});

it('says what to do where there is no other activity', async () => {
  place = await DemoPlace.open(FromElsewhere, {
    inputs: { open: true },
    bench: { family: 'puncture', version: 'pun-core' },
    change: (w) => ({ ...w, families: { puncture: w.families['puncture'] as Family } }),
  });
  expect(place.text).toContain('There is no other activity yet.');
  expect(await place.has(ButtonHarness, /^Bring in/)).toBe(false);
});
