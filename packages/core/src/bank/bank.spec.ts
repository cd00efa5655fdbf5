import { describe, expect, it } from '@jest/globals';
import { blocksOf, contentSchema, copyOfPage, doubledIds } from '../activity/activity';
import { type Family, latest } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { Problem } from '../formats/problem';
import { assetUses } from './assets';
import { askedObjectives } from './asked';
import { bankEntries, objectiveCoverage, pickFromBank, withPicked } from './bank';
import { readCase, readObjectivesCsv } from './objectives';

const workspace = demoWorkspace(Date.UTC(2026, 10, 24));
const families = Object.values(workspace.families);
const pool = workspace.families['rock-pool'] as Family;
let n = 0;
const newId = () => `n${++n}`;

describe('the bank', () => {
  it('holds every learner’s block and page once, and nothing of the teacher’s', () => {
    const entries = bankEntries(families);
    expect(new Set(entries.map((e) => e.id)).size).toBe(entries.length);
    expect(entries.some((e) => e.kind === 'teacher-note' || e.pageTitle === 'Answers')).toBe(false);
    expect(entries.find((e) => e.id === 'market/mk-p2/mk-q3')).toMatchObject({
      kindLabel: 'Labels on a picture',
      subject: 'Maths and daily life',
      objective: 'Sort and name everyday goods',
    });
  });

  it('says once which objectives the activities ask for, and how often all together', () => {
    const twice = askedObjectives([pool, { ...pool, id: 'other' }]);
    const once = objectiveCoverage(latest(pool).content);
    expect(twice.map((o) => [o.id, o.items])).toEqual(once.map((o) => [o.id, 2 * o.items]));
    expect(twice[0]?.activities).toEqual(['Rock-pool survey', 'Rock-pool survey']);
  });

  it('pages and items go into another master with new ids, their places, objectives and sources', () => {
    const picked = pickFromBank(workspace.families, ['market/mk-p4', 'market/mk-p2/mk-q3'], newId);
    const into = latest(pool).content;
    const content = withPicked(into, picked, 'rp-p1', newId);
    expect(contentSchema.safeParse(content).success).toBe(true);
    expect(doubledIds(content)).toEqual([]);
    expect(content.pages.map((p) => p.title)).toEqual([
      'Life between the tides',
      'From the bank',
      'At the till',
      'Who lives here?',
      'Why is it made like that?',
    ]);
    const till = content.pages[2];
    expect(Object.keys(till?.places ?? {}).sort()).toEqual(till?.blocks.map((b) => b.id).sort());
    expect(till?.source).toEqual({ familyId: 'market', revision: 1, id: 'mk-p4', title: 'Market day at the quay' });
    expect(content.pages[1]?.blocks[0]).toMatchObject({ kind: 'labels', source: { id: 'mk-q3' } });
    expect(
      objectiveCoverage(content)
        .filter((o) => o.id.startsWith('mk-'))
        .map((o) => [o.text, o.items]),
    ).toEqual([
      ['Add and compare prices', 4],
      ['Sort and name everyday goods', 1],
    ]);
  });

  it('items go between two blocks of a page where they are wanted', () => {
    const picked = pickFromBank(workspace.families, ['market/mk-p2/mk-q3'], newId);
    const content = withPicked(latest(pool).content, picked, null, newId, { pageId: 'rp-p1', after: 'rp-t1' });
    const ids = content.pages[0]?.blocks.map((b) => b.id) ?? [];
    expect(ids.indexOf(picked.blocks[0]?.id ?? '')).toBe(ids.indexOf('rp-t1') + 1);
    expect(content.pages).toHaveLength(latest(pool).content.pages.length);
  });

  it('a clean copy of a page shares no id with it, and its places follow', () => {
    const page = latest(workspace.families['market'] as Family).content.pages[3];
    if (!page) throw new Error('the demo changed');
    const copy = copyOfPage(page, newId);
    expect(copy.blocks.some((b) => page.blocks.some((o) => o.id === b.id)) || copy.id === page.id).toBe(false);
    expect(Object.keys(copy.places ?? {}).sort()).toEqual(copy.blocks.map((b) => b.id).sort());
    expect(Object.values(copy.places ?? {})).toEqual(Object.values(page.places ?? {}));
  });
});

describe('kept files', () => {
  it('are used by any revision, given sheet, answer or template; only what none uses can go', () => {
    const lone = { id: 'lone', mime: 'image/png' as const, name: 'lone.png', data: new Uint8Array(3) };
    const taken = { id: 'taken', mime: 'image/png' as const, name: 'photo', data: new Uint8Array(3) };
    const [copy] = Object.values(workspace.copies);
    if (!copy) throw new Error('the demo changed');
    const go = {
      n: 1,
      startedAt: '',
      submittedAt: null,
      answers: { q: { kind: 'media' as const, takes: ['taken'], best: 'taken' } },
    };
    const w = {
      ...workspace,
      assets: { ...workspace.assets, lone, taken },
      copies: { x: { ...copy, id: 'x', goes: [go] } },
    };
    const uses = assetUses(w);
    expect(Object.keys(w.assets).filter((id) => uses.of(id) === 0)).toEqual(['lone']);
    // A picture that the master shows no more is still shown by an earlier revision.
    const now = latest(pool);
    const bare = {
      ...now.content,
      pages: now.content.pages.map((p) => ({ ...p, blocks: p.blocks.filter((b) => b.kind !== 'picture') })),
    };
    const later = { ...pool, revisions: [...pool.revisions, { ...now, n: now.n + 1, content: bare }] };
    const picture =
      [...blocksOf(now.content)].flatMap((p) => (p.block.kind === 'picture' ? [p.block.assetId] : []))[0] ?? '';
    expect(assetUses({ ...w, frozen: {}, families: { p: later } }).of(picture)).toBeGreaterThan(0);
    expect(assetUses({ ...w, frozen: {}, families: {} }).of(picture)).toBe(0);
  });
});

describe('lists of objectives', () => {
  it('come from CSV, every bad line named', () => {
    const list = readObjectivesCsv(
      'Code,Statement,Subject\nR.1,Find a fact,Reading\nR.2,,Reading\n',
      'list.csv',
      newId,
    );
    expect(list.objectives).toMatchObject([{ code: 'R.1', text: 'Find a fact', subject: 'Reading', from: 'list.csv' }]);
    expect(list.bad).toEqual([{ line: 3, why: 'There is no objective.' }]);
    expect(() => readObjectivesCsv('a,b\n1,2', 'x', newId)).toThrow(Problem);
  });

  it('come from a CASE package: the statements that have none below them, with the framework’s own ids', () => {
    const text = JSON.stringify({
      CFDocument: { title: 'Harbour skills', subject: ['Maths'] },
      CFItems: [
        { identifier: 'top', fullStatement: 'Numbers' },
        { identifier: 'a1', fullStatement: 'Count to ten', humanCodingScheme: 'N.1', educationLevel: ['02'] },
      ],
      CFAssociations: [
        {
          associationType: 'isChildOf',
          originNodeURI: { identifier: 'a1' },
          destinationNodeURI: { identifier: 'top' },
        },
      ],
    });
    expect(readCase(text).objectives).toEqual([
      { id: 'a1', code: 'N.1', text: 'Count to ten', subject: 'Maths', ages: '02', from: 'Harbour skills' },
    ]);
    expect(() => readCase('{}')).toThrow(/not a CASE package/);
    expect(() => readCase('x')).toThrow(/not JSON/);
  });
});
