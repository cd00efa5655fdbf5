import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { assertLaw, runs, SAYS_NOTHING } from '../../testing/laws';
import { pairOf } from '../people';
import { Scales } from './weigh';
import {
  evenSizes,
  type GroupingProblem,
  makeGroups,
  type Parting,
  placeAssistants,
  sayCost,
  weighGroups,
} from './index';

const ids = (n: number) => Array.from({ length: n }, (_, i) => `l${i}`);
const problem = (n: number, p: Partial<GroupingProblem> = {}): GroupingProblem => ({
  learnerIds: ids(n),
  groups: 3,
  need: 'like',
  skills: [],
  wishes: [],
  assistants: 0,
  besideAssistant: [],
  company: new Map(),
  kept: {},
  ...p,
});

/** Every parting into groups whose sizes are even to one, each once. */
function* partings<T>(learners: readonly T[], sizes: readonly number[]): Generator<T[][]> {
  const groups: T[][] = sizes.map(() => []);
  function* place(at: number): Generator<T[][]> {
    const learner = learners[at];
    if (learner === undefined) {
      yield groups.map((g) => [...g]);
      return;
    }
    const tried = new Set<number>();
    for (const [g, group] of groups.entries()) {
      const size = sizes[g] ?? 0;
      if (group.length >= size) continue;
      // Empty groups of one size are alike.
      if (group.length === 0 && tried.has(size)) continue;
      if (group.length === 0) tried.add(size);
      group.push(learner);
      yield* place(at + 1);
      group.pop();
    }
  }
  yield* place(0);
}
function optimum(p: GroupingProblem): number {
  let best = Infinity;
  const scales = new Scales(p);
  const numbers = p.learnerIds.map((_, i) => i);
  for (const parting of partings(numbers, evenSizes(numbers.length, p.groups)))
    best = Math.min(best, scales.total(parting));
  return best;
}

const problems = (most: number, least = 4) =>
  fc
    .record({
      n: fc.integer({ min: least, max: most }),
      groups: fc.integer({ min: 2, max: 4 }),
      need: fc.constantFrom('like' as const, 'mixed' as const),
      levels: fc.array(
        fc.array(fc.option(fc.integer({ min: 0, max: 20 }), { nil: undefined }), { minLength: most, maxLength: most }),
        { minLength: 1, maxLength: 2 },
      ),
      wishes: fc.array(
        fc.record({
          want: fc.constantFrom('together' as const, 'apart' as const),
          a: fc.nat(most - 1),
          b: fc.nat(most - 1),
          hard: fc.boolean(),
        }),
        { maxLength: 4 },
      ),
      company: fc.array(fc.tuple(fc.nat(most - 1), fc.nat(most - 1)), { maxLength: 6 }),
      assistants: fc.integer({ min: 0, max: 2 }),
      beside: fc.array(fc.nat(most - 1), { maxLength: 3 }),
    })
    .map((r): GroupingProblem => ({
      ...problem(r.n),
      groups: Math.min(r.groups, r.n),
      need: r.need,
      skills: r.levels.map((xs, s) => ({
        name: `skill ${s}`,
        levels: Object.fromEntries(xs.flatMap((x, i) => (x === undefined ? [] : [[`l${i}`, x]]))),
      })),
      wishes: r.wishes.map((w) => ({ ...w, a: `l${w.a}`, b: `l${w.b}` })),
      company: new Map(r.company.filter(([a, b]) => a !== b).map(([a, b]) => [pairOf(`l${a}`, `l${b}`), 1])),
      assistants: r.assistants,
      besideAssistant: [...new Set(r.beside.map((i) => `l${i}`))],
    }));
const sizesOf = (p: Parting) => p.map((g) => g.length).sort((a, b) => b - a);

describe('groups', () => {
  it('hold everybody once, and are even to one', () => {
    fc.assert(
      fc.property(problems(23, 1), (p) => {
        const [best] = makeGroups(p, { effort: { beginnings: 2, steps: 20 } });
        expect(best?.groups.flat().sort()).toEqual([...p.learnerIds].sort());
        expect(sizesOf(best?.groups ?? [])).toEqual(evenSizes(p.learnerIds.length, p.groups));
      }),
      runs(60),
    );
  });

  it('come within 2 percent of the exact optimum on small classes, on average', () => {
    const over: number[] = [];
    fc.assert(
      fc.property(problems(11), (p) => {
        const exact = optimum(p);
        const [found] = makeGroups(p);
        const cost = found?.cost.total ?? Infinity;
        expect(cost).toBeGreaterThanOrEqual(exact - 1e-6);
        over.push((cost - exact) / Math.max(1, Math.abs(exact)));
      }),
      runs(20),
    );
    expect(over.reduce((a, b) => a + b, 0) / over.length).toBeLessThan(0.02);
  });

  it('keep every hard wish that can be kept', () => {
    assertLaw(
      problems(7),
      (p) => {
        const all = [...partings(p.learnerIds, evenSizes(p.learnerIds.length, p.groups))];
        const hard = (groups: Parting) => weighGroups(groups, p).broken.filter((w) => w.hard).length;
        if (!p.wishes.some((w) => w.hard) || !all.some((g) => hard(g) === 0)) return SAYS_NOTHING;
        expect(hard(makeGroups(p)[0]?.groups ?? [])).toBe(0);
        return undefined;
      },
      { usual: 30, least: 0.4 },
    );
  });

  it('leave where they are those whom the teacher placed', () => {
    const p = problem(11, {
      skills: [{ name: 'reading', levels: Object.fromEntries(ids(11).map((id, i) => [id, i])) }],
      kept: { l0: 2, l10: 2, l5: 0 },
    });
    for (const { groups } of makeGroups(p)) {
      expect([groups[2]?.includes('l0'), groups[2]?.includes('l10'), groups[0]?.includes('l5')]).toEqual([
        true,
        true,
        true,
      ]);
      expect(sizesOf(groups)).toEqual([4, 4, 3]);
    }
    // More than there is room for, in one place: they stay all the same.
    const crowd = makeGroups(problem(6, { kept: { l0: 1, l1: 1, l2: 1, l3: 1 } }))[0];
    expect(crowd?.groups[1]).toEqual(expect.arrayContaining(['l0', 'l1', 'l2', 'l3']));
    expect(crowd?.groups.flat()).toHaveLength(6);
  });

  it('come as several proposals that differ, the best first, the same each time', () => {
    const p = problem(12, {
      groups: 4,
      need: 'mixed',
      skills: [{ name: 'number', levels: Object.fromEntries(ids(12).map((id, i) => [id, i % 6])) }],
    });
    const made = makeGroups(p);
    expect(made.length).toBe(3);
    expect(made.map((m) => m.cost.total)).toEqual([...made.map((m) => m.cost.total)].sort((a, b) => a - b));
    expect(
      new Set(
        made.map((m) =>
          m.groups
            .map((g) => [...g].sort().join())
            .sort()
            .join('|'),
        ),
      ).size,
    ).toBe(3);
    expect(makeGroups(p)).toEqual(made);
  });

  it('say in words what they cost', () => {
    const p = problem(4, {
      groups: 2,
      skills: [{ name: 'reading', levels: { l0: 1, l1: 1, l2: 9, l3: 9 } }],
      wishes: [{ want: 'together', a: 'l0', b: 'l2', hard: false }],
      company: new Map([[pairOf('l0', 'l1'), 2]]),
      assistants: 1,
      besideAssistant: ['l0', 'l3'],
    });
    const says = (groups: Parting) => sayCost(weighGroups(groups, p), groups, p, (id) => id.toUpperCase());
    expect(
      says([
        ['l0', 'l1'],
        ['l2', 'l3'],
      ]),
    ).toEqual([
      'each group is alike',
      'reading: 1.0 to 9.0 on average',
      'L0 and L2 are not together, against a wish',
      '2 pairs were together before',
      '1 who needs an assistant sits in a group without one',
    ]);
    expect(
      says([
        ['l0', 'l3'],
        ['l1', 'l2'],
      ]).slice(-2),
    ).toEqual(['nobody is with those of last time', 'whoever needs an assistant has one in the group']);
    expect(
      placeAssistants(
        [
          ['l1', 'l2'],
          ['l0', 'l3'],
        ],
        p,
      ),
    ).toEqual([1]);
  });
});
