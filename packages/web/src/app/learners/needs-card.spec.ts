import { beforeEach, describe, expect, it } from '@jest/globals';
import { type Learner, listOf } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { DemoPlace } from '../testing/demo-place';
import { NeedsCardForm, type SavedCard } from './needs-card';

const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const people = { learners: listOf(w.learners), classes: listOf(w.classes), groups: listOf(w.groups) };
const oriel = w.learners['l-oriel'] as Learner;
let place: DemoPlace<NeedsCardForm>;
let saved: SavedCard[];
const keep = () => place.press('Keep the card');

beforeEach(async () => {
  saved = [];
  place = await DemoPlace.open(NeedsCardForm, {
    inputs: { learner: oriel, people, classId: 'c-heron', groupIds: ['g-limpets'] },
  });
  place.fixture.componentInstance.saved.subscribe((s) => saved.push(s));
});

describe('a needs card', () => {
  it('kept without a change is the card it was', async () => {
    await keep();
    expect(saved).toEqual([{ learner: oriel, classId: 'c-heron', groupIds: ['g-limpets'] }]);
  });

  it('takes supports, interests and fields of the teacher’s own', async () => {
    await place.check('glossary');
    await place.write(/^Interests/, 'crabs, , tide tables ');
    await place.write(/^Fields of your own/, 'pet: a cat\nno colon here\n bus : 14 ');
    await place.write(/^Called/, 'Ori');
    await keep();
    const [{ learner }] = saved as [SavedCard];
    expect(learner.needs.supports).toContain('glossary');
    expect(learner.needs.interests).toEqual(['crabs', 'tide tables']);
    expect(learner.fields).toEqual({ pet: 'a cat', bus: '14' });
    expect(learner.chosenName).toBe('Ori');
  });

  it.each(['four', '14', '-1'])('refuses the reading grade “%s” in words, and keeps nothing', async (grade) => {
    await place.write(/^Reads at grade/, grade);
    await keep();
    expect(saved).toEqual([]);
    expect(place.has('[role=alert]', /\.$/)).toBe(true);
  });

  it('takes a decimal comma, and nothing for a grade that is not known', async () => {
    await place.write(/^Reads at grade/, '2,5');
    await keep();
    await place.write(/^Reads at grade/, '');
    await keep();
    expect(saved.map((s) => s.learner.needs.readingGrade)).toEqual([2.5, null]);
  });

  it('keeps the goals that are there under their ids', async () => {
    const [goal] = oriel.needs.goals;
    if (!goal) throw new Error('no goal');
    await place.write(/^Goals/, `${goal.text}\nReads a timetable`);
    await keep();
    const goals = saved[0]?.learner.needs.goals ?? [];
    expect(goals[0]).toEqual(goal);
    expect(goals[1]?.text).toBe('Reads a timetable');
  });
});
