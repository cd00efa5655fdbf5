import { describe, expect, it } from '@jest/globals';
import { findBlock } from '../activity/activity';
import { type Block, isItem, keyWordsOf } from '../activity/blocks';
import type { Family } from '../activity/family';
import { isOfType, keyTypeOf } from '../adjust/key-type';
import type { Adjustment } from '../adjust/registry';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { isHard } from '../measure/hard';
import { wordsIn } from '../measure/words';
import { revealOf } from '../verdict/reveal';
import { runRecipe } from './recipe';
import { SHIPPED_RECIPES } from './shipped';

const families = Object.values(demoWorkspace(Date.UTC(2026, 10, 24)).families) as Family[];
/** Meanings as a dictionary has them: some plain, some harder than the word. */
const lexicon = (word: string) => ({
  meaning: word.length % 2 ? `a thing that you see by the sea` : 'any of numerous aquatic invertebrates of the genus',
});
let n = 0;
const stamp = { at: '2026-11-24T09:00:00.000Z', author: 'T', newId: () => `n${n++}` };

const blank = {
  name: 'Fresh',
  swatch: { pattern: 'basket' as const, colour: 'a' as const, letter: 'A' },
  purpose: '',
  basis: null,
  adjustments: [],
  upkeepLog: [],
};

/** Every shipped recipe over the master of every activity that ships. */
const runs = families.flatMap((family) =>
  SHIPPED_RECIPES.map((recipe) => {
    const version = { ...blank, id: 'fresh', upTo: 1 };
    const draft = { ...family, versions: [...family.versions, version] };
    const run = runRecipe(draft, 'fresh', recipe, stamp, lexicon);
    const after = { ...family, versions: [...family.versions, run.version] };
    return [
      `${recipe.name}: ${family.id}`,
      run.version.adjustments,
      derive(after, 'fresh'),
      derive(family, null),
    ] as const;
  }),
);
const of = <K extends Adjustment['kind']>(all: readonly Adjustment[], kind: K) =>
  all.filter((a): a is Extract<Adjustment, { kind: K }> => a.kind === kind);

describe('what the shipped recipes propose for the shipped activities', () => {
  it.each(runs)('%s', (_, all, { content, whole }, master) => {
    const block = (id: string): Block | undefined => findBlock(master.content, id)?.block;
    for (const hint of of(all, 'hint')) {
      const item = block(hint.target) as Block;
      expect(revealOf(hint.text, item, '')).toBeNull();
      expect(hint.text).not.toMatch(/has [1-4] letters/);
    }
    for (const a of of(all, 'other-answer')) {
      const [key = ''] = keyWordsOf(block(a.target) as Block);
      if (a.to === 'single-choice') expect(a.wrong.length).toBeGreaterThanOrEqual(2);
      for (const wrong of a.wrong) expect([wrong, isOfType(wrong, key)]).toEqual([wrong, true]);
    }
    for (const bank of of(all, 'word-bank')) {
      expect(bank.words.length).toBeGreaterThanOrEqual(3);
      expect(new Set(bank.words.map(keyTypeOf)).size).toBe(1);
    }
    for (const flap of of(all, 'flap')) expect(flap.text).not.toMatch(/\b(?:accept|award|own answers?|vary)\b/i);
    for (const steps of of(all, 'steps-to-tick'))
      for (const s of steps.steps)
        expect(s.text).not.toMatch(/^(?:the|an?|it|they|this|there|what|why|how|you|we|i) /i);
    for (const glossary of of(all, 'glossary'))
      for (const e of glossary.entries)
        expect(wordsIn(e.meaning).filter((w) => isHard(w) && w !== e.word).length).toBeLessThanOrEqual(1);
    // No page begins with a question whose passage or example is on the page before.
    const toRead = (b: Block | undefined) => b?.kind === 'passage' || b?.kind === 'worked-example';
    for (const [i, page] of content.pages.entries()) {
      const first = page.blocks[0];
      const last = content.pages[i - 1]?.blocks.at(-1);
      const home = whole.pages.find((p) => p.blocks.some((b) => b.id === first?.id));
      const isOneHome = home?.blocks.some((b) => b.id === last?.id);
      if (first && isItem(first) && isOneHome) expect(toRead(last)).toBe(false);
    }
  });
});
