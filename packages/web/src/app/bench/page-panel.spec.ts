import { beforeEach, describe, expect, it } from '@jest/globals';
import { latest } from '@lorvet/core';
import { TestBed } from '@angular/core/testing';
import { DemoPlace } from '../testing/demo-place';
import { PartHarness } from '../testing/harnesses';
import { BenchView } from './bench-view';
import { PagePanel } from './page-panel';

let place: DemoPlace<PagePanel>;
const pages = () => (place.family('puncture').draft ?? latest(place.family('puncture')).content).pages;
const first = () => {
  const page = pages()[0];
  if (!page) throw new Error('no page');
  return page;
};

describe('what a page is', () => {
  beforeEach(async () => {
    place = await DemoPlace.open(PagePanel, { bench: { family: 'puncture' } });
    TestBed.inject(BenchView).chosenPage.set(first().id);
    await place.rest();
  });

  it('has a size, a way up, and whom it is for', async () => {
    await place.choose('Size', 'A3');
    await place.choose('Which way up', 'across');
    await place.choose('For', 'you: notes');
    expect(first()).toMatchObject({ size: 'A3', orientation: 'landscape', audience: 'teacher' });
    await place.choose('For', 'learners');
    expect(first().audience).toBe('learner');
  });

  it('has marks for as long as one of them is written', async () => {
    await place.write('Day', ' Monday ');
    await place.choose('Sign', 'shell');
    expect(first().mark).toEqual({ day: 'Monday', subject: '', colour: '', sign: 'shell' });
    await place.choose('Sign', 'none');
    await place.write('Day', ' ');
    expect('mark' in first()).toBe(false);
  });

  it('is copied after itself with all blocks, moved, and both are undone one by one', async () => {
    const [a, b] = pages().map((p) => p.id);
    await place.press('Copy the page');
    const [one, copy, last] = pages().map((p) => p.blocks);
    expect([copy?.map((x) => x.kind), last?.length]).toEqual([one?.map((x) => x.kind), 3]);
    const ids = pages().flatMap((p) => p.blocks.map((x) => x.id));
    expect(new Set(ids).size).toBe(ids.length);
    await place.undo();
    await place.press('Later');
    expect(pages().map((p) => p.id)).toEqual([b, a]);
    await place.press('Later');
    expect(pages().map((p) => p.id)).toEqual([b, a]);
    await place.undo();
    expect(pages().map((p) => p.id)).toEqual([a, b]);
  });

  it('is kept as a template under a name, and the template goes and comes back', async () => {
    await place.send('Name of the template', '  ');
    const kept = () => Object.values(place.work.templates()).map((t) => t.name);
    expect(kept()).toContain('Page');
    await place.send('Name of the template', 'Two questions');
    expect(kept()).toContain('Two questions');
    await place.press('Remove the template Two questions');
    expect(kept()).not.toContain('Two questions');
    await place.undo();
    expect(kept()).toContain('Two questions');
  });

  it('lies over a picture, with words for it, until it flows again', async () => {
    const view = TestBed.inject(BenchView);
    view.changeMaster(
      (c) => ({ ...c, pages: c.pages.map((p, i) => (i ? p : { ...p, fixed: { assetId: 'x', alt: '' } })) }),
      'x',
    );
    await place.rest();
    await place.write('What it shows', 'A wheel on a stand');
    expect(first().fixed).toEqual({ assetId: 'x', alt: 'A wheel on a stand' });
    await place.press('Let the page flow');
    expect('fixed' in first()).toBe(false);
    expect(await place.has(PartHarness, /^What it shows/)).toBe(false);
  });
});
