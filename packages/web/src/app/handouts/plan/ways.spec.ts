import { beforeEach, describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { type HandOut, makeGroups } from '@lorvet/core';
import { Grouping } from '../../platform/grouping';
import { DemoPlace } from '../../testing/demo-place';
import { ButtonHarness, FieldHarness } from '../../testing/harnesses';
import { Plan } from './plan';

let place: DemoPlace<Plan>;
const plan = () => place.work.handOuts()['h-bike'] as HandOut;

async function give(): Promise<void> {
  await place.press(/^Check/);
  if (await place.has(FieldHarness, /may stay, because$/)) await place.type(/may stay, because$/, 'as agreed');
  await place.press(/^(Schedule for|Give out to)/);
}

beforeEach(async () => {
  place = await DemoPlace.open(Plan, { inputs: { id: 'h-bike' } });
  TestBed.inject(Grouping).propose = (problem) =>
    Promise.resolve(makeGroups(problem, { effort: { beginnings: 2, steps: 30 } }));
  await place.press(/^How/);
});

describe('one per group', () => {
  beforeEach(() => place.check(/^One per group/));

  it('makes groups of all 23 in one press; each group has one copy, with who is in it', async () => {
    await place.press('Make 8 groups of 23');
    expect(plan().teams).toHaveLength(8);
    expect(new Set(plan().teams.flatMap((t) => t.learnerIds)).size).toBe(23);
    expect(place.text).toContain('Everybody is in a group');
    await give();
    const copies = new Set(Object.values(plan().given).map((g) => g.shares));
    expect([Object.keys(plan().given).length, copies.size]).toEqual([23, 8]);
  });

  it('offers only who is in none, and does not give while somebody is', async () => {
    await place.choose('Take a group', 'Limpets');
    const limpets = plan().teams[0]?.learnerIds ?? [];
    expect(limpets).toHaveLength(5);
    expect(place.text).toContain('18 learners in no group yet');
    await place.press('A group');
    await place.choose(/^Take a group/, 'Shanny');
    expect(new Set(plan().teams.flatMap((t) => t.learnerIds)).size).toBe(11);
    await place.press(/^Take Oriel P\. out of/);
    expect(place.text).toContain('13 learners in no group yet');
    expect(await (await place.button(/^(Schedule for|Give out to)/)).isDisabled()).toBe(true);
  });
});

it('a place for each begins with the pages that ask, and says who will see what', async () => {
  await place.check(/with a place for each$/);
  const asks = plan().place?.pageIds.length ?? 0;
  expect(asks).toBeGreaterThan(0);
  expect(place.text).toContain('Everybody sees their own place and no other.');
  await place.check(/^Everybody can look/);
  await place.check(/^Names over/);
  expect(place.text).toContain('All see all places, without names.');
  expect(plan().place).toMatchObject({ isOpen: true, names: false });
});

it('a way that does not suit says why, and cannot be chosen', async () => {
  expect(place.text).toContain('The plan gives several versions, and one sheet for all has one.');
  await place.press('Core for everyone');
  expect(place.text).not.toContain('The plan gives several versions');
  expect(await place.has(ButtonHarness, /^Accept/)).toBe(true);
});
