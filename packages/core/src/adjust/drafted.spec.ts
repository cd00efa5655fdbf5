import { freshItem } from '../activity/block';
import { describe, expect, it } from '@jest/globals';
import { findBlock } from '../activity/activity';
import type { Block } from '../activity/blocks';
import { type Family, latest, versionOf } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { stamp } from '../testing/random-family';
import { pendingUpkeep } from '../upkeep/resolve';
import { CannotRecord } from './cannot-record';
import { withDrafts } from './drafted';
import {
  type Draft,
  draftChooseItems,
  draftFewerChoices,
  draftFlap,
  draftGlossary,
  draftHint,
  draftOtherAnswer,
  draftOtherNumbers,
  draftStarters,
  draftSteps,
  draftWordBank,
  isDraft,
  type Proposal,
  proposeDistractors,
} from './drafts';

const pool = demoWorkspace(Date.UTC(2026, 10, 24)).families['rock-pool'] as Family;
const content = latest(pool).content;
const b = (id: string) => findBlock(content, id)?.block as Block;
const page = (n: number) => content.pages[n] as (typeof content.pages)[number];
const sure = (p: Proposal): Draft => {
  if (!isDraft(p)) throw new Error(p.why);
  return p;
};
function record(drafts: readonly Draft[], family = pool, id = 'rp-ext', name?: string): Family {
  const version = versionOf(family, id);
  if (!version) throw new Error('no version');
  const next = withDrafts(family, version, drafts, stamp, name);
  return { ...family, versions: family.versions.map((v) => (v.id === id ? next : v)) };
}
const mine = (f: Family, id = 'rp-ext') => versionOf(f, id)?.adjustments ?? [];
const fresh = (f: Family, id = 'rp-ext') => mine(f, id).filter((a) => !mine(pool, id).includes(a));

describe('drafts written down', () => {
  it('change nothing where there are none', () => {
    expect(record([]).versions).toEqual(pool.versions);
  });

  it('are a batch with a name only where there are several', () => {
    const both = fresh(record([draftFlap(b('rp-q4')), draftFlap(b('rp-q5'))].map(sure), pool, 'rp-ext', 'two flaps'));
    expect(both).toHaveLength(2);
    expect(both[0]?.batch).toEqual({ id: expect.any(String), name: 'two flaps' });
    expect(both[1]?.batch).toEqual(both[0]?.batch);
    expect(fresh(record([sure(draftFlap(b('rp-q4')))], pool, 'rp-ext', 'one flap'))[0]?.batch).toBeUndefined();
  });

  it('a block moved once more goes after all else, so that what stands behind it stays where it was put', () => {
    const [p1, p2, p3] = [page(0).id, page(1).id, page(2).id];
    const to = (at: string, after: string | null): Draft => ({
      kind: 'move',
      what: 'block',
      target: 'rp-q4',
      page: at,
      after,
    });
    const added: Draft = {
      kind: 'insert-block',
      page: p1,
      after: 'rp-q4',
      block: { id: 'said', kind: 'text', audience: 'learner', text: 'Look again.' },
    };
    const behind = record([to(p3, null)], record([added], record([to(p1, page(0).blocks[0]?.id ?? null)])));
    expect(pendingUpkeep(behind).entries.filter((e) => e.versionId === 'rp-ext')).toEqual([]);
    expect(findBlock(derive(behind, 'rp-ext').whole, 'said')?.page.id).toBe(p1);
    expect(findBlock(derive(behind, 'rp-ext').whole, 'rp-q4')?.page.id).toBe(p3);
    // Where nothing stands behind it, one move is kept.
    const twice = record([to(p2, null)], record([to(p3, null)]));
    expect(fresh(twice).filter((a) => a.kind === 'move')).toMatchObject([{ page: p2 }]);
  });

  it('take the place of what was there for the same thing, under its id and where it stood', () => {
    const once = record([sure(draftFewerChoices(b('rp-q1'), 3)), sure(draftFlap(b('rp-q4')))]);
    const again = record([sure(draftFewerChoices(b('rp-q1'), 2))], once);
    expect(mine(again).map((a) => a.id)).toEqual(mine(once).map((a) => a.id));
    const question = findBlock(derive(again, 'rp-ext').content, 'rp-q1')?.block;
    expect(question).toMatchObject({ options: { length: 2 } });
  });

  it('know the whole page where they were made on a smaller one', () => {
    const small = record([{ kind: 'chunk', most: 2, pages: [] }]);
    const shown = derive(small, 'rp-ext').content.pages;
    expect(shown.length).toBeGreaterThan(content.pages.length);
    const part = shown.find((p) => p.blocks.some((x) => x.id === 'rp-q6'));
    if (!part) throw new Error('no part');
    const further: Block = { id: 'further', kind: 'text', audience: 'learner', text: 'Look again.' };
    const done = record(
      [{ kind: 'insert-block', page: part.id, after: part.blocks.at(-1)?.id ?? null, block: further }],
      small,
    );
    const a = fresh(done).find((x) => x.kind === 'insert-block');
    expect(a).toMatchObject({ page: 'rp-p2' });
    // And it stays where it is once the pages are whole again.
    const whole = {
      ...done,
      versions: done.versions.map((v) =>
        v.id === 'rp-ext' ? { ...v, adjustments: v.adjustments.filter((x) => x.kind !== 'chunk') } : v,
      ),
    };
    expect(findBlock(derive(whole, 'rp-ext').content, 'further')?.page.id).toBe('rp-p2');
  });

  it('hold what the basis looks like, not what this version makes of it: upkeep asks nothing', () => {
    const reworded = record([
      { kind: 'reword', target: 'rp-i2', field: 'text', was: 'x', now: 'Write the names.' } as Draft,
    ]);
    const shown = findBlock(derive(reworded, 'rp-ext').content, 'rp-i2')?.block as Block;
    const steps = draftSteps(shown, 1, stamp.newId);
    const done = record([sure(steps)], reworded);
    expect(fresh(done).at(-1)).toMatchObject({ was: (b('rp-i2') as { text: string }).text });
    expect(pendingUpkeep(done).entries.filter((e) => e.adjustmentId === fresh(done).at(-1)?.id)).toEqual([]);
  });

  it('say in words what fits nothing, and record none of it', () => {
    const lost: Draft = { kind: 'flap', target: 'no-such', text: 'x', was: [] };
    expect(() => record([lost])).toThrow(CannotRecord);
    expect(() => record([{ kind: 'chunk', most: 0, pages: [] }])).toThrow(/^This cannot be recorded: .+\.$/);
    expect(() => record([{ kind: 'keep-pages', pages: [], known: content.pages.map((p) => p.id) }])).toThrow(
      CannotRecord,
    );
  });

  it('a block moved after itself stays where it is', () => {
    const before = derive(pool, 'rp-ext').content.pages.map((p) => p.blocks.map((x) => x.id));
    const done = record([{ kind: 'move', what: 'block', target: 'rp-q5', page: 'rp-p2', after: 'rp-q5' }]);
    expect(derive(done, 'rp-ext').content.pages.map((p) => p.blocks.map((x) => x.id))).toEqual(before);
  });
});

describe('what cannot be proposed says why', () => {
  const none = { ...b('rp-q4'), key: [] } as Block;
  it.each<[string, Proposal, RegExp]>([
    ['choices of a text', draftFewerChoices(b('rp-t1'), 2), /no choices/],
    ['choices that are few already', draftFewerChoices(b('rp-q1'), 9), /no more than 9/],
    ['a bank without keys', draftWordBank(content, page(2), 1, stamp.newId), /No short answer/],
    ['a hint for a text', draftHint(page(0), b('rp-t1')), /Only a question/],
    ['a hint beside a hint', draftHint(page(0), { ...b('rp-q3'), hint: 'Wet.' } as Block), /a hint already/],
    ['a hint to no key', draftHint(page(1), none), /no key/],
    ['steps of a question', draftSteps(b('rp-q1'), 2, stamp.newId), /Only an instruction/],
    ['one step', draftSteps({ ...b('rp-i2'), text: 'Look.' } as Block, 2, stamp.newId), /no more than one step/],
    ['a flap without a key', draftFlap(none), /no key/],
    ['starters of a short answer', draftStarters(b('rp-q4')), /Only a long answer/],
    ['another way for a text', draftOtherAnswer(b('rp-t1'), 'drawing', []), /no answer/],
    ['choices without wrong answers', draftOtherAnswer(b('rp-q9'), 'single-choice', []), /\.$/],
    ['other numbers without a formula', draftOtherNumbers(b('rp-q7'), 's'), /name them in the master/],
    ['more questions than there are', draftChooseItems(content, [], 99), /only 11 questions/],
    ['a glossary of words nobody explains', draftGlossary(page(0), 5, () => undefined, stamp.newId), /shipped list/],
  ])('%s', (_, proposal, why) => {
    expect(proposal).toEqual({ why: expect.stringMatching(why) });
  });
});

describe('what is proposed', () => {
  it('a bank holds every key of the page and words of other pages, of the same sort and objective', () => {
    const bank = sure(draftWordBank(content, page(1), 0, stamp.newId));
    if (bank.kind !== 'word-bank') throw new Error('no bank');
    expect([...bank.words].sort()).toEqual(['anemone', 'crab', 'limpet']);
    const asked = { ...freshItem('x'), kind: 'short-text', spellingTolerant: false, objectiveId: 'rp-o1' } as const;
    const elsewhere = (...keys: string[]) => ({
      ...page(2),
      id: 'more',
      blocks: keys.map((key, i) => ({ ...asked, id: `x${i}`, prompt: 'It has a shell.', key: [key] }) as Block),
    });
    const more = { ...content, pages: [...content.pages, elsewhere('whelk', '8:40', 'yes', '3 limpets')] };
    expect(proposeDistractors(more, page(1), 9)).toContain('whelk');
    const larger = sure(draftWordBank(more, page(1), 3, stamp.newId));
    expect(larger.kind === 'word-bank' && larger.words).toEqual(['anemone', 'crab', 'limpet', 'whelk']);
    // Rain among animals would say itself: no other question is for the same objective.
    expect(draftWordBank(content, page(0), 2, stamp.newId)).toEqual({ why: expect.stringMatching(/one word/) });
  });
  it('a glossary leaves out what a question of the page asks for', () => {
    const explained = sure(draftGlossary(page(0), 20, (w) => ({ meaning: `what ${w} means` }), stamp.newId));
    if (explained.kind !== 'glossary') throw new Error('no glossary');
    const words = explained.entries.map((e) => e.word);
    expect(words).toContain('seaweed');
    expect(words).not.toContain('mussel');
    expect(new Set(explained.entries.map((e) => e.id)).size).toBe(words.length);
  });
  it('steps leave out what only says what something is', () => {
    const text = 'A puncture is a small hole. Lift the tyre, then pull out the tube. Find the hole.';
    const draft = sure(draftSteps({ id: 't', kind: 'text', audience: 'learner', text }, 2, stamp.newId));
    expect(draft).toMatchObject({
      steps: [{ text: 'Lift the tyre' }, { text: 'Pull out the tube.' }, { text: 'Find the hole.' }],
    });
  });
});

describe('done again to the same thing', () => {
  it('fewer choices leave out further ones, and bring none back', () => {
    const three = record([sure(draftFewerChoices(b('rp-q1'), 3))]);
    const shown = findBlock(derive(three, 'rp-ext').content, 'rp-q1')?.block as Block;
    const two = record([sure(draftFewerChoices(shown, 2))], three);
    expect(findBlock(derive(two, 'rp-ext').content, 'rp-q1')?.block).toMatchObject({
      options: [{ text: 'Mussel' }, { text: 'Jellyfish' }],
    });
    expect(mine(two).filter((a) => a.kind === 'fewer-choices')).toHaveLength(1);
  });
  it('mixing takes more in, and leaves none out', () => {
    const one = record([{ kind: 'mix-up', targets: ['rp-q1'] }]);
    const both = record([{ kind: 'mix-up', targets: ['rp-q2'] }], one);
    expect(mine(both).at(-1)).toMatchObject({ kind: 'mix-up', targets: ['rp-q1', 'rp-q2'] });
  });
  it('a bank stays where it stands, under its id', () => {
    const draft = () => sure(draftWordBank(content, page(1), 0, stamp.newId));
    const once = record([draft()]);
    const shown = derive(once, 'rp-ext').content;
    const again = record(
      [sure(draftWordBank(shown, shown.pages[1] as (typeof shown.pages)[number], 2, stamp.newId))],
      once,
    );
    const banks = derive(again, 'rp-ext').content.pages.map((p) => p.blocks.filter((x) => x.kind === 'word-bank'));
    expect(banks.map((x) => x.length)).toEqual([0, 1, 0]);
    expect(banks[1]?.[0]?.id).toBe(shown.pages[1]?.blocks.find((x) => x.kind === 'word-bank')?.id);
    expect(pendingUpkeep(again).entries.filter((e) => e.versionId === 'rp-ext')).toEqual([]);
  });
});
