import { coverage } from '../src/assign/check/coverage';
import { newHandOut } from '../src/assign/hand-out';
import { linesNow } from '../src/assign/rules';
import { suggest } from '../src/assign/suggest';
import type { Family } from '../src/activity/family';
import { swatchFrom } from '../src/activity/swatch';
import { demoWorkspace } from '../src/demo/index';
import { evenSizes, type GroupingProblem, makeGroups } from '../src/learners/grouping';
import { Scales } from '../src/learners/grouping/weigh';
import type { Learner } from '../src/learners/learner';
import { NEW_CLASS, type People } from '../src/learners/people';

const AT = '2026-11-24';
const demo = demoWorkspace(Date.UTC(2026, 10, 24, 9));
const cards = Object.values(demo.learners);

/** So many learners with the demo's cards, in classes of twenty, and an activity of twelve versions. */
function school(many: number): { people: People; family: Family } {
  const learners = Array.from({ length: many }, (_, i): Learner => ({
    ...(cards[i % cards.length] as Learner),
    id: `l${i}`,
    name: `Learner ${i}`,
  }));
  const classes = Array.from({ length: Math.ceil(many / 20) }, (_, c) => ({
    ...NEW_CLASS,
    id: `c${c}`,
    name: `Class ${c}`,
    learnerIds: learners.slice(c * 20, (c + 1) * 20).map((l) => l.id),
  }));
  const family = demo.families['puncture'] as Family;
  const versions = Array.from({ length: 12 }, (_, v) => {
    const like = family.versions[v % family.versions.length] as Family['versions'][number];
    const adjustments = like.adjustments.map((a) => ({ ...a, id: `${a.id}-${v}` }));
    return { ...like, id: `v${v}`, name: `Version ${v}`, swatch: swatchFrom(`v${v}`), adjustments };
  });
  return {
    people: { learners, classes, groups: [], audiences: [], today: AT },
    family: { ...family, versions },
  };
}

/** Milliseconds of the quickest of some runs. */
function quickest(run: () => unknown, times = 5): number {
  let best = Infinity;
  for (let i = 0; i < times; i++) {
    const from = performance.now();
    run();
    best = Math.min(best, performance.now() - from);
  }
  return best;
}

function planned(many: number): () => unknown {
  const { people, family } = school(many);
  const plan = {
    ...newHandOut({ id: 'h', familyId: family.id, title: 'Plan', createdAt: AT }),
    classIds: people.classes.map((c) => c.id),
    rules: people.classes.map((c, i) => ({ id: `r${i}`, by: 'class' as const, of: c.id, versionId: `v${i % 12}` })),
  };
  // Another object each time: nothing that was counted before helps.
  return () => [
    suggest({ ...family, versions: [...family.versions] }, people.learners, AT),
    coverage(plan, { ...family, versions: [...family.versions] }, people, `${AT}T09:00`),
    linesNow(plan, people),
  ];
}

function problem(n: number, groups: number, seed: number): GroupingProblem {
  const learnerIds = Array.from({ length: n }, (_, i) => `l${i}`);
  const levels = (by: number) =>
    Object.fromEntries(learnerIds.map((id, i) => [id, ((i * by + seed * 31) % 17) + (i % 3)]));
  return {
    learnerIds,
    groups,
    need: seed % 2 ? 'like' : 'mixed',
    skills: [
      { name: 'reading', levels: levels(7) },
      { name: 'number', levels: levels(11) },
    ],
    wishes: [
      { want: 'apart', a: 'l0', b: 'l1', hard: true },
      { want: 'together', a: `l${seed % n}`, b: `l${(seed * 5 + 1) % n}`, hard: false },
    ],
    assistants: 2,
    besideAssistant: ['l2', 'l3', 'l4'],
    company: new Map([['l0\nl2', 1]]),
    kept: {},
  };
}

/** The least that any parting costs, by trying all of them. */
function optimum(p: GroupingProblem): number {
  const scales = new Scales(p);
  const sizes = evenSizes(p.learnerIds.length, p.groups);
  const groups: number[][] = sizes.map(() => []);
  let best = Infinity;
  const place = (i: number): void => {
    if (i === p.learnerIds.length) {
      best = Math.min(best, scales.total(groups));
      return;
    }
    const tried = new Set<number>();
    groups.forEach((g, at) => {
      const size = sizes[at] ?? 0;
      if (g.length >= size || (g.length === 0 && tried.has(size))) return;
      if (g.length === 0) tried.add(size);
      g.push(i);
      place(i + 1);
      g.pop();
    });
  };
  place(0);
  return best;
}

const [forty, fourHundred] = [quickest(planned(40)), quickest(planned(400))];
const over: number[] = [];
for (let seed = 1; seed <= 24; seed++) {
  const p = problem(12, 3 + (seed % 2), seed);
  const exact = optimum(p);
  over.push(((makeGroups(p)[0]?.cost.total ?? Infinity) - exact) / Math.max(1, Math.abs(exact)));
}
const average = over.reduce((a, b) => a + b, 0) / over.length;
const ofAClass = quickest(() => makeGroups(problem(32, 8, 2)), 3);
const ofAYear = quickest(() => makeGroups(problem(240, 60, 2)), 1);
const round = (n: number) => Math.round(n * 100) / 100;
console.log(
  JSON.stringify([
    {
      figure: 'suggestions, check and lines of a plan of twelve versions: 400 learners to 40',
      ratio: round(fourHundred / forty),
      'at most': 12,
    },
    {
      figure: 'groups of 12 learners beside the exact optimum: over it, on average',
      ratio: round(average),
      'at most': 0.02,
    },
    { figure: 'groups of 32 learners, to one second', ratio: round(ofAClass / 1000), 'at most': 1 },
    { figure: 'groups of 240 learners, to groups of 32', ratio: round(ofAYear / ofAClass), 'at most': 30 },
  ]),
);
