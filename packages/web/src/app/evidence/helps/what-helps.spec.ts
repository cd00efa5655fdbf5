import { describe, expect, it } from '@jest/globals';
import { DemoPlace } from '../../testing/demo-place';
import { WhatHelps } from './what-helps';

const AT = '2026-11-26T12:00';
async function open() {
  const place = await DemoPlace.open(WhatHelps, { at: AT });
  for (let i = 0; i < 40 && !place.text.includes('Results by objective'); i++) await place.whole();
  return place;
}
/** The rows of a chart's table, by its title. */
async function rows(place: DemoPlace<WhatHelps>, title: string): Promise<string[][]> {
  await place.unfold(`The numbers: ${title}`);
  const table = (place.fixture.nativeElement as HTMLElement).querySelector(`table[aria-label="${title}"]`);
  return [...(table?.querySelectorAll('tbody tr') ?? [])].map((tr) =>
    [...tr.children].map((c) => (c.textContent ?? '').trim()),
  );
}

describe('what helps', () => {
  it('says with each chart what it shows, and has its numbers as a table', async () => {
    const place = await open();
    await place.choose('Activity', 'Rock-pool survey');
    await place.whole();
    expect(place.text).toContain('9 questions are in all 4 versions that were submitted.');
    const versions = await rows(place, 'By version, on the same questions');
    // Oriel alone had the personal one: of nine questions seven right, one 0.67 of 2 points, one not given: 7.335 of 9.
    expect(versions.find((r) => r[0] === 'Supported, Oriel')).toEqual([
      'Supported, Oriel',
      '82 %',
      '1',
      '9',
      '49 % to 95 %',
      'few',
    ]);
    expect(place.text).toContain('It does not say that one made the other');
  });

  it('is of those who are chosen, and of the time', async () => {
    const place = await open();
    await place.choose('Of', 'Oriel P.');
    await place.choose('Activity', 'Rock-pool survey');
    await place.whole();
    expect(place.text).toContain('One learner of 1 had another version');
    const drift = await rows(place, 'How far each version is from its master');
    expect(drift.find((r) => r[0] === 'Supported, Oriel')?.at(-1)).toBe('modification');
    await place.choose('Time', 'The last 30 days');
    await place.whole();
    expect(place.text).toContain('Results by objective');
  });

  it('is of all where the one that the address names is not here any more', async () => {
    const place = await DemoPlace.open(WhatHelps, { at: AT, inputs: { learner: 'nobody' } });
    for (let i = 0; i < 40 && !place.text.includes('Results by objective'); i++) await place.whole();
    expect(place.text).toContain('All learners');
  });
});
