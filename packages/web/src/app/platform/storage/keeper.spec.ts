import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import type { Answer, Copy, Family, Learner } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { boxesWithDemo, DEMO_DAY, GENERATION } from '../../testing/kept-demo';
import { FatedBoxes, Tab } from '../../testing/tab';
import { DeskActions, LearnersActions } from '../../store/actions';
import { Parts } from '../../store/parts';
import { Asides } from './asides';
import type { MemoryBoxes } from './boxes';
import { type Generation } from './generation';
import type { Wrapped } from './record-places';

const demo = demoWorkspace(DEMO_DAY);
const jory = demo.learners['l-jory'] as Learner;
const kerra = demo.copies['h-survey.l-kerra'] as Copy;
const family = demo.families['rock-pool'] as Family;
const text = (t: string): Answer => ({ kind: 'text', text: t });
let boxes: MemoryBoxes;
beforeEach(async () => {
  localStorage.clear();
  boxes = await boxesWithDemo();
});

afterEach(() => Tab.closeAll());

const heads = () => boxes.of(GENERATION, 'heads');
const bodies = () => boxes.of(GENERATION, 'bodies');
const dataOf = async (box: 'heads' | 'bodies', key: string) =>
  ((await boxes.of(GENERATION, box).get(key)) as Wrapped | undefined)?.data;
const renamed = (name: string) =>
  LearnersActions.learnerSaved({ learner: { ...jory, name }, classId: 'c-heron', groupIds: [], label: 'x' });
const rest = () => new Promise((done) => setTimeout(done, 5));

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
      tab.work.dispatch(LearnersActions.classSaved({ schoolClass: { id: 'c-new', name: 'Terns', learnerIds: [] } }));
      tab.work.dispatch(
        LearnersActions.learnerSaved({
          learner: { ...jory, name: 'After' },
          classId: 'c-new',
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

  it('is not written where it could not be read again: it stays in memory with a word, until it is mended', async () => {
    const tab = await Tab.open(boxes);
    tab.work.dispatch(renamed('x'.repeat(121)));
    tab.work.dispatch(LearnersActions.classSaved({ schoolClass: { id: 'c-new', name: 'Terns', learnerIds: [] } }));
    await tab.sync.flush();
    expect(tab.keeper.saved()).toBe(false);
    expect(tab.keeper.refused()).toMatchObject([
      { kind: 'learners', id: 'l-jory', why: [expect.stringContaining('name')] },
    ]);
    expect(tab.work.doc().learners['l-jory']?.name).toHaveLength(121);
    expect(await dataOf('heads', 'learners/l-jory')).toEqual(jory);
    expect(await dataOf('heads', 'classes/c-new')).toBeDefined();
    tab.work.dispatch(renamed('Short'));
    await tab.sync.flush();
    expect(tab.keeper.saved()).toBe(true);
    expect(await dataOf('heads', 'learners/l-jory')).toMatchObject({ name: 'Short' });
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
    expect(await dataOf('heads', 'learners/l-jory')).toMatchObject({ name: 'Kept after all' });
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
    save(theirs, { 'rp-q3': text('theirs'), 'rp-q4': text('crab') });
    save(mine, { 'rp-q3': text('mine'), 'rp-q5': text('limpet') });
    await Promise.all([theirs.keeper.flush(), mine.keeper.flush()]);
    const kept = (await dataOf('bodies', `copies/${kerra.id}`)) as Copy;
    const answers = kept.goes[0]?.answers ?? {};
    expect([answers['rp-q4'], answers['rp-q5']]).toEqual([text('crab'), text('limpet')]);
    const both = [answers['rp-q3'], ...(kept.goes[0]?.earlier ?? []).map((e) => e.answer)];
    expect(both).toEqual(expect.arrayContaining([text('mine'), text('theirs')]));
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
      tab.work.dispatch(DeskActions.copySaved({ copy: answered(copy, { [item]: text(words) }) }));
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
      const kept = (await dataOf('bodies', key)) as Copy;
      const said = (c: Copy | undefined) => ['rp-q3', 'rp-q4', 'rp-q5'].map((id) => c?.goes[0]?.answers[id]);
      const all = [text(`more ${n}`), text(`theirs ${n}`), text(`mine ${n}`)];
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
        classId: 'c-heron',
        groupIds: [],
        label: 'x',
      }),
    );
    await mine.sync.flush();
    expect(await dataOf('heads', 'learners/l-jory')).toMatchObject({ name: 'Theirs', chosenName: 'Jo' });
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

describe('a page that is closed or put away', () => {
  it('keeps the last words, though no write came through any more', async () => {
    const fated = new FatedBoxes(boxes);
    const tab = await Tab.open(fated);
    await tab.get(Parts).during((want) => want('copies', [kerra.id]));
    fated.fate = ({ op }) => (op === 'set' ? 'never' : 'does');
    const goes = kerra.goes.map((g) => ({ ...g, answers: { ...g.answers, 'rp-q3': text('last words') } }));
    tab.work.dispatch(DeskActions.copySaved({ copy: { ...kerra, goes } }));
    tab.work.dispatch(renamed('Last name'));
    dispatchEvent(new Event('pagehide'));
    Tab.closeAll();
    // A page that is gone holds no lock.
    boxes = boxes.copy();
    const again = await Tab.open(boxes);
    expect(again.work.doc().learners['l-jory']?.name).toBe('Last name');
    expect(((await dataOf('bodies', `copies/${kerra.id}`)) as Copy).goes[0]?.answers['rp-q3']).toEqual(
      text('last words'),
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

describe('a damaged record', () => {
  it.each<[string, unknown, RegExp]>([
    ['cut', { format: 4, rev: 1, place: 1, data: { ...jory, name: 7 } }, /name/],
    ['of a newer Lorvet', { format: 99, rev: 1, place: 1, data: jory }, /newer/],
    ['foreign', 'hello', /not a record/],
  ])('that is %s is set aside with the reason; everything else opens', async (_, record, why) => {
    await heads().set('learners/l-jory', record);
    const tab = await Tab.open(boxes);
    expect(tab.work.status()).toBe('ready');
    expect(Object.keys(tab.work.doc().learners)).toHaveLength(22);
    expect(tab.get(Asides).all()).toMatchObject([{ key: 'learners/l-jory', why: expect.stringMatching(why) }]);
    expect(await tab.get(Asides).data(tab.get(Asides).all()[0]?.id ?? '')).toEqual(record);
  });

  it('whose bytes cannot be read is one bad record: heads are read one by one', async () => {
    const bad = new FatedBoxes(
      boxes,
      ({ op, key }) => (op === 'all' || (op === 'get' && key === 'learners/l-jory') ? 'fails' : 'does'),
      new DOMException('', 'DataError'),
    );
    const tab = await Tab.open(bad);
    expect(tab.work.status()).toBe('ready');
    expect(Object.keys(tab.work.doc().learners)).toHaveLength(22);
    expect(tab.work.familyHeads()).toHaveLength(4);
    expect(tab.get(Asides).all()[0]?.why).toContain('DataError');
  });

  it('of the index is made anew from what it follows from', async () => {
    const before = [
      await dataOf('heads', 'familyHeads/rock-pool'),
      await dataOf('heads', 'states/h-survey'),
      await dataOf('bodies', 'slips/l-jory'),
    ];
    await heads().set('familyHeads/rock-pool', 'x');
    await heads().set('states/h-survey', {
      format: 4,
      rev: 0,
      place: 1,
      data: { id: 'h-survey', states: { 'l-jory': 'gone' } },
    });
    await bodies().set('slips/l-jory', { format: 4, rev: 0, place: 1, data: {} });
    const tab = await Tab.open(boxes);
    await tab.get(Parts).during((want) => want('slips', ['l-jory']));
    for (let i = 0; i < 8; i++) await rest();
    await tab.keeper.flush();
    expect(tab.get(Asides).all()).toEqual([]);
    expect([
      await dataOf('heads', 'familyHeads/rock-pool'),
      await dataOf('heads', 'states/h-survey'),
      await dataOf('bodies', 'slips/l-jory'),
    ]).toEqual(before);
  });

  it('that is only read later is set aside then, and its place says so', async () => {
    await bodies().set('families/puncture', { format: 4, rev: 1, place: 1, data: { id: 'puncture' } });
    const tab = await Tab.open(boxes);
    expect(await tab.keeper.read('families', 'puncture')).toBeUndefined();
    expect(tab.get(Asides).all()).toMatchObject([{ key: 'families/puncture' }]);
    expect(await bodies().get('families/puncture')).toBeUndefined();
  });
});

describe('an exchange of workspaces', () => {
  it('stopped anywhere leaves what was there, whole', async () => {
    const { Exchange } = await import('./exchange');
    const { fillWith } = await import('./filling');
    for (let room = 0; room < 60; room += 7) {
      const mine = await boxesWithDemo();
      let left = room;
      const fated = new FatedBoxes(mine, ({ op, box }) =>
        op === 'set' && !box.startsWith('root') && left-- <= 0 ? 'fails' : 'does',
      );
      const tab = await Tab.open(fated);
      const other = { ...demo, learners: { x: { ...jory, id: 'x' } } };
      await expect(tab.get(Exchange).with((g: Generation) => fillWith(g, other), 'demo')).rejects.toThrow('full');
      const { doc } = (await Tab.open(mine)).work;
      expect(Object.keys(doc().learners)).toHaveLength(23);
      expect(await mine.generations()).toEqual([GENERATION]);
    }
  });
});
