import { beforeEach, describe, expect, it } from '@jest/globals';
import { type Copy, copyIdOf, type HandOut } from '@lorvet/core';
import { DemoPlace } from '../../testing/demo-place';
import { Plan } from './plan';

let place: DemoPlace<Plan>;
const plan = () => place.work.handOuts()['h-survey'] as HandOut;
const versionOf = (learner: string) => place.work.frozen()[plan().given[learner]?.frozen ?? '']?.versionId;
const decision = (learner: string) => place.work.markings()[copyIdOf('h-survey', learner)]?.responses.at(-1)?.decision;

beforeEach(async () => {
  place = await DemoPlace.open(Plan, { inputs: { id: 'h-survey' } });
});

describe('after giving out', () => {
  it('another version is asked about first: what it would mean stands there, and nothing is given yet', async () => {
    await place.check(/^Extended for Jory S\./);
    expect(versionOf('l-jory')).toBe('rp-core');
    expect(place.text).toContain('Extended, for 1 piece of work');
    expect(place.text).toMatch(/1 (submitted|with answers)/);
    await place.press('Leave it as it is');
    expect(versionOf('l-jory')).toBe('rp-core');
  });

  it('the next level goes to everybody as the same work; who has submitted is asked for another go', async () => {
    await place.press('Extended for everyone');
    await place.press(/^Give it to all/);
    expect(versionOf('l-jory')).toBe('rp-ext');
    expect(decision('l-jory')).toBe('another go');
    expect(plan().given['l-jory']?.earlier).toHaveLength(1);
    expect(place.text).toContain('Extended given to');
    await place.undo();
    expect([versionOf('l-jory'), decision('l-jory')]).toEqual(['rp-core', 'complete']);
  });

  it('who has the version already is none of those it is given to: the numbers agree', async () => {
    await place.check(/^Extended for Jory S\./);
    await place.press(/^Give it to all 1/);
    await place.press('Extended for everyone');
    expect(place.text).toContain('Extended, for 13 pieces of work');
    expect(place.text).toContain('1 more has it already');
    expect(place.text).toContain('Give it to all 13');
  });

  it('is taken away from a learner, who is left out, and can be put in again with a version', async () => {
    await place.press('More for Jory S.');
    await place.pick('Take it away; what was done stays');
    expect(plan().given['l-jory']).toBeUndefined();
    expect(plan().leftOutIds).toEqual(['l-jory']);
    expect(place.text).toContain('taken away from Jory S.');
    await place.undo();
    expect(versionOf('l-jory')).toBe('rp-core');
  });

  it('is undone from its history, also after a reload, until a learner has opened it', async () => {
    await place.press('Extended for everyone');
    await place.press(/^Give it to all/);
    const later = place.work.doc();
    place = await DemoPlace.open(Plan, {
      inputs: { id: 'h-survey' },
      change: (w) => ({ ...w, ...later, assets: w.assets }),
    });
    await place.press(/^Undo: Extended given to/);
    expect([versionOf('l-jory'), decision('l-jory')]).toEqual(['rp-core', 'complete']);
    const id = copyIdOf('h-survey', 'l-jory');
    place = await DemoPlace.open(Plan, {
      inputs: { id: 'h-survey' },
      change: (w) => ({
        ...w,
        ...later,
        assets: w.assets,
        copies: { ...later.copies, [id]: { ...(later.copies[id] as Copy), seenAt: '2099-01-01T00:00:00.000Z' } },
      }),
    });
    expect(place.text).toContain('seen by 1 learner since');
  });

  it('answers come out at a word', async () => {
    await place.press('Release the answers now');
    expect(plan().answersAt).not.toBeNull();
    expect(place.text).toContain('The answers are out');
    expect(Object.keys(place.work.index().keys).length).toBeGreaterThan(0);
  });

  it('a correction is told, with what it means for each, and sent to those it suits', async () => {
    const family = place.family('rock-pool');
    const last = family.revisions.at(-1);
    if (!last) throw new Error('the demo changed');
    const pages = last.content.pages.map((p) => ({
      ...p,
      blocks: p.blocks.map((b) => (b.id === 'rp-q10' && 'prompt' in b ? { ...b, prompt: 'How does it hold on?' } : b)),
    }));
    const revised = { ...last, n: last.n + 1, content: { ...last.content, pages } };
    place = await DemoPlace.open(Plan, {
      inputs: { id: 'h-survey' },
      change: (w) => ({
        ...w,
        families: { ...w.families, 'rock-pool': { ...family, revisions: [...family.revisions, revised] } },
      }),
    });
    expect(place.text).toMatch(/\d sheets? changed since/);
    await place.press('See what it would mean');
    expect(place.text).toMatch(/not started:|submitted, and what was answered fits:|with answers to questions/);
    const before = plan().history.length;
    await place.press(/^Send it to (the|all)/);
    expect(plan().history.length).toBe(before + 1);
    expect(plan().history.at(-1)?.says).toMatch(/^a correction sent to \d+ learners?$/);
  });
});
