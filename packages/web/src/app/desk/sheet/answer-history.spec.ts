import { describe, expect, it } from '@jest/globals';
import type { Answer } from '@lorvet/core/desk';
import { AnswerHistory } from './answer-history';

const text = (t: string): Answer => ({ kind: 'text', text: t });
const chosen = (...ids: string[]): Answer => ({ kind: 'choice', chosen: ids });

describe('the steps of answering', () => {
  it('are taken back to nothing, of every kind, and made again in their order', () => {
    const h = new AnswerHistory();
    h.note('a', undefined, chosen('x'), 0);
    h.note('b', undefined, text('sea'), 10);
    h.note('a', chosen('x'), chosen('x', 'y'), 20);
    expect([h.undo(), h.undo(), h.undo(), h.undo()]).toEqual([
      { id: 'a', answer: chosen('x') },
      { id: 'b', answer: text('') },
      { id: 'a', answer: chosen() },
      undefined,
    ]);
    expect([h.redo(), h.redo(), h.redo(), h.redo()].map((s) => s?.answer)).toEqual([
      chosen('x'),
      text('sea'),
      chosen('x', 'y'),
      undefined,
    ]);
  });

  it('are one while a text is being written, and two after a pause', () => {
    const h = new AnswerHistory();
    h.note('a', undefined, text('s'), 0);
    h.note('a', text('s'), text('se'), 300);
    h.note('a', text('se'), text('sea'), 600);
    h.note('a', text('sea'), text('sea w'), 3000);
    expect([h.undo()?.answer, h.undo()?.answer, h.mayUndo()]).toEqual([text('sea'), text(''), false]);
  });

  it('made after something was taken back, there is nothing to make again', () => {
    const h = new AnswerHistory();
    h.note('a', undefined, text('sea'), 0);
    h.undo();
    h.note('a', text(''), text('sky'), 10);
    expect([h.mayRedo(), h.undo()?.answer]).toEqual([false, text('')]);
    h.forget();
    expect([h.mayUndo(), h.mayRedo()]).toEqual([false, false]);
  });

  it('are as many as anybody goes back, and the oldest are let go', () => {
    const h = new AnswerHistory();
    for (let i = 0; i < 900; i++) h.note('a', chosen(`${i}`), chosen(`${i + 1}`), i);
    let n = 0;
    while (h.undo()) n++;
    expect(n).toBe(300);
  });
});
