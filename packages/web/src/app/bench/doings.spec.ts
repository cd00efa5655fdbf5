import { describe, expect, it } from '@jest/globals';
import { type Block, derive, type Family, recordInPlace } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { actName, type Doing, DOINGS, type Selection, settled } from './doings';

const demo = demoWorkspace(Date.UTC(2026, 10, 24)).families;
const pool = demo['rock-pool'] as Family;
const { content } = derive(pool, 'rp-ext');
const tools = {
  lexicon: (w: string) => ({ meaning: `what ${w} means` }),
  newId: (() => {
    let n = 0;
    return () => `n${++n}`;
  })(),
};
const chosen = (...ids: string[]): Selection => {
  const blocks = content.pages.flatMap((p) => p.blocks.filter((b: Block) => ids.includes(b.id)));
  const pages = ids.length ? content.pages.filter((p) => p.blocks.some((b) => ids.includes(b.id))) : content.pages;
  return { content, blocks, pages };
};
const SELECTIONS: readonly (readonly [string, Selection])[] = [
  ['nothing', chosen()],
  ['one choice', chosen('rp-q1')],
  ['one text', chosen('rp-t1')],
  ['one instruction', chosen('rp-i2')],
  ['one number', chosen('rp-q8')],
  ['a long answer', chosen('rp-q9')],
  ['several questions', chosen('rp-q4', 'rp-q5', 'rp-q6')],
];
/** What a teacher would type where a doing needs words. */
const TYPED: Record<string, string> = {
  title: 'Count the weed',
  steps: 'Look\nCount',
  prompt: 'And why?',
  now: 'Draw it in your notebook.',
  by: 'boats: How many boats do you see?',
  wrong: 'whelk\nshrimp',
};
const values = (d: Doing, s: Selection, typed: boolean) =>
  Object.fromEntries(d.fields(s).map((f) => [f.name, (typed && TYPED[f.name]) || f.value]));

describe('every doing that suits what is chosen', () => {
  for (const [name, s] of SELECTIONS)
    for (const d of DOINGS.filter((x) => x.suits(s)))
      it(`${d.id}, with ${name} chosen: fits, or says why not`, () => {
        const { drafts, why } = settled(d.drafts(s, values(d, s, true), tools));
        expect(drafts.length + why.length).toBeGreaterThan(0);
        for (const w of why) expect(w).toMatch(/\.$/);
        if (drafts.length === 0) return;
        const stamp = { at: '', author: '', newId: tools.newId };
        const version = recordInPlace(pool, 'rp-ext', { did: 'adjust', drafts, name: d.label }, stamp);
        const family = { ...pool, versions: pool.versions.map((v) => (v.id === 'rp-ext' ? version : v)) };
        const mine = derive(family, 'rp-ext').reports.filter((r) => r.versionId === 'rp-ext');
        expect(mine.filter((r) => r.status === 'skipped')).toEqual([]);
      });
});

describe('what needs words', () => {
  it.each(['worked-example', 'extension', 'instructions', 'by-interest'])('%s asks for them', (id) => {
    const d = DOINGS.find((x) => x.id === id) as Doing;
    const s = chosen(id === 'instructions' ? 'rp-i2' : 'rp-q1');
    expect(settled(d.drafts(s, values(d, s, false), tools)).drafts).toEqual([]);
  });
});

it('is called by how many places it changed', () => {
  const d = DOINGS.find((x) => x.id === 'flap') as Doing;
  const { drafts } = settled(d.drafts(chosen('rp-q4', 'rp-q5', 'rp-q6'), {}, tools));
  expect(actName(d, drafts)).toBe('flap to check in 3 places');
  expect(actName(d, drafts.slice(1, 2))).toBe('flap to check');
});
