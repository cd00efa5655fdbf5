import { describe, expect, it } from '@jest/globals';
import { copyIdOf, findBlock, latest } from '@lorvet/core';
import { DeskActions } from '../../store/actions';
import { DemoPlace } from '../../testing/demo-place';
import { said, slip } from '../../testing/marked';
import { OneQuestion } from './one-question';

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
