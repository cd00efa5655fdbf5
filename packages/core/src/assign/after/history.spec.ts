import { describe, expect, it } from '@jest/globals';
import { people, pool, survey } from '../../testing/demo-plan';
import type { Copy } from '../../work/copy';
import { giveOut } from '../give-out';
import { changedAfter, lastDone, seenBy, undone } from './history';

const AT = '2026-11-24T08:00:00.000Z';
const LATER = '2026-11-25T08:00:00.000Z';
const given = giveOut(survey, pool, people, AT).handOut;
const renamed = changedAfter(given, { title: 'Rock pools' }, LATER, 'title changed');
const { 'l-jory': jory, ...others } = given.given;
const without = changedAfter(renamed, { given: others, leftOutIds: ['l-jory'] }, LATER, 'taken away from Jory S.');
const copyOf = (id: string, seenAt: string): Copy => ({
  id: `h-survey.${id}`,
  handOutId: 'h-survey',
  learnerId: id,
  frozen: '',
  goes: [],
  seenAt,
});

describe('what was done after giving out', () => {
  it('is undone one by one, the newest first, and the history says so', () => {
    expect(lastDone(without)?.says).toBe('taken away from Jory S.');
    const once = undone(without, LATER);
    expect(once.given['l-jory']).toEqual(jory);
    expect([once.leftOutIds, once.title]).toEqual([[], 'Rock pools']);
    const twice = undone(once, LATER);
    expect(twice.title).toBe(given.title);
    expect(twice.history.map((d) => d.says)).toEqual([
      'title changed',
      'taken away from Jory S.',
      'undone: taken away from Jory S.',
      'undone: title changed',
    ]);
    expect([lastDone(twice), undone(twice, LATER)]).toEqual([undefined, twice]);
  });

  it('is kept a thousand times, the newest, and can be undone then too', () => {
    const old = Array.from({ length: 1000 }, (_, i) => ({ at: AT, says: `word ${i}` }));
    const full = changedAfter({ ...given, history: old }, { title: 'Rock pools' }, LATER, 'x'.repeat(400));
    expect(full.history).toHaveLength(1000);
    expect(full.history[0]?.says).toBe('word 1');
    const back = undone(full, LATER);
    expect([back.title, back.history.length]).toEqual([given.title, 1000]);
  });

  it('is seen by who opened their work since, where it concerns them', () => {
    const done = lastDone(renamed);
    if (!done) throw new Error('nothing was done');
    const copies = (seenAt: string) => ({ 'h-survey.l-kerra': copyOf('l-kerra', seenAt) });
    expect(seenBy(renamed, done, copies('2026-11-25T07:00:00.000Z'))).toEqual([]);
    expect(seenBy(renamed, done, copies('2026-11-25T09:00:00.000Z'))).toEqual(['l-kerra']);
  });

  it('keeps what it was before for the newest twenty alone', () => {
    let h = given;
    for (let i = 0; i < 40; i++) h = changedAfter(h, { title: `Title ${i}` }, LATER, `title ${i}`);
    expect(h.history.filter((d) => d.back)).toHaveLength(20);
  });
});
