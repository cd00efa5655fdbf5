import { beforeEach, describe, expect, it } from '@jest/globals';
import type { HandOut } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { ButtonHarness } from '../testing/harnesses';
import { Plan } from './plan';

let place: DemoPlace<Plan>;
const plan = () => place.work.handOuts()['h-bike'] as HandOut;
const versionsOf = (learner: string) =>
  plan()
    .lines.filter((l) => l.learnerId === learner)
    .map((l) => l.versionId);

beforeEach(async () => {
  place = await DemoPlace.open(Plan, { inputs: { id: 'h-bike' } });
});

describe('the loom', () => {
  it('has a row for each learner of the audience and a column for the master and every version', () => {
    const host = place.fixture.nativeElement as HTMLElement;
    const heads = [...host.querySelectorAll('thead th')].map((h) => h.textContent?.trim());
    expect(heads.slice(2, 6)).toEqual(['SMaster', 'WSupported', 'FCore', 'HExtended']);
    expect(host.querySelectorAll('tbody tr:not(.band)')).toHaveLength(23);
  });

  it('gives one crossing to each: another takes the first one’s place', async () => {
    expect(versionsOf('l-jory')).toEqual(['pun-core']);
    await place.check(/^Extended for Jory S\./);
    expect(versionsOf('l-jory')).toEqual(['pun-ext']);
    await place.press('Take the version of Jory S. away');
    expect(versionsOf('l-jory')).toEqual([]);
    await place.undo();
    expect(versionsOf('l-jory')).toEqual(['pun-ext']);
  });

  it('counts who is without, and waits with giving out until nobody is', async () => {
    expect(place.text).toContain('7 without');
    expect(await (await place.button(/^Schedule for/)).isDisabled()).toBe(true);
    await place.press(/^Accept 7 suggestions/);
    expect(place.text).toContain('0 without');
    expect(await (await place.button(/^Schedule for 23/)).isDisabled()).toBe(false);
  });

  it('gives out at a word to everybody, and freezes it', async () => {
    await place.press(/^Accept 7 suggestions/);
    await place.press(/^Schedule for/);
    expect(plan().state).toBe('given');
    expect(Object.keys(plan().given)).toHaveLength(23);
    expect(place.text).toContain('Scheduled');
    expect(await place.has(ButtonHarness, /^Accept/)).toBe(false);
  });
});
