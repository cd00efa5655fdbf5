import { beforeEach, describe, expect, it } from '@jest/globals';
import { type HandOut, handOutSchema } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { everybodyHas } from '../../testing/everybody-has';
import { FieldHarness } from '../../testing/harnesses';
import { Plan } from './plan';

let place: DemoPlace<Plan>;
const plan = () => place.work.handOuts()['h-bike'] as HandOut;

beforeEach(async () => {
  place = await DemoPlace.open(Plan, { inputs: { id: 'h-bike', step: 'what' } });
});

describe('what goes with a hand-out', () => {
  it('a sheet for notes, words and another activity come to the desk', async () => {
    await place.choose('Something else', /^a sheet for notes/);
    await place.choose('Something else', /^words to read/);
    await place.choose('Another activity', 'Catching the right bus');
    await place.rest();
    expect(plan().companions.map((c) => c.is)).toEqual(['notes', 'page', 'activity']);
    await everybodyHas(place);
    if (await place.has(FieldHarness, /may stay, because$/)) await place.type(/may stay, because$/, 'as agreed');
    await place.press(/^Schedule for/);
    expect(plan().state).toBe('given');
    const [, , activity] = plan().companions;
    expect(place.work.frozen()[activity && 'frozen' in activity ? activity.frozen : '']?.familyId).toBe('right-bus');
    const there = place.work.index().slips['l-jory']?.works['h-bike']?.companions ?? [];
    expect(there.map((c) => c.is)).toEqual(['notes', 'page', 'activity']);
  });

  it('addresses are pasted several at once; one that is none is refused with its words', async () => {
    await place.send('Address that goes with it', 'https://tides.example/a https://quay.example/b');
    expect(plan().companions.map((c) => c.title)).toEqual(['tides.example', 'quay.example']);
    await place.send('Address that goes with it', 'https://tides.example/c nonsense');
    expect(place.text).toContain('“nonsense” is no address of the web');
  });

  it('twice as much as has room is taken as far as it has, with a word; the hand-out stays whole', async () => {
    const many = Array.from({ length: 80 }, (_, i) => `https://tides.example/${i}`).join(' ');
    await place.send('Address that goes with it', many);
    expect(plan().companions).toHaveLength(40);
    expect(place.text).toContain('40 things can go with a hand-out; 40 were left out.');
    await place.choose('Something else', /^words to read/);
    expect(place.text).toContain('1 was left out');
    expect(handOutSchema.safeParse(plan()).success).toBe(true);
    await place.send('Address that goes with it', `https://tides.example/${'x'.repeat(2001)}`);
    expect(place.text).toContain('is no address of the web');
  });

  it('is filed under a unit and a category, with its objectives, and given without points', async () => {
    await place.write('Unit', 'Wheels');
    await place.write('Category', 'practice');
    await place.check('Points are given');
    expect(plan()).toMatchObject({ unit: 'Wheels', category: 'practice', points: false });
    expect(place.work.handOutHeadsById()['h-bike']).toMatchObject({ unit: 'Wheels', category: 'practice' });
  });
});
