import { describe, expect, it } from '@jest/globals';
import { demoWorkspace } from '../demo/index';
import { indexChanges, indexOf } from '../keep/index-changes';
import { patchedIndex } from '../keep/index-parts';
import { mergeCopies } from '../keep/merge';
import { type Comfort, comfortNow, comfortSchema, PLAIN_COMFORT, TOOLS, usedSince, usedTogether } from './comfort';

const own: Comfort = { ...PLAIN_COMFORT, font: 'lexend', size: 30, ruler: 'band', colours: 'night' };
const start: Comfort = { ...PLAIN_COMFORT, size: 22, colours: 'cream' };

describe('the comfort that counts', () => {
  it('is the learner’s own before the teacher’s start, and that before the plain one', () => {
    expect(comfortNow(own, start)).toEqual(own);
    expect(comfortNow(undefined, start)).toEqual(start);
    expect(comfortNow(undefined, null)).toEqual(PLAIN_COMFORT);
  });

  it('is the teacher’s where a tool is fixed or hidden, and the learner’s in all others', () => {
    const now = comfortNow(own, start, { colours: 'fixed', ruler: 'hidden' });
    expect(now).toEqual({ ...own, colours: 'cream', ruler: 'none' });
  });

  it('belongs to one tool in each of its settings', () => {
    const settings = Object.values(TOOLS).flat();
    expect([...settings].sort()).toEqual(Object.keys(PLAIN_COMFORT).sort());
    expect(new Set(settings).size).toBe(settings.length);
  });

  it('of before there was more of it is filled up', () => {
    const before = { font: 'serif', size: 24, spacing: 2, colours: 'mist' };
    expect(comfortSchema.parse(before)).toEqual({ ...PLAIN_COMFORT, ...before });
  });
});

describe('what the teacher settles on the card', () => {
  it('reaches the learner’s slip, and the work on it stays', () => {
    const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
    const before = w.learners['l-jory'];
    if (!before) throw new Error('no such learner');
    const after = { ...before, needs: { ...before.needs, comfort: start, tools: { size: 'fixed' as const } } };
    const index = indexOf(w);
    const known = { ...w, learners: { ...w.learners, 'l-jory': after } };
    const changed = patchedIndex(index, indexChanges([{ collection: 'learners', id: 'l-jory', before, after }], known));
    expect(changed.slips['l-jory']).toEqual({ ...index.slips['l-jory'], comfort: start, tools: { size: 'fixed' } });
    expect(indexOf(known).slips['l-jory']).toEqual(changed.slips['l-jory']);
  });
});

describe('what was used', () => {
  it('adds up, and of two at once counts each once', () => {
    const base = { aloud: { times: 1, seconds: 10 } };
    const [here, there] = [
      usedTogether(base, { aloud: { times: 1, seconds: 5 } }),
      usedTogether(base, { ruler: { times: 1, seconds: 60 } }),
    ];
    expect(usedSince(here, base)).toEqual({ aloud: { times: 1, seconds: 5 } });
    const copy = { id: 'h.l', handOutId: 'h', learnerId: 'l', frozen: 'f', goes: [] };
    const both = mergeCopies({ ...copy, used: base }, { ...copy, used: there }, { ...copy, used: here }, 'now');
    expect(both.used).toEqual({ aloud: { times: 2, seconds: 15 }, ruler: { times: 1, seconds: 60 } });
  });
});
