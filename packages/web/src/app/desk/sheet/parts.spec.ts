import { beforeEach, describe, expect, it } from '@jest/globals';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import type { Answer, Overtaken, ReleasedMark } from '@lorvet/core/desk';
import { DemoPlace } from '../../testing/demo-place';
import { type BesideAll, BesideQuestion } from './beside-question';
import { Companions, type Noted } from '../companions/companions';
import { FIRST_TRY, NOTHING_SAID, type Together, type Tries } from '../desk-work';
import { GoesStrip } from './goes-strip';
import { LookAs } from '../look/look-as';
import { NotKept } from './not-kept';
import { TeacherWords } from './teacher-words';
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

const textOf = (fixture: ComponentFixture<unknown>) =>
  ((fixture.nativeElement as HTMLElement).textContent ?? '').replace(/\s+/g, ' ').trim();
const buttonOf = (fixture: ComponentFixture<unknown>, says: string) =>
  [...(fixture.nativeElement as HTMLElement).querySelectorAll('button')].find((b) => b.textContent?.includes(says));

describe('beside a question', () => {
  const block = { id: 'q1', kind: 'short-text' as const, prompt: 'What is it?' };
  const nothing: BesideAll = {
    marks: {},
    notes: {},
    comments: {},
    voices: {},
    writing: {},
    levels: {},
    keys: {},
    before: {},
    wrote: {},
    overtaken: [],
  };
  const text = (words: string): Answer => ({ kind: 'text', text: words });

  it('the last notes stand open, and of many the earlier ones are one press away', async () => {
    const many = (n: number) =>
      Array.from({ length: n }, (_, i) => ({ text: `word ${i + 1}`, at: '2026-11-24T09:00' }));
    const notes = async (n: number) => {
      const fixture = await shown(BesideQuestion, { block, beside: { ...nothing, notes: { q1: many(n) } } });
      return { folded: find(fixture, 'details')?.textContent ?? '', all: textOf(fixture) };
    };
    expect((await notes(4)).folded).toBe('');
    const { folded, all } = await notes(50);
    expect(folded).toContain('Notes from before: 46');
    expect(folded).toContain('word 46');
    expect(folded).not.toContain('word 47');
    expect(all).toMatch(/: word 50$/);
  });

  it('what somebody wrote at the same time is taken with one press, its places among those that stand', async () => {
    const other: Overtaken & { name: string } = {
      item: 'q1',
      answer: { kind: 'values', values: { a: 'limpet' } },
      at: 'now',
      name: 'Jory S.',
    };
    const inputs = { block, beside: { ...nothing, overtaken: [other] }, canWrite: true };
    const now = { kind: 'values', values: { a: 'crab', b: 'weed' } };
    const fixture = await shown(BesideQuestion, { ...inputs, answer: now });
    const taken: Answer[] = [];
    fixture.componentInstance.taken.subscribe((a) => taken.push(a));
    expect(textOf(fixture)).toContain('Jory S. wrote this at the same time:');
    buttonOf(fixture, 'Use this instead')?.click();
    expect(taken).toEqual([{ kind: 'values', values: { a: 'limpet', b: 'weed' } }]);
    const closed = await shown(BesideQuestion, { ...inputs, answer: now, canWrite: false });
    expect(buttonOf(closed, 'Use this instead')).toBeUndefined();
  });

  it('stands nothing that is about another question, and nothing that is empty', async () => {
    const overtaken = [
      { item: 'q2', answer: text('a crab'), at: 'now', name: '' },
      { item: 'q1', answer: text('  '), at: 'now', name: '' },
    ];
    const beside = { ...nothing, comments: { q2: 'Well seen' }, keys: { q2: 'crab' }, overtaken };
    expect(textOf(await shown(BesideQuestion, { block, beside }))).toBe('');
  });
});

describe('what the teacher says to all of it', () => {
  const mark = (verdict: ReleasedMark['verdict'], points: number): ReleasedMark => ({ verdict, points, outOf: 1 });
  const numbers = new Map([
    ['q1', 1],
    ['q2', 2],
  ]);

  it('begins with what went well, then the words; points are told only to who asks', async () => {
    const lastMarks = { q1: mark('not-yet', 0), q2: mark('right', 1) };
    const said = { ...NOTHING_SAID, comment: 'You looked closely.', lastMarks };
    const fixture = await shown(TeacherWords, { said, numbers, isAgain: true });
    const all = textOf(fixture);
    const places = ['What went well', '2', 'You looked closely.', 'Have another look at:'].map((x) => all.indexOf(x));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(places[0]).toBe(0);
    expect(find<HTMLDetailsElement>(fixture, 'details')?.open).toBe(false);
    expect(find(fixture, 'details')?.textContent).toContain('1 of 2 points');
    const asked: string[] = [];
    fixture.componentInstance.asked.subscribe((id) => asked.push(id));
    buttonOf(fixture, '1')?.click();
    expect(asked).toEqual(['q1']);
  });

  it('is the words alone before there are marks, and nothing where nothing is said', async () => {
    const said = { ...NOTHING_SAID, comment: 'Go on like that.' };
    expect(textOf(await shown(TeacherWords, { said, numbers }))).toBe('Your teacher says: Go on like that.');
    expect(textOf(await shown(TeacherWords, { said: NOTHING_SAID, numbers }))).toBe('');
  });
});

describe('the goes at a sheet', () => {
  const goes = async (tries: Partial<Tries>, canWrite = true) => {
    const fixture = await shown(GoesStrip, { tries: { ...FIRST_TRY, ...tries }, canWrite });
    const done: unknown[] = [];
    fixture.componentInstance.chosen.subscribe((n) => done.push(n));
    fixture.componentInstance.takenBack.subscribe(() => done.push('taken back'));
    fixture.componentInstance.begunAgain.subscribe(() => done.push('begun again'));
    return { fixture, done };
  };

  it('are none where there is one alone; of two, the earlier is looked at with one press', async () => {
    expect(textOf((await goes({ goes: [1] })).fixture)).toBe('');
    const { fixture, done } = await goes({ goes: [1, 2], go: 2 });
    expect(find(fixture, '[aria-pressed=true]')?.textContent?.trim()).toBe('Go 2');
    buttonOf(fixture, 'Go 1')?.click();
    expect(done).toEqual([1]);
  });

  it.each([
    ['asked', 'Your teacher asks for another go.', 'Begin another go'],
    ['left', 'You may have another go; this one stays.', 'Begin another go'],
    ['sheet', 'There is a new sheet for you.', 'To the new sheet'],
  ] as const)('another go that is %s says why, and begins by its own button', async (again, why, press) => {
    const { fixture, done } = await goes({ again }, false);
    expect(textOf(fixture)).toContain(why);
    buttonOf(fixture, press)?.click();
    expect(done).toEqual(['begun again']);
  });

  it('what was answered before is offered where something was, and where it helps to write', async () => {
    const before: Tries['before'] = { q1: { kind: 'text', text: 'a crab' } };
    const offered = async (tries: Partial<Tries>, canWrite?: boolean) =>
      buttonOf((await goes(tries, canWrite)).fixture, 'Show what I answered before') !== undefined;
    expect(await offered({ before })).toBe(true);
    expect(await offered({ before }, false)).toBe(false);
    expect(await offered({ before: { q1: { kind: 'text', text: ' ' } } })).toBe(false);
  });
});

it.each([
  ['full', 'This computer has no room left.'],
  ['failing', 'It keeps trying.'],
  ['refused', 'Make it shorter.'],
] as const)(
  'work that is not kept because it is %s says so, what that means, and what to press',
  async (trouble, why) => {
    const fixture = await shown(NotKept, { trouble });
    expect(find(fixture, '[role=alert]')?.textContent).toContain('It is still here');
    expect(textOf(fixture)).toContain(why);
    const pressed: string[] = [];
    fixture.componentInstance.triedAgain.subscribe(() => pressed.push('again'));
    fixture.componentInstance.filed.subscribe(() => pressed.push('file'));
    buttonOf(fixture, 'Try again')?.click();
    buttonOf(fixture, 'Save my answers as a file')?.click();
    expect(pressed).toEqual(['again', 'file']);
  },
);

describe('on paper', () => {
  let place: DemoPlace<LookAs>;
  beforeEach(async () => {
    place = await DemoPlace.open(LookAs, { inputs: { handOutId: 'h-survey', learnerId: 'l-oriel' } });
    await place.press('Paper');
  });
  const paper = () => document.querySelector('lv-paper-sheet')?.textContent ?? '';

  it('neither keys nor supports stand on a learner’s sheet until the teacher asks for them', async () => {
    expect(paper()).toContain('Name: Oriel P.');
    expect(paper()).not.toContain('Agreed:');
    await place.check('With the supports agreed');
    expect(paper()).toContain('Agreed:');
    expect(paper()).not.toContain('Teacher’s copy');
    await place.check('Teacher’s copy, with keys and notes');
    expect(paper()).toContain('Teacher’s copy: not for learners');
  });

  it('the teacher’s copy is not what is printed the next time', async () => {
    await place.check('Teacher’s copy, with keys and notes');
    await place.press('Back to the screen');
    window.dispatchEvent(new Event('beforeprint'));
    expect(paper()).toContain('Name: Oriel P.');
    window.dispatchEvent(new Event('afterprint'));
    expect(document.querySelector('lv-paper-sheet')).toBeNull();
  });
});
