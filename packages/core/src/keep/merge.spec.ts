import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Answer } from '../work/answer';
import type { Copy } from '../work/copy';
import { merge3, mergeCopies } from './merge';

const PLAIN = { noNullPrototype: true };
const leaf = fc.oneof(fc.string({ maxLength: 3 }), fc.integer({ min: 0, max: 3 }), fc.constant(null));
const named = fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd', 'e'), v: leaf }, PLAIN), {
  selector: (x) => x.id,
  maxLength: 5,
});
const things = fc.dictionary(fc.constantFrom('p', 'q', 'r', 's'), fc.oneof(leaf, named, fc.array(leaf)), {
  maxKeys: 4,
  ...PLAIN,
});

describe('two changes of one record', () => {
  it('of which one is none come to the other', () => {
    fc.assert(
      fc.property(things, things, (a, b) => {
        expect(merge3(a, a, b)).toEqual({ value: b, lost: false });
        expect(merge3(a, b, a)).toEqual({ value: b, lost: false });
        expect(merge3(a, b, b)).toEqual({ value: b, lost: false });
      }),
    );
  });

  it('of different fields are both there, whoever comes first', () => {
    fc.assert(
      fc.property(things, leaf, leaf, (base, x, y) => {
        const [theirs, mine] = [
          { ...base, p: x },
          { ...base, q: y },
        ];
        const both = { ...base, p: x, q: y };
        expect(merge3(base, theirs, mine)).toEqual({ value: both, lost: false });
        expect(merge3(base, mine, theirs)).toEqual({ value: both, lost: false });
      }),
    );
  });

  it('nothing that either made or changed goes without a word', () => {
    fc.assert(
      fc.property(named, named, named, (base, theirs, mine) => {
        const { value, lost } = merge3(base, theirs, mine);
        const out = new Map((value as typeof base).map((x) => [x.id, x.v]));
        const was = new Map(base.map((x) => [x.id, x.v]));
        for (const side of [theirs, mine])
          for (const x of side) if (was.get(x.id) !== x.v) expect(out.get(x.id) === x.v || lost).toBe(true);
      }),
    );
  });

  it('keeps the order of whoever moved things, and a new thing after what it was put behind', () => {
    const list = (...ids: string[]) => ids.map((id) => ({ id }));
    const ids = (r: unknown) => (r as { value: { id: string }[] }).value.map((x) => x.id).join('');
    expect(ids(merge3(list('a', 'b', 'c'), list('c', 'a', 'b'), list('a', 'b', 'x', 'c')))).toBe('cabx');
    expect(ids(merge3(list('a', 'b', 'c'), list('a', 'b', 'x', 'c'), list('c', 'a', 'b')))).toBe('cabx');
    expect(ids(merge3(list('a', 'b', 'c'), list('a', 'c'), list('a', 'b', 'c', 'd')))).toBe('acd');
  });
});

describe('a learner’s work from two tabs', () => {
  const text = (t: string): Answer => ({ kind: 'text', text: t });
  const copy = (answers: Record<string, Answer>, submittedAt: string | null = null): Copy => ({
    id: 'c',
    handOutId: 'h',
    learnerId: 'l',
    frozen: 'f',
    goes: [{ n: 1, startedAt: '1', submittedAt, answers }],
  });

  it('holds every answer of both; of two to one question the later counts and the earlier is kept', () => {
    const base = copy({ q1: text('a') });
    const out = mergeCopies(
      base,
      copy({ q1: text('b'), q2: text('x') }),
      copy({ q1: text('c'), q3: text('y') }),
      'now',
    );
    expect(out.goes[0]).toEqual({
      n: 1,
      startedAt: '1',
      submittedAt: null,
      answers: { q1: text('c'), q2: text('x'), q3: text('y') },
      earlier: [{ item: 'q1', answer: text('b'), at: 'now' }],
    });
  });

  it('stays submitted, and takes no older answer for a newer one', () => {
    const base = copy({ q1: text('a') });
    const out = mergeCopies(base, copy({ q1: text('b') }, 'then'), copy({ q1: text('a'), q2: text('y') }), 'now');
    expect(out.goes[0]).toMatchObject({ submittedAt: 'then', answers: { q1: text('b'), q2: text('y') } });
    expect(out.goes[0]?.earlier).toBeUndefined();
  });
});
