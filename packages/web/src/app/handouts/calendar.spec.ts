import { beforeEach, describe, expect, it } from '@jest/globals';
import { DemoPlace } from '../testing/demo-place';
import { HandOutCalendar } from './calendar';

let place: DemoPlace<HandOutCalendar>;
const events = () => [...document.querySelectorAll('.fc-event:not(.fc-bg-event)')].map((e) => e.textContent ?? '');

beforeEach(async () => {
  place = await DemoPlace.open(HandOutCalendar, { at: '2026-11-24T09:00' });
});

describe('the calendar of hand-outs', () => {
  it('shows what opens and what is due, with its state in words, each leading to its plan', () => {
    const shown = events();
    expect(shown.some((e) => e.includes('Opens: Rock-pool survey, given out'))).toBe(true);
    expect(shown.some((e) => /Due: .*, (scheduled|given out|closed)/.test(e))).toBe(true);
    const link = document.querySelector<HTMLAnchorElement>('a.fc-event[href]');
    expect(link?.getAttribute('href')).toMatch(/^\/hand-outs\/h-/);
  });

  it('is filtered by class, state and words', async () => {
    const all = events().length;
    await place.choose('State', 'draft');
    expect(events().length).toBeLessThan(all);
    expect(events().every((e) => e.includes('draft'))).toBe(true);
    await place.choose('State', 'any');
    await place.type('Find', 'puncture');
    expect(events().every((e) => e.includes('puncture'))).toBe(true);
  });

  it('is a list too, and goes on to another month', async () => {
    const here = document.querySelector('h2')?.textContent;
    await place.press('List');
    expect(document.querySelector('.fc-list')).not.toBeNull();
    await place.press('Later');
    expect(document.querySelector('h2')?.textContent).not.toBe(here);
    await place.press('Today');
    expect(document.querySelector('h2')?.textContent).toBe(here);
  });
});
