import { describe, expect, it } from '@jest/globals';
import { NO_DAYS_OFF, weeksUntil } from '../dates';
import type { HandOut } from '../hand-out';
import { coverage } from '../check/coverage';
import { NOW, people, pool, w } from '../../testing/demo-plan';
import { again, seriesOf } from './again';

const AT = '2026-11-24T08:00:00.000Z';
let n = 0;
const newId = () => `n${++n}`;
const given = w.handOuts['h-survey'] as HandOut;
const of = { id: 'next', createdAt: AT, title: 'Rock-pool survey, again' };

describe('the same plan again', () => {
  it('brings the plan and nothing of anybody’s work', () => {
    const place = { pageIds: ['rp-p1'], names: true, isOpen: true, comments: true };
    const remark = { id: 'r', to: 'l-jory', from: 'l-kerra', text: 'Hello', isShown: true };
    const one = again(
      { ...given, place: { ...place, remarks: [remark] }, history: [{ at: AT, says: 'x' }] },
      of,
      newId,
    );
    expect(one).toMatchObject({ state: 'draft', given: {}, history: [], lookedAs: [], givenAt: null });
    expect(one.place).toEqual({ ...place, remarks: [] });
    expect(one.lines).toEqual(given.lines);
    expect(JSON.stringify(one)).not.toContain('Hello');
  });

  it('a week later all dates are, on days with school', () => {
    const plan = {
      ...given,
      opensAt: '2026-11-27T09:00',
      dueAt: '2026-12-01T15:00',
      ownDates: { 'l-jory': { dueAt: '2026-12-02T15:00' } },
    };
    const off = { ...NO_DAYS_OFF, off: [{ from: '2026-12-08', until: '2026-12-08', name: 'fair' }] };
    expect(again(plan, { ...of, later: 7 }, newId, off)).toMatchObject({
      opensAt: '2026-12-04T09:00',
      dueAt: '2026-12-09T15:00',
      ownDates: { 'l-jory': { dueAt: '2026-12-09T15:00' } },
    });
    expect([weeksUntil('2026-11-02T09:00', '2026-11-24'), weeksUntil('2026-12-01T09:00', '2026-11-24')]).toEqual([
      28, 0,
    ]);
  });

  it('for another class nobody of the first comes along, by name or with their own version', () => {
    const rule = { id: 'r', by: 'everyone', of: '', versionId: 'rp-core' } as const;
    const one = again({ ...given, rules: [rule] }, { ...of, classId: 'c-kestrel' }, newId);
    expect(one).toMatchObject({ classIds: ['c-kestrel'], lines: [], groupIds: [], learnerIds: [], rules: [rule] });
    expect(
      coverage({ ...one, opensAt: null, dueAt: null }, pool, people, NOW).filter((f) => f.level === 'mend'),
    ).toEqual([]);
  });
});

it('a series gives the next versions later, each with a name of its own, and leaves out what is gone', () => {
  const steps = [
    { versionId: 'rp-core', later: 7 },
    { versionId: 'rp-ext', later: 14 },
    { versionId: 'no-such', later: 21 },
  ];
  const plan = { ...given, opensAt: null, dueAt: null };
  const series = seriesOf(plan, steps, pool, NOW, AT, newId);
  expect(series.map((h) => [h.title, h.opensAt, h.rules.map((r) => r.versionId)])).toEqual([
    [given.title, null, []],
    ['Rock-pool survey (2)', '2026-12-01T08:00', ['rp-core']],
    ['Rock-pool survey (3)', '2026-12-08T08:00', ['rp-ext']],
  ]);
  expect(new Set(series.map((h) => h.seriesId)).size).toBe(1);
});
