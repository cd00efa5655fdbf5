import { describe, expect, it } from '@jest/globals';
import { doubledIds } from '../activity/activity';
import { type Family, latest } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { stamp } from '../testing/random-family';
import { takenTogether, type TakenPlace } from './from-activity';
import { recordInPlace } from './record';

const demo = demoWorkspace(Date.UTC(2026, 10, 24)).families;
const pool = demo['rock-pool'] as Family;
const from = { familyId: 'puncture', revision: 1, content: latest(demo['puncture'] as Family).content };
const [first, second] = from.content.pages;
if (!first || !second) throw new Error('the demo changed');
const [a, b] = first.blocks;
const [c] = second.blocks;
if (!a || !b || !c) throw new Error('the demo changed');

let n = 0;
const newId = () => `t${++n}`;
const host = derive(pool, 'rp-ext').content.pages[1];
if (!host) throw new Error('the demo changed');
const place = (afterBlock: string | null): TakenPlace => ({ afterPage: host.id, onPage: host.id, afterBlock });

/** The version with all of it taken. */
function taken(picked: readonly string[], at: TakenPlace) {
  const parts = takenTogether(from, new Set(picked), at, newId);
  const drafts = parts.map((p) => ({ kind: 'from-activity' as const, follow: false, ...p }));
  const version = recordInPlace(pool, 'rp-ext', { did: 'adjust', drafts, name: 'taken' }, stamp);
  return derive({ ...pool, versions: pool.versions.map((v) => (v.id === 'rp-ext' ? version : v)) }, 'rp-ext').content;
}
/** What stands there, by its source where it came from elsewhere, else by its own id. */
const standing = (list: readonly { id: string }[]) =>
  list.map((x) => (x as { source?: { id: string } }).source?.id ?? x.id);

describe('parts of another activity taken together', () => {
  it('stand one after the other, in the order they had there, whatever the order of choosing', () => {
    const blocks = taken([c.id, b.id, a.id], place(null)).pages.find((p) => p.id === host.id)?.blocks ?? [];
    expect(standing(blocks)).toEqual([a.id, b.id, c.id, ...host.blocks.map((x) => x.id)]);
  });

  it('stand after the block that was asked for', () => {
    const after = host.blocks[0]?.id ?? '';
    const blocks = taken([a.id, b.id], place(after)).pages.find((p) => p.id === host.id)?.blocks ?? [];
    expect(standing(blocks).slice(0, 4)).toEqual([after, a.id, b.id, host.blocks[1]?.id]);
  });

  it('a block of a page that is taken too comes with its page, and once', () => {
    const content = taken([second.id, first.id, a.id], place(null));
    const at = content.pages.findIndex((p) => p.id === host.id);
    expect(standing(content.pages.slice(at, at + 3))).toEqual([host.id, first.id, second.id]);
    expect(content.pages.find((p) => p.id === host.id)?.blocks).toHaveLength(host.blocks.length);
    expect(doubledIds(content)).toEqual([]);
  });

  it('taken twice are two, each with ids of its own', () => {
    const content = taken([first.id], place(null));
    const parts = [...takenTogether(from, new Set([first.id]), place(null), newId)];
    const again = parts[0]?.part;
    const known = new Set(content.pages.flatMap((p) => [p.id, ...p.blocks.map((x) => x.id)]));
    const ids = again?.what === 'page' ? [again.page.id, ...again.page.blocks.map((x) => x.id)] : [];
    expect(ids.length).toBeGreaterThan(1);
    expect(ids.filter((id) => known.has(id))).toEqual([]);
  });

  it('what is not there, or a block without a page to stand on, is not taken', () => {
    expect(takenTogether(from, new Set(['nothing']), place(null), newId)).toEqual([]);
    expect(takenTogether(from, new Set([a.id]), { afterPage: null, onPage: null, afterBlock: null }, newId)).toEqual(
      [],
    );
  });
});
