import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoWorkspace } from '../demo/index';
import { masters } from '../testing/random-family';
import { listOf } from '../collections';
import { blocksOf, contentSchema, doubledIds, findBlock } from './activity';
import {
  type Block,
  BLOCK_KIND_NAMES,
  blockKinds,
  blockSchema,
  forLearner,
  freshBlock,
  isItem,
  itemRules,
  keyWordsOf,
  learnerBlockSchema,
  withWords,
  wordsAt,
  wordsOf,
} from './blocks';
import { chainOf, type Family, latest, versionTree } from './family';
import { familySchema } from './family-schema';
import { contentAddress, fingerprint } from './fingerprint';

const workspace = demoWorkspace(Date.UTC(2026, 10, 24));
const everyBlock = listOf(workspace.families).flatMap((f) => [...blocksOf(latest(f).content)].map((p) => p.block));
let n = 0;
const newId = () => `n${++n}`;

describe.each(BLOCK_KIND_NAMES)('block kind %s', (kind) => {
  const fresh = freshBlock(kind, 'b1', newId);
  const known = everyBlock.filter((b) => b.kind === kind);

  it('begins as a block its own schema takes, with ids that are not used twice', () => {
    expect(blockSchema.parse(fresh)).toEqual(fresh);
    const ids = 'options' in fresh ? fresh.options.map((o) => o.id) : [];
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('gives every one of its words back when they are replaced, and changes nothing else', () => {
    for (const block of [fresh, ...known])
      for (const { field } of wordsOf(block)) {
        const changed = withWords(block, field, 'Other words');
        expect(wordsAt(changed, field)).toBe('Other words');
        for (const other of wordsOf(block))
          if (other.field !== field) expect(wordsAt(changed, other.field)).toBe(other.text);
        expect(contentAddress(withWords(changed, field, wordsAt(block, field) ?? ''))).toBe(contentAddress(block));
      }
    expect(withWords(fresh, 'no such field', 'x')).toEqual(fresh);
  });

  it('gives a learner exactly what its learner’s schema names', () => {
    if (kind === 'teacher-note') return expect(() => forLearner(fresh)).toThrow(/no form for learners/);
    for (const block of [fresh, ...known]) {
      const given = forLearner(block);
      expect(learnerBlockSchema.parse(given)).toEqual(given);
      expect(given).not.toHaveProperty('key');
      expect(given).not.toHaveProperty('note');
      expect(given).not.toHaveProperty('audience');
    }
  });

  it('has marking rules if it asks for an answer, and none otherwise', () => {
    expect(isItem(fresh)).toBe(blockKinds[kind].item !== null);
    if (!isItem(fresh)) return expect(keyWordsOf(fresh)).toEqual([]);
    const rules = itemRules(fresh);
    const empty = 'options' in fresh ? { kind: 'choice' as const, chosen: [] } : { kind: 'text' as const, text: ' ' };
    expect(rules.isEmpty(empty)).toBe(true);
    expect(rules.minutes).toBeGreaterThan(0);
  });
});

describe('content', () => {
  it('is what its schema says, in every family of the demo', () => {
    for (const f of listOf(workspace.families)) expect(familySchema.parse(f)).toEqual(f);
  });

  it('finds every block on its page, and nothing else', () => {
    fc.assert(
      fc.property(masters, (content) => {
        for (const { block, page } of blocksOf(content)) expect(findBlock(content, block.id)).toEqual({ block, page });
        expect(findBlock(content, 'nowhere')).toBeUndefined();
        expect(contentSchema.parse(content)).toEqual(content);
        expect(doubledIds(content)).toEqual([]);
      }),
    );
  });

  it('names ids that stand twice, of pages and blocks alike', () => {
    const { content } = latest(workspace.families['puncture'] as Family);
    const [first, second] = content.pages;
    if (!first || !second) throw new Error('the demo changed');
    expect(doubledIds({ ...content, pages: [first, { ...second, id: first.id }] })).toEqual([first.id]);
    expect(doubledIds({ ...content, pages: [first, { ...second, blocks: first.blocks }] })).toEqual(
      first.blocks.map((b) => b.id),
    );
  });

  it('refuses a block of no known kind, and says which field is wrong', () => {
    expect(blockSchema.safeParse({ id: 'x', kind: 'poem', text: '' }).success).toBe(false);
    const wrong = blockSchema.safeParse({ ...everyBlock.find((b) => b.kind === 'number'), tolerance: -1 });
    expect(wrong.error?.issues.map((i) => i.path.join('.'))).toEqual(['tolerance']);
  });
});

describe('a content’s address', () => {
  it('depends on what is said, not on the order it is said in', () => {
    expect(contentAddress({ a: 1, b: [1, 2] })).toBe(contentAddress({ b: [1, 2], a: 1 }));
    expect(contentAddress({ a: 1, b: [1, 2] })).not.toBe(contentAddress({ a: 1, b: [2, 1] }));
    expect(fingerprint({ a: 1 })).toHaveLength(16);
  });

  it('is SHA-256 of the canonical JSON', () => {
    // Taken from `printf '{"a":1}' | sha256sum`.
    expect(contentAddress({ a: 1 })).toBe('015abd7f5cc57a2dd94b7590f04ad8084273905ee33ec5cebeae62276a97f862');
  });
});

describe('the tree of versions', () => {
  const family = workspace.families['rock-pool'] as Family;
  it('stands in reading order with its depths', () => {
    expect(versionTree(family).map((t) => [t.version.id, t.depth])).toEqual([
      ['rp-sup', 0],
      ['rp-oriel', 1],
      ['rp-core', 0],
      ['rp-ext', 0],
    ]);
    expect(chainOf(family, 'rp-oriel').map((v) => v.id)).toEqual(['rp-sup', 'rp-oriel']);
  });

  it('does not run in a circle, whatever a file says', () => {
    const circle: Family = {
      ...family,
      versions: family.versions.map((v) => (v.id === 'rp-sup' ? { ...v, basis: 'rp-oriel' } : v)),
    };
    expect(chainOf(circle, 'rp-oriel').map((v) => v.id)).toEqual(['rp-sup', 'rp-oriel']);
  });
});

it('a block’s words under “text” and “prompt” are its own field of that name, in every kind', () => {
  let n = 0;
  for (const kind of BLOCK_KIND_NAMES) {
    const block = freshBlock(kind, 'b', () => `n${++n}`) as Block & Record<string, unknown>;
    const fields = wordsOf(block).map((w) => w.field);
    for (const field of ['text', 'prompt'])
      expect([kind, field, wordsAt(block, field) !== undefined]).toEqual([kind, field, fields.includes(field)]);
  }
});
