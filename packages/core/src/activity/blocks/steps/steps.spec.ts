import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { answerSchema } from '../../../work/answer';
import { markItem } from '../../../work/mark/mark-item';
import type { ItemBlock } from '..';
import { stepPressed, stepsTicked, weeksTicked } from '.';

const mondays = Array.from({ length: 20 }, (_, i) => new Date(Date.UTC(2026, 8, 7 + 7 * i)).toISOString().slice(0, 10));
const block = (weekly: boolean, many = 3) => ({
  id: 'q',
  kind: 'steps' as const,
  prompt: 'Each day',
  points: many,
  weekly,
  steps: Array.from({ length: many }, (_, i) => ({ id: `s${i}`, text: `Step ${i}` })),
});

describe('steps that begin anew each week', () => {
  it('are ticked in their week alone, taken back there, and kept for what the schema has room for', () => {
    const presses = fc.array(fc.tuple(fc.nat(19), fc.nat(39)), { maxLength: 400 });
    fc.assert(
      fc.property(presses, (list) => {
        const b = block(true, 40);
        let chosen: string[] = [];
        const ticked = new Map<string, Set<string>>();
        // Weeks go on, and never back.
        for (const [w, s] of list.sort((x, y) => x[0] - y[0])) {
          const [week, step] = [mondays[w] ?? '', `s${s}`];
          chosen = stepPressed(b, chosen, week, step);
          const set = ticked.get(week) ?? new Set<string>();
          ticked.set(week, set);
          if (!set.delete(step)) set.add(step);
          expect(stepsTicked(b, chosen, week).toSorted()).toEqual([...set].toSorted());
        }
        expect(answerSchema.parse({ kind: 'choice', chosen })).toBeTruthy();
        for (const week of weeksTicked(chosen))
          expect(stepsTicked(b, chosen, week).length).toBe(ticked.get(week)?.size);
      }),
    );
  });

  it('are marked by their last week; steps that are ticked but once, by all', () => {
    const [first = '', second = ''] = mondays;
    const weekly = block(true);
    let chosen: string[] = [];
    for (const s of ['s0', 's1', 's2']) chosen = stepPressed(weekly, chosen, first, s);
    const marked = (b: unknown, now: string[]) => markItem(b as ItemBlock, { kind: 'choice', chosen: now });
    expect(marked(weekly, chosen)).toMatchObject({ verdict: 'right', points: 3 });
    expect(marked(weekly, stepPressed(weekly, chosen, second, 's0'))).toMatchObject({ verdict: 'partly', points: 1 });
    const once = block(false);
    expect(marked(once, stepPressed(once, ['s1'], first, 's0'))).toMatchObject({ verdict: 'partly', points: 2 });
  });
});
