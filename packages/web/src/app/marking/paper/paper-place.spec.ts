import { beforeEach, describe, expect, it } from '@jest/globals';
import { By } from '@angular/platform-browser';
import { copyIdOf, MOST_PAPER, type Workspace } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { said } from '../../testing/marked';
import { DrawingPad } from '../../ui/blocks/drawing-pad';
import { OneQuestion } from '../question/one-question';
import { OneWork } from '../work/one-work';
import { PaperPlace } from './paper-place';

const ids = ['sheet-a', 'sheet-b', 'sheet-c'];
const waiting =
  (toPlace: readonly string[]) =>
  (w: Workspace): Workspace => {
    const survey = w.handOuts['h-survey'];
    return survey ? { ...w, handOuts: { ...w.handOuts, 'h-survey': { ...survey, toPlace: [...toPlace] } } } : w;
  };
const left = (place: DemoPlace<unknown>) => place.work.handOuts()['h-survey']?.toPlace;

describe('sheets of paper', () => {
  let place: DemoPlace<PaperPlace>;
  beforeEach(async () => {
    place = await DemoPlace.open(PaperPlace, { inputs: { id: 'h-survey' }, change: waiting(ids) });
  });

  it('go to the first who is found, on the first page that has none; undone, they wait again', async () => {
    const find = (place.fixture.nativeElement as HTMLElement).querySelector<HTMLInputElement>('input[maxlength]');
    const enter = async (text: string) => {
      if (find) find.value = text;
      find?.dispatchEvent(new Event('input'));
      find?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
      await place.rest();
    };
    await enter('cor');
    expect(said(place, 'l-corin')?.paper).toMatchObject([{ assetId: 'sheet-a', pageId: 'rp-p1' }]);
    expect(place.work.copies()[copyIdOf('h-survey', 'l-corin')]?.goes).toMatchObject([{ n: 1, submittedFor: true }]);
    await enter('COR');
    expect(said(place, 'l-corin')?.paper?.map((p) => p.pageId)).toEqual(['rp-p1', 'rp-p2']);
    expect(find?.value).toBe('');
    await enter('nobody at all');
    expect(left(place)).toEqual(['sheet-c']);
    place.work.undo();
    place.work.undo();
    await place.rest();
    expect(left(place)).toEqual(ids);
    expect(place.work.copies()[copyIdOf('h-survey', 'l-corin')]).toBeUndefined();
  });

  it('go all at once in the order of the list, and it is one step to undo', async () => {
    // Who did it at the desk is passed over: Tamsin is asked for another go, Corin has not begun.
    await place.press('Place all 3 in the order of the list, Tamsin W. to Tamsin W.');
    expect(said(place, 'l-tamsin')?.paper?.map((p) => [p.assetId, p.pageId])).toEqual([
      ['sheet-a', 'rp-p1'],
      ['sheet-b', 'rp-p2'],
      ['sheet-c', 'rp-p3'],
    ]);
    expect(left(place)).toEqual([]);
    place.work.undo();
    expect(left(place)).toEqual(ids);
    expect(said(place, 'l-tamsin')).toMatchObject({ go: 1 });
  });

  it('are a go of their own where another was asked for, and take it away with the last of them', async () => {
    await place.press('Tamsin W., all pages');
    expect(said(place, 'l-tamsin')).toMatchObject({ go: 2, paper: [{ assetId: 'sheet-a', pageId: '' }] });
    await place.press('Take off: Tamsin W., the whole sheet');
    expect(place.work.copies()[copyIdOf('h-survey', 'l-tamsin')]?.goes).toHaveLength(1);
    expect(left(place)).toEqual(ids);
  });

  it('leave what is worked on at the desk to its learner', async () => {
    await place.press('Demelza K., page 1');
    expect(place.work.copies()[copyIdOf('h-survey', 'l-demelza')]?.goes.at(-1)?.submittedAt).toBeNull();
    expect(said(place, 'l-demelza')?.paper).toHaveLength(1);
  });

  it('are not taken where there are as many as there can be, and that is said', async () => {
    const many = Array.from({ length: MOST_PAPER + 2 }, (_, i) => `sheet-${i}`);
    place = await DemoPlace.open(PaperPlace, { inputs: { id: 'h-survey' }, change: waiting(many) });
    const to = place.fixture.componentInstance['table'].rows().find((r) => r.learnerId === 'l-corin');
    if (to)
      place.fixture.componentInstance['papers'].place(
        many.map((assetId) => ({ assetId, to: { row: to, pageId: '' } })),
      );
    await place.rest();
    expect(said(place, 'l-corin')?.paper).toHaveLength(MOST_PAPER);
    expect(left(place)).toHaveLength(2);
    await place.press('Corin B., all pages');
    expect(place.notices.join()).toContain('as many sheets as there can be');
    expect(left(place)).toHaveLength(2);
  });
});

/** Corin did page 2 on paper. */
const onPaper = (w: Workspace): Workspace => {
  const id = copyIdOf('h-survey', 'l-corin');
  const frozen = w.handOuts['h-survey']?.given['l-corin']?.frozen ?? '';
  const at = '2026-11-24T08:00:00.000Z';
  const go = { n: 1, startedAt: at, submittedAt: at, submittedFor: true, answers: {} };
  const response = { go: 1, marks: {}, comments: {}, comment: '', decision: null, decidedAt: null };
  const paper = [{ assetId: 'sheet-a', pageId: 'rp-p2' }];
  return {
    ...w,
    copies: { ...w.copies, [id]: { id, handOutId: 'h-survey', learnerId: 'l-corin', frozen, goes: [go] } },
    markings: { ...w.markings, [id]: { id, copyId: id, responses: [{ ...response, paper }] } },
  };
};

it('one question shows each sheet that it is on, as a tile of its own to be marked', async () => {
  const place = await DemoPlace.open(OneQuestion, { inputs: { id: 'h-survey', item: 'rp-q4' }, change: onPaper });
  await place.rest();
  expect(place.text).toContain('1 answer yours to mark');
  expect(place.text).not.toMatch(/Nothing given:[^.]*Corin/);
  await place.press('Right: Corin B.');
  expect(said(place, 'l-corin')?.marks['rp-q4']).toMatchObject({ verdict: 'right' });
  // A question of a page that no sheet shows was not given.
  await place.fixture.componentRef.setInput('item', 'rp-q1');
  await place.rest();
  expect(place.text).toMatch(/Nothing given:[^.]*Corin/);
});

it('a sheet is written on in a layer of its own, which goes back to who did it', async () => {
  const place = await DemoPlace.open(OneWork, { inputs: { id: 'h-survey', learner: 'l-corin' }, change: onPaper });
  const sheets = () => place.work.index().slips['l-corin']?.works['h-survey']?.said.sheets;
  await place.press('Write on it');
  const drawn = { kind: 'drawing' as const, strokes: [], words: [{ x: 10, y: 10, text: 'Look here.' }] };
  (place.fixture.debugElement.query(By.directive(DrawingPad)).componentInstance as DrawingPad).drawn.emit(drawn);
  await place.rest();
  expect(said(place, 'l-corin')?.paper).toEqual([{ assetId: 'sheet-a', pageId: 'rp-p2', writing: drawn }]);
  expect(sheets()).toEqual([]);
  await place.press('Complete');
  expect(sheets()).toEqual([{ assetId: 'sheet-a', writing: drawn }]);
  place.work.undo();
  place.work.undo();
  expect(said(place, 'l-corin')?.paper).toEqual([{ assetId: 'sheet-a', pageId: 'rp-p2' }]);
});
