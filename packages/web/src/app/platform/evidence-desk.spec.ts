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

describe('evidence from what is kept', () => {
  it('names nobody without names, nor who was removed and waits', async () => {
    learnAllRules();
    const { 'l-perran': perran, ...learners } = demo.learners;
    if (!perran) throw new Error('no Perran');
    const removed = { id: 'r', at: '2026-11-21T09:00:00.000Z', title: perran.name, what: 'learner' as const, says: '' };
    const w: Workspace = {
      ...demo,
      learners,
      folders: { 'l-oriel': { id: 'l-oriel', notes: [note], leftOut: [], stressed: [], reviews: [] } },
      removed: { r: { ...removed, learner: perran, classIds: [], groupIds: [], lines: [] } },
    };
    const boxes = await boxesWith(w);
    const desk = new EvidenceDesk(
      boxes,
      (await readGenerations(boxes))?.current ?? '',
      order,
      '2026-11-26T12:00:00.000Z',
    );
    expect(await desk.gather(() => undefined)).toBe(1);
    const text = JSON.stringify(desk.document(0)) + desk.csv() + desk.json(0) + desk.fileName(0);
    expect(text).toContain('Worked with another learner and the learner at the pool.');
    expect(text).not.toMatch(/Perran|\bOri|Penrose|Heron/);
  });
});
