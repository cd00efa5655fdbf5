import { describe, expect, it } from '@jest/globals';
import { assetUses } from '../bank/assets';
import { indexOf } from '../keep/index-changes';
import { people, pool, survey, w } from '../testing/demo-plan';
import { activityBeside, withActivities } from './companions';
import { giveOut } from './give-out';
import { frozenIdsOf } from './hand-out';

const AT = '2026-11-24T08:00:00.000Z';
const bus = Object.values(w.families).find((f) => f.id === 'right-bus');
if (!bus) throw new Error('the demo changed');
const plan = { ...survey, companions: [activityBeside('c1', bus)] };

describe('what goes with a hand-out', () => {
  it('an activity beside it is held fast when it is given, with nobody’s words in it, and is a sheet at the desk', () => {
    const beside = withActivities(plan, w.families, AT);
    const out = giveOut(beside.handOut, pool, people, AT);
    const all = { ...w.frozen, ...Object.fromEntries([...out.frozen, ...beside.frozen].map((f) => [f.id, f])) };
    const index = indexOf({ ...w, handOuts: { [plan.id]: out.handOut }, frozen: all, copies: {}, markings: {} });
    const [one] = index.slips['l-jory']?.works[plan.id]?.companions ?? [];
    expect(one).toMatchObject({ is: 'activity', title: 'Catching the right bus' });
    const sheet = JSON.stringify(index.sheets[one?.holds ?? '']);
    expect(sheet).toContain('Which bus goes to the harbour?');
    expect(sheet).not.toMatch(/\[(name|interest)\]|"key"/);
    expect(frozenIdsOf(out.handOut)).toContain(one?.holds);
    // Given once, it stays as it was.
    expect(withActivities(out.handOut, w.families, AT)).toEqual({ handOut: out.handOut, frozen: [] });
  });

  it('of an activity that was removed nothing goes along', () => {
    const { 'right-bus': _, ...rest } = w.families;
    expect(withActivities(plan, rest, AT).handOut.companions).toEqual([]);
  });

  it('its files are in use, so that clearing leaves them', () => {
    const file = { id: 'c2', is: 'file' as const, title: 'Map', assetId: 'sha256-map' };
    const spoken = { id: 'c3', is: 'spoken' as const, title: 'Listen', assetId: 'sha256-voice' };
    const uses = assetUses({ ...w, handOuts: { [plan.id]: { ...plan, companions: [file, spoken] } } });
    expect([uses.of('sha256-map'), uses.of('sha256-voice'), uses.of('sha256-none')]).toEqual([1, 1, 0]);
  });
});
