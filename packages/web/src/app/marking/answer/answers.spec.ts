import { describe, expect, it } from '@jest/globals';
import { By } from '@angular/platform-browser';
import { copyIdOf } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { said, slip } from '../../testing/marked';
import { WrittenOn } from '../../ui/blocks/written-on';
import { MarkingGrid } from '../grid/marking';

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
