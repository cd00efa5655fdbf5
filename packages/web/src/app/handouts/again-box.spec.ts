import { beforeEach, describe, expect, it } from '@jest/globals';
import type { HandOut } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { HandOuts } from './handouts';

let place: DemoPlace<HandOuts>;
const before = new Set<string>();
const made = (): HandOut[] => Object.values(place.work.handOuts()).filter((h) => !before.has(h.id));

beforeEach(async () => {
  place = await DemoPlace.open(HandOuts, {});
  before.clear();
  for (const id of Object.keys(place.work.handOuts())) before.add(id);
  await place.press('Use again: Rock-pool survey');
  await place.rest();
});

describe('used again', () => {
  it('for another class is a draft with the same plan and nobody’s work, and one undo takes it back', async () => {
    await place.choose('For', 'Kestrel class');
    expect((await place.field('Title learners see')) !== undefined).toBe(true);
    await place.press('Make the plan');
    expect(made()).toMatchObject([{ title: 'Rock-pool survey', classIds: ['c-kestrel'], state: 'draft', given: {} }]);
    await place.undo();
    expect(made()).toEqual([]);
  });

  it('as a series gives the next versions later, each under a title of its own', async () => {
    await place.choose('Version', 'Supported for everyone');
    await place.press('The next version');
    await place.press('The next version');
    await place.press('Make 3 plans');
    const all = made();
    expect(all.map((h) => h.rules.map((r) => r.versionId))).toEqual([['rp-sup'], ['rp-core'], ['rp-ext']]);
    expect(new Set(all.map((h) => h.title)).size).toBe(3);
    expect(new Set(all.map((h) => h.opensAt)).size).toBe(3);
  });

  it('is kept as a template, that is no hand-out itself and begins others', async () => {
    await place.press('Keep it as a template');
    expect(made()).toMatchObject([{ isTemplate: true, state: 'draft' }]);
    const rows = document.querySelectorAll('tbody tr').length;
    await place.press('New hand-out');
    await place.press(/^Rock-pool survey \(2\) a template/);
    expect(made().filter((h) => !h.isTemplate)).toMatchObject([{ classIds: ['c-heron'], isTemplate: false }]);
    expect(document.querySelectorAll('tbody tr').length).toBe(rows + 1);
  });
});
