import { describe, expect, it } from '@jest/globals';
import { type Copy, emptyResponse, type Marking, type Response, workState } from './copy';
import { goOnPaper, sheetsOf, withoutPaperGo } from './on-paper';

const pen = { from: 'teacher', at: '2026-11-28T10:00:00.000Z' };
const text = (t: string) => ({ kind: 'text' as const, text: t });
const copy = (...goes: Copy['goes']): Copy => ({ id: 'h.l', handOutId: 'h', learnerId: 'l', frozen: 'f', goes });
const go = (n: number, more: Partial<Copy['goes'][number]> = {}): Copy['goes'][number] => ({
  n,
  startedAt: 'a',
  submittedAt: null,
  answers: {},
  ...more,
});
const said = (...responses: Response[]): Marking => ({ id: 'h.l', copyId: 'h.l', responses });
const work = (c: Copy | undefined, marking?: Marking) => ({
  ...{ handOutId: 'h', learnerId: 'l', frozen: 'f' },
  copy: c,
  marking,
});
const again = { ...emptyResponse(1), decision: 'another go' as const };

describe('work on paper', () => {
  it('begins the first go of who did nothing at the desk, submitted for them', () => {
    const made = goOnPaper(work(undefined), pen);
    expect(made).toMatchObject({ go: 1, copy: { id: 'h.l', frozen: 'f' } });
    expect(made.copy?.goes).toMatchObject([{ n: 1, submittedAt: pen.at, submittedFor: true, answers: {} }]);
    expect(workState(made.copy, {})).toBe('submitted');
  });

  it('belongs to the go that is there, and leaves open what was begun at the desk', () => {
    expect(goOnPaper(work(copy(go(1, { submittedAt: 'b' }))), pen)).toEqual({ go: 1 });
    expect(goOnPaper(work(copy(go(1, { answers: { q: text('crab') } }))), pen)).toEqual({ go: 1 });
    const opened = goOnPaper(work(copy(go(1, { answers: { q: text(' ') } }))), pen);
    expect(opened.copy?.goes).toMatchObject([{ n: 1, submittedFor: true, answers: { q: text(' ') } }]);
  });

  it('is the next go where another was asked for', () => {
    const made = goOnPaper(work(copy(go(1, { submittedAt: 'b' })), said(again)), pen);
    expect(made.go).toBe(2);
    expect(made.copy?.goes.map((g) => g.n)).toEqual([1, 2]);
  });

  it('leaves no empty go behind when its last sheet is taken off, and every other one', () => {
    const paper = [{ assetId: 'a', pageId: 'p1' }];
    const on = goOnPaper(work(undefined), pen).copy;
    const only = said({ ...emptyResponse(1), paper });
    expect(withoutPaperGo({ copy: on, marking: only }, 1)?.goes).toEqual([]);
    const two = said({ ...emptyResponse(1), paper: [...paper, ...paper] });
    expect(withoutPaperGo({ copy: on, marking: two }, 1)).toBeUndefined();
    const marked = said({ ...emptyResponse(1), paper, marks: { q: { verdict: 'right', points: 1 } } });
    expect(withoutPaperGo({ copy: on, marking: marked }, 1)).toBeUndefined();
    const desk = copy(go(1, { submittedAt: 'b', answers: { q: text('crab') } }));
    expect(withoutPaperGo({ copy: desk, marking: only }, 1)).toBeUndefined();
  });

  it('shows a page on its own sheets, and on those of several pages', () => {
    const response = {
      paper: [
        { assetId: 'a', pageId: 'p1' },
        { assetId: 'b', pageId: 'p2' },
        { assetId: 'c', pageId: '' as const },
      ],
    };
    expect(sheetsOf(response, 'p2').map((p) => p.assetId)).toEqual(['b', 'c']);
    expect(sheetsOf(undefined, 'p2')).toEqual([]);
  });
});
