import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { emptyWorkspace, listOf, PLAIN_COMFORT } from '@lorvet/core';
import { DeskActions } from '../store/actions';
import { DemoPlace } from '../testing/demo-place';
import { type Name } from '../testing/harnesses';
import { Learners } from './learners';

let place: DemoPlace<Learners>;
const host = () => place.fixture.nativeElement as HTMLElement;
const names = () => [...host().querySelectorAll('tbody th')].map((e) => e.textContent?.trim() ?? '');
const add = (field: string, name: string) => place.send(field, name);
const valueOf = async (field: Name) => await (await place.field(field)).value();
const groupsOf = (name: string) => {
  const { learners, groups } = place.work.people();
  const id = learners.find((l) => l.name === name)?.id ?? '';
  return groups.filter((g) => g.learnerIds.includes(id)).map((g) => g.name);
};

describe('the learners', () => {
  afterEach(() => localStorage.clear());
  beforeEach(async () => {
    place = await DemoPlace.open(Learners);
  });

  it('are found by words of any column, and are all there again when the page is opened anew', async () => {
    const all = names();
    await place.write('Find', 'WELSH heron');
    expect(names()).toEqual(['Kerra L.']);
    await place.write('Find', 'zeppelin');
    expect(place.text).toContain('Nobody here has these words.');
    place = await DemoPlace.open(Learners);
    expect(names()).toEqual(all);
  });

  it('several are put into a group together, which one undo takes back; who is out of sight is chosen no more', async () => {
    await place.check('Choose Kerra L.');
    await place.check('Choose Talan E.');
    expect(place.text).toContain('2 chosen');
    await place.write('Find', 'kestrel');
    expect(place.text).toContain('1 chosen');
    await place.write('Find', '');
    await place.check('Choose Kerra L.');
    await place.choose('Put them into a group', 'Curlews');
    expect([groupsOf('Kerra L.'), groupsOf('Talan E.')].map((g) => g.includes('Curlews'))).toEqual([true, true]);
    await place.undo();
    await place.rest();
    expect([...groupsOf('Kerra L.'), ...groupsOf('Talan E.')]).not.toContain('Curlews');
  });

  it('are sorted by any column, kept as they were left; what another program left under that name does no harm', async () => {
    const head = (name: string) =>
      [...host().querySelectorAll<HTMLElement>('thead th')].find((e) => e.textContent?.trim().startsWith(name));
    head('Reads at')?.click();
    await place.rest();
    // Without the hand that drags: one place to the left.
    head('Reads at')?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft', altKey: true, bubbles: true }));
    await place.rest();
    const heads = () => [...host().querySelectorAll('thead th')].map((e) => e.textContent?.trim());
    expect(heads()).toEqual(['', 'Name', 'Reads at', 'Class', 'The needs card says', 'Groups']);
    expect(host().querySelector('tbody tr')?.textContent).toMatch(/^\s*Corin B\.–Heron class/);
    const sorted = names();
    expect(sorted).not.toEqual([...sorted].sort());
    place = await DemoPlace.open(Learners);
    expect(names()).toEqual(sorted);
    expect(heads()[2]).toBe('Reads at');
    localStorage.setItem('lorvet-learners', '{"sortField":');
    place = await DemoPlace.open(Learners);
    expect(names()).toHaveLength(23);
    expect(localStorage.getItem('lorvet-learners')).toBeNull();
  });

  it('of many, only the rows in sight are drawn, and all of them are found', async () => {
    const many = { ...place.work.people().learners[0], name: '' };
    place = await DemoPlace.open(Learners, {
      change: (w) => ({
        ...w,
        learners: Object.fromEntries(
          Array.from({ length: 201 }, (_, i) => [`m${i}`, { ...many, id: `m${i}`, name: `Learner ${i}` }]),
        ) as typeof w.learners,
        classes: {},
        groups: {},
        handOuts: {},
        frozen: {},
        copies: {},
        markings: {},
      }),
    });
    expect(names().length).toBeLessThan(201);
    await place.write('Find', 'Learner 200');
    expect(names()).toEqual(['Learner 200']);
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
    await place.press('New learner');
    await place.write(/^Name(?! of)/, 'Tegen B.');
    expect(groupsOf('Tegen B.')).toEqual(['Anemones']);
    expect(names()).toContain('Tegen B.');
    await place.undo();
    await place.rest();
    expect(names()).not.toContain('Tegen B.');
    expect(groupsOf('Tegen B.')).toEqual([]);
  });

  it('words half written belong to the learner they were written for, whoever is opened next', async () => {
    const noteOf = (name: string) => place.work.people().learners.find((l) => l.name === name)?.needs.note;
    const before = noteOf('Jory S.');
    await place.press('Corin B.');
    await place.whole();
    await place.type('Note', 'Asks for a b');
    await place.press('Jory S.');
    expect([noteOf('Corin B.'), noteOf('Jory S.')]).toEqual(['Asks for a b', before]);
    expect(await valueOf('Note')).toBe(before);
    await place.undo();
    expect(noteOf('Corin B.')).not.toBe('Asks for a b');
  });

  it('what cannot be kept waits on the card it was written on', async () => {
    await place.press('Corin B.');
    await place.write('reading: level', 'fourteen');
    await place.press('Jory S.');
    expect(await valueOf('reading: level')).not.toBe('fourteen');
    expect(place.notices.at(-1)).toContain('On the card of Corin B.: “fourteen” is no level.');
    await place.press('Corin B.');
    expect([await valueOf('reading: level'), place.text.includes('is no level')]).toEqual(['fourteen', true]);
    await place.write('reading: level', '4');
    await place.press('Jory S.');
    await place.press('Corin B.');
    expect(await valueOf('reading: level')).toBe('4');
  });

  it('a comfort that the learner chose since stands when the card is undone', async () => {
    await place.press('Corin B.');
    await place.write(/^Called/, 'Cory');
    const learnerId = place.work.people().learners.find((l) => l.name === 'Corin B.')?.id ?? '';
    place.work.dispatch(DeskActions.comfortSaved({ learnerId, comfort: { ...PLAIN_COMFORT, size: 30 } }));
    await place.undo();
    await place.rest();
    expect(place.work.doc().comforts[learnerId]?.comfort.size).toBe(30);
    expect(await valueOf('Called')).toBe('');
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
