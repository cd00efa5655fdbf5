import { describe, expect, it } from '@jest/globals';
import { NOTHING_SAID, saidAt, saidSchema } from '../assign/slip';
import { emptyResponse, HELD, type Response } from './copy';
import { saidOf } from './said';

const first: Response = {
  ...emptyResponse(1),
  decision: 'another go',
  decidedAt: '2026-11-24T08:00:00.000Z',
  comment: 'Nearly there.',
  comments: { q2: 'Look at the text.' },
  voices: { q2: 'asset-1' },
  writing: { q2: { kind: 'drawing', strokes: [], words: [{ x: 1, y: 1, text: 'here' }] } },
  released: { q1: { verdict: 'right', points: 1, outOf: 1 }, q2: { verdict: 'not-yet', points: 0, outOf: 1 } },
  origins: { q1: { sheet: 's', by: 'rule', why: 'The key was chosen.' } },
};
const second: Response = { ...first, go: 2, decision: 'complete', comment: 'Well done.', again: undefined };
const said = (...responses: Response[]) => saidOf({ id: 'm', copyId: 'm', responses });

describe('what goes to the learner', () => {
  it('is allowed by the slip, and holds nothing of what a mark was made by', () => {
    const out = said(first);
    expect(saidSchema.parse(out)).toEqual(out);
    expect(JSON.stringify(out)).not.toContain('The key was chosen');
  });

  it('says where in another go, or does not', () => {
    expect(said({ ...first, again: { where: true, only: ['q2'] } })).toMatchObject({
      comments: { q2: 'Look at the text.' },
      voices: { q2: 'asset-1' },
      only: ['q2'],
    });
    const silent = said({ ...first, again: { where: false, only: ['q2'] } });
    expect(silent).toMatchObject({ comment: 'Nearly there.', comments: {}, voices: {}, writing: {}, marks: {} });
    // Complete, the same work says it.
    expect(said({ ...second, again: { where: false } }).marks).toEqual(first.released);
  });

  it('holds nothing of what is let out by hand until it is, but what was said before', () => {
    const out = said(first, { ...second, heldUntil: '' });
    expect(out).toMatchObject({ go: 1, comment: 'Nearly there.', heldGo: 2, outAt: HELD });
    expect(saidAt(out, '2030-01-01T00:00').decisions).toEqual({ 1: 'another go' });
    expect(JSON.stringify(said({ ...first, heldUntil: '' }))).not.toContain('Nearly');
  });

  it('tells what is let out at a time from that time on', () => {
    const out = said({ ...second, heldUntil: '2026-11-27T15:00' });
    const before = saidAt(out, '2026-11-27T14:59');
    expect(before).toEqual({ ...NOTHING_SAID, begun: [2], heldGo: 2, outAt: '2026-11-27T15:00' });
    expect(saidAt(out, '2026-11-27T15:00')).toMatchObject({
      decisions: { 2: 'complete' },
      comment: 'Well done.',
      marks: first.released,
      outAt: '',
    });
  });

  it('goes on telling what was said to the go before, until that time', () => {
    const out = said(first, { ...second, heldUntil: '2026-11-27T15:00' });
    expect(saidSchema.parse(out)).toEqual(out);
    const before = saidAt(out, '2026-11-27T14:59');
    expect(before).toMatchObject({
      decisions: { 1: 'another go' },
      go: 1,
      comment: 'Nearly there.',
      marks: first.released,
    });
    expect(JSON.stringify(before)).not.toContain('Well done.');
    expect(saidAt(out, '2026-11-27T15:00')).toMatchObject({ go: 2, comment: 'Well done.' });
  });

  it('has the points of the whole, where they were given by hand and the marks are told', () => {
    expect(said({ ...second, points: 7 }).points).toBe(7);
    expect(said(second).points).toBeNull();
    expect(said({ ...first, points: 7, again: { where: false } }).points).toBeNull();
  });

  it('holds no sheet of paper, and nothing that is said to the family', () => {
    const out = JSON.stringify(
      said({ ...second, family: 'Ask about it.', paper: [{ assetId: 'asset-9', pageId: '' }] }),
    );
    expect(out).not.toMatch(/asset-9|Ask about it/);
    // What was written on goes back to who did it, as far as it may say where.
    const writing = { kind: 'drawing' as const, strokes: [], words: [{ x: 1, y: 1, text: 'here' }] };
    const paper = [
      { assetId: 'asset-9', pageId: '' as const, writing },
      { assetId: 'asset-8', pageId: '' as const },
    ];
    const told = said({ ...second, paper });
    expect(saidSchema.parse(told).sheets).toEqual([{ assetId: 'asset-9', writing }]);
    expect(said({ ...first, paper, again: { where: false } }).sheets).toEqual([]);
  });
});
