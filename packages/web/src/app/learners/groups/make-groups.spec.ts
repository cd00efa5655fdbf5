import { beforeEach, describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { type GroupingProblem, makeGroups } from '@lorvet/core';
import { Grouping } from '../../platform/grouping';
import { Stopped } from '../../platform/workers/task';
import { DemoPlace } from '../../testing/demo-place';
import { MakeGroups } from './make-groups';

let place: DemoPlace<MakeGroups>;
let asked: GroupingProblem[];
async function open(of = 'c-heron') {
  asked = [];
  place = await DemoPlace.open(MakeGroups, { inputs: { of } });
  TestBed.inject(Grouping).propose = (problem) => {
    asked.push(problem);
    return Promise.resolve(makeGroups(problem, { effort: { beginnings: 3, steps: 60 } }));
  };
}
/** Names by group as they stand on the board. */
const board = () =>
  [...document.querySelectorAll('.groups section')].map((s) =>
    [...s.querySelectorAll('.who strong')].map((x) => x.textContent),
  );
beforeEach(() => open());

describe('making groups', () => {
  it('proposes them with what they cost, and makes them with their purpose and time; one undo takes them back', async () => {
    const before = place.work.people().groups.length;
    await place.press('Propose groups');
    expect(
      board()
        .map((g) => g.length)
        .sort(),
    ).toEqual([3, 3, 4, 4]);
    expect(place.text).toMatch(/reading: \d\.\d to \d\.\d on average|on average in each/);
    await place.type('For', 'the survey, this week');
    await place.write('Name of group 1', 'Rock hoppers');
    await place.press('Make these 4 groups');
    const made = place.work.people().groups.slice(before);
    expect(made.map((g) => g.purpose)).toEqual(Array.from({ length: 4 }, () => 'the survey, this week'));
    expect([made[0]?.name, made[0]?.from !== '', new Set(made.map((g) => g.name)).size]).toEqual([
      'Rock hoppers',
      true,
      4,
    ]);
    expect(new Set(made.flatMap((g) => g.learnerIds)).size).toBe(14);
    await place.undo();
    expect(place.work.people().groups).toHaveLength(before);
  });

  it('asks for what the teacher said: skills, wishes, assistants, other company', async () => {
    await place.check('number');
    await place.choose('Who', 'Jory S.');
    await place.choose('with whom', 'Kerra L.');
    await place.press('Never together');
    await place.write('Assistants', '1');
    await place.choose('Each group', /^alike/);
    await place.press('Propose groups');
    expect(asked[0]).toMatchObject({
      need: 'like',
      assistants: 1,
      besideAssistant: ['l-oriel'],
      wishes: [{ want: 'apart', hard: true, a: 'l-jory', b: 'l-kerra' }],
    });
    expect(asked[0]?.skills.map((s) => s.name)).toEqual(['reading', 'number']);
    // A learner whose level nobody knows is named in none.
    expect(Object.keys(asked[0]?.skills[0]?.levels ?? {})).not.toContain('l-corin');
    expect(place.text).toContain('every wish is kept');
  });

  it('lets anybody be moved, weighs that again, and proposes anew around them', async () => {
    await place.press('Propose groups');
    const from = board().findIndex((g) => g.includes('Oriel P.'));
    await place.press(/^Oriel P\./);
    const names = [...document.querySelectorAll<HTMLInputElement>('.groups input')].map((x) => x.value);
    await place.pick(`To ${names[(from + 1) % 4]}`);
    expect(board()[(from + 1) % 4]).toContain('Oriel P.');
    await place.press('Propose anew around those I moved');
    expect(asked.at(-1)?.kept).toEqual({ 'l-oriel': (from + 1) % 4 });
    expect(board()[(from + 1) % 4]).toContain('Oriel P.');
  });

  it('says when something else was asked since, and stays as it is where it was stopped', async () => {
    await place.press('Propose groups');
    const before = board();
    await place.write('In a group', '3');
    expect(place.text).toContain('You asked for something else since');
    TestBed.inject(Grouping).propose = () => Promise.reject(new Stopped('Stopped.'));
    await place.press('Propose groups');
    expect(board()).toEqual(before);
  });

  it('goes from an audience too', async () => {
    await open('a-print');
    await place.press('Propose groups');
    expect(board().flat().sort()).toEqual(['Merryn H.', 'Zennor C.']);
  });
});
