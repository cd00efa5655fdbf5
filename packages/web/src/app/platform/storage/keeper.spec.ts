import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { type Copy, type Family, NEW_CLASS } from '@lorvet/core';
import { boxesWithDemo, dataOf, demo, jory, kerra, renamed, rest, textAnswer } from '../../testing/kept-demo';
import { FatedBoxes, Tab } from '../../testing/tab';
import { DeskActions, LearnersActions } from '../../store/actions';
import { Parts } from '../../store/parts';
import type { MemoryBoxes } from './boxes';

const family = demo.families['rock-pool'] as Family;
let boxes: MemoryBoxes;
beforeEach(async () => {
  localStorage.clear();
  boxes = await boxesWithDemo();
});

afterEach(() => Tab.closeAll());

describe('what is kept', () => {
  it('is there after a reload, in its order, and nothing was read but the heads', async () => {
    const tab = await Tab.open(boxes);
    tab.work.dispatch(renamed('Jory of the Rocks'));
    await tab.sync.flush();
    expect(tab.keeper.saved()).toBe(true);
    const again = await Tab.open(boxes);
    expect(Object.keys(again.work.doc().learners)).toEqual(Object.keys(demo.learners));
    expect(again.work.doc().learners['l-jory']?.name).toBe('Jory of the Rocks');
    expect(again.work.index().door['door']?.classes[0]?.learners.map((l) => l.name)).toContain('Jory of the Rocks');
    expect(again.work.familyHeads().map((f) => f.title)).toEqual([
      'Rock-pool survey',
      'Catching the right bus',
      'Mending a puncture',
      'Market day at the quay',
      'Shore words',
    ]);
    expect(again.work.doc().families).toEqual({});
    expect(again.work.doc().copies).toEqual({});
  });

  it('is written whole or not at all: killed anywhere in a step of many records, each is as before or as after', async () => {
    const wanted = new Map<string, unknown>();
    for (let kill = 0; kill < 12; kill++) {
      const mine = await boxesWithDemo();
      let left = kill;
      const tab = await Tab.open(
        new FatedBoxes(mine, ({ op }) => ((op !== 'set' && op !== 'remove') || left-- > 0 ? 'does' : 'never')),
      );
      tab.work.dispatch(LearnersActions.classSaved({ schoolClass: { ...NEW_CLASS, id: 'c-new', name: 'Terns' } }));
      tab.work.dispatch(
        LearnersActions.learnerSaved({
          learner: { ...jory, name: 'After' },
          classIds: ['c-new'],
          groupIds: [],
          label: 'x',
        }),
      );
      void tab.sync.flush();
      await rest();
      const { doc } = (await Tab.open(mine)).work;
      const inNew = doc().classes['c-new']?.learnerIds.includes('l-jory') ?? false;
      wanted.set(`${inNew}`, true);
      expect([
        doc().learners['l-jory']?.name === 'After',
        !doc().classes['c-heron']?.learnerIds.includes('l-jory'),
      ]).toEqual([inNew, inNew]);
    }
    expect([...wanted.keys()].sort()).toEqual(['false', 'true']);
  });

  it('shows what was done last in every list, also where it was done while a tab’s first change was written', async () => {
    let again = true;
    const tab = await Tab.open(
      new FatedBoxes(boxes, ({ op, key }) => {
        if (op === 'set' && key === 'learners/l-jory' && again) {
          again = false;
          tab.work.dispatch(renamed('Second'));
        }
        return 'does';
      }),
    );
    tab.work.dispatch(renamed('First'));
    await tab.sync.flush();
    await rest();
    const names = () => tab.work.index().door['door']?.classes.flatMap((c) => c.learners.map((l) => l.name));
    expect(again).toBe(false);
    expect(names()).toContain('Second');
    expect(names()).not.toContain('First');
    expect(tab.work.doc().learners['l-jory']?.name).toBe('Second');
  });

  it('is not written where it could not be read again: it stays in memory with a word, until it is mended', async () => {
    const tab = await Tab.open(boxes);
    tab.work.dispatch(renamed('x'.repeat(121)));
    tab.work.dispatch(LearnersActions.classSaved({ schoolClass: { ...NEW_CLASS, id: 'c-new', name: 'Terns' } }));
    await tab.sync.flush();
    expect(tab.keeper.saved()).toBe(false);
    expect(tab.keeper.refused()).toMatchObject([
      { kind: 'learners', id: 'l-jory', why: [expect.stringContaining('name')] },
    ]);
    expect(tab.work.doc().learners['l-jory']?.name).toHaveLength(121);
    expect(await dataOf(boxes, 'heads', 'learners/l-jory')).toEqual(jory);
    expect(await dataOf(boxes, 'heads', 'classes/c-new')).toBeDefined();
    tab.work.dispatch(renamed('Short'));
    await tab.sync.flush();
    expect(tab.keeper.saved()).toBe(true);
    expect(await dataOf(boxes, 'heads', 'learners/l-jory')).toMatchObject({ name: 'Short' });
  });

  it('of a family, only the new revision is written', async () => {
    const written: string[] = [];
    const tab = await Tab.open(new FatedBoxes(boxes, ({ op, key }) => (op === 'set' && written.push(key), 'does')));
    const last = family.revisions.at(-1) as Family['revisions'][number];
    const next = {
      ...family,
      revisions: [...family.revisions, { ...last, n: 4, content: { ...last.content, title: 'New' } }],
    };
    await tab.keeper.read('families', 'rock-pool');
    tab.keeper.write([{ kind: 'families', id: 'rock-pool', before: family, after: next }]);
    await tab.sync.flush();
    expect(written.filter((k) => k.startsWith('revisions/'))).toEqual(['revisions/rock-pool/4']);
    expect(await tab.keeper.read('families', 'rock-pool')).toEqual(next);
  });
});

describe('when the browser cannot write', () => {
  it('nothing is called kept, it is tried again by itself with growing pauses, and is kept once there is room', async () => {
    const fated = new FatedBoxes(boxes);
    const tab = await Tab.open(fated);
    jest.useFakeTimers();
    try {
      fated.fate = ({ op }) => (op === 'set' ? 'fails' : 'does');
      tab.work.dispatch(renamed('Kept after all'));
      await jest.advanceTimersByTimeAsync(10);
      expect(tab.keeper.saved()).toBe(false);
      expect(tab.keeper.failed()).toBe('QuotaExceededError');
      let tries = 0;
      fated.fate = ({ op }) => (op === 'set' && tries++ < 1e9 ? 'fails' : 'does');
      await jest.advanceTimersByTimeAsync(7000);
      expect(tries).toBeGreaterThanOrEqual(2);
      expect(tries).toBeLessThanOrEqual(4);
      expect(tab.keeper.saved()).toBe(false);
      fated.fate = () => 'does';
      tab.keeper.tryAgain();
      await jest.advanceTimersByTimeAsync(10);
      expect(tab.keeper.saved()).toBe(true);
      expect(tab.keeper.failed()).toBe('');
    } finally {
      jest.useRealTimers();
    }
    expect(await dataOf(boxes, 'heads', 'learners/l-jory')).toMatchObject({ name: 'Kept after all' });
  });

  it('at every tenth write, everything is kept in the end', async () => {
    let n = 0;
    const tab = await Tab.open(new FatedBoxes(boxes, ({ op }) => (op === 'set' && ++n % 10 === 0 ? 'fails' : 'does')));
    for (let i = 0; i < 60; i++) {
      tab.work.dispatch(renamed(`Name ${i}`));
      await tab.sync.flush();
      if (!tab.keeper.saved()) tab.keeper.tryAgain();
    }
    await tab.keeper.flush();
    expect(tab.keeper.saved()).toBe(true);
    expect((await Tab.open(boxes)).work.doc().learners['l-jory']?.name).toBe('Name 59');
  });
});

describe('a page that is closed or put away', () => {
  it('keeps the last words, though no write came through any more', async () => {
    const fated = new FatedBoxes(boxes);
    const tab = await Tab.open(fated);
    await tab.get(Parts).during((want) => want('copies', [kerra.id]));
    fated.fate = ({ op }) => (op === 'set' ? 'never' : 'does');
    const goes = kerra.goes.map((g) => ({ ...g, answers: { ...g.answers, 'rp-q3': textAnswer('last words') } }));
    tab.work.dispatch(DeskActions.copySaved({ copy: { ...kerra, goes } }));
    tab.work.dispatch(renamed('Last name'));
    dispatchEvent(new Event('pagehide'));
    Tab.closeAll();
    // A page that is gone holds no lock.
    boxes = boxes.copy();
    const again = await Tab.open(boxes);
    expect(again.work.doc().learners['l-jory']?.name).toBe('Last name');
    expect(((await dataOf(boxes, 'bodies', `copies/${kerra.id}`)) as Copy).goes[0]?.answers['rp-q3']).toEqual(
      textAnswer('last words'),
    );
    expect(localStorage).toHaveLength(0);
  });

  it('leaves nothing behind where everything was written', async () => {
    const tab = await Tab.open(boxes);
    tab.work.dispatch(renamed('Written'));
    await tab.sync.flush();
    dispatchEvent(new Event('pagehide'));
    expect(localStorage).toHaveLength(0);
  });
});
