import { beforeEach, describe, expect, it } from '@jest/globals';
import { emptyWorkspace, listOf } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { Learners } from './learners';

let place: DemoPlace<Learners>;
const host = () => place.fixture.nativeElement as HTMLElement;
const names = () => [...host().querySelectorAll('tbody th')].map((e) => e.textContent?.trim() ?? '');
const add = async (field: string, name: string) => {
  const input = place.field(field);
  input.value = name;
  input.form?.dispatchEvent(new Event('submit', { cancelable: true }));
  await place.rest();
};
const groupsOf = (name: string) => {
  const { learners, groups } = place.work.people();
  const id = learners.find((l) => l.name === name)?.id ?? '';
  return groups.filter((g) => g.learnerIds.includes(id)).map((g) => g.name);
};

describe('the learners', () => {
  beforeEach(async () => {
    place = await DemoPlace.open(Learners);
  });

  it('stand by class and name; a class or a group shows its own', async () => {
    expect(names()).toHaveLength(23);
    await place.press(/^Kestrel class/);
    expect(names()).toHaveLength(9);
    await place.press(/^Anemones/);
    expect(names()).toEqual(['Elowen R.', 'Perran D.', 'Senara V.']);
  });

  it('a new one made in a group belongs to it, and is in no class before one is chosen', async () => {
    await place.press(/^Anemones/);
    await place.press('Learner');
    await place.write(/^Name(?! of)/, 'Tegen B.');
    host()
      .querySelector('lv-needs-card form')
      ?.dispatchEvent(new Event('submit', { cancelable: true }));
    await place.rest();
    expect(groupsOf('Tegen B.')).toEqual(['Anemones']);
    expect(names()).toContain('Tegen B.');
    await place.undo();
    await place.rest();
    expect(names()).not.toContain('Tegen B.');
    expect(groupsOf('Tegen B.')).toEqual([]);
  });

  it('one that is removed leaves classes, groups and plans, and one undo brings all of it back', async () => {
    const before = place.work.people();
    const corin = before.learners.find((l) => l.name === 'Corin B.')?.id ?? '';
    await place.press('Corin B.');
    await place.press(/^Remove/);
    const now = place.work.people();
    expect(now.learners).toHaveLength(before.learners.length - 1);
    for (const part of [...now.classes, ...now.groups]) expect(part.learnerIds).not.toContain(corin);
    for (const h of listOf(place.work.handOuts()))
      if (h.state === 'draft') expect(h.lines.map((l) => l.learnerId)).not.toContain(corin);
    await place.undo();
    const again = place.work.people();
    expect([again.classes, again.groups]).toEqual([before.classes, before.groups]);
    expect(again.learners.find((l) => l.id === corin)).toEqual(before.learners.find((l) => l.id === corin));
  });

  it('a class and a group are made, renamed and taken away; their learners stay', async () => {
    await add('Name of a new class', '  Tern class ');
    expect(place.work.people().classes.map((c) => c.name)).toContain('Tern class');
    expect(names()).toEqual([]);
    expect(place.text).toContain('Nobody here yet');
    await add('Name of a new group', '   ');
    expect(place.work.people().groups.map((g) => g.name)).not.toContain('');
    await place.press(/^Anemones/);
    await place.write(/^Name of this group/, 'Sea stars');
    await place.write(/^Name of this group/, '  ');
    expect(place.work.people().groups.map((g) => g.name)).toContain('Sea stars');
    await place.press('Remove group');
    expect(place.work.people().groups.map((g) => g.name)).not.toContain('Sea stars');
    expect(names()).toHaveLength(23);
    await place.undo();
    expect(groupsOf('Perran D.')).toContain('Sea stars');
  });
});

it('nobody there: it says how to begin', async () => {
  place = await DemoPlace.open(Learners, { change: () => emptyWorkspace() });
  expect(place.text).toContain('Nobody here yet');
  await place.press('Import a class list');
  expect(place.text).toContain('CSV');
});
