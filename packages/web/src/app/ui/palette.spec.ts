import { TestKey } from '@angular/cdk/testing';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { DemoPlace } from '../testing/demo-place';
import { Changes } from './changes';
import { Commands } from './commands';
import { Palette } from './palette';

describe('finding an action by its name', () => {
  let place: DemoPlace<Palette>;
  let done: string[];
  beforeEach(async () => {
    done = [];
    place = await DemoPlace.open(Palette, { inputs: { open: true } });
    const action = (group: string, name: string) => ({ group, name, run: () => done.push(name) });
    TestBed.inject(Commands).add([
      action('Help', 'Glossary of hard words'),
      action('Help', 'Word bank with other words'),
      action('Go to', 'Learners'),
      ...Array.from({ length: 20 }, (_, i) => action('Bench', `Version ${i}`)),
    ]);
    await place.rest();
  });
  const key = async (name: TestKey) => {
    await (await place.field('Name of an action')).key(name);
    await place.rest();
  };
  const options = () => [...document.body.querySelectorAll('[role=option]')].map((o) => o.textContent?.trim());

  it('takes every word, in any order, of the name and its group', async () => {
    await place.write('Name of an action', 'words help');
    expect(options().slice(0, 2)).toEqual(['HelpGlossary of hard words', 'HelpWord bank with other words']);
    await place.write('Name of an action', 'HARD glos');
    expect(options()).toEqual(['HelpGlossary of hard words']);
    await place.write('Name of an action', 'zeppelin');
    expect(place.text).toContain('Nothing is called “zeppelin” here.');
  });

  it('is done with the keys alone, round both ends', async () => {
    await place.write('Name of an action', 'version 1');
    await key(TestKey.UP_ARROW);
    await key(TestKey.ENTER);
    expect(done).toEqual(['Version 19']);
  });

  it('finds what is kept, and by other words what is done elsewhere, and leads there', async () => {
    await place.write('Name of an action', 'oriel');
    expect(options()).toEqual(['LearnerOriel P.']);
    for (const [sought, at] of [
      ['fewer', 'ElsewhereFewer choiceson the Bench: open a version, choose a block'],
      ['paper', 'ElsewherePrint on paperon the Bench, under Look'],
      ['pupil csv', 'ElsewhereImport a class listunder Learners'],
      ['material', 'ElsewhereBring in materialunder Bring in'],
    ] as const) {
      await place.write('Name of an action', sought);
      expect(options()).toContain(at);
    }
    await place.write('Name of an action', 'catching');
    await key(TestKey.ENTER);
    expect(place.address).toBe('/bench/right-bus');
  });

  describe('in a place', () => {
    let here: HTMLElement;
    let pressed: string[];
    beforeEach(() => {
      pressed = [];
      here = document.createElement('main');
      here.id = 'place';
      here.innerHTML = `
        <button>New master</button><button disabled>Zap it</button><a href="#x">The <b>tide</b> table</a>
        <label>Backup file <input type="file" /></label>
        <div data-block="a"><button>Split the pool</button></div>
        <div data-block="b" class="chosen"><button>Split the shore</button></div>`;
      here.addEventListener('click', (e) => pressed.push((e.target as HTMLElement).textContent.trim()));
      document.body.append(here);
    });
    afterEach(() => here.remove());
    const open = async () => {
      place.fixture.componentRef.setInput('open', false);
      place.fixture.componentRef.setInput('open', true);
      await place.rest();
    };
    const seek = async (text: string) => {
      await open();
      await place.write('Name of an action', text);
      return options();
    };

    it('finds what can be pressed there, also by other words, and presses it', async () => {
      expect(await seek('worksheet create')).toEqual(['HereNew master']);
      await key(TestKey.ENTER);
      expect(pressed).toEqual(['New master']);
      expect(await seek('tide')).toEqual(['HereThe tide table']);
      expect(await seek('zap it')).toEqual([]);
      expect(await seek('split')).toEqual(['HereSplit the shore']);
      await seek('restore zip');
      await key(TestKey.ENTER);
      expect(pressed).toContain('Backup file');
    });

    it('stays with the family that is open, and says what has to be chosen first', async () => {
      await TestBed.inject(Router).navigateByUrl('/bench/right-bus/bus-core');
      await seek('new page');
      await key(TestKey.ENTER);
      expect(place.address).toBe('/bench/right-bus');
      await seek('fewer');
      await key(TestKey.ENTER);
      expect(place.address).toBe('/bench/right-bus');
      expect(place.notices).toEqual(['Fewer choices It is done on the Bench: open a version, choose a block.']);
    });

    it('presses what is done elsewhere once that place is there, unless one has gone on by then', async () => {
      const later = (name: string) => {
        here.innerHTML = `<button>${name}</button>`;
        return place.rest();
      };
      await seek('roster');
      await key(TestKey.ENTER);
      expect(place.address).toBe('/learners');
      await later('Import a class list');
      await later('Import a class list');
      expect(pressed).toEqual(['Import a class list']);
      await seek('passphrase');
      await key(TestKey.ENTER);
      document.body.dispatchEvent(new Event('pointerdown', { bubbles: true }));
      await later('Set the lock');
      expect(pressed).toEqual(['Import a class list']);
    });
  });

  it('shows no more than can be looked over', async () => {
    await place.write('Name of an action', 'version');
    expect(options()).toHaveLength(12);
  });
});

describe('what changed between two texts', () => {
  const open = async (was: string, now: string) => {
    const place = await DemoPlace.open(Changes, { inputs: { was, now } });
    const host = place.fixture.nativeElement as HTMLElement;
    const said = (tag: string) => [...host.querySelectorAll(tag)].map((e) => e.textContent?.trim());
    return { gone: said('del'), fresh: said('ins') };
  };
  it('is struck through and marked word by word', async () => {
    expect(await open('The crab hides under a stone all day.', 'The crab hides under a flat stone all day.')).toEqual({
      gone: [],
      fresh: ['flat'],
    });
  });
  it('is only what is new where most was written anew', async () => {
    expect((await open('One two three four.', 'Wholly other words stand here.')).gone).toEqual([]);
  });
});
