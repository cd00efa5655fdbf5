import { TestBed } from '@angular/core/testing';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import type { Answer, LearnerBlock } from '@lorvet/core';
import { Devices } from '../../platform/devices';
import { DemoPlace } from '../../testing/demo-place';
import { ButtonHarness } from '../../testing/harnesses';
import { LearnerBlockView } from './learner-block';

let place: DemoPlace<LearnerBlockView>;
let given: Answer[] = [];
const show = async (block: object) => {
  place = await DemoPlace.open(LearnerBlockView, {
    inputs: { block: { id: 'q', prompt: 'How much?', ...block } as LearnerBlock },
  });
  place.fixture.componentInstance.answered.subscribe((a) => {
    given.push(a);
    place.fixture.componentRef.setInput('answer', a);
  });
};
const field = () => place.fixture.nativeElement.querySelector('input, textarea') as HTMLInputElement;
const said = () => given.map((a) => ('text' in a ? a.text : ''));

beforeEach(() => {
  given = [];
});
afterEach(() => {
  localStorage.clear();
});

describe('beside a field', () => {
  it('stand signs where the question wants them, and go in where the cursor is, in place of what is marked', async () => {
    await show({ kind: 'number', unit: '', signs: true });
    field().value = '3 x 4';
    field().setSelectionRange(2, 3);
    await place.press('times');
    expect(said()).toEqual(['3 × 4']);
    expect(document.activeElement).toBe(field());
    await place.press('squared');
    expect(said().at(-1)).toBe('3 ×² 4');
    await show({ kind: 'number', unit: '' });
    expect(await place.has(ButtonHarness, 'times')).toBe(false);
  });

  it('a fraction is filled in as it looks and goes in as text; what is typed is shown as a formula', async () => {
    await show({ kind: 'short-text', signs: true });
    field().value = 'y = 2';
    field().dispatchEvent(new Event('input', { bubbles: true }));
    await place.press('Fraction');
    const shown = () => place.fixture.nativeElement as HTMLElement;
    const form = () => [...shown().querySelectorAll<HTMLInputElement>('.form input')];
    const [top, bottom] = form();
    // Whoever types on at once types into it.
    expect(document.activeElement).toBe(top);
    for (const [input, text] of [
      [top, 'x'],
      [bottom, '1'],
    ] as const) {
      input?.focus();
      if (input) input.value = text;
      input?.dispatchEvent(new Event('input', { bubbles: true }));
    }
    // A sign goes where the cursor is.
    await place.press('pi');
    expect(said()).toEqual(['y = 2']);
    bottom?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    await place.rest();
    expect(said().at(-1)).toBe('y = 2 x/(1π)');
    expect(form()).toEqual([]);
    expect(shown().querySelector('math mfrac')?.textContent).toBe('x1π');
    // Escape leaves the field as it was, and leads back.
    await place.press('Root');
    form()[0]?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
    await place.rest();
    expect(document.activeElement?.textContent?.trim()).toBe('Root');
    expect(said().at(-1)).toBe('y = 2 x/(1π)');
  });

  it('is nothing to speak into, unless this machine can hear', async () => {
    await show({ kind: 'short-text' });
    expect(await place.has(ButtonHarness, 'Speak it')).toBe(false);
  });

  it('spoken words come one after the other, apart from what was there, until no more fit', async () => {
    await show({ kind: 'long-text', lines: 3 });
    TestBed.inject(Devices).useStandIns(true);
    await place.rest();
    field().value = 'Look:';
    field().setSelectionRange(5, 5);
    await place.press('Speak it');
    expect(place.text).toContain('Stand-in microphone: not a real one.');
    await new Promise((done) => setTimeout(done, 450));
    await place.press('Stop listening');
    expect(said()[0]).toBe('Look: I');
    expect('Look: I see a crab under a stone'.startsWith(said().at(-1) ?? 'x')).toBe(true);
    const before = given.length;
    field().maxLength = field().value.length + 1;
    await place.press('Speak it');
    await new Promise((done) => setTimeout(done, 450));
    await place.rest();
    expect(given.length).toBe(before);
    expect(await place.has(ButtonHarness, 'Speak it')).toBe(true);
  });
});
