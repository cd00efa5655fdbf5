import { describe, expect, it } from '@jest/globals';
import { type Content, type Family, latest } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { moveBlock, placeBlock, withoutBlock } from './master-edits';

const content = latest(demoWorkspace(0).families['puncture'] as Family).content;
const ids = (c: Content) => c.pages.map((p) => p.blocks.map((b) => b.id).join(' '));

describe('moving a block of the master', () => {
  it('goes one place, and over the edge on to the next page', () => {
    const [one, two] = ids(content) as [string, string];
    expect(ids(moveBlock(content, 'pun-q2', -1))[0]).toBe(one.replace('pun-q1 pun-q2', 'pun-q2 pun-q1'));
    expect(ids(moveBlock(content, 'pun-q3', 1))).toEqual([one.replace(' pun-q3', ''), `pun-q3 ${two}`]);
    expect(ids(moveBlock(content, 'pun-q4', -1))).toEqual([`${one} pun-q4`, two.replace('pun-q4 ', '')]);
  });

  it('stops at both ends, and loses nothing on the way', () => {
    expect(moveBlock(content, 'pun-h1', -1)).toBe(content);
    expect(moveBlock(content, 'pun-n2', 1)).toBe(content);
    let moved = content;
    for (let i = 0; i < 20; i++) moved = moveBlock(moved, 'pun-h1', 1);
    expect(ids(moved).join(' ').split(' ').sort()).toEqual(ids(content).join(' ').split(' ').sort());
    for (let i = 0; i < 20; i++) moved = moveBlock(moved, 'pun-h1', -1);
    expect(ids(moved)).toEqual(ids(content));
  });

  it('puts a block where it was taken from', () => {
    const block = content.pages[0]?.blocks[3];
    if (!block) throw new Error('the demo changed');
    const back = placeBlock(withoutBlock(content, block.id), block, 'pun-p1', content.pages[0]?.blocks[2]?.id ?? null);
    expect(back).toEqual(content);
  });
});
