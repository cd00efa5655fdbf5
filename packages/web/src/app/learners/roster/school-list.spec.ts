import { beforeEach, describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { Problem } from '@lorvet/core';
import { putTogether, readRosterPackage, writeRosterPackage } from '@lorvet/core/lists';
import { schoolOn } from '@lorvet/core/demo-school';
import { SchoolRoster } from '../../platform/school-roster';
import { DemoPlace } from '../../testing/demo-place';
import { textFile } from '../../testing/harnesses';
import { SchoolList } from './school-list';

let place: DemoPlace<SchoolList>;
let day: number;
let bytes: Uint8Array;
beforeEach(async () => {
  day = 0;
  bytes = writeRosterPackage(schoolOn(0), 'School');
  place = await DemoPlace.open(SchoolList);
  const school = TestBed.inject(SchoolRoster);
  school.fromService = (today) => Promise.resolve({ ok: true, ...putTogether(schoolOn(day), today) });
  school.fromFile = (_, today) => {
    try {
      const { tables, faults } = readRosterPackage(bytes);
      const read = putTogether(tables, today);
      return Promise.resolve({ ok: true, roster: read.roster, faults: [...faults, ...read.faults] });
    } catch (error) {
      return Promise.resolve({ ok: false, message: (error as Problem).message, details: [] });
    }
  };
});
const people = () => place.work.people();

describe('the school’s list', () => {
  it('is shown before anything changes; then it is followed, and says what changed since', async () => {
    await place.press(/^Ask the school/);
    expect(place.text).toContain('20 classes on the list');
    expect(place.text).toContain('23 learners of yours are on the list');
    expect(people().learners.every((l) => l.rosterId === '')).toBe(true);
    await place.press('Take it over');
    expect([people().learners.length, people().learners.every((l) => l.rosterId !== '')]).toEqual([23, true]);
    day = 10;
    await place.press(/^Ask the school/);
    expect(place.text).toContain('2 learners came');
    await place.press('Take it over');
    expect(people().learners).toHaveLength(25);
    await place.press(/^Ask the school/);
    expect(place.text).toContain('Nothing has changed since');
    expect(await (await place.button('Take it over')).isDisabled()).toBe(true);
    await place.undo();
    expect(people().learners).toHaveLength(23);
  });

  it('makes a class that is followed newly, with all who are in it', async () => {
    await place.press(/^Ask the school/);
    await place.check(/^Puffin class/);
    expect(place.text).toContain('1 new class');
    await place.press('Take it over');
    expect(people().classes.find((c) => c.name === 'Puffin class')?.learnerIds).toHaveLength(20);
  });

  it('that does not answer changes nothing, and says when it was last taken over', async () => {
    await place.press(/^Ask the school/);
    await place.press('Take it over');
    const before = people();
    TestBed.inject(SchoolRoster).fromService = () =>
      Promise.reject(new Problem('The school’s service does not answer.'));
    await place.press(/^Ask the school/);
    expect(place.text).toContain('does not answer');
    expect(place.text).toMatch(/Last taken over .* from the school’s service: 2 classes/);
    expect(people()).toEqual(before);
  });

  it('from a file names its faults by file and line', async () => {
    const tables = schoolOn(0);
    const users = (tables.users ?? []).filter((_, i) => i !== 2);
    bytes = writeRosterPackage({ ...tables, users }, 'School');
    await place.take(/^From a file/, textFile('', 'school.zip'));
    expect(place.text).toContain('enrollments.csv, line 4: It speaks of a user who is not in users.csv. (kb-3)');
    expect(await (await place.button('Take it over')).isDisabled()).toBe(false);
  });

  it('that is no package is refused in words', async () => {
    bytes = new Uint8Array([1, 2, 3]);
    await place.take(/^From a file/, textFile('', 'school.zip'));
    expect(place.text).toContain('it is damaged, or it is not a ZIP file');
  });
});
