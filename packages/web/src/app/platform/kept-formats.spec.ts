import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import {
  type Block,
  type Content,
  derive,
  frozenFor,
  type HandOut,
  listOf,
  readAdjustments,
  readBackup,
  readFamily,
  readingGrade,
  supportsOn,
  type Workspace,
} from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { Tab } from '../testing/tab';
import { Bulk } from './storage/bulk';
import { type BoxName, MemoryBoxes } from './storage/boxes';
import { Parts } from '../store/parts';
import { Exchange } from './storage/exchange';
import { Asides } from './storage/asides';

const kept = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(new URL(`../../../../../test-material/kept/${name}`, import.meta.url)));
const demo = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const isNewer = (id: string) => /^(?:shore-words|h-words-)/.test(id);
const older = <T extends object>(part: T): T =>
  Object.fromEntries(Object.entries(part).filter(([id]) => !isNewer(id))) as T;
/** The demo without what it had not yet when these were kept. */
const now: Workspace = {
  ...demo,
  families: older(demo.families),
  ...{ handOuts: older(demo.handOuts), copies: older(demo.copies), markings: older(demo.markings) },
};
const titles = (w: Workspace) => listOf(w.families).map((f) => f.revisions.at(-1)?.content.title);

/** What the demo gives out, without what it had not yet when these were kept: signs beside a number, pictures of words. */
function asKeptThen(content: Content): Content {
  const plain = content.pages.map((p) => ({
    ...p,
    blocks: p.blocks.map((b): Block => {
      if (b.kind === 'vocabulary') return { ...b, entries: b.entries.map(({ assetId: _, ...e }) => e) };
      if (b.kind !== 'number') return b;
      const { signs: _, ...rest } = b;
      return rest;
    }),
  }));
  return { ...content, pages: plain };
}

describe('what an earlier Lorvet wrote', () => {
  it.each([
    ['backup-1.zip', 3],
    ['backup-2.zip', 4],
    ['backup-3.zip', 4],
    ['backup-4.zip', 4],
    ['backup-5.zip', 4],
    ['backup-6.zip', 4],
    ['backup-7.zip', 4],
    ['backup-8.zip', 4],
  ])('%s comes in as it was', (name, activities) => {
    const { workspace: w } = readBackup(kept(name));
    expect(titles(w)).toEqual(titles(now).slice(0, activities));
    expect(Object.keys(w.learners)).toEqual(Object.keys(now.learners));
    expect(w.comforts['l-oriel']?.comfort.size).toBe(26);
    // A level in reading and the supports that were agreed, in whichever form they were kept.
    const oriel = w.learners['l-oriel'];
    expect(oriel && [readingGrade(oriel.needs.levels), supportsOn(oriel.needs.supports).slice(0, 2)]).toEqual([
      2.8,
      ['word bank', 'two or three choices'],
    ]);
    expect(w.copies['h-survey.l-kerra']?.goes).toEqual(now.copies['h-survey.l-kerra']?.goes);
    // What went to a learner with a decision is known since it goes there.
    const told = (of: typeof now.markings) =>
      listOf(of).map((m) => ({ ...m, responses: m.responses.map(({ released: _, origins: __, ...r }) => r) }));
    expect(told(w.markings)).toEqual(told(now.markings));
    // What was given out is what it was, for each learner, with the master's mark where there was none.
    for (const h of listOf(w.handOuts).filter((x) => x.state === 'given'))
      for (const learnerId of Object.keys(h.given)) {
        const had = frozenFor(h, w.frozen, learnerId);
        const has = frozenFor(now.handOuts[h.id] as HandOut, now.frozen, learnerId);
        expect(had?.swatch.letter).toMatch(/^[A-Z]$/);
        expect(had?.versionName).toBe(has?.versionName);
        if (/[3456].zip/.test(name)) expect(had?.content).toEqual(has && asKeptThen(has.content));
      }
    for (const c of listOf(w.copies)) expect(w.frozen[c.frozen]).toBeDefined();
    if (/[3456].zip/.test(name)) expect(now.assets).toMatchObject(w.assets);
  });

  it('family files and one of adjustments', () => {
    for (const name of ['family-1.zip', 'family-2.zip', 'family-3.zip']) {
      const { family, assets } = readFamily(kept(name), () => 'here');
      expect(family.versions.map((v) => v.name)).toEqual(['Supported', 'Core', 'Extended']);
      expect(family.versions.map((v) => v.swatch.letter)).not.toContain(family.swatch.letter);
      expect(assets).toHaveLength(1);
    }
    const { file } = readAdjustments(kept('adjustments-1.zip'));
    expect(file.adjustments.length).toBeGreaterThan(5);
  });

  it('a family whose versions spoke of the pages that a division made shows what it showed', () => {
    const { family } = readFamily(kept('family-2-in-parts.zip'), () => 'here');
    const words = (b: Block) => ('prompt' in b ? b.prompt : 'text' in b ? b.text : '');
    const shown = (id: string) => derive(family, id).content.pages.map((p) => p.blocks.map(words).join(' '));
    expect(['v0', 'v1', 'v2', 'v3', 'v4'].map(shown)).toEqual([
      ['q1 q2', 'q3 q4', 'q5 q6', 'q7', 'q8 q9'],
      ['q3 q4', 'q7'],
      ['q1 q2', 'new q3', 'q4', 'q7', 'q8 q9'],
      ['q1 q2', 'q3 q8', 'reworded q5', 'q6', 'q7', 'q9'],
      ['q4', 'q7'],
    ]);
    expect(family.versions.flatMap((v) => v.adjustments).filter((a) => /long~\d/.test(JSON.stringify(a)))).toEqual([]);
  });

  it('the browser’s own records, with what was damaged among them set aside, and what was set aside before', async () => {
    const boxes = new MemoryBoxes();
    const records = JSON.parse(new TextDecoder().decode(kept('records-1.json'))) as Record<string, { data: object }>;
    for (const [key, value] of Object.entries(records)) await boxes.first().set(key, value);
    await boxes.first().set('learners/l-jory', { format: 1, rev: 1, data: { id: 'l-jory', name: 7 } });
    await boxes.first().set('learners/long', {
      format: 1,
      rev: 1,
      data: { ...now.learners['l-oriel'], id: 'long', name: 'x'.repeat(121) },
    });
    await boxes
      .first()
      .set('aside/classes/c/1', { key: 'aside/classes/c/1', why: 'too late', at: '', data: { id: 'c' } });
    const tab = await Tab.open(boxes);
    expect(tab.work.status()).toBe('upgrading');
    const bulk = new Bulk(boxes);
    const backup = readBackup(new Uint8Array(await (await bulk.writeFirst('2026-11-25')).arrayBuffer()));
    expect(titles(backup.workspace)).toEqual(titles(now));
    await tab.get(Exchange).with(async ({ id }) => void (await bulk.fillFromFirst(id, () => undefined)), '');
    Tab.closeAll();
    const after = await Tab.open(boxes);
    expect(
      after.work
        .familyHeads()
        .map((f) => f.title)
        .sort(),
    ).toEqual(titles(now).map(String).sort());
    expect(Object.keys(after.work.doc().learners)).toHaveLength(23);
    expect(after.work.doc().learners['long']?.name).toHaveLength(120);
    expect(after.work.doc().comforts['l-oriel']?.comfort.font).toBe('lexend');
    expect(
      after
        .get(Asides)
        .all()
        .map((a) => a.key),
    ).toEqual(['classes/c', 'learners/l-jory']);
    // Opened once by itself, it is let go in its first form.
    await new Promise((done) => setTimeout(done));
    expect(await boxes.hasFirst()).toBe(false);
    Tab.closeAll();
  });

  it('the browser’s records of the present form, with what the desk reads', async () => {
    type Records = Record<string, unknown>;
    const { root, ...boxed } = JSON.parse(new TextDecoder().decode(kept('records-4.json'))) as Record<string, Records>;
    const boxes = new MemoryBoxes();
    for (const [key, value] of Object.entries(root ?? {})) await boxes.root().set(key, value);
    const { current } = (root?.['generations'] ?? {}) as { current: string };
    for (const [name, records] of Object.entries(boxed))
      for (const [key, value] of Object.entries(records)) await boxes.of(current, name as BoxName).set(key, value);
    const tab = await Tab.open(boxes);
    expect(tab.work.status()).toBe('ready');
    expect(
      tab.work
        .familyHeads()
        .map((f) => f.title)
        .sort(),
    ).toEqual(titles(now).map(String).sort());
    expect(tab.get(Asides).all()).toEqual([]);
    await tab.get(Parts).during(async (want) => {
      await want('slips', ['l-kerra']);
      const works = tab.work.index().slips['l-kerra']?.works ?? {};
      await want('sheets', [works['h-survey']?.sheet ?? '']);
      expect(tab.work.index().sheets[works['h-survey']?.sheet ?? '']?.pages.length).toBeGreaterThan(1);
    });
    Tab.closeAll();
  });

  it('is left as it was where bringing it up fails', async () => {
    const boxes = new MemoryBoxes();
    await boxes.first().set('learners/l-jory', { format: 1, rev: 1, data: now.learners['l-jory'] });
    const tab = await Tab.open(boxes);
    await expect(tab.get(Exchange).with(() => Promise.reject(new Error('full')), '')).rejects.toThrow('full');
    Tab.closeAll();
    expect((await Tab.open(boxes)).work.status()).toBe('upgrading');
    expect(await boxes.first().keys()).toEqual(['learners/l-jory']);
    Tab.closeAll();
  });
});
