import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { mergeCopies } from '../keep/merge';
import type { Answer } from './answer';
import {
  afresh,
  broughtBack,
  type Copy,
  copySchema,
  type Go,
  goSchema,
  asTakenBack,
  asSubmitted,
  notesWritten,
  withNotes,
} from './copy';
import { besideOf, recorded } from './journal';
import { joinedGoes } from './meeting';

const text = (t: string): Answer => ({ kind: 'text', text: t });
const values = (v: Record<string, string>): Answer => ({ kind: 'values', values: v });
const START: Go = { n: 1, startedAt: 'a', submittedAt: null, answers: {} };
const meet = (a: Go, b: Go): Go => joinedGoes(a, b, 'met');
const write = (go: Go, from: string, answers: Record<string, Answer>, over?: Record<string, Answer>) =>
  recorded(go, answers, { from, by: `l-${from}`, at: 'now' }, over);
/** What a learner, or a teacher, can tell of it: when two met is no part of it. */
const told = ({ answers, by, journal, submittedAt, aside }: Go) => ({ answers, by, journal, submittedAt, aside });
const wordsOf = (answers: readonly Answer[]) =>
  answers.flatMap((a) => (a.kind === 'text' ? [a.text] : a.kind === 'values' ? Object.values(a.values) : []));
const wordsIn = (go: Go) =>
  wordsOf([
    ...Object.values(go.answers),
    ...(go.earlier ?? []).map((e) => e.answer),
    ...(go.aside ?? []).flatMap((x) => Object.values(x.answers)),
  ]);

const DESKS = ['one', 'two', 'three'];
const step = fc.oneof(
  fc.record({ desk: fc.nat(2), item: fc.constantFrom('q1', 'q2'), place: fc.constantFrom('a', 'b') }),
  fc.record({ desk: fc.nat(2), meets: fc.nat(2) }),
  fc.record({ desk: fc.nat(2), does: fc.constantFrom('submits', 'takes back', 'starts afresh', 'brings back') }),
);

function done(go: Go, what: string, pen: { readonly id: string; readonly at: string; readonly from: string }): Go {
  if (what === 'submits') return asSubmitted(go, pen);
  if (what === 'takes back') return asTakenBack(go, pen);
  if (what === 'starts afresh') return afresh(go, pen);
  return broughtBack(go, go.aside?.[0]?.id ?? '', pen);
}

describe('what is written, submitted and put aside at several desks', () => {
  it('comes to the same whichever way they meet, however often, and no words are lost that nobody wrote over', () => {
    fc.assert(
      fc.property(
        fc.array(step, { maxLength: 25 }),
        fc.array(fc.nat(2), { minLength: 3, maxLength: 9 }),
        (steps, order) => {
          const desks: Go[] = [START, START, START];
          /** What was there when it was written over by who saw it. */
          const over = new Set<string>();
          const all = new Set<string>();
          let count = 0;
          for (const s of steps) {
            const at = desks[s.desk] ?? START;
            const from = DESKS[s.desk] ?? '';
            if ('meets' in s) {
              desks[s.desk] = meet(at, desks[s.meets] ?? START);
              continue;
            }
            const words = `words ${count++}`;
            if ('does' in s) {
              desks[s.desk] = done(at, s.does, { id: words, at: words, from });
              continue;
            }
            all.add(words);
            const now = at.answers[s.item];
            if (s.item === 'q1') {
              if (now?.kind === 'text') over.add(now.text);
              desks[s.desk] = write(at, from, { q1: text(words) });
            } else {
              const was = now?.kind === 'values' ? now.values : {};
              over.add(was[s.place] ?? '');
              desks[s.desk] = write(at, from, { q2: values({ ...was, [s.place]: words }) });
            }
          }
          const [a = START, b = START, c = START] = desks;
          const end = meet(meet(a, b), c);
          expect(told(meet(c, meet(b, a)))).toEqual(told(end));
          let other = a;
          for (const i of [...order, 0, 1, 2]) other = meet(other, desks[i] ?? START);
          expect(told(other)).toEqual(told(end));
          const kept = wordsIn(end);
          for (const words of all) if (!over.has(words)) expect(kept).toContain(words);
          expect(goSchema.parse(end)).toEqual(end);
        },
      ),
    );
  });

  it('in different places of one question stands together', () => {
    const base = write(START, 'one', { q: values({ a: '1' }) });
    const both = meet(
      write(base, 'one', { q: values({ a: '1', b: '2' }) }),
      write(base, 'two', { q: values({ a: '3' }) }),
    );
    expect(both.answers['q']).toEqual(values({ a: '3', b: '2' }));
    expect(both.earlier).toBeUndefined();
  });

  it('and what is taken out by who saw it stays out, though the other still has it', () => {
    const base = write(START, 'one', { q: values({ a: '1', b: '2' }) });
    const out = write(base, 'two', { q: values({ b: '2' }) });
    expect(meet(base, out).answers['q']).toEqual(values({ b: '2' }));
    expect(meet(out, base).answers['q']).toEqual(values({ b: '2' }));
  });

  it('comes in beside words that are being typed, and is kept when they are written over it', () => {
    const came = write(START, 'two', { q: text('a limpet'), v: values({ b: '2' }) });
    const typed = write(came, 'one', { q: text('a crab'), v: values({ a: '1' }) }, {});
    expect(typed.answers).toEqual({ q: text('a crab'), v: values({ a: '1', b: '2' }) });
    expect(typed.earlier).toEqual([
      { item: 'q', answer: text('a limpet'), at: 'now', entry: { n: 1, from: 'two' }, by: 'l-two' },
    ]);
    // Of what the other goes on with, the last is kept, and not every pause of it.
    const more = meet(typed, write(came, 'two', { q: text('a limpet on a stone') }));
    expect(wordsIn(more)).toEqual(expect.arrayContaining(['a crab', 'a limpet on a stone']));
    expect(more.earlier).toHaveLength(1);
  });
});

it('a file of answers that is older than what is kept changes nothing, and the same file twice is one', () => {
  const copy = (go: Go): Copy => ({ id: 'h.l', handOutId: 'h', learnerId: 'l', frozen: 'f', goes: [go] });
  const file = write(START, 'one', { q1: text('a crab'), q2: text('red') });
  const since = write(file, 'one', { q1: text('a crab and a limpet') });
  expect(mergeCopies(undefined, copy(since), copy(file), 'now').goes[0]).toEqual(since);
  const twice = mergeCopies(undefined, copy(file), copy(since), 'now');
  expect(mergeCopies(undefined, twice, copy(since), 'later')).toEqual(twice);
});

it('neither an older file nor the other window brings back what was taken back, or takes out what was brought back', () => {
  const copy = (go: Go): Copy => ({ id: 'h.l', handOutId: 'h', learnerId: 'l', frozen: 'f', goes: [go] });
  const pen = (id: string) => ({ id, at: id, from: 'one' });
  const fresh = asSubmitted(afresh(write(START, 'one', { q1: text('a crab') }), pen('a')), pen('b'));
  const since = broughtBack(asTakenBack(fresh, pen('c')), 'a', pen('d'));
  for (const both of [
    mergeCopies(undefined, copy(since), copy(fresh), 'now'),
    mergeCopies(undefined, copy(fresh), copy(since), 'now'),
  ]) {
    expect(both.goes[0]).toMatchObject({ submittedAt: null, answers: { q1: text('a crab') } });
    expect(both.goes[0]?.aside ?? []).toEqual([]);
  }
});

it('of a sheet of notes that two write on at once, both are there: one stands, and one beside it', () => {
  const copy: Copy = { id: 'h.l', handOutId: 'h', learnerId: 'l', frozen: 'f', goes: [] };
  const on = (c: Copy, from: string, note: string) =>
    withNotes(c, recorded(notesWritten(c), { c1: text(note) }, { from, at: 'now' }));
  const [one, two] = [on(copy, 'one', 'a crab'), on(copy, 'two', 'a limpet')];
  const both = mergeCopies(copy, one, two, 'now');
  expect(copySchema.parse(both)).toEqual(both);
  const { notes, noted } = mergeCopies(copy, two, one, 'now');
  expect([both.notes, both.noted?.earlier]).toEqual([notes, noted?.earlier]);
  expect([notes?.['c1'], ...wordsOf(besideOf(notesWritten(both)).map((e) => e.answer))].sort()).toEqual([
    'a crab',
    'a limpet',
  ]);
  // They change places as often as somebody likes: each stands there once.
  const swap = (c: Copy, from: string) => {
    const beside = besideOf(notesWritten(c))[0];
    if (!beside) throw new Error('nothing stands beside it');
    return withNotes(c, recorded(notesWritten(c), { c1: beside.answer }, { from, at: 'now' }, {}));
  };
  const swapped = swap(swap(swap(both, 'one'), 'two'), 'one');
  expect([swapped.notes?.['c1'], ...wordsOf(besideOf(notesWritten(swapped)).map((e) => e.answer))].sort()).toEqual([
    'a crab',
    'a limpet',
  ]);
});
