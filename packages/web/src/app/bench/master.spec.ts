import { describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { type Block, type Content, findBlock, type ItemBlock, latest } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { ButtonHarness, PartHarness } from '../testing/harnesses';
import { BenchView } from './bench-view';
import { MasterPage } from './master-page';
import type { Several } from '../ui/controls/several';
import { MasterPanel } from './master-panel';

// jsdom lays nothing out.
Element.prototype.scrollIntoView = () => undefined;

let place: DemoPlace<unknown>;
const open = async (part: typeof MasterPanel | typeof MasterPage, chosen?: string) => {
  place = await DemoPlace.open<unknown>(part, { bench: { family: 'rock-pool', ...(chosen ? { chosen } : {}) } });
  await place.rest();
};
const master = (): Content => place.family('rock-pool').draft ?? latest(place.family('rock-pool')).content;
const at = (id: string) => findBlock(master(), id)?.block as ItemBlock;
const ids = () => master().pages.map((p) => p.blocks.map((b) => b.id));
const kindsOf = (blocks: readonly Block[] | undefined) => (blocks ?? []).map((b) => b.kind);

it('what is accepted besides a key stands below the question, and is taken away there', async () => {
  await open(MasterPage);
  const too = { 'rp-q1': ['rp-q1-3'], 'rp-q7': ['seven or eight', '8 limpets'] } as Record<string, string[]>;
  const withToo = (c: Content): Content => ({
    ...c,
    pages: c.pages.map((p) => ({
      ...p,
      blocks: p.blocks.map((b) => (too[b.id] ? ({ ...b, also: too[b.id] } as Block) : b)),
    })),
  });
  place.work.changeMaster(place.family('rock-pool'), withToo, 'accept too');
  await place.rest();
  expect(place.text).toMatch(/Accepted too ?Shrimp/);
  await place.press('Accept “Shrimp” no more');
  await place.press('Accept “8 limpets” no more');
  expect(at('rp-q1')).not.toHaveProperty('also');
  expect(at('rp-q7')).toMatchObject({ also: ['seven or eight'] });
});

describe('beside a question of the master', () => {
  it('its objective, demand, points, hint and use are set, and taken back by one undo each', async () => {
    await open(MasterPanel, 'rp-q4');
    const objective = master().objectives[1];
    await place.choose(/^Objective/, objective?.text ?? '');
    expect(at('rp-q4').objectiveId).toBe(objective?.id);
    await place.choose(/^Demand/, 'explain');
    await place.write(/^Points/, '3');
    await place.write(/^Hint for everybody/, '  Look under the stone.  ');
    await place.check(/^Optional/);
    expect(at('rp-q4')).toMatchObject({ demand: 'explain', points: 3, hint: 'Look under the stone.', optional: true });
    await place.undo();
    expect(at('rp-q4')).not.toHaveProperty('optional');
    expect(at('rp-q4').hint).toBe('Look under the stone.');
  });

  it('what is emptied leaves no trace, and points stay within bounds', async () => {
    await open(MasterPanel, 'rp-q4');
    await place.write(/^Hint for everybody/, 'x');
    await place.write(/^Hint for everybody/, ' ');
    await place.choose(/^Objective/, 'none');
    expect(Object.keys(at('rp-q4'))).not.toEqual(expect.arrayContaining(['hint']));
    expect(at('rp-q4').objectiveId).toBeUndefined();
    for (const [typed, points] of [
      ['900', 100],
      ['-2', 0],
      ['', 1],
    ] as const) {
      await place.write(/^Points/, typed);
      expect(at('rp-q4').points).toBe(points);
    }
  });

  it('stands what the versions do with it, and who has them', async () => {
    await open(MasterPanel, 'rp-q9');
    const said = place.text.slice(place.text.indexOf('In the versions'));
    expect(said).toMatch(/Supported left out|Supported changed|Supported as in the master/);
    expect(said).toContain('Core changed 6 learners');
  });

  it('a text can be for the teacher alone, a note is always', async () => {
    await open(MasterPanel, 'rp-t1');
    await place.check(/^Only for you/);
    expect(at('rp-t1')).toMatchObject({ audience: 'teacher' });
    await open(MasterPanel, 'rp-n1');
    expect(await place.has(PartHarness, /^Only for you/)).toBe(false);
  });
});

describe('about the whole activity', () => {
  it('a title is not lost by emptying it; subject and ages may be empty', async () => {
    await open(MasterPanel);
    await place.write(/^Title/, '  ');
    await place.write(/^Subject/, '');
    expect(master()).toMatchObject({ title: 'Rock-pool survey', subject: '' });
  });

  it('the language of the texts is found, or what the teacher says; and so for one text', async () => {
    await open(MasterPanel);
    await place.choose(/^Language of its texts/, 'German');
    expect(master()).toMatchObject({ language: 'de' });
    await place.choose(/^Language of its texts/, 'as found: English');
    expect(master()).not.toHaveProperty('language');
    await open(MasterPanel, 'rp-t1');
    await place.choose(/^Language of this text/, 'French');
    expect(at('rp-t1')).toMatchObject({ language: 'fr' });
  });

  it('what an objective protects is what the teacher says, in the order of all skills', async () => {
    await open(MasterPanel);
    const several = place.fixture.debugElement.query((d) => d.name === 'lv-several');
    (several.componentInstance as Several).told.emit(['facts', 'reading', 'nonsense']);
    expect(master().objectives[0]).toMatchObject({ protects: ['reading', 'facts'] });
  });

  it('an objective is added, reworded, and taken away with what asked for it', async () => {
    await open(MasterPanel);
    const before = master().objectives.length;
    await place.send('New objective', 'Name three shells');
    expect(master().objectives.at(-1)?.text).toBe('Name three shells');
    await place.write(`Objective ${before + 1}`, 'Name two shells');
    expect(master().objectives.at(-1)?.text).toBe('Name two shells');
    const [first] = master().objectives;
    const asking = () =>
      master().pages.flatMap((p) => p.blocks.filter((b) => 'objectiveId' in b && b.objectiveId === first?.id));
    expect(asking().length).toBeGreaterThan(0);
    await place.press(`Remove objective ${first?.text ?? ''}`);
    expect(master().objectives.map((o) => o.id)).not.toContain(first?.id);
    expect(asking()).toEqual([]);
    await place.undo();
    expect(asking().length).toBeGreaterThan(0);
  });
});

describe('the pages of the master', () => {
  const key = async (id: string, event: KeyboardEventInit) => {
    document
      .querySelector(`[data-block="${id}"]`)
      ?.dispatchEvent(new KeyboardEvent('keydown', { ...event, bubbles: true, cancelable: true }));
    await place.rest();
  };

  it('a block moves by Alt and the arrows, over the edge of its page, and it is said', async () => {
    await open(MasterPage);
    const [one, two] = ids();
    const last = one?.at(-1) ?? '';
    await key(last, { key: 'ArrowDown', altKey: true });
    expect(ids().slice(0, 2)).toEqual([one?.slice(0, -1), [last, ...(two ?? [])]]);
    expect(place.text).toContain('moved down');
    await key(last, { key: 'ArrowUp', altKey: true });
    expect(ids()).toEqual([one, two, ...ids().slice(2)]);
  });

  it('a block is removed by its key, not while somebody is writing in it', async () => {
    await open(MasterPage);
    const field = document.createElement('input');
    document.querySelector('[data-block="rp-q1"]')?.append(field);
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Delete', bubbles: true }));
    await place.rest();
    expect(at('rp-q1')).toBeDefined();
    await key('rp-q1', { key: 'Delete' });
    expect(at('rp-q1')).toBeUndefined();
    await place.undo();
    expect(at('rp-q1')).toBeDefined();
  });

  it('a kind is added at the foot of a page or after the chosen block, and is chosen', async () => {
    await open(MasterPage, 'rp-q1');
    const [page] = master().pages;
    await place.press('Short text');
    expect(kindsOf(master().pages[0]?.blocks)).toEqual([...kindsOf(page?.blocks), 'short-text']);
    const added = master().pages[0]?.blocks.at(-1)?.id;
    expect(TestBed.inject(BenchView).chosen()).toBe(added);
    TestBed.inject(BenchView).choose('rp-q1');
    await place.rest();
    await place.press(/^Add after Question 1/);
    await place.pick('Table');
    const blocks = master().pages[0]?.blocks ?? [];
    expect(blocks[blocks.findIndex((b) => b.id === 'rp-q1') + 1]?.kind).toBe('table');
  });

  it('a page is added, removed with undo, and the last one cannot be', async () => {
    await open(MasterPage);
    const before = master().pages.length;
    await place.press('New page');
    expect(master().pages).toHaveLength(before + 1);
    expect(place.text).toContain('An empty page. Add its first block:');
    for (let i = before + 1; i > 1; i--) await place.press('Remove page 1');
    expect(master().pages).toHaveLength(1);
    expect(await place.has(ButtonHarness, /^Remove page/)).toBe(false);
  });

  it('changes can be dropped, and undo brings them back', async () => {
    await open(MasterPage);
    await place.press('Remove page 1');
    await place.press('Drop the changes');
    expect(place.family('rock-pool').draft).toBeUndefined();
    await place.undo();
    expect(place.family('rock-pool').draft?.pages).toHaveLength(2);
  });
});
