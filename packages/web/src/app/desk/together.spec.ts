import { beforeEach, describe, expect, it } from '@jest/globals';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { Companions, type Noted } from './companions';
import type { Together } from './desk-work';
import { Turns } from './turns';

const shown = async <T>(part: new () => T, inputs: Readonly<Record<string, unknown>>) => {
  const fixture = TestBed.createComponent(part);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  await fixture.whenStable();
  return fixture;
};
const find = <E extends Element>(fixture: ComponentFixture<unknown>, selector: string) =>
  (fixture.nativeElement as HTMLElement).querySelector<E>(selector);

describe('on a sheet that several share', () => {
  const names = ['Corin B.', 'Tamsin W.', 'Jory S.', 'Kerra L.', 'Oriel P.', 'Perran M.', 'Senara T.'];
  const of = (many: number): Together => ({
    team: 'Everybody',
    mates: names.slice(1, many),
    members: names.slice(0, many).map((name) => ({ id: `l-${name}`, name })),
    by: { q1: 'l-Jory S.', q2: 'l-Jory S.' },
  });
  const turns = async (many: number) => {
    const fixture = await shown(Turns, { together: of(many), writer: 'l-Tamsin W.', canWrite: true });
    const passed: string[] = [];
    fixture.componentInstance.passed.subscribe((id) => passed.push(id));
    return { fixture, passed };
  };

  it('whose turn it is stands on buttons for six, and in one list for more, with how much each wrote', async () => {
    const six = await turns(6);
    expect(find(six.fixture, 'select')).toBeNull();
    expect(find(six.fixture, '[aria-pressed=true]')?.textContent).toContain('Tamsin W.');
    const { fixture, passed } = await turns(7);
    expect(find(fixture, 'button')).toBeNull();
    const list = find<HTMLSelectElement>(fixture, 'label select');
    expect(list?.value).toBe('l-Tamsin W.');
    expect(list?.options[2]?.text.trim()).toBe('Jory S. · 2 answers');
    if (list) list.value = 'l-Senara T.';
    list?.dispatchEvent(new Event('change'));
    expect(passed).toEqual(['l-Senara T.']);
  });

  it('nobody’s turn is asked for once nothing can be written', async () => {
    const fixture = await shown(Turns, { together: of(7), writer: 'l-Jory S.', canWrite: false });
    expect(find(fixture, 'select, button')).toBeNull();
    expect(fixture.nativeElement.textContent).toContain('There is one sheet for all of you.');
  });
});

describe('a sheet of notes', () => {
  let fixture: ComponentFixture<Companions>;
  const written: Noted[] = [];
  beforeEach(async () => {
    written.length = 0;
    fixture = await shown(Companions, {
      list: [{ id: 'c1', is: 'notes', title: 'Notes', holds: '' }],
      notes: { c1: 'a limpet' },
      overtaken: [{ item: 'c1', answer: { kind: 'text', text: 'a crab' }, at: 'now' }],
    });
    fixture.componentInstance.noted.subscribe((n) => written.push(n));
  });

  it('says each letter as it is written, so that none waits for the field to be left', () => {
    const field = find<HTMLTextAreaElement>(fixture, 'textarea');
    if (field) field.value = 'a limpet on a stone';
    field?.dispatchEvent(new Event('input'));
    expect(written).toEqual([{ id: 'c1', text: 'a limpet on a stone' }]);
  });

  it('shows what was written on it at the same time, which can change places with what stands there', () => {
    expect(fixture.nativeElement.textContent).toContain('a crab');
    find<HTMLButtonElement>(fixture, '.other button')?.click();
    expect(written).toEqual([{ id: 'c1', text: 'a crab', swaps: true }]);
  });
});
