import { describe, expect, it } from '@jest/globals';
import type { Family } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { unsoundIn } from '../formats/family-file';
import type { CollectionName } from '../collections';
import { recordSchemas } from '../workspace';
import { repaired } from './repair-records';

const demo = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const pool = demo.families['rock-pool'] as Family;
const learner = demo.learners['l-jory'];
const copy = demo.copies['h-survey.l-kerra'];
const page = pool.revisions[0]?.content.pages[0];
const long = (n: number) => 'x'.repeat(n);
const withPage = (change: object) => ({
  ...pool,
  revisions: pool.revisions.map((r, i) =>
    i === 0 ? { ...r, content: { ...r.content, pages: [{ ...page, ...change }, ...r.content.pages.slice(1)] } } : r,
  ),
});
const go = (answers: object) => ({ ...copy, goes: [{ n: 1, startedAt: '', submittedAt: null, answers }] });
const stroke = { colour: 'ink', width: 1, points: Array.from({ length: 12_300 }, (_, i) => i % 100) };
const block = (i: number) => ({ id: `b${i}`, kind: 'text', audience: 'learner', text: `${i}` });

describe('a record that cannot be read', () => {
  it.each<[string, CollectionName, unknown, RegExp, number]>([
    ['a learner’s name of 121 letters', 'learners', { ...learner, name: long(121) }, /name: cut after 120 of 121/, 1],
    [
      'a class of 2001',
      'classes',
      { id: 'c', name: 'C', learnerIds: Array.from({ length: 2001 }, (_, i) => `l${i}`) },
      /2001 learners are in 2 parts/,
      2,
    ],
    ['a page title of 201 letters', 'families', withPage({ title: long(201) }), /title: cut after 200 of 201/, 1],
    [
      'a page of 900 blocks',
      'families',
      withPage({ blocks: Array.from({ length: 900 }, (_, i) => block(i)) }),
      /900 blocks is 3 pages/,
      1,
    ],
    ['an answer of 20,001 letters', 'copies', go({ q: { kind: 'text', text: long(20_001) } }), /cut after 20000/, 1],
    [
      'a minute’s stroke',
      'copies',
      go({ q: { kind: 'drawing', strokes: [stroke], words: [] } }),
      /a long stroke is 2 strokes/,
      1,
    ],
    ['a record called __proto__', 'learners', { ...learner, id: '__proto__' }, /cannot be an id/, 1],
  ])('%s is mended, and what was done is said', (_, collection, record, note, n) => {
    expect(recordSchemas[collection].safeParse(record).success).toBe(false);
    const out = repaired(collection, record);
    expect(out?.notes.join('; ')).toMatch(note);
    expect(out?.records).toHaveLength(n);
    for (const r of out?.records ?? []) expect(recordSchemas[collection].safeParse(r).success).toBe(true);
  });

  it('keeps every point of a stroke and every learner of a class', () => {
    const drawn = repaired('copies', go({ q: { kind: 'drawing', strokes: [stroke], words: [] } }));
    const strokes = JSON.parse(JSON.stringify(drawn?.records[0])).goes[0].answers.q.strokes as { points: number[] }[];
    expect(strokes.flatMap((s) => s.points)).toEqual(stroke.points);
    expect(strokes.every((s) => s.points.length % 3 === 0)).toBe(true);
  });

  it.each<[string, Partial<Family>]>([
    ['two versions of one id', { versions: pool.versions.map((v) => ({ ...v, id: 'same' })) }],
    ['a basis that is not there', { versions: pool.versions.map((v) => ({ ...v, basis: 'gone' })) }],
    [
      'versions made on each other',
      { versions: pool.versions.map((v, i, all) => ({ ...v, basis: all[(i + 1) % all.length]?.id ?? null })) },
    ],
    ['revisions out of order', { revisions: [...pool.revisions].reverse() }],
    ['a block that stands twice', withPage({ blocks: [block(1), block(1)] }) as Family],
  ])('a family with %s is numbered anew', (_, wrong) => {
    const family = { ...pool, ...wrong };
    expect(unsoundIn(family).length).toBeGreaterThan(0);
    const out = repaired('families', family);
    expect(unsoundIn(out?.records[0] as Family)).toEqual([]);
    expect((out?.records[0] as Family).versions).toHaveLength(pool.versions.length);
  });

  it('whose fault is not known is left as it is', () => {
    expect(repaired('learners', { ...learner, name: 7 })).toBeNull();
    expect(repaired('families', 'hello')).toBeNull();
    expect(repaired('copies', null)).toBeNull();
  });
});
