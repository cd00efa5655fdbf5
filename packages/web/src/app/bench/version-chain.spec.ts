import { TestBed } from '@angular/core/testing';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { derive } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { VersionChain } from './version-chain';
import { Asides } from '../platform/storage/asides';

let place: DemoPlace<VersionChain>;
const open = async (version: string) => {
  place = await DemoPlace.open(VersionChain, { bench: { family: 'rock-pool', version } });
};
const ids = () => place.family('rock-pool').versions.map((v) => v.id);

describe('another basis', () => {
  beforeEach(() => open('rp-sup'));
  it('is never one that is made on this version', async () => {
    expect(await place.options(/^Made on/)).toEqual(['the master', 'Core', 'Extended']);
  });
  it('is taken with every adjustment kept or asked about, and undone in one step', async () => {
    const before = place.version('rock-pool', 'rp-sup').adjustments.length;
    await place.choose(/^Made on/, 'Extended');
    const moved = place.version('rock-pool', 'rp-sup');
    expect(moved.basis).toBe('rp-ext');
    expect(moved.adjustments).toHaveLength(before);
    expect(place.blocks('rock-pool', 'rp-sup').flat()).toContain('rp-x2');
    await place.undo();
    expect(place.version('rock-pool', 'rp-sup').basis).toBeNull();
  });
});

describe('a version that others are made on', () => {
  beforeEach(async () => {
    await open('rp-sup');
    await place.press('Remove this version');
  });
  it('is removed only once it is said what becomes of them', async () => {
    expect(place.text).toContain('“Supported, Oriel” is made on “Supported”. What becomes of it?');
    await place.press('Keep all');
    expect(ids()).toContain('rp-sup');
  });
  it('goes, and they stay as they were', async () => {
    const before = derive(place.family('rock-pool'), 'rp-oriel').content;
    await place.press(/^Stay as they are/);
    expect(ids()).not.toContain('rp-sup');
    expect(derive(place.family('rock-pool'), 'rp-oriel').content).toEqual(before);
  });
  it('goes, and they move up to its basis', async () => {
    await place.press(/^Move up/);
    expect(place.version('rock-pool', 'rp-oriel').basis).toBeNull();
    expect(place.version('rock-pool', 'rp-oriel').adjustments).toHaveLength(3);
  });
  it('goes, and they go too; one undo brings all of them back', async () => {
    await place.press('Go too');
    expect(ids()).toEqual(['rp-core', 'rp-ext']);
    await place.undo();
    expect(ids()).toEqual(['rp-sup', 'rp-oriel', 'rp-core', 'rp-ext']);
  });
});

it('a version that nobody is made on is removed at once', async () => {
  await open('rp-ext');
  await place.press('Remove this version');
  expect(ids()).not.toContain('rp-ext');
});

it('a master of its own shows the same and knows where it comes from', async () => {
  await open('rp-ext');
  const shown = derive(place.family('rock-pool'), 'rp-ext').content.pages;
  await place.press('Make it a master of its own');
  const own = Object.values(place.work.families()).find((f) => f.revisions[0]?.content.title.endsWith(', Extended'));
  expect(own?.revisions[0]?.content.pages.map((p) => p.blocks.length)).toEqual(shown.map((p) => p.blocks.length));
  expect(place.address).toBe(`/bench/${own?.id ?? ''}`);
  expect(own).toMatchObject({ origin: { familyId: 'rock-pool', versionId: 'rp-ext' } });
});

it('a version whose basis is gone was mended as it was read: it stands on the master, and can be moved', async () => {
  place = await DemoPlace.open(VersionChain, {
    bench: { family: 'rock-pool', version: 'rp-oriel' },
    change: (w) => {
      const pool = w.families['rock-pool'];
      if (!pool) throw new Error('no pool');
      const versions = pool.versions.filter((v) => v.id !== 'rp-sup');
      return { ...w, families: { ...w.families, 'rock-pool': { ...pool, versions } } };
    },
  });
  expect(place.version('rock-pool', 'rp-oriel').basis).toBeNull();
  expect(TestBed.inject(Asides).all()).toMatchObject([
    { key: 'families/rock-pool', why: expect.stringContaining('mended') },
  ]);
  await place.choose(/^Made on/, 'Core');
  expect(place.version('rock-pool', 'rp-oriel').basis).toBe('rp-core');
});
