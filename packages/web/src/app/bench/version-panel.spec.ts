import { describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { type Block, derive, findBlock } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { ButtonHarness } from '../testing/harnesses';
import { BenchView } from './bench-view';
import { VersionPage } from './version-page';
import { VersionPanel } from './version-panel';
import type { WritingHelp } from './writing-help';
import type { PictureField } from '../ui/picture-field';

// jsdom lays nothing out.
Element.prototype.scrollIntoView = () => undefined;

let place: DemoPlace<unknown>;
const panel = async (chosen?: string, version = 'rp-core') => {
  place = await DemoPlace.open(VersionPanel, {
    bench: { family: 'rock-pool', version, ...(chosen ? { chosen } : {}) },
  });
  await place.rest();
};
const mine = (id = 'rp-core') => place.version('rock-pool', id).adjustments;
const shown = (id: string, version = 'rp-core'): Block | undefined =>
  findBlock(derive(place.family('rock-pool'), version).content, id)?.block;

describe('a chosen question', () => {
  it('has fewer choices, and all of them again without a trace', async () => {
    await panel('rp-q1');
    expect(await place.options(/^Fewer choices/)).toEqual(['4', '3', '2', '1']);
    await place.choose(/^Fewer choices/, '2');
    expect(shown('rp-q1')).toMatchObject({ options: { length: 2 } });
    await place.choose(/^Fewer choices/, '4');
    expect(mine().some((a) => a.kind === 'fewer-choices')).toBe(false);
  });

  it('has a hint, changed in place and gone when it is emptied', async () => {
    await panel('rp-q3');
    await place.write(/^Hint/, ' Look up. ');
    await place.write(/^Hint/, 'Look at the sky.');
    expect(mine().filter((a) => a.kind === 'hint' && a.target === 'rp-q3')).toHaveLength(1);
    expect(shown('rp-q3')).toMatchObject({ hint: 'Look at the sky.' });
    await place.write(/^Hint/, '');
    expect(shown('rp-q3')).not.toHaveProperty('hint');
  });

  it('has a bank on its page, from the keys or in the teacher’s words', async () => {
    await panel('rp-q4');
    await place.press(/^Word bank from the keys/);
    const bank = () => mine().find((a) => a.kind === 'word-bank');
    expect(bank()).toMatchObject({ words: ['anemone', 'crab', 'limpet'] });
    await place.write(/^Word bank on this page/, 'crab, , whelk');
    expect(bank()).toMatchObject({ words: ['crab', 'whelk'] });
    await place.write(/^Word bank on this page/, '');
    expect(bank()).toBeUndefined();
  });

  it('left out is not spoken of any more', async () => {
    await panel('rp-q4');
    await place.press(/^Leave out/);
    expect(shown('rp-q4')).toBeUndefined();
    expect(place.text).not.toContain('Chosen:');
    expect(place.work.undoLabel()).toBe('leave out');
  });

  it('has its adjustments listed with sentence, verdict and reason; one switched off stays in the list', async () => {
    await panel('rp-q9');
    expect(place.text).toContain('Done here');
    await place.write(/^Reason/, 'Asks for help with the first step');
    const hint = () => mine().find((a) => a.kind === 'hint');
    expect(hint()).toMatchObject({ reason: { text: 'Asks for help with the first step' } });
    await place.unfold(/^More/);
    await place.choose(/^Goal it serves/, /finds two facts/);
    expect(hint()?.reason).toEqual({ text: 'Asks for help with the first step', goalId: 'g-brannoc' });
    await place.write(/^Reason/, '');
    expect(hint()?.reason).toEqual({ text: '', goalId: 'g-brannoc' });
    await place.choose(/^Goal it serves/, 'none');
    expect(hint()?.reason).toBeUndefined();
    await place.check(/^in force/);
    expect(hint()).toMatchObject({ off: true });
    expect(shown('rp-q9')).not.toHaveProperty('hint');
    expect(place.text).toContain('Done here');
    await place.press(/^Remove: /);
    expect(hint()).toBeUndefined();
  });

  it('keeps the teacher’s judgement beside the computed one', async () => {
    await panel('rp-q9');
    await place.unfold('More');
    await place.choose(/^Your own judgement/, 'modification');
    expect(mine().find((a) => a.kind === 'hint')).toMatchObject({ overrule: { judgement: 'modification' } });
    expect(place.text).toContain('the teacher’s judgement (computed: accommodation)');
    await place.choose(/^Your own judgement/, 'as computed');
    expect(mine().find((a) => a.kind === 'hint')).not.toHaveProperty('overrule');
  });
});

describe('a verdict that only the teacher can give', () => {
  it('asks each question once, and one press answers it for all that ask it', async () => {
    await panel(undefined, 'rp-sup');
    expect(place.text).toContain('Yours to judge');
    expect(place.text.match(/Is reading a part of what “Find facts in a text” asks\?/g)).toHaveLength(1);
    await place.press('No: an accommodation');
    expect(document.activeElement?.textContent).toBe('Yours to judge');
    const texts = mine('rp-sup').filter((a) => a.overrule);
    expect(texts.map((a) => a.kind)).toEqual(['reword', 'reword']);
    expect(texts[0]?.overrule).toEqual({
      judgement: 'accommodation',
      reason: 'Is reading a part of what “Find facts in a text” asks? No.',
    });
    // One answer is one step.
    place.work.undo();
    expect(mine('rp-sup').some((a) => a.overrule)).toBe(false);
    place.work.redo();
    await place.rest();
    // What is left is asked also where the verdict is known by then.
    place.work.undo();
    await place.rest();
    await place.press('Yes: a modification');
    expect(place.text).toMatch(/A modification.*Yours to judge besides/);
    place.work.undo();
    await place.rest();
    await place.press('No: an accommodation');
    // The word bank, and “Explain how …” that asks “How …?” now.
    await place.press('No: an accommodation');
    await place.press('No: an accommodation');
    expect(place.text).toContain('An accommodation');
    expect(await place.has(ButtonHarness, /^No: an accommodation/)).toBe(false);
  });
});

describe('what is done with one block of a version', () => {
  it('an easier word takes a hard one’s place wherever it stands as a word, with its capital', async () => {
    await panel('rp-t1');
    const before = (shown('rp-t1') as { text: string }).text;
    const at = TestBed.inject(BenchView);
    at.recorded(
      { did: 'words', blockId: 'rp-t1', field: 'text', text: 'Tide pools hold the tide. Tidepools do not.' },
      'x',
    );
    await place.rest();
    const help = place.fixture.debugElement.query((d) => d.name === 'lv-writing-help');
    (help.componentInstance as WritingHelp).swap.emit({ from: 'tide', to: 'surge' });
    await place.rest();
    expect(shown('rp-t1')).toMatchObject({ text: 'Surge pools hold the surge. Tidepools do not.' });
    for (let i = 0; i < 2; i++) await place.undo();
    expect(shown('rp-t1')).toMatchObject({ text: before });
  });

  it('another picture stands in for the master’s, in this version alone', async () => {
    await panel('rp-pic');
    const picture = place.fixture.debugElement.query((d) => d.name === 'lv-picture-field');
    (picture.componentInstance as PictureField).chosen.emit('sha-other');
    await place.rest();
    expect(shown('rp-pic')).toMatchObject({ kind: 'picture', assetId: 'sha-other' });
    expect(shown('rp-pic', 'rp-ext')).not.toMatchObject({ assetId: 'sha-other' });
    expect(mine().find((a) => a.kind === 'replace-picture')).toMatchObject({ target: 'rp-pic' });
  });

  it('a block is added after it, chosen at once, and gone with one undo', async () => {
    await panel('rp-q2');
    await place.press('Add after this');
    await place.pick('Short text');
    const { pages } = derive(place.family('rock-pool'), 'rp-core').content;
    const blocks = pages.flatMap((p) => p.blocks);
    const added = blocks[blocks.findIndex((b) => b.id === 'rp-q2') + 1];
    expect(added).toMatchObject({ kind: 'short-text', prompt: '' });
    expect(TestBed.inject(BenchView).chosen()).toBe(added?.id);
    expect(shown(added?.id ?? '', 'rp-ext')).toBeUndefined();
    await place.undo();
    expect(shown(added?.id ?? '')).toBeUndefined();
  });
});

describe('the whole version', () => {
  it('says what it is beside the master, and what it no longer asks', async () => {
    await panel(undefined, 'rp-oriel');
    expect(place.text).toContain('A modification');
    expect(place.text).toContain('Not asked here: “Explain adaptations”.');
  });

  it('keeps at least one page', async () => {
    await panel();
    await place.unfold('Pages kept');
    for (const title of [/^Life between/, /^Who lives/, /^Why is it/]) await place.check(title);
    expect(derive(place.family('rock-pool'), 'rp-core').content.pages).toHaveLength(1);
  });

  it('opens where all doings stand for one that is asked for by name', async () => {
    await panel();
    expect(await place.has(ButtonHarness, 'Do it')).toBe(false);
    TestBed.inject(BenchView).asked.set('chunk');
    await place.rest();
    expect(await place.has(ButtonHarness, 'Do it')).toBe(true);
  });

  it('keeps its name where it is emptied', async () => {
    await panel();
    await place.write(/^Name/, '   ');
    expect(place.version('rock-pool', 'rp-core').name).toBe('Core');
    await place.write(/^Name/, 'Middle');
    expect(place.version('rock-pool', 'rp-core').name).toBe('Middle');
  });
});

describe('a version beside its basis', () => {
  const page = async (version: string) => {
    place = await DemoPlace.open(VersionPage, { bench: { family: 'rock-pool', version } });
    // Rows are drawn a few with each frame.
    const drawn = () => document.body.querySelectorAll('[data-block]').length;
    for (let i = 0; i < 100 && drawn() < 15; i++) await place.rest();
  };
  const ids = () => [...document.body.querySelectorAll('[data-block]')].map((e) => e.getAttribute('data-block') ?? '');

  it('shows only what is changed, or only what is left out, or what says some words', async () => {
    await page('rp-sup');
    await place.choose('Show', 'only changed');
    expect(ids()).toContain('rp-t1');
    expect(ids()).not.toContain('rp-q4');
    await place.choose('Show', 'only left out');
    expect(ids()).toEqual([]);
    expect(place.text).toContain('Explain why a starfish');
    await place.choose('Show', 'all blocks');
    await place.write('Find words in this version', 'flower');
    expect(ids()).toEqual(['rp-q6']);
    await place.write('Find words in this version', 'zeppelin');
    expect(place.text).toContain('Nothing here says “zeppelin”.');
    await place.press('Show all');
    expect(ids().length).toBeGreaterThan(10);
  });

  it('puts back what this version left out, and not what was left out further up', async () => {
    await page('rp-oriel');
    // One was left out here, the other by Supported.
    expect([...document.body.querySelectorAll('[data-back]')].map((e) => e.getAttribute('data-back'))).toEqual([
      'rp-q10',
    ]);
    await place.press(/^Put back: Question 9/);
    expect(ids()).toContain('rp-q10');
  });

  it('chooses several blocks with the space bar, and leaves out with the key for it', async () => {
    await page('rp-core');
    const view = TestBed.inject(BenchView);
    const at = (id: string) => document.body.querySelector<HTMLElement>(`[data-block="${id}"]`) as HTMLElement;
    const key = async (id: string, name: string) => {
      at(id).dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }));
      await place.rest();
    };
    view.choose('rp-q4');
    await key('rp-q5', ' ');
    expect(view.selection().blocks.map((b) => b.id)).toEqual(['rp-q4', 'rp-q5']);
    view.choose(null);
    await key('rp-q6', 'Delete');
    expect(shown('rp-q6')).toBeUndefined();
  });

  it('says in the gutter what was done, and why', async () => {
    await page('rp-sup');
    expect(place.text).toContain('Counts on, does not subtract yet');
    expect(place.text).toMatch(/grade 11\.\d → 1\.\d/);
  });
});
