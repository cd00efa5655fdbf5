import { describe, expect, it } from '@jest/globals';
import { mergeCopies } from '../keep/merge';
import { type Answer, answerIsEmpty, answerSchema, emptied } from './answer';
import { afresh, broughtBack, type Copy, emptyResponse, type Go, goSchema, MOST_ASIDE, mayTakeBack } from './copy';
import { saidOf } from './said';

const text = (t: string) => ({ kind: 'text' as const, text: t });
const go = (answers: Go['answers'], more: Partial<Go> = {}): Go => ({
  n: 1,
  startedAt: 'a',
  submittedAt: null,
  answers,
  ...more,
});
const copy = (g: Go): Copy => ({ id: 'h.l', handOutId: 'h', learnerId: 'l', frozen: 'f', goes: [g] });
const stamp = (id: string) => ({ id, at: `at ${id}`, from: 'here' });

describe('a fresh start', () => {
  const begun = go({ q1: text('a crab'), q2: { kind: 'choice', chosen: ['x'] }, q3: text(' ') });

  it('leaves nothing on the sheet and loses nothing, and what was put aside comes back whole', () => {
    const fresh = afresh(begun, stamp('one'));
    expect(Object.values(fresh.answers).every(answerIsEmpty)).toBe(true);
    expect(fresh.aside).toEqual([
      { id: 'one', at: 'at one', answers: { q1: begun.answers['q1'], q2: begun.answers['q2'] } },
    ]);
    expect(goSchema.parse(fresh)).toEqual(fresh);
    const back = broughtBack(fresh, 'one', stamp('two'));
    expect(back.answers).toMatchObject({ q1: text('a crab'), q2: { chosen: ['x'] } });
    expect(back.aside).toEqual([]);
  });

  it('changes places with what was written since', () => {
    const since = { ...afresh(begun, stamp('one')), answers: { q1: text('a limpet') } };
    const back = broughtBack(since, 'one', stamp('two'));
    expect(back.answers['q1']).toEqual(text('a crab'));
    expect(back.aside).toEqual([{ id: 'two', at: 'at two', answers: { q1: text('a limpet') } }]);
    expect(broughtBack(since, 'none', stamp('two'))).toBe(since);
  });

  it('does nothing where nothing was written, and stops before there is no more room', () => {
    const empty = go({ q1: text('') });
    expect(afresh(empty, stamp('one'))).toBe(empty);
    let full = go({});
    for (let i = 0; i < MOST_ASIDE; i++) full = afresh({ ...full, answers: { q1: text(`${i}`) } }, stamp(`${i}`));
    const one = { ...full, answers: { q1: text('more') } };
    expect(full.aside).toHaveLength(MOST_ASIDE);
    expect(afresh(one, stamp('more'))).toBe(one);
  });

  it('of two at once is both, and what one brought back is aside in neither', () => {
    const base = copy(begun);
    const [here, there] = [copy(afresh(begun, stamp('here'))), copy({ ...begun, answers: { q1: text('two crabs') } })];
    const both = mergeCopies(base, there, here, 'now').goes[0];
    expect(both?.aside?.map((a) => a.id)).toEqual(['here']);
    expect(both?.answers['q2']).toEqual({ kind: 'choice', chosen: [] });
    const fresh = copy(afresh(begun, stamp('one')));
    const back = copy(broughtBack(afresh(begun, stamp('one')), 'one', stamp('two')));
    expect(mergeCopies(fresh, fresh, back, 'now').goes[0]?.aside ?? []).toEqual([]);
  });

  it.each<Answer>([
    { kind: 'choice', chosen: ['x'] },
    text('a crab'),
    { kind: 'values', values: { a: '1' } },
    { kind: 'placed', placed: { a: 'b' } },
    { kind: 'points', points: [{ x: 1, y: 1 }] },
    { kind: 'drawing', strokes: [{ colour: 'ink', width: 1, points: [1, 1, 1] }], words: [] },
    { kind: 'media', takes: ['a'], best: 'a' },
  ])('empties a $kind so that it can be kept, and is empty', (a) => {
    expect(answerIsEmpty(a)).toBe(false);
    expect(answerSchema.parse(emptied(a))).toEqual(emptied(a));
    expect([emptied(a).kind, answerIsEmpty(emptied(a))]).toEqual([a.kind, true]);
  });
});

describe('what is submitted', () => {
  const done = go({ q1: text('a crab') }, { submittedAt: 'now' });
  const responded = (more: object) =>
    saidOf({ id: 'm', copyId: 'h.l', responses: [{ ...emptyResponse(1), ...more }] }).begun;

  it('can be taken back until the teacher marks, says or decides anything', () => {
    expect(mayTakeBack(copy(done), responded({}))).toBe(true);
    for (const more of [
      { comment: 'Well' },
      { marks: { q1: {} } },
      { comments: { q1: 'Yes' } },
      { decision: 'complete' },
    ])
      expect(mayTakeBack(copy(done), responded(more))).toBe(false);
    expect(mayTakeBack(copy(go({})), [])).toBe(false);
    // What the teacher submitted for somebody is the teacher’s to take back.
    expect(mayTakeBack(copy({ ...done, submittedFor: true }), [])).toBe(false);
  });

  it('and taken back in one place is so in the other; submitted anew in either, it is submitted', () => {
    const [was, open] = [copy(done), copy({ ...done, submittedAt: null })];
    expect(mergeCopies(was, was, open, 'now').goes[0]?.submittedAt).toBeNull();
    expect(mergeCopies(was, open, was, 'now').goes[0]?.submittedAt).toBeNull();
    expect(mergeCopies(open, open, was, 'now').goes[0]?.submittedAt).toBe('now');
    expect(mergeCopies(open, was, open, 'now').goes[0]?.submittedAt).toBe('now');
  });
});
