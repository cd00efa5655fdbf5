import { beforeEach, describe, expect, it } from '@jest/globals';
import type { HandOut, Workspace } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { Places } from './places';

const place = { pageIds: ['rp-p1'], names: true, isOpen: true, comments: true, remarks: [] };
const asPlaces =
  (patch: Partial<HandOut> = {}) =>
  (w: Workspace): Workspace => ({
    ...w,
    handOuts: {
      ...w.handOuts,
      'h-survey': { ...(w.handOuts['h-survey'] as HandOut), way: 'place-each', place, ...patch },
    },
  });
const open = (patch?: Partial<HandOut>) =>
  DemoPlace.open(Places, { inputs: { id: 'h-survey' }, change: asPlaces(patch) });

describe('the index of places', () => {
  let here: DemoPlace<Places>;
  const layout = () => (here.work.handOuts()['h-survey'] as HandOut).place?.layout;
  const names = () =>
    [...(here.fixture.nativeElement as HTMLElement).querySelectorAll('lv-place-index .btn')].map(
      (b) => b.firstChild?.textContent?.trim() ?? '',
    );
  beforeEach(async () => {
    here = await open();
    await here.unfold('Lay the index out');
  });

  it('is laid out by its teacher: words above it, under classes, so many side by side; and undone', async () => {
    await here.write('Words above the index', 'What we found at the pool');
    await here.choose('Side by side', '4');
    await here.choose('Order', 'by name, under their classes');
    expect(layout()).toMatchObject({ words: 'What we found at the pool', columns: 4, order: 'class' });
    expect(here.text).toContain('Heron class');
    await here.undo();
    expect(layout()?.order).toBe('name');
  });

  it('is put in an order of its own, that begins as it stands; the album has it too', async () => {
    const before = names();
    await here.choose('Order', 'as I put them');
    expect(names()).toEqual(before);
    await here.press(`Later: ${before[0]}`);
    expect(names().slice(0, 2)).toEqual([before[1], before[0]]);
    // Pressed twice before anything is drawn: two steps.
    const later = document.querySelector<HTMLElement>(`[aria-label="Later: ${before[0]}"]`);
    later?.click();
    later?.click();
    await here.rest();
    expect(names().slice(0, 4)).toEqual([before[1], before[2], before[3], before[0]]);
    await here.undo();
    await here.undo();
    await here.rest();
    expect(
      here.work
        .index()
        .albums['h-survey']?.places.slice(0, 2)
        .map((p) => p.name),
    ).toEqual([before[1], before[0]]);
  });
});

it('of a draft the index is there as it will be, with whoever the plan is for', async () => {
  const here = await open({ state: 'draft', given: {} });
  expect(here.text).toContain('Their pages come when it is given');
  expect(await here.button('Kerra L.')).toBeTruthy();
});
