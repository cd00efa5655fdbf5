import { describe, expect, it } from '@jest/globals';
import { latest } from '@lorvet/core';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { DemoPlace } from '../testing/demo-place';
import { ButtonHarness } from '../testing/harnesses';
import { FamilyStrip } from './family-strip';
import { History } from './history';
import { NewVersion } from './new-version';

describe('the strip of a family', () => {
  const open = (family: string) => DemoPlace.open(FamilyStrip, { bench: { family } });

  it('shows the tree with its changes and learners, and what waits', async () => {
    const place = await open('rock-pool');
    const nodes = [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('[role="treeitem"]')];
    const said = ['aria-level', 'aria-posinset', 'aria-setsize', 'aria-selected', 'aria-label'];
    expect(nodes.map((n) => said.map((a) => n.getAttribute(a)).join(' '))).toEqual([
      '1 1 1 true Rock-pool survey, master · revision 3',
      '2 1 3 false Supported, 10 changes · 4 learners',
      '3 1 1 false Supported, Oriel, 3 more · 1 learner',
      '2 2 3 false Core, 3 changes · 6 learners',
      '2 3 3 false Extended, 3 changes · 3 learners',
    ]);
    expect(place.text).toContain('Supported10 changes · 4 learners');
    expect(place.text).toContain('Supported, Oriel3 more · 1 learner');
    expect(place.text).toContain('4 to decide');
  });

  it('is walked with keys: down and up, folded up and unfolded, opened with Enter', async () => {
    const place = await open('rock-pool');
    const at = () => document.activeElement?.getAttribute('aria-label')?.split(',')[0];
    const press = async (key: string) => {
      document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key, code: key, bubbles: true }));
      // The part moves the focus a moment later where it unfolds.
      await new Promise((done) => setTimeout(done, 5));
      await place.rest();
    };
    place.fixture.nativeElement.querySelector('[role="treeitem"][tabindex="0"]').focus();
    await press('ArrowDown');
    expect(at()).toBe('Supported');
    await press('ArrowLeft');
    expect(document.activeElement?.getAttribute('aria-expanded')).toBe('false');
    await press('ArrowDown');
    expect(at()).toBe('Core');
    await press('Enter');
    expect(TestBed.inject(Router).url).toBe('/bench/rock-pool/rp-core');
    // Pressed again, it stays chosen.
    await press('Enter');
    expect(document.activeElement?.getAttribute('aria-selected')).toBe('true');
  });

  it('finds words once: in the master, and in versions that say it otherwise', async () => {
    const place = await open('rock-pool');
    const found = async (words: string) => {
      await place.write('Find in the family', words);
      const list = (place.fixture.nativeElement as HTMLElement).querySelectorAll('.found li strong');
      return [...list].map((x) => x.textContent);
    };
    expect(await found('retreating sea')).toEqual(['Master']);
    expect(await found('draws back')).toEqual(['Core']);
    // Said by Supported alone; the version made on it leaves these words as they are.
    expect(await found('wet there')).toEqual(['Supported']);
    await place.write('Find in the family', 'zeppelin');
    expect(place.text).toContain('Nothing in the family says “zeppelin”.');
  });
});

describe('the history of a family', () => {
  it('says by words what changed between any two revisions', async () => {
    const place = await DemoPlace.open(History, { inputs: { familyId: 'rock-pool' } });
    expect(place.text).toContain('left behind');
    await place.choose('From revision', 'revision 1');
    expect(place.text).toContain('the class counted');
    await place.choose('To revision', 'revision 1');
    expect(place.text).toContain('Nothing differs between the two.');
  });

  it('restores an earlier revision as a new one, and alters none', async () => {
    const place = await DemoPlace.open(History, { inputs: { familyId: 'rock-pool' } });
    const before = place.family('rock-pool').revisions;
    await place.press('Restore');
    const family = place.family('rock-pool');
    expect(family.revisions.slice(0, 3)).toEqual(before);
    expect(latest(family)).toMatchObject({ n: 4, content: before[1]?.content });
    await place.undo();
    expect(place.family('rock-pool').revisions).toEqual(before);
  });

  it('draws each version at the revision it was brought up to, and says who has it', async () => {
    const place = await DemoPlace.open(History, { inputs: { familyId: 'rock-pool' } });
    expect(await place.has(ButtonHarness, 'Supported, up to revision 1, 2 behind, 4 learners')).toBe(true);
    expect(await place.has(ButtonHarness, 'Extended, up to revision 3, 3 learners')).toBe(true);
  });

  it('measures the whole family side by side', async () => {
    const place = await DemoPlace.open(History, { inputs: { familyId: 'puncture' } });
    const rows = [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('tbody tr')];
    expect(rows.map((r) => r.querySelector('th')?.textContent)).toEqual(['Master', 'Supported', 'Core', 'Extended']);
    const items = rows.map((r) => Number(r.querySelectorAll('td')[1]?.textContent));
    // Four are chosen and the steps are to be ticked; two and a page more for those who want it.
    expect(items).toEqual([5, 5, 5, 7]);
  });
});

describe('a new version', () => {
  it('is made on the master unless it is chosen otherwise, and is up to date from the start', async () => {
    const place = await DemoPlace.open(NewVersion, {
      bench: { family: 'rock-pool', version: 'rp-sup' },
      inputs: { open: true },
    });
    expect(place.text).toContain('the master');
    await place.choose(/^Made on/, 'Supported');
    await place.write(/^Name/, 'Calm');
    await place.choose(/^For/, 'Jory S. only');
    (place.fixture.nativeElement as HTMLElement).ownerDocument.querySelector('form')?.requestSubmit();
    await place.rest();
    const made = place.family('rock-pool').versions.at(-1);
    expect(made).toMatchObject({ name: 'Calm', basis: 'rp-sup', learnerId: 'l-jory', upTo: 3 });
    expect(place.address).toBe(`/bench/rock-pool/${made?.id ?? ''}`);
  });
});
