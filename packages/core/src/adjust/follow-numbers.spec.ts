import { describe, expect, it } from '@jest/globals';
import { findBlock } from '../activity/activity';
import { type Family, latest } from '../activity/family';
import type { NumberBlock } from '../activity/blocks/number';
import { coverage } from '../assign/check/coverage';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { numbersLeft } from '../derive/numbers-left';
import { NOW, people, pool, survey } from '../testing/demo-plan';
import { followNumbers } from './follow-numbers';
import { questionBehind } from './hint';
import { drawNumbers, otherNumbersFor } from './other-numbers';
import type { Adjustment } from './registry';

const was = findBlock(latest(pool).content, 'rp-q8')?.block as NumberBlock;
const now = drawNumbers(was, 'seed') as NumberBlock;
const [a, b] = (now.given ?? []).map((g) => g.value);

describe('words that go with a question of other numbers', () => {
  it.each([
    ['7 limpets', `${now.key} limpets`, false],
    ['7', `${now.key}`, false],
    ['Start at 18.', `Start at ${a}.`, false],
    ['Count on from 18 to 25.', `Count on from ${a} to ${b}.`, false],
    ['First to 20, then 5 more.', 'First to 20, then 5 more.', true],
    ['It is seven.', 'It is seven.', true],
    ['Count the limpets of Friday.', 'Count the limpets of Friday.', false],
    ['Come at 18:25.', 'Come at 18:25.', false],
  ])('“%s” becomes “%s”', (text, wanted, left) =>
    expect(followNumbers(text, was, now)).toEqual({ text: wanted, left }),
  );

  it('of two numbers that were one, nothing is guessed', () => {
    const same = { ...was, given: (was.given ?? []).map((g) => ({ ...g, value: 18 })) };
    expect(followNumbers('Start at 18.', same, now)).toEqual({ text: 'Start at 18.', left: true });
  });

  const stamp = { author: 'T', at: '2026-11-24T09:00:00Z' };
  const numbers = { ...stamp, id: 'n', kind: 'other-numbers', ...otherNumbersFor(was, 'seed') } as Adjustment;
  const hint = (text: string) =>
    ({ ...stamp, id: 'h', kind: 'hint', target: was.id, text, was: questionBehind(was) }) as Adjustment;
  const flap = { ...stamp, id: 'f', kind: 'flap', target: was.id, text: '7 limpets', was: ['7 limpets'] } as Adjustment;
  const withAll = (...adjustments: Adjustment[]): Family => ({
    ...pool,
    versions: pool.versions.map((v) => (v.id === 'rp-core' ? { ...v, adjustments } : v)),
  });

  it('follow whether they were written before the numbers or after', () => {
    for (const order of [
      [numbers, flap, hint('Start at 18.')],
      [flap, hint('Start at 18.'), numbers],
    ]) {
      const block = findBlock(derive(withAll(...order), 'rp-core').content, was.id)?.block;
      expect(block).toMatchObject({ key: now.key, flap: `${now.key} limpets`, hint: `Start at ${a}.` });
      expect(numbersLeft(withAll(...order), 'rp-core')).toEqual([]);
    }
  });

  it('what cannot follow is named before giving out: a hint, and an example beside it', () => {
    const old = withAll(numbers, hint('First to 20, then 5 more.'));
    const found = coverage(survey, old, people, NOW).find((f) => f.code === 'old-numbers');
    expect(found).toMatchObject({ level: 'confirm', mend: 'bench', versionId: 'rp-core' });
    const block = { id: 'we', kind: 'worked-example', audience: 'learner', title: 'Like this' };
    const example = (step: string) =>
      ({
        ...stamp,
        ...{ id: 'w', kind: 'worked-example', page: 'rp-p2', after: null },
        block: { ...block, steps: [{ id: 'we-1', text: step }] },
      }) as Adjustment;
    expect(numbersLeft(withAll(numbers, example('From 18 to 25 it is 7.')), 'rp-core')).toEqual(['we']);
    expect(numbersLeft(withAll(numbers, example('From 3 to 5 it is 2.')), 'rp-core')).toEqual([]);
  });
});

describe('the demo', () => {
  it('has no words left that speak of other numbers', () => {
    for (const family of Object.values(demoWorkspace(Date.UTC(2026, 10, 24)).families))
      for (const v of (family as Family).versions) expect(numbersLeft(family as Family, v.id)).toEqual([]);
  });
});
