import { describe, expect, it } from '@jest/globals';
import { linesNow, withRule } from './rules';
import { giveLate, giveOut, joinedSince } from './give-out';
import { type HandOut } from './hand-out';
import { people, pool, codes, survey } from '../testing/demo-plan';

describe('rules of a plan', () => {
  const blank = { ...survey, lines: [], groupIds: [], classIds: ['c-heron'] };
  const versionsOf = (h: HandOut, id: string, p = people) =>
    linesNow(h, p)
      .filter((l) => l.learnerId === id)
      .map((l) => l.versionId);
  const everyone = { id: 'r1', by: 'everyone', of: '', versionId: 'rp-core' } as const;
  const limpets = { id: 'r2', by: 'group', of: 'g-limpets', versionId: 'rp-sup' } as const;

  it('give to all; a group says more than everyone, and the teacher’s hand more than any rule', () => {
    const h = { ...blank, rules: [limpets, everyone], lines: [{ learnerId: 'l-oriel', versionId: 'rp-oriel' }] };
    expect(['l-jory', 'l-tamsin', 'l-oriel'].map((id) => versionsOf(h, id))).toEqual([
      ['rp-core'],
      ['rp-sup'],
      ['rp-oriel'],
    ]);
    expect(linesNow(h, people)).toHaveLength(14);
    expect(withRule(h.rules, { ...limpets, id: 'r3', versionId: null })).toHaveLength(2);
  });

  it('that disagree about somebody are named, not settled', () => {
    const other = { id: 'r4', by: 'audience', of: 'a-early', versionId: 'rp-ext' } as const;
    const h = { ...blank, rules: [everyone, limpets, other] };
    expect(versionsOf(h, 'l-tamsin')).toEqual(['rp-sup', 'rp-ext']);
    expect(codes(h)).toContain('twice');
  });

  it('hold for who joins later: in a draft at once, in what was given when the teacher says so', () => {
    const at = '2026-11-24T08:00:00.000Z';
    const h = { ...blank, rules: [everyone] };
    const heron = people.classes.map((c) =>
      c.id === 'c-heron' ? { ...c, learnerIds: [...c.learnerIds, 'l-talan'] } : c,
    );
    const later = { ...people, classes: heron };
    expect([versionsOf(h, 'l-talan'), versionsOf(h, 'l-talan', later)]).toEqual([[], ['rp-core']]);
    const given = giveOut(h, pool, people, at).handOut;
    expect(joinedSince(given, people)).toEqual([]);
    expect(joinedSince(given, later).map((l) => l.id)).toEqual(['l-talan']);
    const after = giveLate(given, pool, later, at);
    expect(after.handOut.given['l-talan']).toBeDefined();
    expect(after.handOut.given['l-jory']).toBe(given.given['l-jory']);
    expect(after.handOut.history.map((d) => d.says)).toEqual(['given to Talan E., who joined since']);
    expect(giveLate(after.handOut, pool, later, at).handOut.given).toEqual(after.handOut.given);
  });
});
