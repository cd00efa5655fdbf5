import { describe, expect, it } from '@jest/globals';
import type { Block } from '../activity/blocks';
import { pool } from '../testing/demo-plan';
import { freeze } from '../assign/held/freeze';
import type { Answer } from '../work/answer';
import type { Go } from '../work/copy';
import { usedOf, type UseSeen } from './used';

const base = freeze(pool, null, '2026-11-24');
const sheet = (...blocks: Block[]) => ({
  ...base,
  content: { ...base.content, pages: [{ id: 'p', title: '', orientation: 'portrait' as const, blocks }] },
});
const item = { audience: 'learner' as const, prompt: 'What?', demand: 'recall' as const, points: 1 };
const go = (answers: Record<string, Answer>, more: Partial<Go> = {}): Go => ({
  ...{ n: 1, startedAt: '2026-11-24T09:00:00Z', submittedAt: '2026-11-24T10:00:00Z', answers },
  ...more,
});
const text = (t: string): Answer => ({ kind: 'text', text: t });
const seen = (frozen: UseSeen['frozen'], of: Partial<UseSeen>): UseSeen => ({
  ...{ frozen, go: go({}), blockIds: [], itemIds: [], goesUsed: 1, meanings: 0, late: false },
  ...of,
});
const short = (id: string, more: object = {}): Block =>
  ({ ...item, id, kind: 'short-text', key: ['x'], ...more }) as Block;

describe('whether an adjustment was used', () => {
  it('flaps: those that were lifted', () => {
    const frozen = sheet(short('a', { flap: 'yes' }), short('b', { flap: 'no' }));
    const lifted = { a: { at: '2026-11-24T09:10:00Z' } };
    expect(usedOf('flap', seen(frozen, { blockIds: ['a', 'b'], go: go({}, { lifted }) }))).toBe('lifted 1 of 2');
  });

  it('a bank: answers that are its words, however they are written', () => {
    const bank: Block = { id: 'w', kind: 'word-bank', audience: 'learner', title: '', words: ['limpet', 'crab'] };
    const frozen = sheet(bank, short('a'), short('b'), short('c'));
    const answers = { a: text(' Limpet '), b: text('mussel') };
    const of = { blockIds: ['w'], itemIds: ['a', 'b', 'c'], go: go(answers) };
    expect(usedOf('word-bank', seen(frozen, of))).toBe('1 of 2 answers are of its words');
    expect(usedOf('word-bank', seen(frozen, { ...of, go: go({}) }))).toBe('');
  });

  it('starters: answers that begin as one does', () => {
    const long = (id: string): Block =>
      ({ ...item, id, kind: 'long-text', key: '', lines: 4, starters: ['It lives'] }) as Block;
    const frozen = sheet(long('a'), long('b'));
    const answers = { a: text('It lives under a stone.'), b: text('Under a stone.') };
    expect(usedOf('sentence-starters', seen(frozen, { blockIds: ['a', 'b'], go: go(answers) }))).toBe(
      'begun with in 1 of 2 answers',
    );
  });

  it('steps: those that are ticked; goes; the later date; meanings', () => {
    const steps = {
      ...item,
      id: 's',
      kind: 'steps',
      steps: [
        { id: 'x', text: 'a' },
        { id: 'y', text: 'b' },
      ],
    } as Block;
    const frozen = sheet(steps);
    const ticked = go({ s: { kind: 'choice', chosen: ['x'] } });
    expect(usedOf('steps-to-tick', seen(frozen, { blockIds: ['s'], go: ticked }))).toBe('ticked 1 of 2');
    expect(usedOf('goes', seen(frozen, { goesUsed: 2 }))).toBe('2 goes were used');
    expect(usedOf('extra-time', seen(frozen, { late: true }))).toBe('the later date was used');
    expect(usedOf('extra-time', seen(frozen, {}))).toBe('submitted by everybody’s date');
    expect(usedOf('glossary', seen(frozen, { meanings: 3 }))).toBe('meanings were looked up 3 times');
  });

  it('says nothing where the work cannot tell, and before anything was done', () => {
    expect(usedOf('reword', seen(base, {}))).toBe('');
    expect(usedOf('toString', seen(base, {}))).toBe('');
    expect(usedOf('goes', seen(base, { go: undefined }))).toBe('');
  });
});
