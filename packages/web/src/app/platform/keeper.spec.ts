import { TestBed } from '@angular/core/testing';
import { beforeEach, describe, expect, it } from '@jest/globals';
import type { Learner } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { type Arrival, Keeper } from './keeper';
import { MemoryStore, RECORD_STORE } from './record-store';

const learner = demoWorkspace(0).learners['l-jory'] as Learner;
let store: MemoryStore;

/** A keeper as another tab would have it: its own, over the same storage. */
function tab(): Keeper {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [{ provide: RECORD_STORE, useValue: store }] });
  return TestBed.inject(Keeper);
}

beforeEach(() => {
  store = new MemoryStore();
});

describe('Keeper', () => {
  it('keeps a record over a reload, and knows whether it was ever started', async () => {
    const first = tab();
    expect((await first.load()).started).toBe(false);
    first.write('learners', learner.id, learner);
    await first.markStarted();
    await first.flush();
    expect(first.saved()).toBe(true);
    const { workspace, started } = await tab().load();
    expect(started).toBe(true);
    expect(workspace.learners).toEqual({ [learner.id]: learner });
  });

  it('writes only the last of several changes, and removes', async () => {
    const keeper = tab();
    await keeper.load();
    for (const name of ['A', 'B', 'C']) keeper.write('learners', learner.id, { ...learner, name });
    await keeper.flush();
    expect((await tab().load()).workspace.learners[learner.id]?.name).toBe('C');
    keeper.write('learners', learner.id, null);
    await keeper.flush();
    expect((await tab().load()).workspace.learners).toEqual({});
  });

  it('does not overwrite what another tab was quicker to write: its own is set aside', async () => {
    const mine = tab();
    await mine.load();
    const theirs = tab();
    await theirs.load();
    theirs.write('learners', learner.id, { ...learner, name: 'Theirs' });
    await theirs.flush();
    const arrivals: Arrival[] = [];
    mine.onArrival((a) => arrivals.push(...a));
    mine.write('learners', learner.id, { ...learner, name: 'Mine' });
    await mine.flush();
    expect((await tab().load()).workspace.learners[learner.id]?.name).toBe('Theirs');
    expect(arrivals.map((a) => (a.value as Learner).name)).toContain('Theirs');
    expect(mine.aside().map((a) => (a.data as Learner).name)).toEqual(['Mine']);
    // And from here on it writes on top of theirs.
    mine.write('learners', learner.id, { ...learner, name: 'Both' });
    await mine.flush();
    expect((await tab().load()).workspace.learners[learner.id]?.name).toBe('Both');
  });

  it.each([
    ['damaged', { format: 1, rev: 1, data: { ...learner, name: 7 } }, /name/],
    ['of a newer Lorvet', { format: 99, rev: 1, data: learner }, /newer/],
    ['foreign', 'hello', /not a record/],
  ])('sets a record aside that is %s, with its data and the reason', async (_, record, why) => {
    await store.set('learners/l-jory', record);
    const keeper = tab();
    expect((await keeper.load()).workspace.learners).toEqual({});
    expect(keeper.aside()[0]?.why).toMatch(why);
    expect(keeper.aside()[0]?.data).toEqual(record);
    expect(await store.get('learners/l-jory')).toBeUndefined();
  });

  it('says so when the browser cannot keep a change, and goes on', async () => {
    const keeper = tab();
    await keeper.load();
    const set = store.set.bind(store);
    store.set = () => Promise.reject(new DOMException('full', 'QuotaExceededError'));
    keeper.write('learners', learner.id, learner);
    await keeper.flush();
    expect(keeper.failed()).toMatch(/Save a backup now/);
    store.set = set;
    keeper.write('learners', learner.id, learner);
    await keeper.flush();
    expect(keeper.failed()).toBeNull();
  });
});
