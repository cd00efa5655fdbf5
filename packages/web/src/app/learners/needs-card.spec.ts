import { beforeEach, describe, expect, it } from '@jest/globals';
import { type Learner, peopleIn, readingGrade } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { DemoPlace } from '../testing/demo-place';
import { withChange } from './card-fields';
import { NeedsCardForm, type Placed, type Written } from './needs-card';

const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const people = peopleIn(w, '2026-11-24');
const oriel = w.learners['l-oriel'] as Learner;
const READS = 'reading: level';
const OWN = /^One a line/;
let place: DemoPlace<NeedsCardForm>;
let written: Written[];
let placed: Placed[];
/** The learner with all that was written. */
const now = () => written.reduce((l, x) => withChange(l, x.change), oriel);
async function open(learner = oriel) {
  const opened = await DemoPlace.open(NeedsCardForm, {
    inputs: { learner, people, classIds: ['c-heron'], groupIds: ['g-limpets'] },
  });
  opened.fixture.componentInstance.written.subscribe((x) => {
    written.push(x);
    opened.fixture.componentRef.setInput('learner', now());
  });
  opened.fixture.componentInstance.placed.subscribe((p) => placed.push(p));
  place = opened;
  await place.whole();
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
    await place.write(/^Interests/, 'crabs, , tide tables ');
    await place.unfold('Fields of your own');
    await place.write(/^One a line/, 'pet: a cat\n bus : 14 ');
    await place.write(/^Called/, 'Rio');
    expect(written.map((x) => x.field)).toEqual(['interests', 'own', 'chosenName']);
    expect(now().needs.interests).toEqual(['crabs', 'tide tables']);
    expect([now().fields, now().chosenName]).toEqual([{ pet: 'a cat', bus: '14' }, 'Rio']);
  });

  it('keeps what is pressed where it is: a line about a field comes and goes after the press', async () => {
    await place.write(READS, 'four');
    const says = () => place.text.includes('is no level');
    expect(says()).toBe(true);
    document.dispatchEvent(new Event('pointerdown'));
    await place.write(READS, '4.5');
    expect([says(), readingGrade(now().needs.levels)]).toEqual([true, 4.5]);
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
    [READS, 'four', '“four” is no level. Write a school grade from 0 to 13, such as 3.5.'],
    [READS, '-1', '“-1” is no level. Write a school grade from 0 to 13, such as 3.5.'],
    [/^Name/, ' ', `A learner needs a name. “${oriel.name}” stands until there is another.`],
    [/^Interests/, 'a,'.repeat(21), 'There is room for 20 interests; these are 21.'],
    [OWN, 'no colon', '“no colon” needs a name, a colon and a value, such as “pet: a cat”.'],
    [OWN, '__proto__: x', '“__proto__” cannot be a field’s name.'],
  ])('%s refuses “%.12s” in words and keeps nothing of it', async (label, text, why) => {
    if (label === OWN) await place.unfold('Fields of your own');
    await place.write(label, text);
    expect(written).toEqual([]);
    expect(place.text).toContain(why);
    place.fixture.destroy();
    expect(written).toEqual([]);
  });

  it('takes a decimal comma; a new level stands beside the one before, and nothing takes the last away', async () => {
    const before = oriel.needs.levels;
    await place.write(READS, '2,5');
    expect(readingGrade(now().needs.levels)).toBe(2.5);
    expect(now().needs.levels).toEqual([...before, expect.objectContaining({ value: 2.5, scale: 'grade' })]);
    await place.write(READS, '');
    expect(readingGrade(now().needs.levels)).toBe(2.8);
  });

  it('holds levels by skill, each in its own scale', async () => {
    await place.enter('Another skill or objective', 'spelling');
    await place.press(/^spelling/);
    await place.choose('Counted in', 'percent right');
    await place.write('spelling: level', '65');
    expect(now().needs.levels.at(-1)).toMatchObject({ skill: 'spelling', scale: 'percent', value: 65 });
    // Counted otherwise, a level stays within its scale.
    await place.choose('Counted in', 'school grade');
    expect(now().needs.levels.at(-1)).toMatchObject({ scale: 'grade', value: 13 });
  });

  it('what is no level waits until it is mended, also on another card', async () => {
    await place.write(READS, 'four');
    const left: string[] = [];
    place.fixture.componentInstance.left.subscribe((why) => left.push(why));
    place.fixture.destroy();
    expect(left).toEqual([expect.stringContaining('“four” is no level')]);
  });

  it('agrees supports with their time, own ones too, each once', async () => {
    const before = oriel.needs.supports.length;
    await place.enter('Agree a support', 'Glossary');
    await place.enter('Agree a support', 'sits by the window');
    await place.enter('Agree a support', 'glossary');
    expect(
      now()
        .needs.supports.slice(before)
        .map((s) => [s.what, s.category]),
    ).toEqual([
      ['glossary', 'support'],
      ['sits by the window', 'support'],
    ]);
    await place.press(/^extra time/);
    await place.write('Days later that work is due', '3');
    await place.choose('Category', /^setting/);
    expect(now().needs.supports.find((s) => s.what === 'extra time')).toMatchObject({ days: 3, category: 'setting' });
    await place.press('Not agreed any more');
    expect(now().needs.supports.map((s) => s.what)).not.toContain('extra time');
  });

  it('keeps goals under their ids, reworded ones too: reasons point to them', async () => {
    const [goal] = oriel.needs.goals;
    if (!goal) throw new Error('no goal');
    await place.send('New goal', 'Reads a timetable');
    await place.press(new RegExp(`^${goal.text}`));
    await place.write('Goal', 'Finishes two pages');
    await place.write('What is counted', 'pages');
    await place.write('Goal', ' ');
    expect(now().needs.goals.map((g) => [g.text, g.measure])).toEqual([
      ['Finishes two pages', 'pages'],
      ['Reads a timetable', ''],
    ]);
    expect(now().needs.goals[0]?.id).toBe(goal.id);
  });

  it('says who may see what, and how the desk looks at first', async () => {
    await place.unfold('Who may see what');
    await place.check('Goals: the family');
    await place.unfold('The desk at first');
    await place.choose('Letters', 'Wide (Lexend)');
    expect([now().needs.seenBy.goals, now().needs.comfort?.font]).toEqual(['family', 'lexend']);
    await place.press('As usual');
    expect(now().needs.comfort).toBeNull();
  });

  it('says class and groups by themselves', async () => {
    await place.check('Kestrel class');
    await place.check('Anemones');
    expect(placed).toEqual([
      { classId: 'c-kestrel', isIn: true },
      { groupId: 'g-anemones', isIn: true },
    ]);
  });
});
