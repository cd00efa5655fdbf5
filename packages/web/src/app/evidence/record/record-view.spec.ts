import { TestBed } from '@angular/core/testing';
import { describe, expect, it } from '@jest/globals';
import type { ChroniclePage, Workspace } from '@lorvet/core';
import { appended } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { RecordView } from './record-view';
import { wayTo } from './way-to';

const AT = '2026-11-26T12:00';
const done = (
  did: 'given' | 'removed' | 'decided',
  says: string,
  at: string,
  of: { in: string; id: string }[] = [],
) => ({
  ...{ at, by: 'Teacher', did, says, of },
});
const pages = appended(undefined, [
  done('given', 'give out: Survey', '2026-11-20T09:00:00.000Z', [{ in: 'handOuts', id: 'h-survey' }]),
  done('decided', 'complete: Survey, Oriel P.', '2026-11-22T09:00:00.000Z', [
    { in: 'markings', id: 'h-survey.l-oriel' },
  ]),
  done('removed', 'remove “Old plan”', '2026-11-24T09:00:00.000Z'),
]);
const withPages =
  (all: readonly ChroniclePage[]) =>
  (w: Workspace): Workspace => ({ ...w, chronicle: Object.fromEntries(all.map((p) => [p.id, p])) });
async function open(all: readonly ChroniclePage[] = pages) {
  const place = await DemoPlace.open(RecordView, { at: AT, change: withPages(all) });
  await place.whole();
  return place;
}
const words = (place: DemoPlace<RecordView>): string[] =>
  [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('td.says')].map((c) =>
    (c.textContent ?? '').trim(),
  );

describe('the record on its page', () => {
  it('shows the newest first, is searched, and filtered by what was done and by days', async () => {
    const place = await open();
    expect(place.text).toContain('The chain is whole: 3 entries, each as it was written.');
    expect(words(place)).toEqual(['remove “Old plan”', 'complete: Survey, Oriel P.', 'give out: Survey']);
    await place.type('Search', 'survey');
    expect(words(place)).toHaveLength(2);
    await place.choose('What', 'decided');
    expect(words(place)).toEqual(['complete: Survey, Oriel P.']);
    await place.type('Search', '');
    await place.choose('What', 'Everything');
    await place.write('From', '11/23/2026');
    expect(words(place)).toEqual(['remove “Old plan”']);
    expect(place.text).toContain('1 entry as CSV');
  });

  it('says at which entry the chain is broken', async () => {
    const [page] = pages;
    const entries = (page?.entries ?? []).map((e) => (e.n === 2 ? { ...e, says: 'complete: Survey, Ysolde M.' } : e));
    const place = await open([{ id: '00000001', entries }]);
    expect(place.text).toContain('The chain is broken at entry 2.');
  });

  it('leads to what an entry speaks of, where that has a place', () => {
    TestBed.resetTestingModule();
    expect(wayTo([{ in: 'markings', id: 'h-survey.l-oriel' }])?.path).toEqual(['/marking', 'h-survey', 'work']);
    expect(
      wayTo([
        { in: 'comforts', id: 'x' },
        { in: 'families', id: 'rock-pool' },
      ])?.path,
    ).toEqual(['/bench', 'rock-pool']);
    expect(wayTo([{ in: 'removed', id: 'x' }])?.path).toEqual(['/keeping']);
    expect(wayTo([])).toBeNull();
  });
});
