import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { diff3Merge } from 'node-diff3';
import { mergeText, mergeWords, textChanges, tokens } from './merge-text';

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

  it('by the word agrees with node-diff3 on the same tokens, conflict for conflict', () => {
    fc.assert(
      fc.property(words, words, words, (old, a, b) => {
        const theirs = diff3Merge(tokens(a), tokens(old), tokens(b), { excludeFalseConflicts: true });
        const mine = mergeWords(old, a, b);
        expect(mine.regions.map((r) => r.kind)).toEqual(theirs.map((r) => (r.conflict ? 'conflict' : 'agreed')));
        expect(mine.clean).toBe(theirs.every((r) => !r.conflict));
      }),
    );
  });

  it('joins nothing that words alone would not join, and where it joins it says the same', () => {
    fc.assert(
      fc.property(words, words, words, (old, a, b) => {
        const [mine, byWord] = [mergeText(old, a, b), mergeWords(old, a, b)];
        if (mine.clean) expect([byWord.clean, byWord.text]).toEqual([true, mine.text]);
        else expect(mine.regions.some((r) => r.kind === 'conflict')).toBe(true);
      }),
    );
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
