import { beforeEach, describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { type Learner, type SchoolClass, type Workspace, writeBackup } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { Asides } from '../platform/storage/asides';
import { Keeper } from '../platform/storage/keeper';
import { KeepingSync } from '../store/keeping-sync';
import { Removing } from '../store/removing';
import { DemoPlace } from '../testing/demo-place';
import { ButtonHarness } from '../testing/harnesses';
import { DEMO_DAY } from '../testing/kept-demo';
import { Keeping } from './keeping';

const demo = demoWorkspace(DEMO_DAY);
let place: DemoPlace<Keeping>;
const heads = () => place.work.familyHeads().map((f) => f.title);

async function choose(bytes: Uint8Array, name = 'mine.zip'): Promise<void> {
  await place.take('Backup file', new File([bytes as BlobPart], name));
  await place.rest();
}
const small: Workspace = {
  ...demo,
  families: {},
  handOuts: {},
  frozen: {},
  copies: {},
  markings: {},
  learners: { 'l-jory': demo.learners['l-jory'] as Learner },
};

describe('keeping', () => {
  beforeEach(async () => {
    place = await DemoPlace.open(Keeping);
  });

  it('a backup that was read changes nothing before it is said; then one undo brings back what was', async () => {
    await choose(writeBackup(small, '2026-11-20T08:00:00.000Z'));
    expect(heads()).toHaveLength(5);
    expect(place.text).toContain('0 activities, 1 learner');
    await place.press('Restore it');
    expect(heads()).toEqual([]);
    expect(Object.keys(place.work.doc().learners)).toEqual(['l-jory']);
    expect(place.text).toContain('Everything that was here before');
    await place.undo();
    expect(heads()).toHaveLength(5);
    expect(Object.keys(place.work.doc().learners)).toHaveLength(23);
    await place.redo();
    expect(heads()).toEqual([]);
  });

  it('one that is none is named with what is wrong, and can be followed by another', async () => {
    const wrong = { ...small, learners: { x: { ...small.learners['l-jory'], name: 7 } } } as unknown as Workspace;
    await choose(writeBackup(wrong, ''));
    expect(place.text).toContain('mine.zip cannot be restored');
    expect(place.text).toContain('learners, record 1: name');
    expect(await place.has(ButtonHarness, 'Restore it')).toBe(false);
    await choose(writeBackup(small, ''));
    expect(place.text).not.toContain('cannot be restored');
    expect(await place.has(ButtonHarness, 'Restore it')).toBe(true);
    expect(heads()).toHaveLength(5);
  });

  it('emptying everything asks for a word, and puts it away where it comes back from', async () => {
    await place.press('Start empty');
    expect(heads()).toHaveLength(5);
    expect(await (await place.button('Put all away and start empty')).isDisabled()).toBe(true);
    await place.write(/^Type/, 'Empty');
    await place.send(/^Type/);
    expect(heads()).toEqual([]);
    expect(place.text).toContain('5 activities, 23 learners, 7 hand-outs, 55 pieces of work');
    await place.press(/^Put back 5 activities/);
    expect(heads()).toHaveLength(5);
  });
});

describe('what was removed', () => {
  beforeEach(async () => {
    place = await DemoPlace.open(Keeping);
  });

  it('is named with what went along, and comes back whole', async () => {
    const slip = place.work.index().slips['l-jory'];
    await TestBed.inject(Removing).remove('hand-out', 'h-survey');
    await TestBed.inject(KeepingSync).flush();
    await place.rest();
    expect(place.work.handOutHeads().map((h) => h.id)).not.toContain('h-survey');
    expect(place.work.index().slips['l-jory']?.works['h-survey']).toBeUndefined();
    expect(place.text).toMatch(/Rock-pool survey ?hand-out · 3 begun, 7 submitted, 3 complete/);
    await place.press('Put back Rock-pool survey');
    expect(place.work.handOutHeads().map((h) => h.id)).toContain('h-survey');
    expect(place.work.index().slips['l-jory']).toEqual(slip);
    expect(place.work.removed()).toEqual({});
  });

  it('is gone for good only after it was asked, with its work', async () => {
    await TestBed.inject(Removing).remove('hand-out', 'h-survey');
    await place.rest();
    await place.press('Let go of Rock-pool survey');
    expect(place.asked.map((q) => q.title)).toEqual(['Let go of “Rock-pool survey”?']);
    await TestBed.inject(KeepingSync).flush();
    const keeper = TestBed.inject(Keeper);
    expect(await keeper.read('handOuts', 'h-survey')).toBeUndefined();
    expect(await keeper.read('copies', 'h-survey.l-jory')).toBeUndefined();
    expect(await keeper.read('markings', 'h-survey.l-jory')).toBeUndefined();
    expect(place.work.removed()).toEqual({});
  });
});

describe('what was set aside', () => {
  it('is mended where its fault is known, and put back; its first form stays until it is let go', async () => {
    place = await DemoPlace.open(Keeping);
    const heron = demo.classes['c-heron'] as SchoolClass;
    const many = { ...heron, id: 'c-many', learnerIds: Array.from({ length: 2001 }, (_, i) => `l${i}`) };
    const asides = TestBed.inject(Asides);
    await asides.put('classes/c-many', 'learnerIds: too many', { format: 3, rev: 1, place: 1, data: many }, false);
    await asides.put('learners/l-jory', 'name: no text', { ...demo.learners['l-jory'], name: 7 }, false);
    await place.rest();
    await place.press('Mend … a learner’s card');
    expect(place.text).toContain('What is wrong with it is not known');
    await place.press('Mend … a class');
    expect(place.text).toContain('2001 learners are in 2 parts now');
    await place.press('Put it back');
    expect(place.work.doc().classes['c-many-2']?.learnerIds).toEqual(['l2000']);
    expect(asides.all()).toHaveLength(2);
    await place.press('Let it go: a class');
    expect(asides.all()).toHaveLength(1);
    await place.undo();
    expect(place.work.doc().classes['c-many']).toBeUndefined();
  });
});

describe('room', () => {
  it('says what takes it, clears what nothing uses after asking, and one undo brings it back', async () => {
    const lone = { id: 'sha256-lone', mime: 'image/png' as const, name: 'lone.png', data: new Uint8Array(10) };
    place = await DemoPlace.open(Keeping, { change: (w) => ({ ...w, assets: { ...w.assets, [lone.id]: lone } }) });
    await place.press('See what takes the room');
    expect(place.text).toContain('10 pictures, sounds and documents');
    await place.press(/^Clear 1 that nothing uses/);
    expect(place.asked).toHaveLength(1);
    expect(place.work.assets()[lone.id]).toBeUndefined();
    expect(place.text).toContain('Everything is in use');
    await place.undo();
    expect(place.work.assets()[lone.id]?.name).toBe('lone.png');
  });
});
