import { beforeEach, describe, expect, it } from '@jest/globals';
import { type Learner, listOf } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { DemoPlace } from '../testing/demo-place';
import { withChange } from './card-fields';
import { NeedsCardForm, type Placed, type Written } from './needs-card';

const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const people = { learners: listOf(w.learners), classes: listOf(w.classes), groups: listOf(w.groups) };
const oriel = w.learners['l-oriel'] as Learner;
const LINES = 'x'.repeat(301);
let place: DemoPlace<NeedsCardForm>;
let written: Written[];
let placed: Placed[];
/** The learner with all that was written. */
const now = () => written.reduce((l, x) => withChange(l, x.change), oriel);
async function open(learner = oriel) {
  const opened = await DemoPlace.open(NeedsCardForm, {
    inputs: { learner, people, classId: 'c-heron', groupIds: ['g-limpets'] },
  });
  opened.fixture.componentInstance.written.subscribe((x) => {
    written.push(x);
    opened.fixture.componentRef.setInput('learner', now());
  });
  opened.fixture.componentInstance.placed.subscribe((p) => placed.push(p));
  place = opened;
}
const valueOf = async (field: string) => await (await place.field(field)).value();

beforeEach(async () => {
  written = [];
  placed = [];
  await open();
});

describe('a needs card', () => {
  it('opened and left is the card it was', async () => {
    place.fixture.destroy();
    expect(written).toEqual([]);
  });

  it('says what is in a field when it is left, and only that', async () => {
    await place.check('glossary');
    await place.write(/^Interests/, 'crabs, , tide tables ');
    await place.write(/^Fields of your own/, 'pet: a cat\n bus : 14 ');
    await place.write(/^Called/, 'Rio');
    expect(written.map((x) => x.field)).toEqual(['supports', 'interests', 'own', 'chosenName']);
    expect(now().needs.supports).toContain('glossary');
    expect(now().needs.interests).toEqual(['crabs', 'tide tables']);
    expect([now().fields, now().chosenName]).toEqual([{ pet: 'a cat', bus: '14' }, 'Rio']);
  });

  it('keeps what is pressed where it is: a line about a field comes and goes after the press', async () => {
    await place.write(/^Reads at grade/, 'four');
    const says = () => place.text.includes('is no reading level');
    expect(says()).toBe(true);
    await place.type(/^Reads at grade/, '4.5');
    document.dispatchEvent(new Event('pointerdown'));
    await (await place.field('Reads at grade')).leave();
    await place.rest();
    expect([says(), now().needs.readingGrade]).toEqual([true, 4.5]);
    document.dispatchEvent(new Event('pointerup'));
    await place.rest();
    expect(says()).toBe(false);
  });

  it('says what is half written when it goes', async () => {
    await place.type(/^Note/, 'Sits by the win');
    expect(written).toEqual([]);
    place.fixture.destroy();
    expect(now().needs.note).toBe('Sits by the win');
  });

  it('leaves a field alone that is being written in, and shows what was undone in the others', async () => {
    await place.type(/^Note/, 'Sits by the win');
    place.fixture.componentRef.setInput('learner', {
      ...oriel,
      chosenName: 'O',
      needs: { ...oriel.needs, note: 'Other' },
    });
    await place.rest();
    expect([await valueOf('Called'), await valueOf('Note')]).toEqual(['O', 'Sits by the win']);
  });

  it.each([
    [/^Reads at grade/, 'four', '“four” is no reading level. Write a school grade from 0 to 13, such as 3.5.'],
    [/^Reads at grade/, '-1', '“-1” is no reading level. Write a school grade from 0 to 13, such as 3.5.'],
    [/^Name/, ' ', `A learner needs a name. “${oriel.name}” stands until there is another.`],
    [/^Goals/, LINES, `“${'x'.repeat(24)}…” has 301 letters; there is room for 300 in one of the goals.`],
    [/^Interests/, 'a,'.repeat(21), 'There is room for 20 interests; these are 21.'],
    [/^Fields of your own/, 'no colon', '“no colon” needs a name, a colon and a value, such as “pet: a cat”.'],
    [/^Fields of your own/, '__proto__: x', '“__proto__” cannot be a field’s name.'],
  ])('%s refuses “%.12s” in words and keeps nothing of it', async (label, text, why) => {
    await place.write(label, text);
    expect(written).toEqual([]);
    expect(place.text).toContain(why);
    place.fixture.destroy();
    expect(written).toEqual([]);
  });

  it('takes a decimal comma, and nothing for a grade that is not known', async () => {
    await place.write(/^Reads at grade/, '2,5');
    expect(now().needs.readingGrade).toBe(2.5);
    await place.write(/^Reads at grade/, '');
    expect(now().needs.readingGrade).toBeNull();
  });

  it('keeps goals under their ids, reworded ones too: reasons point to them', async () => {
    const [goal] = oriel.needs.goals;
    if (!goal) throw new Error('no goal');
    await place.write(/^Goals/, `${goal.text}\nReads a timetable`);
    const [, second] = now().needs.goals;
    expect(now().needs.goals[0]).toEqual(goal);
    await place.write(/^Goals/, `Reads a bus timetable\n${goal.text} soon`);
    expect(now().needs.goals.map((g) => g.id)).toEqual([goal.id, second?.id]);
  });

  it('says class and groups by themselves', async () => {
    await place.choose(/^Class/, 'none');
    await place.check('Anemones');
    expect(placed).toEqual([{ classId: null }, { groupId: 'g-anemones', isIn: true }]);
  });
});
