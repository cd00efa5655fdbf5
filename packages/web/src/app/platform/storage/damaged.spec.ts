import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { boxesWithDemo, dataOf, GENERATION, jory, rest } from '../../testing/kept-demo';
import { FatedBoxes, Tab } from '../../testing/tab';
import { Parts } from '../../store/parts';
import { Asides } from './asides';
import type { MemoryBoxes } from './boxes';

let boxes: MemoryBoxes;
beforeEach(async () => {
  localStorage.clear();
  boxes = await boxesWithDemo();
});

afterEach(() => Tab.closeAll());

const heads = () => boxes.of(GENERATION, 'heads');
const bodies = () => boxes.of(GENERATION, 'bodies');

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
    expect(tab.work.familyHeads()).toHaveLength(5);
    expect(tab.get(Asides).all()[0]?.why).toContain('DataError');
  });

  it('of the index is made anew from what it follows from', async () => {
    const before = [
      await dataOf(boxes, 'heads', 'familyHeads/rock-pool'),
      await dataOf(boxes, 'heads', 'states/h-survey'),
      await dataOf(boxes, 'bodies', 'slips/l-jory'),
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
      await dataOf(boxes, 'heads', 'familyHeads/rock-pool'),
      await dataOf(boxes, 'heads', 'states/h-survey'),
      await dataOf(boxes, 'bodies', 'slips/l-jory'),
    ]).toEqual(before);
  });

  it('that is only read later is set aside then, and its place says so', async () => {
    await bodies().set('families/puncture', { format: 4, rev: 1, place: 1, data: { id: 'puncture' } });
    const tab = await Tab.open(boxes);
    expect(await tab.keeper.read('families', 'puncture')).toBeUndefined();
    expect(tab.get(Asides).all()).toMatchObject([{ key: 'families/puncture' }]);
    expect(await bodies().get('families/puncture')).toBeUndefined();
  });

  it.each<[string, (boxes: MemoryBoxes) => Promise<void>]>([
    ['gone', (b) => b.root().remove('generations')],
    ['empty', (b) => b.root().set('generations', null)],
    ['foreign', (b) => b.root().set('generations', { current: 7 })],
  ])('that says which workspace is the present one, and is %s: the newest whole one stands', async (_, damage) => {
    await boxes.of('zzz-unfinished', 'heads').set('learners/x', {});
    await damage(boxes);
    const tab = await Tab.open(boxes);
    expect(tab.work.status()).toBe('ready');
    expect(Object.keys(tab.work.doc().learners)).toHaveLength(23);
  });

  it('of an earlier time, when no workspace said that it is whole, is found again too', async () => {
    await heads().remove('.whole');
    await boxes.root().set('generations', null);
    expect(Object.keys((await Tab.open(boxes)).work.doc().learners)).toHaveLength(23);
  });
});
