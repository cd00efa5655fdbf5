import { describe, expect, it } from '@jest/globals';
import { latest } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { ifChanged } from './if-changed';
import { wayOf, type WayGiven } from './way';

const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const pool = w.families['rock-pool'];
const given = Object.values(w.handOuts)
  .filter((h) => h.familyId === 'rock-pool' && h.state === 'given')
  .map((handOut): WayGiven => ({
    ...{ handOut, frozen: w.frozen },
    works: new Map(
      Object.keys(handOut.given).map((id) => {
        const key = `${handOut.id}.${id}`;
        return [id, { copy: w.copies[key], marking: w.markings[key] }];
      }),
    ),
  }));
const way = (blockId: string) => {
  const found = pool && wayOf(pool, blockId, given);
  if (!found) throw new Error(`There is no way of ${blockId}`);
  return found;
};

describe('the whole way of a block', () => {
  it('says who had it, in which wording, and how it went', () => {
    const q3 = way('rp-q3');
    expect(q3.wordings.map((x) => [x.words, x.versions])).toEqual([
      ['What falls from the sky and makes the pool less salty?', ['Supported', 'Supported, Oriel']],
      ['What falls suddenly and makes the pool less salty?', ['Core', 'Extended']],
    ]);
    expect(q3.handOuts).toMatchObject([{ id: 'h-survey', learners: 14 }]);
    const of = (id: string) => q3.had.find((h) => h.learnerId === id);
    expect(of('l-merryn')).toMatchObject({ answer: 'salt', reached: 0, stage: 'submitted', wording: 2 });
    expect(of('l-oriel')).toMatchObject({ answer: 'rain', reached: 1, wording: 1, versionName: 'Supported, Oriel' });
    // Lamorna has written nothing there yet, and Corin has not begun.
    expect([of('l-lamorna'), of('l-corin')]).toMatchObject([
      { answer: '', reached: null, stage: 'begun' },
      { stage: 'not begun', reached: null },
    ]);
    // Eleven submitted it; all but Merryn have it right.
    expect(q3.handOuts[0]?.reached).toMatchObject({ n: 11, share: 10 / 11 });
  });

  it('goes back through every version that did something to it, to the revisions in which it changed', () => {
    expect(way('rp-q3').revisions.map((r) => r.n)).toEqual([1, 3]);
    const q1 = way('rp-q1');
    const steps = (name: string) => q1.versions.find((v) => v.name === name)?.steps.map((s) => s.kind);
    expect([steps('Supported'), steps('Supported, Oriel'), steps('Core')]).toEqual([
      ['Fewer choices'],
      ['Fewer choices'],
      [],
    ]);
    expect(q1.key).toBe('Mussel');
    const q9 = way('rp-q9');
    expect(q9.versions.map((v) => [v.name, v.how])).toEqual([
      ['Supported', 'left out'],
      ['Supported, Oriel', 'left out'],
      ['Core', 'changed'],
      ['Extended', 'as in the master'],
    ]);
    expect(q9.had.some((h) => h.versionName === 'Supported')).toBe(false);
  });

  it('follows the key too: through revisions, and to what was accepted besides it', () => {
    if (!pool) throw new Error('There is no rock pool');
    const last = latest(pool);
    const pages = last.content.pages.map((p) => ({
      ...p,
      blocks: p.blocks.map((b) => (b.kind === 'short-text' && b.id === 'rp-q3' ? { ...b, key: ['shower'] } : b)),
    }));
    const family = { ...pool, revisions: [...pool.revisions, { ...last, n: 9, content: { ...last.content, pages } }] };
    const accepted = ['rp-q3', 'rp-q4'].map((itemId) => ({
      ...{ id: `a-${itemId}`, itemId, at: '' },
      answer: { kind: 'text' as const, text: 'drizzle' },
    }));
    const q3 = wayOf(
      family,
      'rp-q3',
      given.map((g) => ({ ...g, handOut: { ...g.handOut, accepted } })),
    );
    const was = 'rain, the rain, rainwater';
    expect(q3?.revisions.map((r) => [r.n, r.key])).toEqual([
      [1, was],
      [3, was],
      [9, 'shower'],
    ]);
    // What was given has the key that it was given with.
    expect([q3?.key, ...(q3?.wordings ?? []).map((x) => x.key)]).toEqual(['shower', was, was]);
    expect(q3?.handOuts.map((h) => h.accepted)).toEqual([['drizzle']]);
  });

  it('of what a version added begins there', () => {
    const x1 = way('rp-x1');
    expect([x1.isInMaster, x1.revisions, x1.versions.map((v) => v.name)]).toEqual([false, [], ['Extended']]);
    expect(x1.had.map((h) => h.learnerId).sort()).toEqual(['l-elowen', 'l-perran', 'l-senara']);
    expect(pool && wayOf(pool, 'no such', given)).toBeUndefined();
  });
});

describe('what would follow of a change', () => {
  const then = (blockId: string, what: 'changed' | 'removed') =>
    Object.fromEntries((pool && ifChanged(pool, blockId))?.[what].map((x) => [x.name, x.then]) ?? []);

  it('flows on, is asked about, or stays, as each version has it', () => {
    expect(then('rp-q2', 'changed')).toEqual({
      Supported: 'changes with it',
      'Supported, Oriel': 'changes with it',
      Core: 'changes with it',
      Extended: 'changes with it',
    });
    // Supported has words of its own there.
    expect(then('rp-q10', 'changed')).toMatchObject({ Supported: 'is asked about it', Extended: 'changes with it' });
    expect(then('rp-q9', 'removed')).toMatchObject({
      'Supported, Oriel': 'has it not',
      Core: 'is asked about it',
      Extended: 'changes with it',
    });
  });

  it('changes nothing, and is not asked of what a version added', () => {
    const before = JSON.stringify(pool);
    expect(pool && ifChanged(pool, 'rp-x1')).toBeUndefined();
    then('rp-q2', 'removed');
    expect(JSON.stringify(pool)).toBe(before);
  });
});
