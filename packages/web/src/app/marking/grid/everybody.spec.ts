import { beforeEach, describe, expect, it } from '@jest/globals';
import { By } from '@angular/platform-browser';
import { copyIdOf, findBlock, latest, saidAt } from '@lorvet/core';
import { DeskActions } from '../../store/actions';
import { WrittenOn } from '../../ui/blocks/written-on';
import { DemoPlace } from '../../testing/demo-place';
import { ButtonHarness } from '../../testing/harnesses';
import { LettingOut } from '../out/letting-out';
import { MarkingGrid } from './marking';
import { OneQuestion } from '../question/one-question';
import { OneWork } from '../work/one-work';

const said = (place: { work: DemoPlace<unknown>['work'] }, learner: string) =>
  place.work.markings()[copyIdOf('h-survey', learner)]?.responses.at(-1);
const slip = (place: { work: DemoPlace<unknown>['work'] }, learner: string) =>
  place.work.index().slips[learner]?.works['h-survey']?.said;
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

describe('one question', () => {
  it('gathers alike answers over the versions, and marks them together at one press', async () => {
    const place = await DemoPlace.open(OneQuestion, { inputs: { id: 'h-survey', item: 'rp-q6' } });
    expect(place.text).toContain('also written: “anemony”');
    expect(place.text).toMatch(/Extended ?3 of 3/);
    await place.press(/^Partly: anemone$/);
    for (const l of ['l-brannoc', 'l-ysolde', 'l-perran', 'l-kerra'])
      expect(said(place, l)?.marks['rp-q6']).toEqual({ verdict: 'partly', points: 0.5 });
    // Who was told before is told this.
    expect(slip(place, 'l-perran')?.marks['rp-q6']).toMatchObject({ verdict: 'partly' });
    place.work.undo();
    expect(said(place, 'l-kerra')?.marks['rp-q6']).toBeUndefined();
  });

  it('marks at one press all that is left, and leaves what was marked', async () => {
    const place = await DemoPlace.open(OneQuestion, { inputs: { id: 'h-survey', item: 'rp-q10' } });
    await place.press(/^Not yet: A crab has claws\.$/);
    await place.press(/All 5 left: right/);
    expect(said(place, 'l-brannoc')?.marks['rp-q10']?.verdict).toBe('not-yet');
    expect(said(place, 'l-tamsin')?.marks['rp-q10']?.verdict).toBe('partly');
    expect(said(place, 'l-kerra')?.marks['rp-q10']).toEqual({ verdict: 'right', points: 3 });
    expect(place.text).not.toContain('answers yours to mark');
  });

  it('accepts an answer too: for all versions, told again to who was told, and into the master’s key as a revision', async () => {
    const place = await DemoPlace.open(OneQuestion, { inputs: { id: 'h-survey', item: 'rp-q5' } });
    // Both wrote “mussel”: one in Supported, one in Core.
    const late = (learner: string) => {
      const copy = place.work.copies()[copyIdOf('h-survey', learner)];
      const go = copy?.goes.at(-1);
      if (!copy || !go) throw new Error('the demo changed');
      const answers = { ...go.answers, 'rp-q5': { kind: 'text' as const, text: 'Chinaman’s hat' } };
      place.work.dispatch(DeskActions.copySaved({ copy: { ...copy, goes: [{ ...go, answers }] } }));
    };
    for (const l of ['l-jory', 'l-brannoc']) late(l);
    await place.rest();
    await place.press(/^Right: limpet$/);
    place.work.undo();
    place.fixture.componentInstance['chosen'].set(
      place.fixture.componentInstance['heaps']().findIndex((h) => h.words === 'Chinaman’s hat'),
    );
    await place.rest();
    await place.press(/^Accept “Chinaman’s hat” too, for all 2/);
    expect(slip(place, 'l-jory')?.marks['rp-q5']).toMatchObject({ verdict: 'right', points: 1 });
    expect(said(place, 'l-jory')?.origins?.['rp-q5']).toMatchObject({ by: 'rule', accepted: ['Chinaman’s hat'] });
    expect(place.text).toContain('Accepted too, in all versions: Chinaman’s hat');
    const revisions = () => place.family('rock-pool').revisions.length;
    const before = revisions();
    await place.press('Put it into the master’s key');
    expect(revisions()).toBe(before + 1);
    expect(JSON.stringify(latest(place.family('rock-pool')).content)).toContain('Chinaman’s hat');
    expect(place.text).toContain('in the master’s key');
    await place.press('Accept it no more');
    expect(slip(place, 'l-jory')?.marks['rp-q5']?.verdict).not.toBe('right');
  });
});

describe('another choice that is accepted', () => {
  it('counts for all who took it, and stands in the master’s key as an answer besides', async () => {
    const place = await DemoPlace.open(OneQuestion, { inputs: { id: 'h-survey', item: 'rp-q1' } });
    const choose = async (words: string) => {
      const at = place.fixture.componentInstance['heaps']().findIndex((h) => h.words === words);
      place.fixture.componentInstance['chosen'].set(at);
      await place.rest();
    };
    // The key itself is nothing to accept.
    await choose('Mussel');
    expect(place.text).not.toContain('Accept “Mussel” too');
    await choose('Starfish');
    await place.press(/^Accept “Starfish” too/);
    expect(slip(place, 'l-jory')?.marks['rp-q1']).toMatchObject({ verdict: 'right' });
    await place.press('Put it into the master’s key');
    const block = findBlock(latest(place.family('rock-pool')).content, 'rp-q1')?.block;
    expect(block).toMatchObject({ key: 'rp-q1-1', also: ['rp-q1-4'] });
    // The sheets that were given stay as they are.
    expect(JSON.stringify(place.work.frozen())).not.toContain('"also"');
  });
});

describe('one work', () => {
  it('stands as the learner has it, with the key of their version beside each question', async () => {
    const place = await DemoPlace.open(OneWork, { inputs: { id: 'h-survey', learner: 'l-ysolde' } });
    expect(place.text).toContain('Life between the tides');
    expect(place.text).toMatch(/Right · 1 of 1 · Key: rain/);
    await place.press('Not yet, question 4');
    expect(said(place, 'l-ysolde')?.marks['rp-q4']).toEqual({ verdict: 'not-yet', points: 0 });
  });

  it('shows the go before beside this one, and what is another answer since', async () => {
    const place = await DemoPlace.open(OneWork, {
      inputs: { id: 'h-survey', learner: 'l-tamsin' },
      change: (w) => {
        const id = copyIdOf('h-survey', 'l-tamsin');
        const copy = w.copies[id];
        const go = copy?.goes[0];
        if (!copy || !go) return w;
        const answers = { ...go.answers, 'rp-q5': { kind: 'text' as const, text: 'limpet' } };
        return { ...w, copies: { ...w.copies, [id]: { ...copy, goes: [go, { ...go, n: 2, answers }] } } };
      },
    });
    expect(place.text.match(/changed since go 1/g)).toHaveLength(1);
    expect(await place.has(ButtonHarness, 'Go 2')).toBe(true);
    await place.press('Go 1');
    expect(place.text).not.toContain('changed since');
  });
});

describe('what is said to an answer', () => {
  it('is one of the teacher’s phrases with the learner’s name, and for the family what it says to them', async () => {
    const place = await DemoPlace.open(MarkingGrid, { inputs: { id: 'h-survey', learner: 'l-wilmot' } });
    await place.press('Look once more at the text, Wilmot.');
    expect(said(place, 'l-wilmot')).toMatchObject({
      comment: 'Look once more at the text, Wilmot.',
      family: 'Wilmot goes back to the text to check.',
    });
    await place.press('Look once more at the text, Wilmot.');
    expect(said(place, 'l-wilmot')?.comment).toBe('Look once more at the text, Wilmot.');
    // Nothing of it reaches the desk but the words to the learner.
    await place.press('Complete');
    expect(JSON.stringify(slip(place, 'l-wilmot'))).not.toContain('goes back to the text');
    // What was written to one becomes a phrase for all.
    await place.press(/^Kerra L\., question 9/);
    await place.write(/^A word on this answer/, 'Kerra, draw it first.');
    await place.press('Your phrases');
    await place.press('Keep it');
    expect(Object.values(place.work.phrases()).map((x) => x.text)).toContain('[name], draw it first.');
  });

  it('is a level for each criterion: they make the mark, and go to the learner in words', async () => {
    const place = await DemoPlace.open(MarkingGrid, { inputs: { id: 'h-survey' } });
    await place.press(/^Kerra L\., question 10/);
    await place.press('Mark it by levels');
    await place.write(/^One criterion a line/, 'Names a part');
    await place.press('Take these levels');
    expect(place.text).toContain('Line 1: “Names a part” has no two levels.');
    await place.write(/^One criterion a line/, 'Names a part: not yet / names it\nSays what for: no / yes = 2');
    await place.press('Take these levels');
    await place.press(/^names it/);
    expect(said(place, 'l-kerra')?.marks['rp-q10']).toBeUndefined();
    await place.press(/^no /);
    // One of three that it can come to, of a question worth three.
    expect(said(place, 'l-kerra')?.marks['rp-q10']).toEqual({ verdict: 'partly', points: 1 });
    await place.press('Complete');
    expect(slip(place, 'l-kerra')?.levels['rp-q10']).toEqual(['Names a part: names it', 'Says what for: no']);
  });

  it('is written on what was drawn, in a layer of its own', async () => {
    const drawing = {
      kind: 'drawing' as const,
      strokes: [{ colour: 'ink' as const, width: 1, points: [1, 1, 0.5, 9, 9, 0.5] }],
      words: [],
    };
    const id = copyIdOf('h-market', 'l-nessa');
    const place = await DemoPlace.open(MarkingGrid, {
      inputs: { id: 'h-market' },
      change: (w) => {
        const go = { n: 1, startedAt: '2026-11-24T08:00:00.000Z', submittedAt: '2026-11-24T09:00:00.000Z' };
        const copy = {
          id,
          handOutId: 'h-market',
          learnerId: 'l-nessa',
          frozen: w.handOuts['h-market']?.given['l-nessa']?.frozen ?? '',
        };
        return { ...w, copies: { ...w.copies, [id]: { ...copy, goes: [{ ...go, answers: { 'mk-q14': drawing } }] } } };
      },
    });
    const at = place.fixture.componentInstance['table'].columns().findIndex((c) => c.id === 'mk-q14');
    const rows = [...(place.fixture.nativeElement as HTMLElement).querySelectorAll<HTMLElement>('tbody tr')];
    const cell = rows
      .find((r) => r.textContent?.includes('Nessa'))
      ?.querySelector<HTMLElement>(`[data-cell$="-${at}"]`);
    cell?.click();
    await place.rest();
    await place.press('Write on it');
    const pad = place.fixture.debugElement.query(By.directive(WrittenOn)).componentInstance as WrittenOn;
    pad.drawn.emit({ kind: 'drawing', strokes: [], words: [{ x: 10, y: 10, text: 'What is this?' }] });
    await place.rest();
    expect(place.work.copies()[id]?.goes[0]?.answers['mk-q14']).toEqual(drawing);
    await place.press('Complete');
    const out = place.work.index().slips['l-nessa']?.works['h-market']?.said;
    expect(out?.writing['mk-q14']?.words).toEqual([{ x: 10, y: 10, text: 'What is this?' }]);
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

describe('letting out', () => {
  it('files the work without points, under a category, for all who look at it', async () => {
    const place = await DemoPlace.open(LettingOut, { inputs: { id: 'h-survey' } });
    await place.press('Jory S.');
    expect(place.text).toContain('Points, for who asks: 15 of 16');
    await place.write('Category', 'practice');
    place.fixture.componentInstance['answering'].file({ points: false });
    await place.rest();
    expect(place.work.handOuts()['h-survey']).toMatchObject({ points: false, category: 'practice' });
    expect(place.text).not.toContain('Points, for who asks');
  });

  it('lets the answers out to one learner, and keeps them back from one when all get them', async () => {
    const place = await DemoPlace.open(LettingOut, { inputs: { id: 'h-survey' }, at: '2026-11-26T12:00' });
    const answersAt = (learner: string) => place.work.index().slips[learner]?.works['h-survey']?.answersAt;
    await place.press('Let the answers out: Jory S.');
    expect([answersAt('l-jory'), answersAt('l-perran')]).toEqual(['2026-11-26T12:00', null]);
    place.fixture.componentInstance['answering'].setAnswersAt('2026-11-26T11:00');
    await place.rest();
    await place.press('Keep the answers back: Perran D.');
    expect([answersAt('l-jory'), answersAt('l-perran')]).toEqual(['2026-11-26T11:00', null]);
  });

  it('holds back what is decided until it is let out, and shows first what the learner will see', async () => {
    const place = await DemoPlace.open(LettingOut, { inputs: { id: 'h-survey' } });
    const hand = [
      ...(place.fixture.nativeElement as HTMLElement).querySelectorAll<HTMLInputElement>('input[type=radio]'),
    ][1];
    hand?.click();
    await place.rest();
    expect(place.work.handOuts()['h-survey']?.marksAt).toBe('');
    // What was out stays out.
    expect(slip(place, 'l-jory')?.outAt).toBe('');
    await place.press('Hold back: Jory S.');
    expect(slip(place, 'l-jory')).toMatchObject({ outAt: 'held', comment: '', marks: {} });
    await place.press('Jory S.');
    expect(place.text).toContain('What Jory S. will see');
    expect(place.text).toMatch(/What went well: right are 2, 3/);
    await place.press('Let it out now');
    const now = slip(place, 'l-jory');
    expect(now && saidAt(now, '2026-11-26T12:00').marks['rp-q2']).toMatchObject({ verdict: 'right' });
  });
});
