import { describe, expect, it } from '@jest/globals';
import { frozenSchema } from './frozen';
import { freeze, freezeForAll } from './freeze';
import { giveOut } from '../give-out';
import { people, pool, survey } from '../../testing/demo-plan';
import type { Family } from '../../activity/family';
import type { Adjustment } from '../../adjust/registry';

const AT = '2026-11-24T08:00:00.000Z';
const plan = {
  ...survey,
  classIds: [],
  groupIds: [],
  learnerIds: ['l-oriel'],
  lines: [{ learnerId: 'l-oriel', versionId: 'rp-oriel' }],
};
const given = (family: Family) => giveOut(plan, family, people, AT).frozen[0];
/** The demo's family with its adjustments changed. */
const with_ = (change: (a: Adjustment) => Adjustment): Family => ({
  ...pool,
  versions: pool.versions.map((v) => ({ ...v, adjustments: v.adjustments.map(change) })),
});

describe('what is held fast for a review', () => {
  const frozen = given(pool);
  const of = (kind: string, version = 'rp-oriel') =>
    frozen?.record?.adjustments.find((d) => d.kind === kind && d.versionId === version);

  it('says of each adjustment, of every version on the way, who made it, when, why, for which goal, and its verdict', () => {
    expect(of('leave-out')).toMatchObject({
      versionName: 'Supported, Oriel',
      author: expect.stringMatching(/./),
      at: expect.stringMatching(/^2026-/),
      reason: 'The page ends where the hour does',
      goal: { id: 'g-oriel', text: 'Finishes one page without a break' },
      verdict: { judgement: 'modification', why: expect.stringContaining('“') },
      status: 'applied',
    });
    // What speaks of the whole and touches no block is there too.
    expect(of('personal-fields', 'rp-sup')).toMatchObject({ author: expect.any(String) });
    expect(frozen?.record?.verdicts).toEqual([
      expect.objectContaining({ versionId: 'rp-oriel', judgement: 'modification' }),
    ]);
  });

  it('says what is not on the sheet, in its words', () => {
    const left = frozen?.record?.leftOut.find((l) => l.id === 'rp-q10');
    expect(left?.words).toContain('choose one animal');
    expect(left?.versionId).toBe('rp-oriel');
    expect(frozen?.record?.leftOut.map((l) => l.id)).toContain('rp-q9');
  });

  it('stays as it was when reasons and judgements are changed later; the sheet itself is the same', () => {
    const overrule = { judgement: 'accommodation' as const, reason: 'Explained aloud instead' };
    const later = given(with_((a) => (a.kind === 'leave-out' ? { ...a, overrule, reason: { text: 'Another' } } : a)));
    expect(later?.record?.adjustments.find((d) => d.kind === 'leave-out' && d.versionId === 'rp-oriel')).toMatchObject({
      overruled: overrule,
      reason: 'Another',
    });
    expect(later?.id).not.toBe(frozen?.id);
    expect(later?.content).toEqual(frozen?.content);
    expect(of('leave-out')?.overruled).toBeUndefined();
  });

  it('speaks of what was switched off, and of a goal that is on no card any more', () => {
    const off = freeze(
      with_((a) => (a.kind === 'word-bank' ? { ...a, off: true } : a)),
      'rp-sup',
      AT,
    );
    expect(off.record?.adjustments.find((d) => d.kind === 'word-bank')).toMatchObject({
      status: 'off',
      statusWhy: 'Switched off.',
    });
    const gone = giveOut(plan, pool, { ...people, learners: people.learners.map(withoutGoals) }, AT).frozen[0];
    expect(gone?.record?.adjustments.find((d) => d.goal)?.goal).toEqual({ id: 'g-oriel', text: '' });
  });

  it('is kept and read back whole, and is there for companions and for sheets in parts', () => {
    for (const one of [
      freezeForAll(pool, 'rp-core', AT),
      freeze(pool, 'rp-core', AT, [{ pageId: 'rp-p2', versionId: 'rp-sup' }]),
    ]) {
      expect(frozenSchema.parse(JSON.parse(JSON.stringify(one)))).toEqual(one);
      expect(one.record?.adjustments.length).toBeGreaterThan(1);
    }
  });
});

const withoutGoals = <L extends { needs: object }>(l: L): L => ({ ...l, needs: { ...l.needs, goals: [] } });
