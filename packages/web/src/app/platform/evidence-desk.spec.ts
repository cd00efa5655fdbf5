import { describe, expect, it } from '@jest/globals';
import type { Workspace } from '@lorvet/core';
import { boxesWith, demo } from '../testing/kept-demo';
import { EvidenceDesk, type EvidenceOrder } from './evidence-desk';
import { readGenerations } from './storage/root';
import { learnAllRules } from './storage/all-rules';

const note = { id: 'n', on: '2026-11-20', text: 'Worked with Perran and Ori at the pool.' };
const order: EvidenceOrder = {
  ...{ learnerIds: ['l-oriel'], period: { from: '', until: '' }, title: 'Heron class', language: 'en' },
  privacy: 'without names',
};

async function deskOn(w: Workspace, of: EvidenceOrder): Promise<EvidenceDesk> {
  learnAllRules();
  const boxes = await boxesWith(w);
  return new EvidenceDesk(boxes, (await readGenerations(boxes))?.current ?? '', of, '2026-11-26T12:00:00.000Z');
}

describe('evidence from what is kept', () => {
  it('names nobody without names, nor who was removed and waits', async () => {
    const { 'l-perran': perran, ...learners } = demo.learners;
    if (!perran) throw new Error('no Perran');
    const removed = { id: 'r', at: '2026-11-21T09:00:00.000Z', title: perran.name, what: 'learner' as const, says: '' };
    const w: Workspace = {
      ...demo,
      learners,
      folders: { 'l-oriel': { id: 'l-oriel', notes: [note], leftOut: [], stressed: [], reviews: [] } },
      removed: { r: { ...removed, learner: perran, classIds: [], groupIds: [], lines: [] } },
    };
    const desk = await deskOn(w, order);
    expect(await desk.gather(() => undefined)).toBe(1);
    const texts = [desk.csv(), desk.json(0), desk.fileName(0)];
    const text = [JSON.stringify(await desk.document(0)), ...(await Promise.all(texts))].join(' ');
    expect(text).toContain('Worked with another learner and the learner at the pool.');
    expect(text).not.toMatch(/Perran|\bOri|Penrose|Heron/);
  });

  it('of more than are in memory at once is whole, in its order, whichever is asked for first', async () => {
    const ids = Array.from({ length: 70 }, (_, i) => `l-more-${i}`);
    const oriel = demo.learners['l-oriel'];
    if (!oriel) throw new Error('no Oriel');
    const more = Object.fromEntries(ids.map((id) => [id, { ...oriel, id, name: `N ${id}`, called: '' }]));
    const learnerIds = [...ids.slice(0, 65), 'gone', 'l-oriel', ...ids.slice(65)];
    const of = { ...order, learnerIds, privacy: 'full' as const };
    const desk = await deskOn({ ...demo, learners: { ...demo.learners, ...more } }, of);
    const here = learnerIds.filter((id) => id !== 'gone');
    expect(await desk.gather(() => undefined)).toBe(71);
    const list = JSON.parse(await desk.json(-1)) as { learner: { id: string; name: string }; works: unknown[] }[];
    expect(list.map((e) => e.learner.id)).toEqual(here);
    // After the last portion, the first one again; and each as it is alone.
    for (const i of [2, 65, 64, 70]) expect(JSON.parse(await desk.json(i))).toEqual(list[i]);
    expect(list[65]?.works.length).toBeGreaterThan(2);
    expect((await desk.csv()).trim().split('\r\n').length).toBeGreaterThan(20);
    const rows = (await desk.overview()).parts.find((p) => p.is === 'table');
    expect(rows?.is === 'table' && rows.rows.map((r) => r[0])).toEqual(list.map((e) => e.learner.name));
    const nobody = await deskOn(demo, { ...of, learnerIds: ['gone'] });
    expect(await nobody.gather(() => undefined)).toBe(0);
  });
});
