import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { findBlock, itemsOf } from '../activity/activity';
import { freshItem } from '../activity/block';
import { type Block, forLearner, isItem, type ItemBlock, keyWordsOf, type LearnerBlock } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { valueOf } from '../activity/formula';
import { demoWorkspace } from '../demo/index';
import { markItem } from '../work/mark/mark-item';
import { chooseItems } from './choose-items';
import { chunksOf } from './chunk';
import { draftHint } from './drafts';
import { proposeWrong } from './propose-wrong';
import { proposeHardWords } from './glossary';
import { mixedForLearner } from './mixing';
import { drawNumbers } from './other-numbers';
import { proposeSteps } from './steps-to-tick';
import { ANSWER_WAYS, turned, waysFor } from './turning';

const demo = demoWorkspace(Date.UTC(2026, 10, 24)).families;
const content = latest(demo['rock-pool'] as Family).content;
const market = latest(demo['market'] as Family).content;
const at = (id: string) => findBlock(content, id)?.block as ItemBlock;

describe('a formula', () => {
  it.each([
    ['b - a', 7],
    ['(a + b) * 2 % 10', 6],
    ['round(b / a)', 1],
    ['-a + max(a, b)', 7],
  ])('%s', (formula, value) => expect(valueOf(formula, { a: 18, b: 25 })).toEqual({ value }));
  it.each(['a.b', 'a[0]', 'constructor', 'x()', 'a = 2', '"a"', 'a; b', '(', 'a / 0', 'a ? b : a', 'toString()'])(
    '%s is refused in words',
    (bad) => expect(valueOf(bad, { a: 1, b: 2 })).toEqual({ problem: expect.stringMatching(/\.$/) }),
  );
});

describe('other numbers', () => {
  const q8 = at('rp-q8');
  it('come by seed, within their ranges, and the key follows', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 8 }), (seed) => {
        if (q8.kind !== 'number') throw new Error('the demo changed');
        const drawn = drawNumbers(q8, seed);
        if (typeof drawn === 'string') throw new Error(drawn);
        expect(drawNumbers(q8, seed)).toEqual(drawn);
        const [a, b] = (drawn.prompt.match(/\d+/g) ?? []).map(Number);
        expect(drawn.key).toBe((b ?? 0) - (a ?? 0));
        for (const g of drawn.given ?? []) expect(g.value >= g.min && g.value <= g.max).toBe(true);
      }),
    );
  });
  it('say what is in the way', () => {
    if (q8.kind !== 'number') throw new Error('the demo changed');
    expect(drawNumbers({ ...q8, formula: 'b - c' }, 's')).toMatch(/“c” is none/);
    expect(drawNumbers({ ...q8, prompt: 'How many?' }, 's')).toMatch(/no longer stands/);
  });
});

describe('another way to answer', () => {
  it('keeps the question, its points and its key, or says why it cannot', () => {
    for (const item of [...itemsOf(content), ...itemsOf(market)])
      for (const to of ANSWER_WAYS) {
        const now = turned(item, to, ['wrong one', 'wrong two']);
        if (typeof now === 'string') expect(now).toMatch(/\.$/);
        else expect(now).toMatchObject({ id: item.id, prompt: item.prompt, points: item.points, kind: to });
      }
  });
  it('marks the carried key right, and a wrong choice wrong', () => {
    const choice = turned(at('rp-q4'), 'single-choice', ['whelk']) as Extract<Block, { kind: 'single-choice' }>;
    const given = (id: string) => markItem(choice, { kind: 'choice', chosen: [id] }).verdict;
    expect(given(choice.key)).toBe('right');
    expect(given(choice.options.find((o) => o.id !== choice.key)?.id ?? '')).toBe('not-yet');
    const typed = turned(at('rp-q1'), 'short-text') as ItemBlock;
    expect(markItem(typed, { kind: 'text', text: 'mussel' }).verdict).toBe('right');
  });
  it('says nothing of the key: another key under the same words gives a learner the same, letter for letter', () => {
    const item = (rest: object) => ({ ...freshItem('q'), prompt: 'Which?', ...rest }) as ItemBlock;
    const abc = ['crab', 'gull', 'seal'];
    const pieces = (order: readonly number[]) => order.map((i) => ({ id: `p${i}`, text: abc[i] ?? '' }));
    const pairs = (order: readonly number[]) =>
      order.map((r, i) => ({ id: `l${i}`, text: `${i + 1} shells`, match: { id: `r${r}`, text: abc[r] ?? '' } }));
    const sorting = (order: readonly number[]) => ({
      kind: 'sorting',
      groups: abc.map((text, i) => ({ id: `g${i}`, text })),
      pieces: order.map((g, i) => ({ id: `p${i}`, text: `piece ${i}`, group: `g${g}` })),
    });
    const options = pieces([0, 1, 2]);
    // The same words with one key and with another; the wrong answers that go with each.
    const twice: readonly (readonly [ItemBlock, ItemBlock, (readonly string[])?, (readonly string[])?])[] = [
      [
        item({ kind: 'short-text', key: ['crab'], spellingTolerant: true }),
        item({ kind: 'short-text', key: ['seal'], spellingTolerant: true }),
        ['gull', 'seal'],
        ['crab', 'gull'],
      ],
      [
        item({ kind: 'number', key: 5, tolerance: 0, unit: '' }),
        item({ kind: 'number', key: 12, tolerance: 0, unit: '' }),
        ['12', '9'],
        ['9', '5'],
      ],
      [item({ kind: 'single-choice', options, key: 'p0' }), item({ kind: 'single-choice', options, key: 'p2' })],
      [
        item({ kind: 'multiple-choice', options, key: ['p0', 'p1'] }),
        item({ kind: 'multiple-choice', options, key: ['p1', 'p2'] }),
      ],
      [
        item({ kind: 'matching', pairs: pairs([0, 1, 2]), extra: [] }),
        item({ kind: 'matching', pairs: pairs([2, 0, 1]), extra: [] }),
      ],
      [item({ kind: 'ordering', entries: pieces([0, 1, 2]) }), item({ kind: 'ordering', entries: pieces([2, 0, 1]) })],
      [item(sorting([0, 1, 2])), item(sorting([2, 0, 1]))],
      [item(sorting([0, 0, 1, 2])), item(sorting([2, 1, 0, 0]))],
    ];
    let compared = 0;
    for (const [one, other, wrong = [], otherWrong = []] of twice)
      for (const to of ANSWER_WAYS) {
        const [a, b] = [turned(one, to, wrong), turned(other, to, otherWrong)];
        if (typeof a === 'string' || typeof b === 'string') continue;
        expect([one.kind, to, forLearner(b)]).toEqual([one.kind, to, forLearner(a)]);
        compared++;
      }
    expect(compared).toBeGreaterThan(50);
  });
  it('says which ways there are not, and why', () => {
    const why = new Map(waysFor(at('rp-q9')).map((w) => [w.to, w.why]));
    expect(why.get('single-choice')).toMatch(/no single right answer/);
    expect(why.get('voice')).toBeNull();
  });
  it('proposes wrong answers that are right elsewhere, never here', () => {
    const wrong = proposeWrong(content, at('rp-q4'));
    expect(wrong).toEqual(expect.arrayContaining(['limpet', 'anemone']));
    expect(wrong.some((w) => keyWordsOf(at('rp-q4')).includes(w))).toBe(false);
  });
});

describe('choosing n of the items', () => {
  it('keeps every objective while n allows, and takes demand levels in turn', () => {
    const items = itemsOf(content);
    const objectives = new Set(items.map((i) => i.objectiveId));
    const chosen = items.filter((i) => chooseItems(items, objectives.size).includes(i.id));
    expect(new Set(chosen.map((i) => i.objectiveId))).toEqual(objectives);
    expect(chooseItems(items, 99)).toEqual(items.map((i) => i.id));
  });
});

describe('smaller pages', () => {
  const t = (id: string): Block => ({ id, kind: 'text', audience: 'learner', text: id });
  const passage = { ...t('p'), kind: 'passage', numbered: false } as unknown as Block;
  const q = (id: string): Block => ({ ...at('rp-q4'), id }) as Block;
  it('never part an item from the passage it needs', () => {
    const chunks = chunksOf([t('intro'), q('1'), passage, q('2'), q('3'), q('4'), t('x'), q('5'), q('6')], 2);
    expect(chunks.map((c) => c.map((b) => b.id))).toEqual([['intro', '1'], ['p', '2', '3', '4'], ['x', '5'], ['6']]);
  });
  it('hold the same blocks in the same order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('t', 'q', 'p'), { maxLength: 20 }),
        fc.integer({ min: 1, max: 6 }),
        (kinds, n) => {
          const blocks = kinds.map(
            (k, i) => ({ ...(k === 'q' ? q('') : k === 'p' ? passage : t('')), id: `${i}` }) as Block,
          );
          const chunks = chunksOf(blocks, n);
          expect(chunks.flat()).toEqual(blocks);
          expect(chunks.every((c) => c.length > 0)).toBe(true);
        },
      ),
    );
  });
});

describe('mixing', () => {
  it('is the same for the same seed, another for most others, and leaves nothing out', () => {
    const q1 = at('rp-q1') as Extract<Block, { kind: 'single-choice' }>;
    const sheet = forLearner(q1) as Extract<LearnerBlock, { kind: 'single-choice' }>;
    const mixed = (seed: string) => (mixedForLearner(sheet, seed) as typeof sheet).options;
    const order = (seed: string) =>
      mixed(seed)
        .map((o) => o.id)
        .join();
    expect(order('l1.1')).toBe(order('l1.1'));
    expect(new Set(['l1.1', 'l1.2', 'l2.1', 'l3.1', 'l4.1'].map(order)).size).toBeGreaterThan(2);
    expect(new Set(mixed('s'))).toEqual(new Set(sheet.options));
  });
});

describe('what is proposed from the words', () => {
  it('hard words: those that no common list has, and no names', () => {
    const words = proposeHardWords(content.pages[0] as (typeof content.pages)[0]);
    expect(words).toEqual(expect.arrayContaining(['retreating', 'exposes']));
    expect(words).not.toContain('the');
  });
  it('steps: from sentences, from “then”, and from list items', () => {
    const tell = (text: string) => proposeSteps({ id: 'i', kind: 'instruction', audience: 'learner', text });
    expect(tell('First, look at the picture and then write its name. Draw it.')).toEqual([
      'Look at the picture',
      'Write its name.',
      'Draw it.',
    ]);
    expect(tell('1. Look\n2. Write\n3. Count')).toEqual(['Look', 'Write', 'Count']);
  });
  it('hints: a sentence of the page with the key left open, never the answer itself', () => {
    const page = content.pages[0] as (typeof content.pages)[0];
    expect(draftHint(page, at('rp-q3'))).toMatchObject({ text: expect.stringMatching(/^Read again: “.*sudden ….*”$/) });
    for (const p of content.pages)
      for (const b of p.blocks.filter(isItem)) {
        const h = draftHint(p, b);
        if ('kind' in h && h.kind === 'hint')
          for (const k of keyWordsOf(b)) expect(` ${h.text} `).not.toContain(` ${k} `);
      }
  });
});
