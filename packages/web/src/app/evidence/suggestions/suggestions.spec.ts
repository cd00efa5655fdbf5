import { TestBed } from '@angular/core/testing';
import { describe, expect, it } from '@jest/globals';
import { DemoPlace } from '../../testing/demo-place';
import { Parts } from '../../store/parts';
import { Suggestions } from './suggestions';

async function open(change?: Parameters<typeof DemoPlace.open>[1]) {
  const place = await DemoPlace.open(Suggestions, { at: '2026-11-26T12:00', ...change });
  for (let i = 0; i < 40 && !place.text.includes('From all work'); i++) await place.whole();
  // Cards come a few with each frame.
  for (let i = 0; i < 40 && place.text.includes(' more …'); i++) await place.whole();
  return place;
}
/** Presses what stands under a suggestion. */
async function press(place: DemoPlace<Suggestions>, of: RegExp, button: string): Promise<void> {
  const page = place.fixture.nativeElement as HTMLElement;
  const card = [...page.querySelectorAll('li.card')].find((li) => of.test(li.textContent));
  [...(card?.querySelectorAll('button') ?? [])].find((b) => b.textContent.trim() === button)?.click();
  await place.rest();
}

describe('suggestions', () => {
  it('say why, and make a draft only once they are taken up; one undo takes it back', async () => {
    const place = await open();
    expect(place.text).toContain('Wilmot A. may do without: hint');
    expect(place.text).toMatch(/The last 3 works with it, each at 90 % or more:\s*Shore words, week 2: 100 %/);
    const versions = () => place.work.doc().families['rock-pool']?.versions.map((v) => v.name) ?? [];
    const before = versions();
    await press(place, /Wilmot A. may do without/, 'Draft a version without it');
    for (let i = 0; i < 20 && !place.text.includes('Taken up:'); i++) await place.whole();
    expect(versions()).toEqual([...before, 'Core, without hint']);
    expect(place.text).toContain('Taken up: the version “Core, without hint” was drafted.');
    await place.undo();
    expect(versions()).toEqual(before);
    expect(place.work.dismissed()).toEqual({});
  });

  it('draft a plan that is given to nobody, or begin the review that decides', async () => {
    const place = await open();
    await press(place, /Ysolde M. may try “Core” for “Name animals/, 'Draft the plan');
    for (let i = 0; i < 20 && !place.text.includes('Taken up:'); i++) await place.whole();
    const plans = Object.values(place.work.doc().handOuts).filter((h) => h.state === 'draft' && h.learnerIds.length);
    expect(plans).toMatchObject([{ learnerIds: ['l-ysolde'], given: {} }]);
    await press(place, /Brannoc T. has met this goal/, 'Take it to the review');
    for (let i = 0; i < 20 && !place.work.folders()['l-brannoc']?.held; i++) await place.whole();
    await TestBed.inject(Parts).during(async (want) => {
      await want('folders', ['l-brannoc']);
      expect(place.work.folders()['l-brannoc']?.held?.met).toEqual(['g-brannoc']);
    });
  });

  it('are dismissed with a reason, which is asked for, and may be let come again', async () => {
    const place = await open();
    await press(place, /This question misleads/, 'Dismiss');
    await place.press('Dismiss it');
    expect(place.text).toContain('Say in a few words why not');
    await place.write('Why not?', 'The class had not met anemones yet.');
    await place.press('Dismiss it');
    expect(place.text).not.toContain('Look at its words, its choices and its key.');
    const [kept] = Object.values(place.work.dismissed());
    expect(kept?.reason).toBe('The class had not met anemones yet.');
    await place.unfold(/^Taken up or dismissed: 1/);
    await place.press(/^Let it come again/);
    expect(place.text).toContain('Look at its words, its choices and its key.');
  });
});
