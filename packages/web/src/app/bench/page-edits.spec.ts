import { describe, expect, it } from '@jest/globals';
import { type Block, type Content, contentSchema, doubledIds, type Family, latest, type Page } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { doublePage, layBlock, moveOnPage, movePage, orderByPlace } from './page-edits';

const market = latest(demoWorkspace(0).families['market'] as Family).content;
const till = (c: Content): Page => c.pages.find((p) => p.id === 'mk-p4') as Page;
const order = (c: Content) => till(c).blocks.map((b) => b.id);
let n = 0;
const newId = () => `n${++n}`;
const block: Block = {
  id: 'new',
  kind: 'short-text',
  audience: 'learner',
  prompt: '',
  demand: 'recall',
  points: 1,
  key: [],
  spellingTolerant: true,
};

describe('a page laid over its picture', () => {
  it('takes a new block at the end of its reading order, and its place', () => {
    const c = layBlock(market, till(market), block, { x: 1, y: 2, w: 10, h: 5 });
    expect(order(c).at(-1)).toBe('new');
    expect(till(c).places?.['new']).toEqual({ x: 1, y: 2, w: 10, h: 5 });
    expect(till(c).places?.['mk-q10']).toEqual(till(market).places?.['mk-q10']);
    expect(contentSchema.safeParse(c).success).toBe(true);
  });

  it('is numbered as it is read, what has no place behind', () => {
    const up = moveOnPage(market, 'mk-p4', 'mk-q13', { x: 5, y: 5, w: 10, h: 4 });
    const loose = moveOnPage(up, 'mk-p4', 'mk-q11', null);
    expect(till(loose).places?.['mk-q11']).toBeUndefined();
    expect(order(orderByPlace(loose, 'mk-p4'))).toEqual(['mk-q13', 'mk-q10', 'mk-q12', 'mk-q11']);
    // Ordered already: the same again.
    expect(order(orderByPlace(orderByPlace(loose, 'mk-p4'), 'mk-p4'))).toEqual([
      'mk-q13',
      'mk-q10',
      'mk-q12',
      'mk-q11',
    ]);
  });
});

describe('whole pages', () => {
  it('are copied clean: no id twice, the copy right after', () => {
    const c = doublePage(market, 'mk-p4', newId);
    expect(c.pages.map((p) => p.title).slice(3, 5)).toEqual(['At the till', 'At the till (copy)']);
    expect(doubledIds(c)).toEqual([]);
    expect(doublePage(market, 'nowhere', newId)).toBe(market);
  });

  it('move one place, and not beyond the first and the last', () => {
    const ids = (c: Content) => c.pages.map((p) => p.id);
    expect(ids(movePage(market, 'mk-p2', -1)).slice(0, 2)).toEqual(['mk-p2', 'mk-p1']);
    expect(ids(movePage(market, 'mk-p1', -1))).toEqual(ids(market));
    expect(ids(movePage(market, 'mk-p6', 1))).toEqual(ids(market));
    expect(ids(movePage(market, 'nowhere', 1))).toEqual(ids(market));
  });
});
