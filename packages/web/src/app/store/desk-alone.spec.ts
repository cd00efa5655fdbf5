import { migrateRecord } from '@lorvet/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { boxesWithDemo, dataOf, GENERATION, kerra, textAnswer } from '../testing/kept-demo';
import { Tab } from '../testing/tab';
import { Asides } from '../platform/storage/asides';
import type { MemoryBoxes } from '../platform/storage/boxes';
import { DeskActions } from './actions';
import { Parts } from './parts';

/*
 * What is known of records is known to the whole page: these follow each other, as they do for a learner who sits down
 * and a teacher who comes after.
 */
describe('a page that was opened at the desk', () => {
  let boxes: MemoryBoxes;
  let tab: Tab;
  const torn = { format: 4, rev: 1, place: 1, data: { id: 'l-jory' } };

  beforeAll(async () => {
    localStorage.clear();
    boxes = await boxesWithDemo();
    await boxes.of(GENERATION, 'heads').set('learners/l-jory', torn);
    tab = await Tab.open(boxes, 'the desk');
  });
  afterAll(() => Tab.closeAll());

  it('has the classes at the door, and nothing of the teacher’s in memory', () => {
    expect(tab.work.index().door['door']?.classes.length).toBeGreaterThan(0);
    expect(Object.keys(tab.work.comforts()).length).toBeGreaterThan(0);
    const { comforts: _, ...others } = tab.work.doc();
    expect(Object.values(others).every((records) => Object.keys(records).length === 0)).toBe(true);
    expect([tab.work.familyHeads(), tab.work.handOutHeads()]).toEqual([[], []]);
  });

  it('leaves what it cannot read as it is', async () => {
    expect(tab.get(Asides).all()).toEqual([]);
    expect(await boxes.of(GENERATION, 'heads').get('learners/l-jory')).toEqual(torn);
  });

  it('keeps answers, and how far they are', async () => {
    const copy = {
      ...kerra,
      goes: kerra.goes.slice(0, 1).map((go) => ({ ...go, submittedAt: null, answers: { q: textAnswer('Here') } })),
    };
    await tab.get(Parts).during((want) => want('copies', [kerra.id]));
    tab.work.dispatch(DeskActions.copySaved({ copy }));
    await tab.sync.flush();
    expect(tab.keeper.saved()).toBe(true);
    expect(await dataOf(boxes, 'bodies', `copies/${kerra.id}`)).toEqual(copy);
    expect(await dataOf(boxes, 'heads', 'states/h-survey')).toMatchObject({
      states: { working: expect.stringContaining('kerra') },
    });
  });

  it('leaves complete what the teacher completed, when its learner opens it', async () => {
    const id = 'h-survey.l-perran';
    await tab.get(Parts).during(async (want) => {
      await want('slips', ['l-perran']);
      await want('copies', [id]);
      const copy = tab.work.copies()[id];
      if (!copy) throw new Error('no copy is held');
      tab.work.dispatch(DeskActions.copySaved({ copy: { ...copy, seenAt: '2026-11-24T09:00:00.000Z' } }));
      await tab.sync.flush();
    });
    expect(await dataOf(boxes, 'heads', 'states/h-survey')).toMatchObject({
      states: { complete: expect.stringContaining('perran') },
    });
  });

  it('has no kind of record that a step from an earlier format changes: such a one is brought up with the teacher’s', () => {
    for (const kind of ['comforts', 'copies', 'assets', 'states', 'door', 'slips', 'sheets', 'flaps'])
      expect(migrateRecord(kind, 4, kerra)).toBe(kerra);
  });

  it('opens the rest with the first of the teacher’s places: damaged ones aside, the answers still there', async () => {
    const copies = tab.work.copies();
    await tab.sync.openAll();
    expect(Object.keys(tab.work.doc().learners)).toHaveLength(22);
    expect(tab.work.familyHeads()).toHaveLength(5);
    expect(tab.get(Asides).all()).toMatchObject([{ key: 'learners/l-jory' }]);
    expect(tab.work.copies()).toBe(copies);
    const heads = tab.work.familyHeads();
    await tab.sync.openAll();
    expect(tab.work.familyHeads()).toBe(heads);
  });
});
