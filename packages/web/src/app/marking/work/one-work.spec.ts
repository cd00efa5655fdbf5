import { describe, expect, it } from '@jest/globals';
import { copyIdOf } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { ButtonHarness } from '../../testing/harnesses';
import { said } from '../../testing/marked';
import { OneWork } from './one-work';

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
