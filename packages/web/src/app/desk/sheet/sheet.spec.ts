import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { type Block, copyIdOf } from '@lorvet/core';
import { Clock } from '../../platform/clock';
import { MarkingActions } from '../../store/actions';
import { KeepingSync } from '../../store/keeping-sync';
import { TestBed } from '@angular/core/testing';
import { DemoPlace } from '../../testing/demo-place';
import { ButtonHarness } from '../../testing/harnesses';
import { DeskSheet } from './sheet';

let place: DemoPlace<DeskSheet>;
const open = async (learnerId: string) => {
  sessionStorage.setItem('lorvet-desk', learnerId);
  place = await DemoPlace.open(DeskSheet, { inputs: { handOutId: 'h-survey' } });
};
const goes = (learnerId: string) => place.work.copies()[copyIdOf('h-survey', learnerId)]?.goes ?? [];
const written = () => Object.values(goes('l-corin').at(-1)?.answers ?? {}).map((a) => ('text' in a ? a.text : a.kind));
const field = () => place.fixture.nativeElement.querySelector('input.answer, input[type=text]') as HTMLInputElement;
const type = (text: string) => {
  const input = field();
  input.value = text;
  input.dispatchEvent(new Event('input', { bubbles: true }));
};

describe('a sheet at the desk', () => {
  beforeEach(() => {
    jest.spyOn(Clock.prototype, 'local').mockReturnValue('2026-11-24T09:00');
  });
  afterEach(() => {
    jest.restoreAllMocks();
    sessionStorage.clear();
  });

  it('keeps what is written when the learner goes, and says Saved once it is written', async () => {
    await open('l-corin');
    expect(written()).toEqual([]);
    type('a crab');
    await place.press('My work');
    expect(written()).toEqual(['a crab']);
    await TestBed.inject(KeepingSync).flush();
    await place.rest();
    expect(place.text).toContain('Saved');
    expect(place.address).toBe('/desk/work');
  });

  it('names what is empty before it is submitted, and then takes no more', async () => {
    await open('l-corin');
    type('a crab');
    for (let i = 0; (await place.has(ButtonHarness, 'Next')) && i < 9; i++) await place.press('Next');
    await place.press('Submit …');
    expect(place.text).toContain('Some places are still empty');
    const asked = place.fixture.nativeElement.querySelector('[role=alertdialog]');
    expect(document.activeElement).toBe(asked);
    await place.press('Not yet');
    expect(document.activeElement?.textContent).toContain('Submit …');
    await place.press('Submit …');
    await place.press('Question 2');
    expect(place.text).toContain('page 1 of');
    expect(document.activeElement?.closest('lv-learner-block')?.textContent).toMatch(/^\s*2/);
    for (let i = 0; (await place.has(ButtonHarness, 'Next')) && i < 9; i++) await place.press('Next');
    await place.press('Submit …');
    await place.press(/^Submit (now|as it is)/);
    expect(goes('l-corin').at(-1)?.submittedAt).not.toBeNull();
    expect(place.address).toBe('/desk/work');
    await place.rest();
    expect(place.fixture.nativeElement.querySelectorAll('input:not(:disabled):not([readonly])')).toHaveLength(0);
  });

  it('begins afresh with an empty sheet, and brings back what was put aside; each step can be taken back', async () => {
    await open('l-corin');
    type('a crab');
    await place.rest();
    await place.press('Undo');
    expect(field().value).toBe('');
    await place.press('Redo');
    expect(field().value).toBe('a crab');
    await place.press('Start afresh …');
    await place.press('Start afresh');
    expect(field().value).toBe('');
    expect(
      goes('l-corin')
        .at(-1)
        ?.aside?.map((a) => Object.values(a.answers)),
    ).toEqual([[{ kind: 'text', text: 'a crab' }]]);
    expect(await (await place.button('Undo')).isDisabled()).toBe(true);
    type('a limpet');
    await place.press(/^Bring back what I wrote/);
    expect(field().value).toBe('a crab');
    expect(await place.has(ButtonHarness, /^Bring back what I wrote/)).toBe(true);
  });

  it('keeps that a flap was lifted, with the answer as it was then: only the first time', async () => {
    sessionStorage.setItem('lorvet-desk', 'l-corin');
    const withFlap = (b: Block): Block =>
      b.id === 'rp-q3' ? ({ ...b, flap: 'rain', flapAfter: { letters: 1, submitted: false } } as Block) : b;
    place = await DemoPlace.open(DeskSheet, {
      inputs: { handOutId: 'h-survey' },
      change: (w) => ({
        ...w,
        frozen: Object.fromEntries(
          Object.entries(w.frozen).map(([id, f]) => [
            id,
            {
              ...f,
              content: { ...f.content, pages: f.content.pages.map((p) => ({ ...p, blocks: p.blocks.map(withFlap) })) },
            },
          ]),
        ),
      }),
    });
    const lifted = () => goes('l-corin').at(-1)?.lifted?.['rp-q3'];
    type('a gull');
    await place.rest();
    expect(lifted()).toBeUndefined();
    await place.press(/^Lift/);
    expect(place.text).toContain('rain');
    expect(lifted()).toMatchObject({ answer: { text: 'a gull' } });
    type('rain');
    await place.press('My work');
    expect(goes('l-corin').at(-1)?.answers['rp-q3']).toMatchObject({ text: 'rain' });
    expect(lifted()).toMatchObject({ answer: { text: 'a gull' } });
  });

  it('keeps both of two comforts that are pressed at once', async () => {
    await open('l-corin');
    await place.press(/^Aa/);
    await place.rest();
    const box = (label: string) =>
      [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('lv-comfort label')]
        .find((l) => l.textContent?.trim() === label)
        ?.querySelector('input');
    box('Larger buttons')?.click();
    box('Nothing moves')?.click();
    await place.rest();
    expect(place.work.comforts()['l-corin']?.comfort).toMatchObject({ large: true, calm: true });
  });

  it('goes on at the page and question at which it was left', async () => {
    await open('l-demelza');
    await place.press('Next');
    await place.press('My work');
    const at = place.work.copies()[copyIdOf('h-survey', 'l-demelza')]?.at;
    expect(at).toBeTruthy();
    place = await DemoPlace.open(DeskSheet, {
      inputs: { handOutId: 'h-survey' },
      change: (w) => {
        const copy = w.copies[copyIdOf('h-survey', 'l-demelza')];
        return copy ? { ...w, copies: { ...w.copies, [copy.id]: { ...copy, at: at ?? '' } } } : w;
      },
    });
    await place.rest();
    expect(place.text).toContain('page 2 of');
  });

  it('is taken back once submitted, until the teacher begins to mark it', async () => {
    await open('l-corin');
    type('a crab');
    for (let i = 0; (await place.has(ButtonHarness, 'Next')) && i < 9; i++) await place.press('Next');
    await place.press('Submit …');
    await place.press(/^Submit (now|as it is)/);
    await place.press('Take it back');
    expect(goes('l-corin').at(-1)?.submittedAt).toBeNull();
    await place.press('Submit …');
    await place.press(/^Submit (now|as it is)/);
    const copyId = copyIdOf('h-survey', 'l-corin');
    place.work.dispatch(
      MarkingActions.responseChanged({ copyId, go: 1, patch: { comment: 'I see' }, label: 'comment' }),
    );
    await place.rest();
    expect(await place.has(ButtonHarness, 'Take it back')).toBe(false);
  });

  it('says first what went well, then the teacher’s words, then what is left; points only for who asks', async () => {
    await open('l-tamsin');
    expect(place.text).toContain('Your teacher asks for another go.');
    const well = place.fixture.nativeElement.querySelector('lv-went-well') as HTMLElement;
    const says = well.innerText ?? well.textContent ?? '';
    const order = [
      'What went well',
      'questions are right',
      'Your teacher says',
      'Have another look at',
      'How many points',
    ];
    expect(order.map((words) => says.indexOf(words))).toEqual(
      order.map((words) => says.indexOf(words)).toSorted((a, b) => a - b),
    );
    expect(says.indexOf('What went well')).toBeGreaterThanOrEqual(0);
    expect(well.querySelector('details')?.open).toBe(false);
    expect(place.fixture.nativeElement.querySelectorAll('lv-mark-of .right').length).toBeGreaterThan(0);
    // A question that is left is one press away.
    await place.press('Question 5');
    expect(place.text).toContain('page 2 of');
  });

  it('shows no marks before they come out', async () => {
    sessionStorage.setItem('lorvet-desk', 'l-tamsin');
    place = await DemoPlace.open(DeskSheet, {
      inputs: { handOutId: 'h-survey' },
      change: (w) => {
        const h = w.handOuts['h-survey'];
        return h ? { ...w, handOuts: { ...w.handOuts, [h.id]: { ...h, answersAt: '2026-12-01T09:00' } } } : w;
      },
    });
    expect(place.text).toContain('Your teacher says');
    expect(place.text).not.toMatch(/What went well|Not yet right/);
  });

  it('begins another go with what was written where the teacher asks for it; the earlier one can be looked at', async () => {
    await open('l-ysolde');
    const [first] = goes('l-ysolde');
    place.work.dispatch(
      MarkingActions.responseChanged({
        copyId: copyIdOf('h-survey', 'l-ysolde'),
        go: 1,
        patch: { decision: 'another go', decidedAt: '2026-11-24T08:59:00.000Z' },
        label: 'x',
      }),
    );
    await place.rest();
    expect(place.text).toContain('Your teacher asks for another go.');
    await place.press('Begin another go');
    expect(goes('l-ysolde')).toHaveLength(2);
    expect(goes('l-ysolde')[1]?.answers).toEqual(first?.answers);
    await place.press('Show what I answered before');
    expect(
      place.fixture.nativeElement.querySelectorAll('lv-go-before :is(input, textarea):not(:disabled)'),
    ).toHaveLength(0);
    expect(place.fixture.nativeElement.querySelectorAll('lv-go-before').length).toBeGreaterThan(0);
    await place.press('Go 1');
    expect(place.text).toContain('Go 1, to look at');
    expect(goes('l-ysolde')[0]).toEqual(first);
  });
});
