import type { Id } from '../../activity/block';
import { type Cost, Scales, uneven, weighGroups } from './weigh';
import { evenSizes, type GroupingProblem, type Parting } from './problem';

export interface GroupProposal {
  readonly groups: Parting;
  readonly cost: Cost;
}

/** How long a search may take: beginnings tried, and steps of each by learner. */
export interface Effort {
  readonly beginnings: number;
  readonly steps: number;
}
const USUAL: Effort = { beginnings: 8, steps: 600 };
const MOST_STEPS = 60_000;
/** Partings are told apart where at least this share of the pairs that are together differ. */
const APART = 0.15;
const STEPS_BETWEEN = 5000;

/** Numbers from 0 up to 1 that follow from a seed. */
function chance(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), a | 1);
    t = (t + Math.imul(t ^ (t >>> 7), t | 61)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** One search, stoppable between beginnings: each step gives the share that is done, the end the proposals. */
export function* groupingInSteps(
  problem: GroupingProblem,
  { most = 3, seed = 1, effort = USUAL }: { most?: number; seed?: number; effort?: Effort } = {},
): Generator<number, GroupProposal[]> {
  const scales = new Scales(problem);
  const found: { groups: number[][]; total: number }[] = [];
  const random = chance(seed);
  for (let b = 0; b < effort.beginnings; b++) {
    const groups = beginning(problem, scales, random, b === 0);
    yield* annealed(
      scales,
      groups,
      problem,
      random,
      Math.min(effort.steps * scales.n, MOST_STEPS),
      (share) => (b + share) / effort.beginnings,
    );
    found.push({ groups, total: scales.total(groups) });
  }
  const byTotal = found.sort((x, y) => x.total - y.total);
  const kept: number[][][] = [];
  for (const { groups } of byTotal) {
    if (kept.length >= most) break;
    if (kept.every((k) => difference(k, groups) >= APART)) kept.push(groups);
  }
  return kept.map((groups) => {
    const parting = groups.map((g) => g.map((i) => problem.learnerIds[i] as Id));
    // No place is that of the least: where nobody is kept in theirs, the groups stand in any order.
    if (Object.keys(problem.kept).length === 0) shuffle(parting, random);
    return { groups: parting, cost: weighGroups(parting, problem) };
  });
}

/**
 * Groups of like or of mixed need, their sizes even to one, under wishes; several proposals that differ, the best first,
 * each with what it costs. The same problem and seed give the same proposals. Learners whom the teacher placed stay.
 * Method: simulated annealing over swaps, begun from a sorted deal and from chance (Kirkpatrick, Gelatt and Vecchi 1983).
 */
export function makeGroups(
  problem: GroupingProblem,
  options?: { readonly most?: number; readonly seed?: number; readonly effort?: Effort },
): GroupProposal[] {
  const steps = groupingInSteps(problem, options);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** A first parting: those who are kept in their places, the rest dealt by the first skill or by chance. */
function beginning(problem: GroupingProblem, scales: Scales, random: () => number, sorted: boolean): number[][] {
  const sizes = evenSizes(scales.n, problem.groups);
  const groups: number[][] = sizes.map(() => []);
  const free: number[] = [];
  problem.learnerIds.forEach((id, i) => {
    const to = Object.hasOwn(problem.kept, id) ? groups[problem.kept[id] ?? -1] : undefined;
    if (to) to.push(i);
    else free.push(i);
  });
  const order = new Map(free.map((i) => [i, sorted ? scales.levels.reduce((s, xs) => s + (xs[i] ?? 0), 0) : random()]));
  free.sort((a, b) => (order.get(a) ?? 0) - (order.get(b) ?? 0));
  // The larger sizes go to the groups that already hold most.
  const room = groups.map((g, at) => ({ at, has: g.length })).sort((a, b) => b.has - a.has || a.at - b.at);
  const left = new Map(room.map(({ at, has }, place) => [at, Math.max(0, (sizes[place] ?? 0) - has)]));
  let spare = free.length - [...left.values()].reduce((a, b) => a + b, 0);
  // Where more are kept in one place than it has room for, the others have fewer.
  for (const { at } of [...room].reverse()) {
    while (spare < 0 && (left.get(at) ?? 0) > 0) {
      left.set(at, (left.get(at) ?? 0) - 1);
      spare++;
    }
  }
  const isDealt = sorted && problem.need === 'mixed';
  for (let at = 0; free.length > 0; at = (at + 1) % groups.length) {
    const take = isDealt ? Math.min(1, left.get(at) ?? 0) : (left.get(at) ?? 0);
    for (let k = 0; k < take; k++) {
      const i = free.shift();
      if (i !== undefined) groups[at]?.push(i);
    }
    left.set(at, (left.get(at) ?? 0) - take);
    if ([...left.values()].every((n) => n === 0)) break;
  }
  free.forEach((i, k) => groups[k % groups.length]?.push(i));
  return groups;
}

/** A parting that is changed by swaps and moves, with what it costs kept up: a change costs what two groups hold. */
class Changing {
  /** Sums of levels, and of their squares, by group and skill. */
  private readonly sums: readonly Float64Array[];
  private readonly squares: readonly Float64Array[];
  private pairs = 0;
  private apart: number;
  private readonly wants: number[];
  private unassisted: number;
  total: number;

  constructor(
    private readonly scales: Scales,
    readonly groups: number[][],
  ) {
    this.sums = groups.map((g) => Float64Array.from(scales.levels, (xs) => g.reduce((t, i) => t + (xs[i] ?? 0), 0)));
    this.squares = groups.map((g) =>
      Float64Array.from(scales.levels, (xs) => g.reduce((t, i) => t + (xs[i] ?? 0) ** 2, 0)),
    );
    for (const g of groups) this.pairs += scales.pairsIn(g);
    this.apart = uneven(groups);
    this.wants = groups.map((g) => g.reduce((n, i) => n + (scales.beside[i] ?? 0), 0));
    this.unassisted = scales.unassistedOf(this.wants);
    this.total = this.cost();
  }

  /** One of group `a` for one of group `b`, by their places; without a `y`, the one goes over alone. */
  change(a: number, b: number, x: number, y: number | undefined): void {
    const [from, to] = [this.groups[a] as number[], this.groups[b] as number[]];
    const i = from[x] as number;
    const j = y === undefined ? undefined : (to[y] as number);
    this.shift(a, b, i);
    if (j === undefined || y === undefined) {
      from.splice(x, 1);
      this.pairs += this.scales.pairsWith(i, to) - this.scales.pairsWith(i, from);
      to.push(i);
      this.apart = uneven(this.groups);
    } else {
      this.shift(b, a, j);
      const { scales } = this;
      this.pairs -= scales.pairsWith(i, from) + scales.pairsWith(j, to);
      from[x] = j;
      to[y] = i;
      this.pairs += scales.pairsWith(j, from) + scales.pairsWith(i, to);
    }
    const moved = (this.scales.beside[i] ?? 0) - (j === undefined ? 0 : (this.scales.beside[j] ?? 0));
    if (moved) {
      this.wants[a] = (this.wants[a] ?? 0) - moved;
      this.wants[b] = (this.wants[b] ?? 0) + moved;
      this.unassisted = this.scales.unassistedOf(this.wants);
    }
    this.total = this.cost();
  }

  /** Takes a change back; of one who went alone, the last of group `b` goes back to their place. */
  back(a: number, b: number, x: number, y: number | undefined): void {
    if (y !== undefined) return this.change(a, b, x, y);
    const [from, to] = [this.groups[a] as number[], this.groups[b] as number[]];
    this.change(b, a, to.length - 1, undefined);
    from.splice(x, 0, from.pop() as number);
  }

  private shift(a: number, b: number, i: number): void {
    const [from, to] = [this.sums[a] as Float64Array, this.sums[b] as Float64Array];
    const [out, into] = [this.squares[a] as Float64Array, this.squares[b] as Float64Array];
    const { levels } = this.scales;
    for (let s = 0; s < levels.length; s++) {
      const x = (levels[s] as Float64Array)[i] as number;
      from[s] = (from[s] as number) - x;
      to[s] = (to[s] as number) + x;
      out[s] = (out[s] as number) - x * x;
      into[s] = (into[s] as number) + x * x;
    }
  }

  private cost(): number {
    let need = 0;
    for (let k = 0; k < this.groups.length; k++) {
      const size = (this.groups[k] as number[]).length;
      const sums = this.sums[k] as Float64Array;
      const squares = this.squares[k] as Float64Array;
      for (let s = 0; s < sums.length; s++) need += this.scales.needOf(size, sums[s] as number, squares[s] as number);
    }
    return this.scales.costOf(need, this.pairs, this.unassisted, this.apart);
  }
}

/** Betters a parting in place by swaps of two and moves of one between groups that differ in size. */
function* annealed(
  scales: Scales,
  groups: number[][],
  problem: GroupingProblem,
  random: () => number,
  steps: number,
  share: (of: number) => number,
): Generator<number, void> {
  const isKept = Uint8Array.from(problem.learnerIds, (id) => (Object.hasOwn(problem.kept, id) ? 1 : 0));
  const k = groups.length;
  if (k < 2 || scales.n < 2) return;
  const now = new Changing(scales, groups);
  let { total } = now;
  let best = groups.map((g) => [...g]);
  let bestTotal = total;
  const pick = (n: number) => Math.floor(random() * n);
  for (let step = 0; step < steps; step++) {
    if (step % STEPS_BETWEEN === 0) yield share(step / steps);
    const heat = 0.8 * (1 - step / steps) ** 3 + 1e-9;
    const a = pick(k);
    let b = pick(k - 1);
    if (b >= a) b++;
    const from = groups[a] as number[];
    const to = groups[b] as number[];
    if (from.length === 0) continue;
    const x = pick(from.length);
    if (isKept[from[x] as number]) continue;
    // One goes alone where that leaves sizes as even as they are.
    const y = from.length > to.length && random() < 0.3 ? undefined : pick(to.length);
    if (y !== undefined && (to.length === 0 || isKept[to[y] as number])) continue;
    now.change(a, b, x, y);
    if (now.total <= total || random() < Math.exp((total - now.total) / heat)) {
      ({ total } = now);
      if (total < bestTotal - 1e-9) {
        bestTotal = total;
        best = groups.map((g) => [...g]);
      }
    } else now.back(a, b, x, y);
  }
  groups.splice(0, k, ...best);
}

/** Puts a list into an order of chance (Durstenfeld 1964). */
function shuffle(list: unknown[], random: () => number): void {
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [list[i], list[j]] = [list[j], list[i]];
  }
}

/** How many of the pairs that are together in one of two partings are not in the other, as a share of them. */
function difference(one: readonly (readonly number[])[], other: readonly (readonly number[])[]): number {
  const pairs = (parting: readonly (readonly number[])[]) =>
    new Set(
      parting.flatMap((g) => g.flatMap((a, i) => g.slice(i + 1).map((b) => (a < b ? `${a} ${b}` : `${b} ${a}`)))),
    );
  const [p, q] = [pairs(one), pairs(other)];
  const both = [...p].filter((x) => q.has(x)).length;
  const all = p.size + q.size - both;
  return all === 0 ? 0 : 1 - both / all;
}
