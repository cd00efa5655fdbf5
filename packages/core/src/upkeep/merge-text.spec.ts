import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { diff3Merge } from 'node-diff3';
import { mergeText, textChanges, tokens } from './merge-text';

const words = fc.array(fc.constantFrom('a', 'b', 'c', 'd', 'e.', 'f,'), { maxLength: 12 }).map((w) => w.join(' '));

describe('mergeText', () => {
  it('gives back one side where the other changed nothing', () => {
    fc.assert(
      fc.property(words, words, (old, now) => {
        expect(mergeText(old, now, old).text).toBe(now);
        expect(mergeText(old, old, now).text).toBe(now);
        expect(mergeText(old, now, now)).toMatchObject({ clean: true, text: now });
      }),
    );
  });

  it('agrees with node-diff3 on the same tokens, conflict for conflict', () => {
    fc.assert(
      fc.property(words, words, words, (old, a, b) => {
        const theirs = diff3Merge(tokens(a), tokens(old), tokens(b), { excludeFalseConflicts: true });
        const mine = mergeText(old, a, b);
        expect(mine.regions.map((r) => r.kind)).toEqual(theirs.map((r) => (r.conflict ? 'conflict' : 'agreed')));
        expect(mine.clean).toBe(theirs.every((r) => !r.conflict));
      }),
    );
  });

  it('joins two changes of different words, and keeps the version’s where they meet', () => {
    const old = 'The crab hides under a stone all day.';
    expect(
      mergeText(old, 'The crab hides under a flat stone all day.', 'The crab sits under a stone all day.'),
    ).toMatchObject({
      clean: true,
      text: 'The crab sits under a flat stone all day.',
    });
    expect(mergeText(old, 'The crab waits under a stone all day.', 'The crab sits under a stone.')).toMatchObject({
      clean: false,
      text: 'The crab sits under a stone.',
    });
  });

  it('shows changes that give both texts back', () => {
    fc.assert(
      fc.property(words, words, (was, now) => {
        const changes = textChanges(was, now);
        expect(changes.flatMap((c) => (c.kind === 'new' ? [] : [c.text])).join('')).toBe(was);
        expect(changes.flatMap((c) => (c.kind === 'gone' ? [] : [c.text])).join('')).toBe(now);
      }),
    );
  });
});
