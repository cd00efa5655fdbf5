import { describe, expect, it } from '@jest/globals';
import { type ItemBlock, keyWordsOf } from '../../activity/blocks';
import type { Answer } from '../answer';
import { accepting, mayAccept, withAccepted } from './accepted';
import { isKnownWord } from './known-words';
import { gatherAlike, type Gathered } from './gather';
import { markItem } from './mark-item';
import { marksOf, totalOf } from './marks-of';

const item = (key: string[], id = 'q1'): ItemBlock => ({
  id,
  kind: 'short-text',
  audience: 'learner',
  prompt: 'Who waves in the pool?',
  demand: 'recall',
  points: 2,
  key,
  spellingTolerant: true,
});
const text = (t: string): Answer => ({ kind: 'text', text: t });
const given = (of: ItemBlock, texts: readonly string[]): Gathered[] =>
  texts.map((t, i) => ({ key: `l${i}`, item: of, answer: text(t), verdict: markItem(of, text(t)).verdict }));

describe('alike answers', () => {
  it('are one heap whatever their case, signs, article or order, the way most wrote it first', () => {
    const heaps = gatherAlike(
      given(item(['anemone']), ['Sea snail', 'a sea snail!', 'snail sea', 'sea snail', 'Anemone']),
    );
    expect(heaps.map((h) => [h.words, h.keys.length])).toEqual([
      ['Sea snail', 4],
      ['Anemone', 1],
    ]);
    expect(heaps[0]?.also).toEqual(['a sea snail!', 'sea snail', 'snail sea']);
  });

  it('are one heap with a slip of spelling, and two where both are words', () => {
    const heaps = gatherAlike(given(item(['anemone']), ['limpet', 'limpet', 'limpit', 'whale', 'while']));
    expect(heaps.map((h) => h.keys.length)).toEqual([3, 1, 1]);
  });

  it('are one heap where a number is written otherwise, and never where the key is another', () => {
    const heaps = gatherAlike([
      ...given(item(['25']), ['1 000', '1000', 'a thousand']),
      ...given(item(['30']), ['1000']).map((g) => ({ ...g, key: 'other' })),
    ]);
    expect(heaps.map((h) => [h.accepted, h.keys.length])).toEqual([
      ['25', 3],
      ['30', 1],
    ]);
  });

  it('hold everybody once', () => {
    const all = given(item(['crab']), ['crab', 'crabs', 'Crab', 'crap', '', 'gull', '3 crabs']);
    const keys = gatherAlike(all).flatMap((h) => h.keys);
    expect([...keys].sort()).toEqual(all.map((g) => g.key));
  });

  it('say nothing of what has to be looked at: each drawing stands alone', () => {
    const drawing: Answer = { kind: 'drawing', strokes: [], words: [{ x: 1, y: 1, text: 'crab' }] };
    const of = { ...item([]), kind: 'drawing' } as unknown as ItemBlock;
    const heaps = gatherAlike(['a', 'b'].map((key) => ({ key, item: of, answer: drawing, verdict: 'yours' as const })));
    expect(heaps.map((h) => [h.keys, h.inWords])).toEqual([
      [['a'], false],
      [['b'], false],
    ]);
  });
});

describe('an answer that is accepted too', () => {
  const of = item(['anemone']);
  const accepted = [{ id: 'a', itemId: 'q1', answer: text('sea flower'), at: '2026-11-24T08:00:00.000Z' }];

  it('is right for every version that has the question, and for no other question', () => {
    expect(markItem(of, text('Sea flower')).verdict).not.toBe('right');
    for (const version of [of, { ...of, prompt: 'Which animal waves?' }])
      expect(markItem(withAccepted(version, accepted), text('Sea flower')).verdict).toBe('right');
    expect(withAccepted(item(['anemone'], 'q2'), accepted)).toEqual(item(['anemone'], 'q2'));
  });

  it('is offered only where it adds something to a list of words', () => {
    expect(mayAccept(of, text('sea flower'))).toBe(true);
    expect(mayAccept(of, text('Anemone'))).toBe(false);
    expect(mayAccept(accepting(of, text('sea flower')), text('sea flower'))).toBe(false);
    expect(mayAccept({ ...of, kind: 'long-text' } as unknown as ItemBlock, text('sea flower'))).toBe(false);
  });

  it('can be a number, as it was written', () => {
    const number = { ...of, kind: 'number', key: 8, tolerance: 0, unit: 'limpets' } as unknown as ItemBlock;
    expect(mayAccept(number, text('8'))).toBe(false);
    expect(mayAccept(number, text('  '))).toBe(false);
    const now = accepting(number, text('7 or 8'));
    expect(markItem(now, text('7 or 8')).verdict).toBe('right');
    expect(markItem(now, text('8')).verdict).toBe('right');
    expect(markItem(now, text('7')).verdict).not.toBe('right');
    expect(keyWordsOf(now)).toEqual(['8 limpets', '7 or 8']);
    expect(mayAccept({ ...number, key: null } as ItemBlock, text('7'))).toBe(false);
  });

  it('can be another choice, and what shows the same as it', () => {
    const options = ['Mussel', 'Limpet', 'Crab', 'Limpet'].map((t, i) => ({ id: `o${i}`, text: t }));
    const choice = { ...of, kind: 'single-choice', options, key: 'o0' } as unknown as ItemBlock;
    const chose = (id: string) => ({ kind: 'choice' as const, chosen: [id] });
    expect(mayAccept(choice, chose('o0'))).toBe(false);
    const now = accepting(choice, chose('o1'));
    expect(['o0', 'o1', 'o2', 'o3'].map((id) => markItem(now, chose(id)).verdict)).toEqual([
      'right',
      'right',
      'not-yet',
      'right',
    ]);
    expect(markItem(now, chose('o1')).why).toBe('An accepted answer.');
    expect(mayAccept(now, chose('o3'))).toBe(false);
  });
});

it('totals are the sum of the marks that count, and say how many are still the teacher’s', () => {
  const content = {
    pages: [
      {
        id: 'p',
        title: '',
        orientation: 'portrait' as const,
        size: 'A4' as const,
        blocks: [item(['crab'], 'q1'), item(['gull'], 'q2'), item([], 'q3'), item(['limpet'], 'q4')],
      },
    ],
  };
  const marks = marksOf(
    { content } as never,
    { q1: text('crab'), q2: text('whale'), q3: text('It is cold.') },
    {
      go: 1,
      marks: { q2: { verdict: 'partly', points: 0.5 } },
      comments: {},
      comment: '',
      decision: null,
      decidedAt: null,
    },
  );
  expect(totalOf(marks)).toEqual({ points: 2.5, outOf: 8, open: 1, right: 1, wrong: 2 });
  // Points that were given to the whole take the place of the sum, and are no more than there can be.
  expect(totalOf(marks, 6).points).toBe(6);
  expect(totalOf(marks, 90).points).toBe(8);
});

it('words are found in every list, from its first to its last, and nothing between two of them', () => {
  for (const w of ['a', 'anemone', 'zoom', 'limpet', 'colour', 'crab', 'and', 'the'])
    expect([w, isKnownWord(w)]).toEqual([w, true]);
  for (const w of ['limpit', 'crabz', '', 'zzzz', 'aaaa', 'anemony']) expect([w, isKnownWord(w)]).toEqual([w, false]);
});
