import { Component, signal } from '@angular/core';
import { FormControl } from '@angular/forms';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { versionSchema } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { bySchema } from './by-schema';
import { CheckBox } from './check';
import { DateField } from './date';
import { NumberField } from './number';
import { SELECT } from './select';

@Component({
  selector: 'lv-trial',
  imports: [CheckBox, DateField, NumberField, ...SELECT],
  template: `
    <lv-check [on]="on()" (turned)="turn($event)">Keep it</lv-check>
    <lv-select label="Add" placeholder="choose …" value="" (chosen)="added.push($event)">
      <lv-option value="a" label="A heading" group="Content" />
      <lv-option value="b" label="A text" group="Content" />
    </lv-select>
    <lv-number label="Points" [min]="0" [max]="5" [value]="points()" (told)="points.set($event)" />
    <lv-date label="Due" withTime timeWhenNone="23:59" [value]="due()" (told)="due.set($event)" />
  `,
})
class Trial {
  readonly on = signal(true);
  readonly points = signal<number | null>(2);
  readonly due = signal('2026-12-05T15:00');
  readonly added: string[] = [];
  readonly turned: boolean[] = [];
  turn(on: boolean): void {
    this.turned.push(on);
    // The last one cannot be let go.
    if (on) this.on.set(on);
  }
}

let place: DemoPlace<Trial>;
const trial = () => place.fixture.componentInstance;
beforeEach(async () => {
  place = await DemoPlace.open(Trial);
});

describe('a control shows what is kept', () => {
  it('also where a change was refused', async () => {
    await place.check('Keep it');
    expect(trial().turned).toEqual([false]);
    expect(await (await place.field('Keep it')).isChecked()).toBe(true);
  });

  it('a list of things to do goes back to its words, so that the same can be done again', async () => {
    expect(await place.options('Add')).toEqual(['Content', 'A heading', 'A text']);
    for (let i = 0; i < 2; i++) await place.choose('Add', 'A text');
    expect(trial().added).toEqual(['b', 'b']);
    expect(await place.chosen('Add')).toBe('choose …');
  });

  it('a number within its ends', async () => {
    await place.write('Points', '9');
    expect(trial().points()).toBe(5);
    await place.write('Points', '');
    expect(trial().points()).toBeNull();
  });
});

describe('a day', () => {
  it('pasted in the form of the place is kept, without a time at the end of it', async () => {
    await place.write('Due', '12/24/2026');
    expect(trial().due()).toBe('2026-12-24T23:59');
    await place.write('Due', '');
    expect(trial().due()).toBe('');
  });

  it('is chosen from its calendar, which is made when it is asked for', async () => {
    expect(document.querySelector('p-datepicker')).toBeNull();
    await place.press('Calendar: Due');
    await place.rest();
    const days = [...document.querySelectorAll<HTMLElement>('[data-pc-section="day"]')];
    days.find((d) => d.textContent?.trim() === '17')?.click();
    await place.rest();
    expect(trial().due()).toBe('2026-12-17T15:00');
    expect(await (await place.field('Due')).value()).toBe('12/17/2026 03:00 PM');
  });

  it('that is none is said in words, stays in the field, and changes nothing', async () => {
    await place.write('Due', '31/31/2026');
    expect(place.text).toContain('“31/31/2026” is no day and time. Write it as');
    expect(trial().due()).toBe('2026-12-05T15:00');
    expect(await (await place.field('Due')).value()).toBe('31/31/2026');
  });
});

it('a rule of the core speaks to a teacher', () => {
  const name = new FormControl('', { validators: bySchema(versionSchema.shape.name, 'A name') });
  expect(name.errors).toEqual({ words: 'A name is needed.' });
  name.setValue('x'.repeat(121));
  expect(name.errors).toEqual({ words: 'A name has room for 120 letters; these are 121.' });
  name.setValue(' Core ');
  expect(name.errors).toBeNull();
});
