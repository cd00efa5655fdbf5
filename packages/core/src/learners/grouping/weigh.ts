import type { Id } from '../../activity/block';
import { pairOf } from '../people';
import { type GroupingProblem, type Parting, WEIGHTS, type Wish } from './problem';
import { counted } from '../../counted';

/** What a parting costs, by what it costs it for, each in its own unit; `total` is what proposals are ordered by. */
export interface Cost {
  /** How far the groups are from alike, or from as mixed as the whole: 0 is not at all, 1 as far as by no grouping. */
  readonly need: number;
  readonly broken: readonly Wish[];
  /** Pairs that were in one group before, counted as often as they were. */
  readonly company: number;
  /** Learners who are to have an assistant beside them, and sit in a group without one. */
  readonly unassisted: number;
  /** How far the sizes are from even, in learners; only changes by hand make them so. */
  readonly uneven: number;
  readonly total: number;
}

/**
 * A problem made ready for weighing many partings: learners by number, levels standardised to mean 0 and variance 1 in
 * each skill.
 */
export class Scales {
  readonly n: number;
  readonly levels: readonly Float64Array[];
  /** Sum of squares over all learners and skills. */
  readonly spread: number;
  /** 1 for who is to have an assistant beside them. */
  readonly beside: Uint8Array;
  /** Cost of a pair in one group; negative of a soft wish to be together is counted as its constant less. */
  private readonly pair: Float64Array;
  private readonly constant: number;
  private readonly hasPairs: boolean;

  constructor(readonly problem: GroupingProblem) {
    const ids = problem.learnerIds;
    this.n = ids.length;
    const at = new Map(ids.map((id, i) => [id, i]));
    this.levels = problem.skills.map(({ levels }) => standardised(ids.map((id) => levels[id])));
    this.spread = this.levels.reduce((sum, xs) => sum + xs.reduce((s, x) => s + x * x, 0), 0);
    this.beside = Uint8Array.from(ids, (id) => (problem.besideAssistant.includes(id) ? 1 : 0));
    this.pair = new Float64Array(this.n * this.n);
    let constant = 0;
    const add = (a: Id, b: Id, cost: number) => {
      const [i, j] = [at.get(a), at.get(b)];
      if (i === undefined || j === undefined || i === j) return false;
      this.pair[i * this.n + j] = this.at(i, j) + cost;
      this.pair[j * this.n + i] = this.at(j, i) + cost;
      return true;
    };
    for (const w of problem.wishes) {
      const cost = w.hard ? WEIGHTS.hard : WEIGHTS.soft;
      if (add(w.a, w.b, w.want === 'apart' ? cost : -cost) && w.want === 'together') constant += cost;
    }
    for (const [key, times] of problem.company) {
      const [a = '', b = ''] = key.split('\n');
      add(a, b, times * WEIGHTS.company);
    }
    this.constant = constant;
    this.hasPairs = this.pair.some((c) => c !== 0);
  }

  /** What it costs or saves that two learners, by number, are in one group. */
  at(i: number, j: number): number {
    return this.pair[i * this.n + j] ?? 0;
  }

  /** What the pairs of a group cost. */
  pairsIn(members: readonly number[]): number {
    let cost = 0;
    if (this.hasPairs)
      members.forEach((i, x) => {
        for (let y = x + 1; y < members.length; y++) cost += this.at(i, members[y] as number);
      });
    return cost;
  }

  /** What a learner costs in the company of a group, themselves left out. */
  pairsWith(i: number, members: readonly number[]): number {
    let cost = 0;
    if (this.hasPairs) for (const j of members) if (j !== i) cost += this.at(i, j);
    return cost;
  }

  /**
   * How far a group is from what is wanted, weighted by its size, from the sums of its levels and of their squares in one
   * skill. Alike: the spread within it. Mixed: how far its mean and deviation are from the whole's (0 and 1), as the
   * squared distance of normal distributions (Givens and Shortt 1984).
   */
  needOf(size: number, sum: number, squares: number): number {
    if (size === 0) return 0;
    const mean = sum / size;
    const variance = Math.max(0, squares / size - mean * mean);
    if (this.problem.need === 'like') return size * variance;
    return size * (mean * mean + (Math.sqrt(variance) - 1) ** 2);
  }

  /** As `Cost.need`. */
  need(groups: readonly (readonly number[])[]): number {
    if (this.spread === 0) return 0;
    let need = 0;
    for (const xs of this.levels)
      for (const g of groups)
        need += this.needOf(
          g.length,
          g.reduce((t, i) => t + (xs[i] ?? 0), 0),
          g.reduce((t, i) => t + (xs[i] ?? 0) ** 2, 0),
        );
    return need / this.spread;
  }

  /** Learners without an assistant beside them, where the assistants go to the groups that need them most. */
  unassisted(groups: readonly (readonly number[])[]): number {
    return this.unassistedOf(groups.map((g) => g.reduce((n, i) => n + (this.beside[i] ?? 0), 0)));
  }

  /** The same by how many of each group are to have one. */
  unassistedOf(wants: readonly number[]): number {
    const sorted = [...wants].sort((a, b) => b - a);
    let n = 0;
    for (let i = this.problem.assistants; i < sorted.length; i++) n += sorted[i] as number;
    return n;
  }

  /** All that a parting costs, of what is known of it: need (not yet as a share), pairs, who has no assistant, sizes. */
  costOf(need: number, pairs: number, unassisted: number, apart: number): number {
    const share = this.spread === 0 ? 0 : need / this.spread;
    const rest = WEIGHTS.assistant * unassisted + WEIGHTS.uneven * apart;
    return this.constant + pairs + WEIGHTS.need * share + rest;
  }

  /** All that a parting costs, as `Cost.total`. */
  total(groups: readonly (readonly number[])[]): number {
    const pairs = groups.reduce((sum, g) => sum + this.pairsIn(g), 0);
    return this.costOf(this.need(groups) * this.spread, pairs, this.unassisted(groups), uneven(groups));
  }
}

/** Values with mean 0 and variance 1; what is not known is 0. All 0 where there is no difference. */
function standardised(values: readonly (number | undefined)[]): Float64Array {
  const known = values.filter((v) => v !== undefined);
  const mean = known.reduce((s, v) => s + v, 0) / (known.length || 1);
  const deviation = Math.sqrt(known.reduce((s, v) => s + (v - mean) ** 2, 0) / (known.length || 1));
  return Float64Array.from(values, (v) => (v === undefined || deviation < 1e-9 ? 0 : (v - mean) / deviation));
}

/** Learners that would have to move for sizes to be even to one. */
export function uneven(groups: readonly (readonly unknown[])[]): number {
  const sizes = groups.map((g) => g.length);
  const all = sizes.reduce((a, b) => a + b, 0);
  const low = Math.floor(all / sizes.length);
  const over = sizes.reduce((n, s) => n + Math.max(0, s - low - 1), 0);
  const under = sizes.reduce((n, s) => n + Math.max(0, low - s), 0);
  return Math.max(over, under);
}

/** What a parting costs, in all its parts. Learners who are in no group are left out. */
export function weighGroups(parting: Parting, problem: GroupingProblem): Cost {
  const scales = new Scales(problem);
  const at = new Map(problem.learnerIds.map((id, i) => [id, i]));
  const groups = parting.map((g) => g.flatMap((id) => at.get(id) ?? []));
  const home = new Map(parting.flatMap((g, i) => g.map((id) => [id, i] as const)));
  const together = (a: Id, b: Id) => home.has(a) && home.get(a) === home.get(b);
  const known = problem.wishes.filter((w) => at.has(w.a) && at.has(w.b) && w.a !== w.b);
  let company = 0;
  for (const g of parting)
    g.forEach((a, i) => {
      for (const b of g.slice(i + 1)) company += problem.company.get(pairOf(a, b)) ?? 0;
    });
  return {
    need: scales.need(groups),
    broken: known.filter((w) => together(w.a, w.b) !== (w.want === 'together')),
    company,
    unassisted: scales.unassisted(groups),
    uneven: uneven(groups),
    total: scales.total(groups),
  };
}

/** What a proposal costs, in words; what it costs nothing for is said too where it was asked for. */
export function sayCost(cost: Cost, parting: Parting, problem: GroupingProblem, nameOf: (id: Id) => string): string[] {
  const says: string[] = [];
  if (problem.skills.length) {
    const [near, far] = problem.need === 'like' ? ['alike', 'unlike'] : ['as mixed as the whole', 'less mixed'];
    const [good, fair] = problem.need === 'like' ? [0.15, 0.4] : [0.1, 0.3];
    if (cost.need < good) says.push(`each group is ${near}`);
    else says.push(cost.need < fair ? `most groups are ${near}` : `some groups are ${far}`);
  }
  for (const { name, levels } of problem.skills) {
    const means = parting.flatMap((g) => {
      const known = g.flatMap((id) => levels[id] ?? []);
      return known.length ? [known.reduce((a, b) => a + b, 0) / known.length] : [];
    });
    const [low, high] = [Math.min(...means), Math.max(...means)].map((m) => m.toFixed(1));
    if (means.length > 1)
      says.push(low === high ? `${name}: ${low} on average in each` : `${name}: ${low} to ${high} on average`);
  }
  for (const w of cost.broken)
    says.push(
      `${nameOf(w.a)} and ${nameOf(w.b)} are ${w.want === 'together' ? 'not together' : 'together'}, ${w.hard ? 'though they must' : 'against a wish'}${w.hard && w.want === 'apart' ? ' not' : ''}${w.hard ? ' be' : ''}`,
    );
  if (problem.wishes.length && cost.broken.length === 0) says.push('every wish is kept');
  if (problem.company.size)
    says.push(
      cost.company === 0
        ? 'nobody is with those of last time'
        : counted(cost.company, '{n} pair was together before', '{n} pairs were together before'),
    );
  if (problem.besideAssistant.length)
    says.push(
      cost.unassisted === 0
        ? 'whoever needs an assistant has one in the group'
        : counted(
            cost.unassisted,
            '{n} who needs an assistant sits in a group without one',
            '{n} who need an assistant sit in a group without one',
          ),
    );
  if (cost.uneven) says.push('the sizes differ by more than one');
  return says;
}

/** The groups in which the assistants are: where most need one, and none where nobody does, unless some are over. */
export function placeAssistants(parting: Parting, problem: GroupingProblem): number[] {
  const wants = parting.map((g, i) => ({ i, n: g.filter((id) => problem.besideAssistant.includes(id)).length }));
  return wants
    .sort((a, b) => b.n - a.n || a.i - b.i)
    .slice(0, problem.assistants)
    .map((w) => w.i)
    .sort((a, b) => a - b);
}
