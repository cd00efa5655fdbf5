import { beforeEach, describe, expect, it } from '@jest/globals';
import { DemoPlace } from '../../testing/demo-place';
import { LookAs } from './look-as';

let place: DemoPlace<LookAs>;
beforeEach(async () => {
  place = await DemoPlace.open(LookAs, {
    inputs: { handOutId: 'h-bus', learnerId: 'l-ansel' },
    at: '2026-11-24T09:00',
    change: (w) => {
      const h = w.handOuts['h-bus'];
      if (!h) return w;
      const dates = {
        opensAt: '2026-11-30T09:00',
        dueAt: '2026-12-03T15:00',
        closesAt: '2026-12-04T15:00',
        answersAt: '2026-12-07T09:00',
      };
      return { ...w, handOuts: { ...w.handOuts, 'h-bus': { ...h, ...dates } } };
    },
  });
});

describe('looking as a learner', () => {
  it('names who it is among all, and says what they find now', () => {
    expect(place.text).toMatch(/Ansel Q\., \d of 9/);
    expect(place.text).toContain('Not on the desk yet: it opens');
  });

  it('with the time set forward it is open, then over, then with its answers', async () => {
    const says = async (time: string) => {
      place.fixture.componentInstance['time'].set(time);
      await place.rest();
      return document.querySelector('.says')?.textContent ?? '';
    };
    expect(await says('2026-11-29T09:00')).toContain('Not on the desk yet');
    expect(place.text).toContain('At that time it is not on the desk.');
    expect(await says('2026-12-01T09:00')).toMatch(/^On the desk, due/);
    expect(await says('2026-12-03T16:00')).toContain('late: due');
    expect(await says('2026-12-08T10:00')).toContain('The answers are out.');
    expect(place.text).toContain('The answer:');
  });
});
