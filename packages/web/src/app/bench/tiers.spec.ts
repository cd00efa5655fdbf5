import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { DemoPlace } from '../testing/demo-place';
import { Tiers } from './tiers';

let place: DemoPlace<Tiers>;
beforeEach(async () => {
  // No list of words is shipped here: what needs meanings is passed over.
  globalThis.fetch = jest.fn(() => Promise.resolve({ ok: false } as Response));
  place = await DemoPlace.open(Tiers, { inputs: { familyId: 'right-bus' } });
});
const versions = () => place.family('right-bus').versions.map((v) => v.name);

describe('tiers by recipes', () => {
  it('are drafts beside the master, kept nowhere yet', () => {
    expect(place.text).toContain('Make 2 versions');
    expect(place.text).toMatch(/\d changes · \d pages · \d items · \d+ words/);
    expect(versions()).toEqual(['Supported', 'Core', 'Extended']);
  });

  it('are kept under the names given to them, with swatches unlike each other, by one step', async () => {
    await place.write('Name of draft 1', 'Calm');
    await place.press('Make 2 versions');
    expect(versions()).toEqual(['Supported', 'Core', 'Extended', 'Calm', 'Words first']);
    const letters = place.family('right-bus').versions.map((v) => v.swatch.letter);
    expect(new Set(letters).size).toBe(letters.length);
    await place.undo();
    expect(versions()).toEqual(['Supported', 'Core', 'Extended']);
  });

  it('say how to begin where no recipe is chosen', async () => {
    await place.check('Lighter page');
    await place.check('Words first');
    expect(place.text).toContain('Choose recipes above');
    expect(await (await place.button('Make versions')).isDisabled()).toBe(true);
  });

  it('stand on one row with the master’s block they are made of', async () => {
    const rows = place.fixture.nativeElement as HTMLElement;
    const cells = [...rows.querySelectorAll('.cell')].filter((c) => c.textContent?.includes('Which bus goes'));
    expect(cells).toHaveLength(3);
    // The lighter page has fewer choices there.
    expect(cells.map((c) => c.querySelectorAll('li').length)).toEqual([4, 3, 4]);
    await place.check('Words first');
    expect([...rows.querySelectorAll('.cell')].filter((c) => c.textContent?.includes('Which bus goes'))).toHaveLength(
      2,
    );
  });
});
