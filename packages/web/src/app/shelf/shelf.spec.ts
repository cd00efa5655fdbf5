import { TestBed } from '@angular/core/testing';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { derive, type Family, latest } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { Packs } from '../store/packs';
import type { FamilyReading } from '../platform/workers/pack.worker';
import { DemoPlace } from '../testing/demo-place';
import { duplicateFamily, newFamily } from './new-family';
import { NewMaster } from './new-master';
import { Shelf } from './shelf';

const newId = (() => {
  let n = 0;
  return () => `new${++n}`;
})();

describe('the Shelf', () => {
  let place: DemoPlace<Shelf>;
  beforeEach(async () => {
    place = await DemoPlace.open(Shelf);
  });
  const titles = () =>
    [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('a')].map((a) => a.textContent?.trim());

  it('finds by title, subject, objective and version, all words at once', async () => {
    const find = async (words: string) => {
      await place.write(/^(Find|Search)/, words);
      return ['Rock-pool survey', 'Catching the right bus', 'Mending a puncture', 'Market day at the quay'].filter(
        (t) => titles().includes(t),
      );
    };
    expect(await find('TIMETABLE')).toEqual(['Catching the right bus']);
    expect(await find('core pool')).toEqual(['Rock-pool survey']);
    expect(await find('core zeppelin')).toEqual([]);
    await place.press('Show all');
    expect(titles()).toContain('Mending a puncture');
  });

  it('takes a family off with everything of it, and undo brings all of it back', async () => {
    const before = place.family('puncture');
    await place.press('Remove Mending a puncture');
    expect(place.work.families()['puncture']).toBeUndefined();
    await place.undo();
    expect(place.family('puncture')).toBe(before);
  });

  it('duplicates a family beside the first', async () => {
    await place.press('Duplicate Rock-pool survey');
    expect(titles()).toContain('Rock-pool survey (copy)');
  });
});

describe('what comes onto the Shelf', () => {
  let place: DemoPlace<Shelf>;
  beforeEach(async () => {
    place = await DemoPlace.open(Shelf);
  });
  const choose = async (read: FamilyReading) => {
    TestBed.inject(Packs).readFamily = () => Promise.resolve(read);
    await place.take('Family from a file', new File(['x'], 'theirs.zip'));
  };

  it('a new master has its objectives a line each, and none without a title', async () => {
    const before = Object.keys(place.work.families());
    await place.press('New master');
    await place.write(/^Objectives/, ' Count shells \n\nName them');
    await place.send(/^Objectives/);
    expect(Object.keys(place.work.families())).toEqual(before);
    await place.write(/^Title/, ' Shells ');
    await place.send(/^Title/);
    const made = Object.values(place.work.families()).find((f) => !before.includes(f.id)) as Family;
    expect(latest(made).content).toMatchObject({
      title: 'Shells',
      objectives: [{ text: 'Count shells' }, { text: 'Name them' }],
    });
  });

  it('a family from a file stands beside what is there, with its pictures, and goes with one undo', async () => {
    const before = place.work.doc();
    const family = { ...(before.families['rock-pool'] as Family), id: 'theirs' };
    const asset = { id: 'sha256-x', name: 'x.svg', mime: 'image/svg+xml' as const, data: new Blob(['x']) };
    await choose({ ok: true, family, assets: [asset] });
    expect(Object.keys(place.work.families())).toContain('theirs');
    expect(place.work.assets()['sha256-x']).toEqual(asset);
    await place.undo();
    expect(place.work.doc()).toEqual(before);
  });

  it('a file that is none is named with what is wrong, until it is closed', async () => {
    const before = place.work.doc();
    await choose({ ok: false, message: 'This ZIP file holds no family.', details: ['versions › 0: no name'] });
    expect(place.text).toContain('theirs.zip');
    expect(place.text).toContain('versions › 0: no name');
    await place.press('Close');
    expect(place.text).not.toContain('theirs.zip');
    expect(place.work.doc()).toBe(before);
  });
});

describe('a family copied', () => {
  const pool = demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;
  const copy = duplicateFamily(pool, '2026-11-24T08:00:00.000Z', 'T', newId);

  it('shows the same in every version, under ids of its own', () => {
    expect(copy.versions.map((v) => v.name)).toEqual(pool.versions.map((v) => v.name));
    pool.versions.forEach((v, i) => {
      const other = copy.versions[i];
      expect(other?.id).not.toBe(v.id);
      expect(derive(copy, other?.id ?? '').content.pages).toEqual(derive(pool, v.id).content.pages);
    });
    expect(copy.versions[1]?.basis).toBe(copy.versions[0]?.id);
  });
  it('begins a history of its own', () => {
    expect(copy.revisions).toHaveLength(1);
    expect(latest(copy).note).toBe('Copied from “Rock-pool survey”, revision 3');
    expect(copy.versions.every((v) => v.upkeepLog.length === 0)).toBe(true);
  });
});

it('a new master has one page and its objectives', () => {
  const begun = { title: 'Knots', subject: 'Sea', ages: '9', objectives: ['Tie', 'Untie'] };
  const { content } = latest(newFamily(begun, '2026-11-24T08:00:00.000Z', 'T', newId));
  expect(content.objectives.map((o) => o.text)).toEqual(['Tie', 'Untie']);
  expect(content.pages.map((p) => p.blocks)).toEqual([[]]);
});

describe('a new master that has no title', () => {
  it('is not begun: it is said beside the field and in it, the focus goes there, and with a title it opens', async () => {
    const begun = await DemoPlace.open(NewMaster, { inputs: { open: true } });
    await begun.press('Open it on the Bench');
    const title = await begun.field('Title');
    expect(await title.isFocused()).toBe(true);
    expect([await title.isWrong(), begun.text.includes('A title is needed.')]).toEqual([true, true]);
    expect(begun.work.familyHeads()).toHaveLength(5);
    await begun.write('Title', 'Tides of the bay');
    expect([await title.isWrong(), begun.text.includes('is needed')]).toEqual([false, false]);
    await begun.press('Open it on the Bench');
    expect(begun.work.familyHeads().map((f) => f.title)).toContain('Tides of the bay');
  });
});
