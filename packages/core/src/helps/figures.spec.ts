import { describe, expect, it } from '@jest/globals';
import { demoWorkspace } from '../demo/index';
import type { HandOut } from '../assign/hand-out';
import { shareAimedAt } from '../learners/learner';
import { copyIdOf } from '../work/copy';
import { driftOf } from './drift';
import { byVersion, correlation, goalsOverTime, itemFigures, moves, overTime, shareOf, withSupports } from './figures';
import { type SeenItem, seenWork, type SeenWork } from './seen';

const item = (id: string, share: number, more: Partial<SeenItem> = {}): SeenItem => ({
  ...{ id, objectiveId: 'o', share, right: share === 1, ofMaster: true },
  ...more,
});
const work = (learnerId: string, items: SeenItem[], more: Partial<SeenWork> = {}): SeenWork => ({
  ...{
    learnerId,
    handOutId: 'h',
    title: 'Survey',
    familyId: 'f',
    versionId: 'v',
    versionName: 'Core',
    day: '2026-10-01',
  },
  ...{ supports: [], helps: [], goalIds: [], items },
  ...more,
});

describe('figures, against what was reckoned by hand', () => {
  it('gives a share its interval: 8 of 10 lies between 49 and 94 per cent', () => {
    // Wilson, 95 %: (0.8 + 0.19208) / 1.38416 ± 1.96 √(0.016 + 0.009604) / 1.38416 = 0.7167 ± 0.2266.
    const s = shareOf([1, 1, 1, 1, 1, 1, 1, 1, 0, 0]);
    expect([s.share, s.low, s.high].map((x) => Number(x.toFixed(3)))).toEqual([0.8, 0.49, 0.943]);
    expect(s.isSmall).toBe(false);
    expect(shareOf([1, 1])).toMatchObject({ share: 1, n: 2, high: 1, isSmall: true });
    expect(shareOf([])).toMatchObject({ n: 0, isSmall: true });
  });

  it('correlates: 1, 2, 3 with 2, 4, 5 is 0.982; what does not vary says nothing', () => {
    expect(
      correlation([
        [1, 2],
        [2, 4],
        [3, 5],
      ])?.toFixed(3),
    ).toBe('0.982');
    expect(
      correlation([
        [1, 2],
        [1, 4],
        [1, 5],
      ]),
    ).toBeNull();
    expect(
      correlation([
        [1, 1],
        [2, 2],
      ]),
    ).toBeNull();
  });

  it('compares versions on the items that all of them have, and on no others', () => {
    const { rows, items } = byVersion([
      work('a', [item('q1', 1), item('q2', 0), item('q3', 1)]),
      work('b', [item('q1', 0), item('q2', 0), item('q3', 1)]),
      // Supported asks q1 and q2 only, and one of its own.
      work('c', [item('q1', 1), item('q2', 1), item('own', 1, { ofMaster: false })], {
        versionId: 's',
        versionName: 'Supported',
      }),
    ]);
    expect(items).toEqual(['q1', 'q2']);
    // Core: 1, 0, 0, 0 of four; Supported: 1, 1 of two. q3 and the own one do not count.
    expect(rows.map((r) => [r.name, r.share, r.n, r.learners])).toEqual([
      ['Core', 0.25, 4, 2],
      ['Supported', 1, 2, 1],
    ]);
  });

  it('says how hard an item was, and whether it tells who knows the rest', () => {
    const figures = itemFigures([
      work('a', [item('q1', 1), item('q2', 1), item('q3', 0)]),
      work('b', [item('q1', 1), item('q2', 0), item('q3', 1)]),
      work('c', [item('q1', 0), item('q2', 0), item('q3', 1)]),
      work('d', [item('q1', 0), item('q2', 0), item('q3', 1)]),
    ]);
    const of = (id: string) => figures.find((f) => f.id === id);
    expect(of('q1')).toMatchObject({ share: 0.5, n: 4, isSmall: true });
    // q3 goes against the rest: (0, 1), (1, .5), (1, 0), (1, 0) correlate with -0.870.
    expect(of('q3')?.tells?.toFixed(2)).toBe('-0.87');
    // q1 with the rest (½, ½, ½, ½): nothing to tell.
    expect(of('q1')?.tells).toBeNull();
  });

  it('draws objectives over time, the earliest first, and who moved', () => {
    const all = [
      work('a', [item('q1', 1), item('q2', 0)], { handOutId: 'h2', day: '2026-11-01', versionName: 'Core' }),
      work('a', [item('q1', 0, { objectiveId: 'p' })], { handOutId: 'h1', versionName: 'Supported' }),
      work('a', [item('q1', 1)], { handOutId: 'h1', versionName: 'Supported' }),
    ];
    const series = overTime(
      all,
      new Map([
        ['o', 'Reads'],
        ['p', 'Counts'],
      ]),
    );
    expect(series.map((s) => [s.name, s.points.map((p) => [p.x, p.share])])).toEqual([
      ['Counts', [['2026-10-01', 0]]],
      [
        'Reads',
        [
          ['2026-10-01', 1],
          ['2026-11-01', 0.5],
        ],
      ],
    ]);
    expect(moves(all)).toMatchObject([
      { learnerId: 'a', moved: true, steps: [{ name: 'Supported' }, { name: 'Supported' }, { name: 'Core' }] },
    ]);
  });

  it('follows a goal through the works that served it, to what it aims at', () => {
    const all = [
      work('a', [item('q1', 1), item('q2', 0.5)], { goalIds: ['g'] }),
      work('a', [item('q1', 1)], { handOutId: 'h2', day: '2026-11-01' }),
      work('a', [item('q1', 0)], { handOutId: 'h3', day: '2026-11-08', goalIds: ['g', 'of another'] }),
    ];
    const [goal, ...others] = goalsOverTime(all, new Map([['g', 'Finds facts']]));
    expect(others).toEqual([]);
    expect(goal?.points.map((p) => [p.x, p.share])).toEqual([
      ['2026-10-01', 0.75],
      ['2026-11-08', 0],
    ]);
    const aims = (target: number | null, measure: string) => shareAimedAt({ target, measure });
    expect([aims(3, 'facts found, of 4'), aims(80, '% of words'), aims(3, 'pages'), aims(5, 'of 4')]).toEqual([
      0.75,
      0.8,
      undefined,
      undefined,
    ]);
  });

  it('sets results with a support beside those without it', () => {
    const [bank] = withSupports([
      work('a', [item('q1', 1), item('q2', 0)], { supports: ['word bank'] }),
      work('b', [item('q1', 1), item('q2', 1)], { supports: ['word bank'] }),
      work('c', [item('q1', 0), item('q2', 0)]),
    ]);
    expect(bank).toMatchObject({ name: 'word bank', with: { share: 0.75, n: 2 }, without: { share: 0, n: 1 } });
  });
});

describe('figures of the demo', () => {
  const w = demoWorkspace(Date.UTC(2026, 10, 24, 9));
  const handOut = w.handOuts['h-survey'] as HandOut;
  const of = { handOut, family: w.families['rock-pool'], frozen: w.frozen };
  const works = Object.values(w.learners).flatMap((l) => {
    const id = copyIdOf('h-survey', l.id);
    return seenWork(of, l, { copy: w.copies[id], marking: w.markings[id] }, (iso) => iso.slice(0, 10)) ?? [];
  });

  it('look at what was submitted, with the marks that count', () => {
    const submitted = Object.values(w.copies).filter(
      (c) => c.handOutId === 'h-survey' && c.goes.some((g) => g.submittedAt),
    );
    expect(works).toHaveLength(submitted.length);
    const oriel = works.find((x) => x.learnerId === 'l-oriel');
    // As the page of evidence says: 7 of 9 are right.
    expect([oriel?.items.filter((i) => i.right).length, oriel?.items.length]).toEqual([7, 9]);
    expect(oriel?.supports).toContain('word bank');
  });

  it('say how far each version has gone from its master', () => {
    const family = w.families['rock-pool'];
    const drift = family ? driftOf(family) : [];
    const oriel = drift.find((d) => d.versionId === 'rp-oriel');
    const support = drift.find((d) => d.versionId === 'rp-sup');
    expect(oriel?.leftOut).toBe((support?.leftOut ?? 0) + 1);
    expect(oriel).toMatchObject({ counts: 'modification' });
    expect((oriel?.asks ?? 0) + (oriel?.leftOut ?? 0)).toBe(oriel?.of);
  });
});
