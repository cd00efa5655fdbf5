import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { blocksOf, findBlock, itemsOf } from '../activity/activity';
import { type Block, wordsOf } from '../activity/blocks';
import { type Family, latest, versionOf } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { classify } from '../verdict/classify';
import { editMaster, familyOf, masters, stamp, steps, withVersions } from '../testing/random-family';
import { saveRevision } from '../upkeep/resolve';
import { readRecipe, type Recipe, rulesFrom, runRecipe, writeRecipe } from './recipe';
import { RULE_NAMES, ruleKinds, type Rule, ruleSchema } from './rules';
import { SHIPPED_RECIPES } from './shipped';
import { runs } from '../testing/laws';

const pool = demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;
const settler = { at: '2026-09-03T08:00:00.000Z', by: 'T' };
/** The rock-pool master with one empty version. */
const bare: Family = withVersions({ ...pool, versions: [] }, [0]);
const recipe = (...rules: Rule[]): Recipe => ({ id: 'r', name: 'Mine', purpose: '', rules });
const lexicon = (word: string) => ({ meaning: `what ${word} means` });
const ran = (family: Family, r: Recipe) => {
  const run = runRecipe(family, 'v0', r, stamp, lexicon);
  return { ...run, family: { ...family, versions: family.versions.map((v) => (v.id === 'v0' ? run.version : v)) } };
};
const shown = (f: Family, id: string): Block => findBlock(derive(f, 'v0').content, id)?.block as Block;

describe('every rule', () => {
  it.each(RULE_NAMES)('%s is kept, says what it does, and what it does fits', (name) => {
    const rule = ruleKinds[name].fresh as Rule;
    expect(ruleSchema.parse(JSON.parse(JSON.stringify(rule)))).toEqual(rule);
    const { family, outcomes } = ran(bare, recipe(rule));
    expect(outcomes[0]?.says).toMatch(/\.$/);
    const reports = derive(family, 'v0').reports.filter((r) => r.status !== 'applied');
    expect(reports).toEqual([]);
    expect(versionOf(family, 'v0')?.adjustments.every((a) => a.recipe?.id === 'r')).toBe(true);
  });
});

describe('a recipe', () => {
  it('does what it says on an activity it has never seen', () => {
    const { family, outcomes } = ran(bare, SHIPPED_RECIPES[0] as Recipe);
    for (const b of blocksOf(derive(family, 'v0').content))
      if (b.block.kind === 'single-choice') expect(b.block.options.length).toBeLessThanOrEqual(3);
    expect(outcomes.find((o) => o.rule.rule === 'hints')?.skipped.length).toBeGreaterThan(0);
    expect([classify(family, 'v0').judgement, classify(family, 'v0').why]).toEqual([
      'to judge',
      [expect.stringMatching(/^The word bank .*“Name animals of the shore” asks\?$/)],
    ]);
  });

  it('keeps every answer one that can be right', () => {
    const { family } = ran(bare, SHIPPED_RECIPES[1] as Recipe);
    const q4 = shown(family, 'rp-q4');
    expect(q4.kind === 'single-choice' && q4.options.find((o) => o.id === q4.key)?.text).toBe('crab');
    expect(q4.kind === 'single-choice' && q4.options.length).toBeGreaterThan(1);
  });

  it('run again after the master changed touches only what is new', () => {
    const first = ran(bare, recipe({ rule: 'fewer-choices', most: 2 }, { rule: 'chunk', most: 3 }));
    const fresh: Block = {
      ...(findBlock(latest(bare).content, 'rp-q1')?.block as Extract<Block, { kind: 'single-choice' }>),
      id: 'fresh',
    };
    const content = latest(bare).content;
    const grown = {
      ...content,
      pages: content.pages.map((p, i) => (i === 0 ? { ...p, blocks: [...p.blocks, fresh] } : p)),
    };
    // What the recipe had done was taken back by hand for one question: that stays so.
    const byHand = {
      ...first.family,
      versions: first.family.versions.map((v) => ({
        ...v,
        adjustments: v.adjustments.filter((a) => !(a.kind === 'fewer-choices' && a.target === 'rp-q11')),
      })),
    };
    const saved = saveRevision(byHand, grown, '', settler).family;
    const again = ran(saved, recipe({ rule: 'fewer-choices', most: 2 }, { rule: 'chunk', most: 3 }));
    expect(again.outcomes.map((o) => o.drafts.map((d) => ('target' in d ? d.target : d.kind)))).toEqual([
      ['fresh'],
      [],
    ]);
  });

  it('run twice does nothing the second time, on any activity', () => {
    fc.assert(
      fc.property(masters, steps(4), fc.constantFrom(...SHIPPED_RECIPES), (m, edits, r) => {
        const family = withVersions(familyOf(edits.reduce(editMaster, m)), [0]);
        if (itemsOf(latest(family).content).length === 0) return;
        const once = ran(family, r);
        expect(derive(once.family, 'v0').reports.filter((x) => x.status === 'skipped')).toEqual([]);
        expect(ran(once.family, r).outcomes.flatMap((o) => o.drafts)).toEqual([]);
      }),
      runs(60),
    );
  });
});

describe('a version’s adjustments as a recipe', () => {
  it('become rules where they can, and the others are named', () => {
    const version = versionOf(pool, 'rp-sup');
    if (!version) throw new Error('the demo changed');
    const { rules, left } = rulesFrom(pool, version);
    expect(rules.map((r) => r.rule).sort()).toEqual(['fewer-choices', 'hints', 'personal-fields', 'word-bank']);
    expect(left.map((l) => l.name)).toEqual(expect.arrayContaining(['Reword', 'Leave out']));
  });
});

describe('a rule that was run', () => {
  // Other numbers are drawn anew each time.
  const told = (f: Family) =>
    derive(f, 'v0').content.pages.map((p) =>
      p.blocks.map((b) => [b.kind, ...wordsOf(b).map((w) => w.text.replace(/\d+/g, '#'))]),
    );
  const settings = (f: Family) => derive(f, 'v0').content.settings;

  it.each(RULE_NAMES)('%s: comes back from its adjustments, and does the same once more', (name) => {
    const once = ran(bare, recipe(ruleKinds[name].fresh as Rule));
    const { rules, left } = rulesFrom(once.family, once.version);
    expect(left).toEqual([]);
    expect(rules.map((r) => r.rule)).toEqual(once.version.adjustments.length ? [name] : []);
    const again = ran(bare, recipe(...rules));
    expect(told(again.family)).toEqual(told(once.family));
    expect(settings(again.family)).toEqual(settings(once.family));
  });
});

describe('a recipe as a file', () => {
  const text = writeRecipe(SHIPPED_RECIPES[0] as Recipe);
  it('goes out and comes in again under an id of its own', () => {
    expect(readRecipe(text, () => 'new')).toEqual({ ...SHIPPED_RECIPES[0], id: 'new' });
  });
  it.each([
    ['no JSON', 'crab', /holds no JSON/],
    ['something else', '{"format":"else"}', /no recipe/],
    ['a newer one', text.replace('"version": 1', '"version": 9'), /newer Lorvet/],
    ['a rule that does not fit', text.replace('"most": 3', '"most": 0'), /does not fit/],
  ])('%s: said in words, and nothing taken', (_, bad, words) => {
    expect(() => readRecipe(bad, () => 'new')).toThrow(words);
  });
});
