import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { Clock } from '../../platform/clock';
import { DemoPlace } from '../../testing/demo-place';
import { ButtonHarness } from '../../testing/harnesses';
import { MyWork } from './my-work';

const sit = async (name: string): Promise<DemoPlace<MyWork>> => {
  const at = await DemoPlace.open(MyWork);
  sessionStorage.setItem('lorvet-desk', at.work.people().learners.find((l) => l.name === name)?.id ?? '');
  return await DemoPlace.open(MyWork);
};

describe('what a learner has to do', () => {
  // Only the day is made up: everything else takes its time.
  beforeEach(() => {
    jest.spyOn(Clock.prototype, 'local').mockReturnValue('2026-11-24T09:00');
  });
  afterEach(() => {
    jest.restoreAllMocks();
    sessionStorage.clear();
  });

  it('begins with what is due first, says how far it is, and leads there by one press', async () => {
    const place = await sit('Demelza K.');
    expect(place.text).toContain('Do this first');
    expect(place.text).toMatch(/Due in 3 days, /);
    expect(place.text).toContain('You have answered 4 of 11.');
    expect(await (await place.button(/^Go on/)).leadsTo()).toBe('/desk/work/h-survey');
  });

  it('is heard from its top to its end', async () => {
    const place = await sit('Demelza K.');
    await place.press('Hear it');
    await place.rest();
    expect(place.text).toContain('No voice on this computer');
    expect(await place.button('Pause')).toBeTruthy();
    await place.press('Stop reading');
    expect(await place.has(ButtonHarness, 'Pause')).toBe(false);
  });

  it('shows what is finished with what the teacher said, and asks for nothing then', async () => {
    const place = await sit('Perran D.');
    expect(place.text).not.toContain('Do this first');
    expect(place.text).toContain('You have done everything for now.');
    expect(place.text).toContain('Finished');
    expect(place.text).toContain('Your teacher says: ');
  });
});
