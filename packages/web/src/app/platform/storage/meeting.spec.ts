import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import type { Answer, Copy } from '@lorvet/core';
import { boxesWithDemo, dataOf, demo, GENERATION, jory, kerra, renamed, textAnswer } from '../../testing/kept-demo';
import { FatedBoxes, Tab } from '../../testing/tab';
import { DeskActions, LearnersActions } from '../../store/actions';
import { Parts } from '../../store/parts';
import { Asides } from './asides';
import { MemoryBoxes } from './boxes';
import { Exchange } from './exchange';
import { fillWith } from './filling';

let boxes: MemoryBoxes;
beforeEach(async () => {
  localStorage.clear();
  boxes = await boxesWithDemo();
});

afterEach(() => Tab.closeAll());

describe('two tabs', () => {
  const answered = (copy: Copy, answers: Record<string, Answer>): Copy => ({
    ...copy,
    goes: copy.goes.map((g) => ({ ...g, answers: { ...g.answers, ...answers } })),
  });

  it('of one learner at once lose no answer; of two to one question the later counts, the earlier is kept', async () => {
    // As after a restore: nobody has written here yet.
    await boxes.root().set('writer', '');
    const mine = await Tab.open(boxes);
    await mine.keeper.read('copies', kerra.id);
    const theirs = await Tab.open(boxes);
    await theirs.keeper.read('copies', kerra.id);
    const save = (tab: Tab, answers: Record<string, Answer>) =>
      tab.keeper.write([{ kind: 'copies', id: kerra.id, before: kerra, after: answered(kerra, answers) }]);
    save(theirs, { 'rp-q3': textAnswer('theirs'), 'rp-q4': textAnswer('crab') });
    save(mine, { 'rp-q3': textAnswer('mine'), 'rp-q5': textAnswer('limpet') });
    await Promise.all([theirs.keeper.flush(), mine.keeper.flush()]);
    const kept = (await dataOf(boxes, 'bodies', `copies/${kerra.id}`)) as Copy;
    const answers = kept.goes[0]?.answers ?? {};
    expect([answers['rp-q4'], answers['rp-q5']]).toEqual([textAnswer('crab'), textAnswer('limpet')]);
    const both = [answers['rp-q3'], ...(kept.goes[0]?.earlier ?? []).map((e) => e.answer)];
    expect(both).toEqual(expect.arrayContaining([textAnswer('mine'), textAnswer('theirs')]));
    expect([mine.keeper.saved(), theirs.keeper.saved()]).toEqual([true, true]);
  });

  it('at any moment of hearing and of writing lose no answer', async () => {
    const key = `copies/${kerra.id}`;
    const held = async () => {
      const tab = await Tab.open(boxes);
      await new Promise<void>((done) => {
        void tab.get(Parts).during(async (want) => {
          await want('copies', [kerra.id]);
          done();
          await new Promise(() => undefined);
        });
      });
      return tab;
    };
    const [mine, theirs] = [await held(), await held()];
    const save = (tab: Tab, item: string, words: string) => {
      const copy = tab.work.copies()[kerra.id] as Copy;
      tab.work.dispatch(DeskActions.copySaved({ copy: answered(copy, { [item]: textAnswer(words) }) }));
    };
    const turns = async (n: number) => {
      for (let i = 0; i < n; i++) await (i % 8 === 7 ? new Promise((r) => setTimeout(r)) : Promise.resolve());
    };
    for (let n = 0; n < 60; n++) {
      save(theirs, 'rp-q4', `theirs ${n}`);
      await theirs.sync.flush();
      const heard = n % 2 ? mine.sync['hear']([key]) : Promise.resolve();
      save(mine, 'rp-q5', `mine ${n}`);
      await turns(n);
      // While the first is on its way, and what was heard is.
      save(mine, 'rp-q3', `more ${n}`);
      await heard;
      await mine.sync.flush();
      await turns(12);
      await mine.sync.flush();
      const kept = (await dataOf(boxes, 'bodies', key)) as Copy;
      const said = (c: Copy | undefined) => ['rp-q3', 'rp-q4', 'rp-q5'].map((id) => c?.goes[0]?.answers[id]);
      const all = [textAnswer(`more ${n}`), textAnswer(`theirs ${n}`), textAnswer(`mine ${n}`)];
      expect([n, said(kept)]).toEqual([n, all]);
      expect([n, said(mine.work.copies()[kerra.id])]).toEqual([n, all]);
      await theirs.sync['hear']([key]);
    }
  });

  it('that change different things of one record are both heard; of the same, theirs stands and mine is set aside', async () => {
    const mine = await Tab.open(boxes);
    const aside = mine.get(Asides);
    const theirs = await Tab.open(boxes);
    theirs.work.dispatch(renamed('Theirs'));
    await theirs.sync.flush();
    mine.work.dispatch(
      LearnersActions.learnerSaved({
        learner: { ...jory, chosenName: 'Jo' },
        classIds: ['c-heron'],
        groupIds: [],
        label: 'x',
      }),
    );
    await mine.sync.flush();
    expect(await dataOf(boxes, 'heads', 'learners/l-jory')).toMatchObject({ name: 'Theirs', chosenName: 'Jo' });
    expect(mine.work.doc().learners['l-jory']).toMatchObject({ name: 'Theirs', chosenName: 'Jo' });
    theirs.work.dispatch(renamed('Theirs again'));
    await theirs.sync.flush();
    mine.work.dispatch(renamed('Mine'));
    await mine.sync.flush();
    expect(mine.work.doc().learners['l-jory']?.name).toBe('Theirs again');
    expect(aside.all()).toMatchObject([{ key: 'learners/l-jory', why: expect.stringContaining('Another tab') }]);
    expect(await aside.data(aside.all()[0]?.id ?? '')).toMatchObject({ name: 'Mine' });
  });
});

describe('an exchange of workspaces', () => {
  it('where nothing was kept yet is all there after a reload', async () => {
    const mine = new MemoryBoxes();
    await (await Tab.open(mine)).get(Exchange).with((g) => fillWith(g, demo), '');
    expect(Object.keys((await Tab.open(mine)).work.doc().learners)).toHaveLength(23);
    expect(await mine.generations()).toHaveLength(1);
  });

  it('stopped anywhere leaves what was there, whole', async () => {
    for (let room = 0; room < 60; room += 7) {
      const mine = await boxesWithDemo();
      let left = room;
      const fated = new FatedBoxes(mine, ({ op, box }) =>
        op === 'set' && !box.startsWith('root') && left-- <= 0 ? 'fails' : 'does',
      );
      const tab = await Tab.open(fated);
      const other = { ...demo, learners: { x: { ...jory, id: 'x' } } };
      await expect(tab.get(Exchange).with((g) => fillWith(g, other), 'demo')).rejects.toThrow('full');
      const { doc } = (await Tab.open(mine)).work;
      expect(Object.keys(doc().learners)).toHaveLength(23);
      expect(await mine.generations()).toEqual([GENERATION]);
    }
  });
});
