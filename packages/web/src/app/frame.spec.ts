import { beforeEach, describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { Keeper } from './platform/storage/keeper';
import { renamed } from './testing/kept-demo';
import { DemoPlace } from './testing/demo-place';
import { ButtonHarness } from './testing/harnesses';
import { Frame } from './frame';

let place: DemoPlace<Frame>;
beforeEach(async () => {
  localStorage.clear();
  place = await DemoPlace.open(Frame);
});

const key = async (k: string, on: EventTarget = document.body, more: KeyboardEventInit = {}) => {
  const event = new KeyboardEvent('keydown', { key: k, bubbles: true, cancelable: true, ...more });
  on.dispatchEvent(event);
  await place.rest();
  return event.defaultPrevented;
};
const isDark = () => document.documentElement.classList.contains('dark');
const jory = () => place.work.doc().learners['l-jory']?.name;

describe('the frame around every place', () => {
  it('undoes and redoes by keys, and leaves them to a field that is written in', async () => {
    place.work.dispatch(renamed('Jory of the pier'));
    await place.rest();
    expect(await place.has(ButtonHarness, /^Undo: /)).toBe(true);
    const field = document.body.appendChild(document.createElement('input'));
    expect(await key('z', field, { ctrlKey: true })).toBe(false);
    expect(jory()).toBe('Jory of the pier');
    field.remove();
    expect(await key('z', document.body, { ctrlKey: true })).toBe(true);
    expect(jory()).not.toBe('Jory of the pier');
    expect(await key('Z', document.body, { ctrlKey: true, shiftKey: true })).toBe(true);
    expect(jory()).toBe('Jory of the pier');
  });

  it('says whether all is kept', async () => {
    expect(place.text).toContain('All kept');
    TestBed.inject(Keeper).failed.set('QuotaExceededError');
    await place.rest();
    expect(place.text).toContain('Not kept');
    expect(place.text).toContain('There is no room left in this browser');
  });

  it('wears the colours that were chosen as long as it is there, and remembers them', async () => {
    expect(isDark()).toBe(false);
    await place.press('Dark colours');
    expect(isDark()).toBe(true);
    place.fixture.destroy();
    expect(isDark()).toBe(false);
    place = await DemoPlace.open(Frame);
    expect(isDark()).toBe(true);
    place.fixture.destroy();
  });
});
