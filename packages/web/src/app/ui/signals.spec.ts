import { Component, effect, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { describe, expect, it } from '@jest/globals';
import { type Family, latest, type Swatch } from '@lorvet/core';
import { measure } from '@lorvet/core/measures';
import { demoWorkspace } from '@lorvet/core/demo';
import { Clock } from '../platform/clock';
import { afterDrawing } from './after-drawing';
import { Commands } from './commands';
import { drawSwatch } from './draw-swatch';
import { growing } from './growing';
import { inTurns } from './in-turns';
import { measured } from './measured';

const soon = () => new Promise((done) => setTimeout(done, 5));
/** Waits for what takes as long as the machine needs. */
async function until(is: () => boolean): Promise<void> {
  for (let i = 0; i < 400 && !is(); i++) await soon();
}
/** Runs `make` where a component's signals and effects live. */
function within<T>(make: () => T): T {
  let made: T | undefined;
  @Component({ template: '' })
  class Host {
    constructor() {
      made = make();
    }
  }
  TestBed.createComponent(Host).detectChanges();
  return made as T;
}

describe('what follows after drawing', () => {
  it('keeps the value of before until the page had its turn, and then only the last', async () => {
    const of = signal(1);
    const seen: number[] = [];
    const later = within(() => {
      const s = afterDrawing(of);
      effect(() => seen.push(s()));
      return s;
    });
    await soon();
    of.set(2);
    TestBed.tick();
    of.set(3);
    TestBed.tick();
    expect(later()).toBe(1);
    await soon();
    TestBed.tick();
    expect(later()).toBe(3);
    expect(seen).toEqual([1, 3]);
  });
});

describe('a list that grows', () => {
  it('begins small, grows by itself up to what is always drawn, and begins anew with another list', async () => {
    const list = signal('a');
    const rows = within(() => growing(() => list(), 5, 20));
    expect(rows.budget()).toBe(5);
    await until(() => rows.budget() >= 20);
    await soon();
    expect(rows.budget()).toBe(20);
    rows.reach(50);
    expect(rows.budget()).toBe(50);
    rows.reach(10);
    expect(rows.budget()).toBe(50);
    list.set('b');
    TestBed.tick();
    expect(rows.budget()).toBe(5);
  });
});

describe('work done in turns', () => {
  /** Work of 40 steps of a millisecond; says how often it was done to the end. */
  let ended = 0;
  function* work<R>(result: R): Generator<undefined, R> {
    for (let i = 0; i < 40; i++) {
      const end = performance.now() + 1;
      while (performance.now() < end);
      yield;
    }
    ended++;
    return result;
  }

  it('lets the page draw between its steps, and keeps what was until the new is done', async () => {
    const of = signal('a');
    const result = within(() => inTurns(() => work(of())));
    expect(result()).toBeNull();
    await until(() => result() !== null);
    expect(result()).toBe('a');
    of.set('b');
    TestBed.tick();
    expect(result()).toBe('a');
    await until(() => result() === 'b');
    expect(result()).toBe('b');
  });

  it('is dropped where there is something else to do before its end', async () => {
    const of = signal('a');
    const result = within(() => inTurns(() => work(of())));
    ended = 0;
    of.set('b');
    TestBed.tick();
    await until(() => result() === 'b');
    expect(ended).toBe(1);
  });
});

describe('measures counted between other work', () => {
  it('come to the same as counted at once, and go with their content', async () => {
    const { content } = latest(demoWorkspace(0).families['rock-pool'] as Family);
    const of = signal<typeof content | null>(content);
    const result = within(() => measured(() => of()));
    await until(() => result() !== null);
    expect(result()).toEqual(measure(content));
    of.set(null);
    TestBed.tick();
    expect(result()).toBeNull();
  });
});

describe('a swatch drawn by lot', () => {
  const clock = new Clock();
  it('is unlike all in use, in pattern, colour and letter, while there are others', () => {
    const used: Swatch[] = [];
    for (let i = 0; i < 8; i++) {
      const next = drawSwatch(clock, used);
      for (const s of used) {
        expect(next.letter).not.toBe(s.letter);
        if (used.length < 6) expect([next.pattern, next.colour]).not.toEqual([s.pattern, s.colour]);
      }
      used.push(next);
    }
  });
  it('does not give the first letter to the first version: no letter is the low one', () => {
    const letters = new Set(Array.from({ length: 60 }, () => drawSwatch(clock, []).letter));
    expect(letters.size).toBeGreaterThan(8);
  });
});

describe('commands', () => {
  it('are there while their place is open', () => {
    const commands = TestBed.inject(Commands);
    const one = { group: 'Bench', name: 'The master', run: () => undefined };
    const gone = commands.add([one]);
    expect(commands.all()).toContain(one);
    gone();
    expect(commands.all()).not.toContain(one);
  });
});
