import { describe, expect, it } from '@jest/globals';
import type { Content, Page } from '../activity/activity';
import { type Block } from '../activity/blocks';
import type { Draft } from '../adjust/drafts';
import { recordInPlace } from '../adjust/record';
import type { Adjustment } from '../adjust/registry';
import { derive } from '../derive/derive';
import { familyOf, stamp, withVersions } from '../testing/random-family';
import { onWholePages } from './on-whole-pages';

const text = (id: string): Block => ({ id, kind: 'text', audience: 'learner', text: id });
const question = (id: string): Block => ({
  ...{ id, audience: 'learner', prompt: id, demand: 'recall', points: 1 },
  ...{ kind: 'short-text', key: ['x'], spellingTolerant: false },
});
const page = (id: string, blocks: Block[]): Page => ({ id, title: id, orientation: 'portrait', blocks });
const BASIS: Content = {
  title: 'M',
  subject: '',
  ages: '',
  objectives: [],
  pages: [page('long', ['q1', 'q2', 'q3', 'q4'].map(question)), page('short', [question('q5')])],
};

/** The long page in two parts, as a version that divides it shows it. */
const family = withVersions(familyOf(BASIS), [0]);
const divided = recordInPlace(
  family,
  'v0',
  { did: 'adjust', drafts: [{ kind: 'chunk', pages: ['long'], most: 2 }] },
  stamp,
);
const SHOWN = derive({ ...family, versions: [divided] }, 'v0').content;
const [one, two] = SHOWN.pages.map((p) => p.id);
if (!one || !two) throw new Error('the page was not divided');

const base = { id: 'a', at: '2026-09-02T08:00:00.000Z', author: 'T' };
const whole = (a: Draft, now: Content = SHOWN) => onWholePages({ ...base, ...a } as Adjustment, BASIS, SHOWN, now);
/** The pages with their blocks that come of the adjustments on the undivided basis. */
function shownBy(list: readonly Adjustment[]): Record<string, string[]> {
  const versions = family.versions.map((v) => ({ ...v, adjustments: [...list] }));
  const { pages } = derive({ ...family, versions }, 'v0').content;
  return Object.fromEntries(pages.map((p) => [p.id, p.blocks.map((b) => b.id)]));
}

it('the page stands in two parts', () => {
  expect(SHOWN.pages.map((p) => p.blocks.map((b) => b.id))).toEqual([['q1', 'q2'], ['q3', 'q4'], ['q5']]);
});

describe('what was done to a part, where the pages are whole again', () => {
  const leave = (target: string): Draft => ({ kind: 'leave-out', what: 'page', target, was: '' });

  it('a part left out leaves its own blocks out, under ids of their own; an undivided page goes as a page', () => {
    const list = whole(leave(two));
    expect(shownBy(list)).toEqual({ long: ['q1', 'q2'], short: ['q5'] });
    expect(new Set(list.map((a) => a.id)).size).toBe(list.length);
    expect(shownBy(whole(leave('short')))).toEqual({ long: ['q1', 'q2', 'q3', 'q4'] });
    expect(whole(leave('gone'))).toEqual([]);
  });

  it('but not a block that was moved away from it meanwhile', () => {
    const now = {
      ...BASIS,
      pages: [page(one, ['q1', 'q2'].map(question)), page(two, [question('q4')]), page('short', [question('q5')])],
    };
    expect(whole(leave(two), now).map((a) => 'target' in a && a.target)).toEqual(['q4']);
  });

  it('keeping some parts leaves the others’ blocks out; keeping whole pages still keeps pages', () => {
    const keep = (pages: string[]): Draft => ({ kind: 'keep-pages', pages, known: SHOWN.pages.map((p) => p.id) });
    expect(shownBy(whole(keep([one, 'short'])))).toEqual({ long: ['q1', 'q2'], short: ['q5'] });
    const pages = whole(keep([one, two]));
    expect(pages).toMatchObject([{ kind: 'keep-pages', pages: ['long'], known: ['long', 'short'] }]);
    expect(shownBy(pages)).toEqual({ long: ['q1', 'q2', 'q3', 'q4'] });
  });

  it('what is about several parts is about the page, once', () => {
    expect(whole({ kind: 'chunk', pages: [one, two, 'short'], most: 1 })).toMatchObject([{ pages: ['long', 'short'] }]);
  });

  it('a part that was moved takes its page along', () => {
    expect(Object.keys(shownBy(whole({ kind: 'move', what: 'page', target: two, after: 'short' })))).toEqual([
      'short',
      'long',
    ]);
    expect(Object.keys(shownBy(whole({ kind: 'move', what: 'page', target: 'short', after: null })))).toEqual([
      'short',
      'long',
    ]);
  });

  it('a block that was moved or added stands after the same block; at a part’s top, after the part before it', () => {
    const added = (at: string, after: string | null): Draft => ({
      kind: 'insert-block',
      page: at,
      after,
      block: text('new'),
    });
    expect(shownBy(whole(added(two, 'q3')))['long']).toEqual(['q1', 'q2', 'q3', 'new', 'q4']);
    expect(shownBy(whole(added(two, null)))['long']).toEqual(['q1', 'q2', 'new', 'q3', 'q4']);
    expect(shownBy(whole(added(one, null)))['long']).toEqual(['new', 'q1', 'q2', 'q3', 'q4']);
    const moved: Draft = { kind: 'move', what: 'block', target: 'q5', page: two, after: 'q3' };
    expect(shownBy(whole(moved))['long']).toEqual(['q1', 'q2', 'q3', 'q5', 'q4']);
  });

  it('a page that was added, or taken from elsewhere, stands after the whole page', () => {
    const fresh: Draft = { kind: 'insert-page', after: one, page: page('new', [text('t')]) };
    expect(Object.keys(shownBy(whole(fresh)))).toEqual(['long', 'new', 'short']);
  });

  it('what is about a block alone stays as it is', () => {
    const hint = { kind: 'extra-time', minutes: 5 } as unknown as Draft;
    expect(whole(hint)).toEqual([{ ...base, ...hint }]);
    const out: Draft = { kind: 'leave-out', what: 'block', target: 'q3', was: '' };
    expect(whole(out)).toEqual([{ ...base, ...out }]);
  });
});
