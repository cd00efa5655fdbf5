import { beforeEach, describe, expect, it } from '@jest/globals';
import { DemoPlace } from '../../testing/demo-place';
import { said, slip } from '../../testing/marked';
import { MarkingGrid } from './marking';

const pick = async (place: DemoPlace<unknown>, names: readonly string[], shift = false) => {
  for (const name of names) {
    const host = place.fixture.nativeElement as HTMLElement;
    const box = host.querySelector<HTMLInputElement>(`input[aria-label="Choose ${name}"]`);
    box?.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true, shiftKey: shift }));
    await place.rest();
  }
};

describe('the grid', () => {
  let place: DemoPlace<MarkingGrid>;
  const names = () =>
    [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('tbody th label')].map((e) =>
      e.textContent?.trim(),
    );
  beforeEach(async () => {
    place = await DemoPlace.open(MarkingGrid, { inputs: { id: 'h-survey' } });
  });

  it('accepts at one press what was marked entirely, and nothing else; at one more it is undone', async () => {
    await place.press('Complete 1 that is all marked');
    expect(said(place, 'l-oriel')).toMatchObject({ decision: 'complete', released: { 'rp-q1': { verdict: 'right' } } });
    for (const open of ['l-brannoc', 'l-wilmot', 'l-kerra']) expect(said(place, open)?.decision ?? null).toBeNull();
    place.work.undo();
    expect(said(place, 'l-oriel')?.decision ?? null).toBeNull();
  });

  it('says to several at once: another go, without saying where', async () => {
    await pick(place, ['Wilmot A.']);
    await pick(place, ['Merryn H.'], true);
    expect(place.text).toContain('5 chosen');
    await place.press('Another go, without saying where');
    // Jory is complete and keeps that until it is taken back; Demelza has not submitted.
    expect(said(place, 'l-kerra')).toMatchObject({ decision: 'another go', again: { where: false } });
    expect(said(place, 'l-demelza')?.decision ?? null).toBeNull();
    expect(said(place, 'l-jory')?.decision).toBe('complete');
    expect(slip(place, 'l-kerra')).toMatchObject({ decisions: { 1: 'another go' }, marks: {}, comments: {} });
    place.work.undo();
    expect(said(place, 'l-wilmot')?.decision ?? null).toBeNull();
  });

  it('leaves open only what is not right, where that is asked', async () => {
    await place.press(/^Merryn H\., question 1:/);
    await pick(place, ['Merryn H.']);
    place.fixture.componentInstance['picked'].decide('another go', { where: true, onlyWrong: true });
    await place.rest();
    const only = slip(place, 'l-merryn')?.only ?? [];
    expect(only).toContain('rp-q1');
    expect(only).not.toContain('rp-q4');
  });

  it('is sorted by points and shows only some; a mark that is given moves nothing', async () => {
    const plan = names();
    await place.press('Points');
    const byPoints = names();
    expect(byPoints).not.toEqual(plan);
    await place.press('Points');
    expect(names()).toEqual(plan);
    await place.choose('Sort by', 'points, lowest first');
    const before = names();
    expect(before).toEqual(byPoints);
    expect(before[0]).toBe('Corin B.');
    expect(before.at(-1)).toBe('Perran D.');
    await place.press(/^Merryn H\., question 1:/);
    await place.press(/Right$/);
    expect(names()).toEqual(before);
    await place.press('Show all');
    await place.choose('Version', 'Extended');
    expect([...names()].sort()).toEqual(['Elowen R.', 'Perran D.', 'Senara V.']);
    await place.press('Show all again');
    expect(names()).toHaveLength(14);
  });

  it('folds the questions of a page into one column', async () => {
    await place.press('Show all');
    await place.choose('Questions by', 'page');
    await place.press(/^Page 1/);
    expect((place.fixture.nativeElement as HTMLElement).querySelectorAll('thead th.item')).toHaveLength(11);
    const row = [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('tbody tr')][0];
    expect(row?.querySelector('td.small')?.textContent).toContain('2/3');
  });

  it('has a head for each question that no other has', () => {
    const heads = [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('thead th.item small')].map(
      (e) => e.textContent,
    );
    expect(new Set(heads).size).toBe(13);
  });
});

describe('the whole work', () => {
  it('is all right at one press, and has points of its own until they follow from the marks again', async () => {
    const place = await DemoPlace.open(MarkingGrid, { inputs: { id: 'h-survey', learner: 'l-merryn' } });
    await place.press('All of it right');
    expect(Object.values(said(place, 'l-merryn')?.marks ?? {}).every((m) => m.verdict === 'right')).toBe(true);
    expect(place.text).toContain('of 16 points, from the marks');
    place.work.undo();
    expect(said(place, 'l-merryn')?.marks ?? {}).toEqual({});
    place.fixture.componentInstance['here'].answering.wholePoints(
      place.fixture.componentInstance['table'].rows().find((r) => r.learnerId === 'l-merryn') as never,
      99,
    );
    await place.rest();
    expect(said(place, 'l-merryn')?.points).toBe(16);
    expect(place.text).toContain('of 16 points, given by you');
    await place.press('Complete');
    expect(slip(place, 'l-merryn')?.points).toBe(16);
    await place.press(/^Merryn H\., question 1:/);
    await place.press('From the marks');
    expect(slip(place, 'l-merryn')?.points).toBeNull();
  });
});
