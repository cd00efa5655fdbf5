import { TestBed } from '@angular/core/testing';
import { describe, expect, it } from '@jest/globals';
import { checkedChronicle, type ChroniclePage, emptyResponse } from '@lorvet/core';
import { RecordView } from '../evidence/record/record-view';
import { Clock } from '../platform/clock';
import { BOXES } from '../platform/storage/boxes-token';
import { ChronicleStore } from '../platform/storage/chronicle-store';
import { DemoPlace } from '../testing/demo-place';
import { HandOutActions, LearnersActions, MarkingActions } from './actions';
import { KeepingSync } from './keeping-sync';
import { Recording } from './recording';

const generation = () => TestBed.inject(KeepingSync).generation() ?? '';
const entries = async () => {
  await TestBed.inject(Recording).flush();
  return (await TestBed.inject(ChronicleStore).read(generation())).pages.flatMap((p) => p.entries);
};
const AT = '2026-11-26T12:00';

async function withSome() {
  const place = await DemoPlace.open(RecordView, { at: AT });
  const { work } = place;
  const card = { learnerId: 'l-oriel', field: 'note', label: 'needs card of Oriel P.' };
  work.dispatch(LearnersActions.cardChanged({ ...card, needs: { note: 'a' } }));
  work.dispatch(LearnersActions.cardChanged({ ...card, needs: { note: 'ab' } }));
  work.dispatch(
    MarkingActions.responseChanged({
      copyId: 'h-survey.l-oriel',
      go: 1,
      patch: { ...emptyResponse(1), decision: 'complete', decidedAt: `${AT}:00.000Z` },
      label: 'complete',
    }),
  );
  work.undo();
  await place.rest();
  return place;
}

describe('the record', () => {
  it('holds what was done once, by whom and when, not each stroke of it; and that it was undone', async () => {
    const place = await withSome();
    expect((await entries()).map((e) => [e.n, e.did, e.says, e.by, e.at])).toEqual([
      [1, 'changed', 'needs card of Oriel P.', 'Teacher', `${AT}:00.000Z`],
      [2, 'decided', 'complete: Rock-pool survey, Oriel P.', 'Teacher', `${AT}:00.000Z`],
      [3, 'undone', 'undo: complete', 'Teacher', `${AT}:00.000Z`],
    ]);
    place.work.redo();
    place.work.undo();
    place.work.undo();
    await place.rest();
    // No undo takes anything out of it.
    expect((await entries()).map((e) => e.did)).toEqual([
      'changed',
      'decided',
      'undone',
      'restored',
      'undone',
      'undone',
    ]);
  });

  it('holds a text that is gone on with a while later as changed anew', async () => {
    const place = await DemoPlace.open(RecordView, { at: AT });
    const clock = TestBed.inject(Clock);
    const write = (note: string) =>
      place.work.dispatch(
        LearnersActions.cardChanged({ learnerId: 'l-oriel', field: 'note', label: 'card', needs: { note } }),
      );
    clock.ms = () => 0;
    write('a');
    clock.ms = () => 4 * 60_000;
    write('ab');
    clock.ms = () => 10 * 60_000;
    write('abc');
    expect(await entries()).toHaveLength(2);
  });

  it('names what was given out and taken away', async () => {
    const place = await DemoPlace.open(RecordView, { at: AT });
    const stamp = place.work.stamp(20);
    place.work.dispatch(HandOutActions.givenOut({ id: 'h-bike', confirmed: [], stamp }));
    await place.rest();
    const [first] = await entries();
    expect(first).toMatchObject({ did: 'given', of: [{ in: 'handOuts', id: 'h-bike' }] });
  });

  it('is found broken after one byte of it was changed in storage, and the page says where', async () => {
    await withSome();
    const all = await entries();
    expect(checkedChronicle([{ id: '00000001', entries: all }])).toEqual({ ok: true, n: 3 });
    const box = TestBed.inject(BOXES).of(generation(), 'bodies');
    const key = 'chronicle/00000001';
    const kept = (await box.get(key)) as { data: ChroniclePage };
    const changed = JSON.stringify(kept).replace('complete: Rock', 'completf: Rock');
    await box.set(key, JSON.parse(changed));
    const { pages, end } = await TestBed.inject(ChronicleStore).read(generation());
    expect(checkedChronicle(pages, end)).toMatchObject({ ok: false, at: 2 });
  });

  it('says that its end was cut off, which no entry shows by itself', async () => {
    await withSome();
    await entries();
    const box = TestBed.inject(BOXES).of(generation(), 'bodies');
    const key = 'chronicle/00000001';
    const kept = (await box.get(key)) as { data: ChroniclePage };
    await box.set(key, { ...kept, data: { ...kept.data, entries: kept.data.entries.slice(0, 2) } });
    const { pages, end } = await TestBed.inject(ChronicleStore).read(generation());
    expect(checkedChronicle(pages)).toEqual({ ok: true, n: 2 });
    expect(checkedChronicle(pages, end)).toMatchObject({ ok: false, at: 3 });
  });
});
