import { expect, it } from '@jest/globals';
import { DemoPlace } from '../testing/demo-place';
import { Compare } from './compare';

const open = (inputs: Record<string, string>) =>
  DemoPlace.open(Compare, { inputs: { familyId: 'rock-pool', ...inputs } });

it('begins with the master beside the first version', async () => {
  const place = await open({});
  expect([await place.chosen('left'), await place.chosen('right')]).toEqual(['Master', 'Supported']);
  expect(place.text).toContain('9 blocks differ, 9 are the same');
});

it('names what made each difference, once', async () => {
  const place = await open({ left: 'rp-sup', right: 'rp-oriel' });
  expect(place.text).toContain('3 blocks differ');
  expect(place.text).toContain('fewer choices');
  expect(place.text).toContain('Look at the picture.');
});

it('says when the two show the same', async () => {
  const place = await open({ left: 'master', right: 'master' });
  expect(place.text).toContain('They show the same.');
  expect(place.text).toContain('0 blocks differ, 17 are the same.');
});

it('takes the master for a version that is no longer there', async () => {
  const place = await open({ left: 'removed', right: 'rp-core' });
  expect(await place.chosen('left')).toBe('Master');
});
