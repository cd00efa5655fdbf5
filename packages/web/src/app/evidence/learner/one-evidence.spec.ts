import { describe, expect, it } from '@jest/globals';
import { supportsOn } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { ButtonHarness } from '../../testing/harnesses';
import { OneEvidence } from './one-evidence';

const AT = '2026-11-26T12:00';
const open = async (learnerId = 'l-oriel') => {
  const place = await DemoPlace.open(OneEvidence, { inputs: { learnerId }, at: AT });
  // It is read from what is kept; works are drawn a piece with each frame, the first two of them.
  const drawn = () => [...(place.fixture.nativeElement as HTMLElement).querySelectorAll('lv-work-evidence')];
  const isThere = () => drawn().length > 0 && drawn().every((w) => !/\d more …/.test(w.textContent));
  for (let i = 0; i < 60 && !isThere(); i++) await place.whole();
  return place;
};
const folder = (place: DemoPlace<unknown>, id = 'l-oriel') => place.work.folders()[id];

describe('evidence of a learner', () => {
  it('shows what was adjusted, why, both forms and how it went; and the gaps in what was agreed', async () => {
    const place = await open();
    expect(place.text).toContain(
      '4 pieces of work, 21 adjustments: 10 accommodations, 2 modifications, 9 to be judged.',
    );
    expect(place.text).toContain('The page ends where the hour does');
    expect(place.text).toContain('Finishes one page without a break');
    const page = place.fixture.nativeElement as HTMLElement;
    const sides = [...page.querySelectorAll('lv-sides-of')].find((s) => s.textContent.includes('What falls'));
    expect(sides?.querySelector('del')?.textContent).toBe('suddenly ');
    expect(sides?.querySelector('ins')?.textContent).toBe('from the sky ');
    expect(sides?.textContent).toMatch(/Answered:\s*rain/);
    const supports = page.querySelector('[aria-label="Agreed supports"]')?.textContent ?? '';
    expect(supports).toMatch(/word bank\s*4 of 4/);
    expect(supports).toMatch(/two or three choices\s*3 of 4/);
    expect(supports).toMatch(/an assistant beside them\s*the work cannot tell/);
  });

  it('leaves a piece out and takes it in again; nothing of what was held fast changes', async () => {
    const place = await open();
    const frozen = place.work.frozen();
    await place.press(/^Leave out: A word bank is added/);
    expect(place.text).toContain('20 adjustments');
    expect(folder(place)?.leftOut).toHaveLength(1);
    await place.undo();
    expect(place.text).toContain('21 adjustments');
    await place.redo();
    await place.press(/^Take in: A word bank is added/);
    expect(place.text).toContain('21 adjustments');
    expect(place.work.frozen()).toBe(frozen);
  });

  it('gathered anew, keeps what is drawn where it is', async () => {
    const place = await open();
    const page = place.fixture.nativeElement as HTMLElement;
    const last = [...page.querySelectorAll('lv-work-evidence')].at(-1);
    const begun = page.querySelectorAll('lv-work-evidence').length;
    expect(begun).toBe(2);
    await place.choose('Time', 'All the time');
    for (let i = 0; i < 10; i++) await place.whole();
    expect(last?.isConnected).toBe(true);
    expect(page.querySelectorAll('lv-work-evidence')).toHaveLength(begun);
  });

  it('takes an observation as it is typed, and lets it go with one press', async () => {
    const place = await open('l-brannoc');
    await place.press('Observation');
    await place.type('What you saw', 'Asked a friend.');
    expect(folder(place, 'l-brannoc')?.notes).toMatchObject([{ text: 'Asked a friend.', on: '2026-11-26' }]);
    await place.press('Remove this observation');
    expect(folder(place, 'l-brannoc')?.notes).toEqual([]);
    await place.undo();
    expect(folder(place, 'l-brannoc')?.notes[0]?.text).toBe('Asked a friend.');
  });

  it('offers nothing to add to before what was added is read: a press would be written over it', async () => {
    const place = await open();
    const part = place.fixture.componentInstance as unknown as { folder: { ready: () => boolean } };
    expect(part.folder.ready()).toBe(true);
    part.folder.ready = () => false;
    place.fixture.componentRef.setInput('learnerId', 'l-brannoc');
    await place.whole();
    expect(await place.has(ButtonHarness, 'Observation')).toBe(false);
  });

  it('says that a learner is not here', async () => {
    const place = await DemoPlace.open(OneEvidence, { inputs: { learnerId: 'l-nobody' } });
    expect(place.text).toContain('This learner is not here');
  });
});

describe('a review', () => {
  it('is closed with what changes on the card, in one step, and is kept', async () => {
    const place = await open();
    const card = () => place.work.people().learners.find((l) => l.id === 'l-oriel')?.needs;
    const before = card();
    await place.press('Hold a review');
    await place.choose('What becomes of word bank', 'ends today');
    await place.choose(/^What becomes of the goal/, 'is met');
    await place.write('A new goal', 'Finishes two pages');
    // Nothing is on the card until it is closed.
    expect(card()).toEqual(before);
    expect(place.text).toContain('“word bank” ends on');
    await place.press('Close the review');
    expect(card()?.goals.map((g) => g.text)).toEqual(['Finishes two pages']);
    expect(supportsOn(card()?.supports ?? [], '2026-11-27')).not.toContain('word bank');
    expect(folder(place)?.reviews[0]).toMatchObject({ on: '2026-11-26', was: { goals: before?.goals } });
    expect(folder(place)?.held).toBeUndefined();
    await place.undo();
    expect(card()).toEqual(before);
    expect(folder(place)?.reviews).toEqual([]);
  });

  it('that is broken off changes nothing', async () => {
    const place = await open();
    await place.press('Hold a review');
    await place.choose('What becomes of word bank', 'not agreed any more');
    await place.press('Break it off');
    expect(folder(place)).toMatchObject({ reviews: [] });
    expect(supportsOn(place.work.people().learners.find((l) => l.id === 'l-oriel')?.needs.supports ?? [])).toContain(
      'word bank',
    );
  });
});
