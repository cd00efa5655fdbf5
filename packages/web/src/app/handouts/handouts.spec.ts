import { beforeEach, describe, expect, it } from '@jest/globals';
import { DemoPlace } from '../testing/demo-place';
import { HandOuts } from './handouts';

let place: DemoPlace<HandOuts>;
const row = (title: string) => {
  const found = [...document.querySelectorAll('tbody tr')].find((r) => r.textContent?.includes(title));
  return found?.textContent?.replace(/\s+/g, ' ') ?? '';
};

describe('the hand-outs', () => {
  beforeEach(async () => {
    place = await DemoPlace.open(HandOuts);
  });

  it('say for whom each is, in what state, and how much was submitted', () => {
    const { title } = place.work.handOuts()['h-survey'] ?? {};
    const given = Object.keys(place.work.handOuts()['h-survey']?.given ?? {}).length;
    expect(row(title ?? '')).toContain(`${given} learners`);
    expect(row(title ?? '')).toMatch(/given out *\d+ submitted *\d+ complete/);
    expect(row(place.work.handOuts()['h-bike']?.title ?? '')).toMatch(/draft|scheduled/);
  });

  it('one whose master was removed says so, and is still there', async () => {
    const title = place.work.handOuts()['h-survey']?.title ?? '';
    place = await DemoPlace.open(HandOuts, {
      change: (w) => ({
        ...w,
        families: Object.fromEntries(Object.entries(w.families).filter(([id]) => id !== 'rock-pool')),
      }),
    });
    expect(row(title)).toContain('its master was removed');
    expect(row(title)).toContain('submitted');
  });

  it('one that is removed is asked for first, naming the work on it; it waits with it, and undo brings it back', async () => {
    const before = place.work.doc();
    const title = place.work.handOuts()['h-survey']?.title ?? '';
    await place.press(`Remove hand-out ${title}`);
    expect(place.asked).toMatchObject([{ says: expect.stringContaining('7 submitted, 3 complete') }]);
    expect(row(title)).toBe('');
    expect(place.work.handOuts()['h-survey']).toBeUndefined();
    expect(Object.values(place.work.removed())).toMatchObject([{ what: 'hand-out', target: 'h-survey' }]);
    await place.undo();
    expect(place.work.doc()).toEqual(before);
    expect(row(title)).toContain('submitted');
  });

  it('a draft with nothing on it is removed without a question', async () => {
    await place.press('Remove hand-out Mending a puncture');
    expect(place.asked).toEqual([]);
    expect(row('Mending a puncture')).toBe('');
  });

  it('a new one begins as a draft of the chosen activity, for nobody yet', async () => {
    const before = Object.keys(place.work.handOuts());
    await place.press('New hand-out');
    await place.press(/^Mending a puncture \d/);
    const [id] = Object.keys(place.work.handOuts()).filter((x) => !before.includes(x));
    expect(place.work.handOuts()[id ?? '']).toMatchObject({
      familyId: 'puncture',
      state: 'draft',
      classIds: [],
      lines: [],
      given: {},
    });
  });

  it('a new one begins in the safest way that fits: to read, where nothing is asked', async () => {
    const before = new Set(Object.keys(place.work.handOuts()));
    place = await DemoPlace.open(HandOuts, {
      change: (w) => {
        const f = w.families['puncture'];
        if (!f) return w;
        const silent = (p: (typeof f.revisions)[number]['content']['pages'][number]) => ({
          ...p,
          blocks: p.blocks.filter((b) => !('prompt' in b)),
        });
        const revisions = f.revisions.map((r) => ({
          ...r,
          content: { ...r.content, pages: r.content.pages.map(silent) },
        }));
        return { ...w, families: { ...w.families, puncture: { ...f, versions: [], revisions } } };
      },
    });
    await place.press('New hand-out');
    await place.press(/^Mending a puncture \d/);
    const made = Object.values(place.work.handOuts()).filter((h) => !before.has(h.id));
    expect(made.map((h) => h.way)).toEqual(['to-read']);
  });
});
