import type { Id } from '../activity/block';
import type { SeenItem, SeenWork } from './seen';

/** A share with how many it is of, and the interval that it may lie in; from 0 to 1. */
export interface Share {
  readonly share: number;
  readonly n: number;
  readonly low: number;
  readonly high: number;
  /** So few that it says little. */
  readonly isSmall: boolean;
}

/** Fewer than this are few. */
export const FEW = 10;
/** For an interval of 95 per cent. */
const Z = 1.96;

/**
 * A share with Wilson's interval for 95 per cent (E. B. Wilson, 1927): it stays within 0 and 1, also for few. Part marks count
 * as the part that they are.
 */
export function shareOf(values: readonly number[]): Share {
  const n = values.length;
  if (n === 0) return { share: 0, n: 0, low: 0, high: 1, isSmall: true };
  const p = mean(values);
  const z2 = Z * Z;
  const middle = (p + z2 / (2 * n)) / (1 + z2 / n);
  const half = (Z * Math.sqrt((p * (1 - p)) / n + z2 / (4 * n * n))) / (1 + z2 / n);
  return { share: p, n, low: Math.max(0, middle - half), high: Math.min(1, middle + half), isSmall: n < FEW };
}

export const mean = (values: readonly number[]): number =>
  values.length ? values.reduce((a, b) => a + b, 0) / values.length : 0;

/** Pearson's correlation; null where one of the two does not vary, or there are fewer than three pairs. */
export function correlation(pairs: readonly (readonly [number, number])[]): number | null {
  if (pairs.length < 3) return null;
  const [mx, my] = [mean(pairs.map((p) => p[0])), mean(pairs.map((p) => p[1]))];
  let [xy, xx, yy] = [0, 0, 0];
  for (const [x, y] of pairs) {
    xy += (x - mx) * (y - my);
    xx += (x - mx) ** 2;
    yy += (y - my) ** 2;
  }
  return xx > 0 && yy > 0 ? xy / Math.sqrt(xx * yy) : null;
}

function grouped(works: readonly SeenWork[], by: (w: SeenWork) => string): Map<string, SeenWork[]> {
  const out = new Map<string, SeenWork[]>();
  for (const w of works) {
    const list = out.get(by(w));
    if (list) list.push(w);
    else out.set(by(w), [w]);
  }
  return out;
}

export interface Series {
  readonly id: string;
  readonly name: string;
  readonly points: readonly ({ readonly x: string; readonly title: string } & Share)[];
}

/**
 * Results by objective over time, a point for each hand-out in which the objective was asked; the earliest first. Objectives
 * of several activities are the same where their words are.
 */
export function overTime(works: readonly SeenWork[], objectives: ReadonlyMap<Id, string>): Series[] {
  const said = (id: Id) => objectives.get(id) ?? 'An objective that is not here any more';
  return seriesOf(
    works,
    (w) => w.items.flatMap((i) => (i.objectiveId ? [[said(i.objectiveId), i.share] as const] : [])),
    (words) => words,
  );
}

/** Results of the works that served a goal, by goal. */
export const goalsOverTime = (works: readonly SeenWork[], goals: ReadonlyMap<Id, string>): Series[] =>
  seriesOf(
    works,
    (w) => w.goalIds.filter((id) => goals.has(id)).flatMap((id) => w.items.map((i) => [id, i.share] as const)),
    (id) => goals.get(id) ?? '',
  );

function seriesOf(
  works: readonly SeenWork[],
  valuesOf: (w: SeenWork) => readonly (readonly [id: Id, share: number])[],
  nameOf: (id: Id) => string,
): Series[] {
  const by = new Map<Id, Map<string, { day: string; title: string; values: number[] }>>();
  for (const w of works)
    for (const [id, share] of valuesOf(w)) {
      const points = by.get(id) ?? new Map<string, { day: string; title: string; values: number[] }>();
      by.set(id, points);
      const point = points.get(w.handOutId) ?? { day: w.day, title: w.title, values: [] };
      points.set(w.handOutId, point);
      if (w.day < point.day) point.day = w.day;
      point.values.push(share);
    }
  return [...by]
    .map(([id, points]) => ({
      id,
      name: nameOf(id),
      points: [...points.values()]
        .sort((a, b) => a.day.localeCompare(b.day))
        .map((p) => ({ x: p.day, title: p.title, ...shareOf(p.values) })),
    }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

export interface OfVersion extends Share {
  readonly versionId: Id | null;
  readonly name: string;
  readonly learners: number;
}

/** Each version's results on the master's items that all of the versions have: on these alone they can be compared. */
export function byVersion(works: readonly SeenWork[]): {
  readonly rows: readonly OfVersion[];
  readonly items: readonly Id[];
} {
  const versions = grouped(works, (w) => w.versionId ?? '');
  const has = [...versions.values()].map(
    (all) => new Set(all.flatMap((w) => w.items.filter((i) => i.ofMaster).map((i) => i.id))),
  );
  const items = [...(has[0] ?? [])].filter((id) => has.every((h) => h.has(id)));
  const common = new Set(items);
  const rows = [...versions.values()].map((all): OfVersion => ({
    versionId: all[0]?.versionId ?? null,
    name: all[0]?.versionName ?? '',
    learners: new Set(all.map((w) => w.learnerId)).size,
    ...shareOf(all.flatMap((w) => w.items.filter((i) => common.has(i.id)).map((i) => i.share))),
  }));
  return { rows: rows.sort((a, b) => a.name.localeCompare(b.name)), items };
}

export interface OfItem extends Share {
  readonly id: Id;
  /**
   * Whether who does well on the rest does well on it: the correlation of its mark with that of the others (point-biserial where
   * it is right or wrong), from -1 to 1. Null where it cannot be said.
   */
  readonly tells: number | null;
}

/** Items by how hard they were, and by how well each tells; across all versions that have it. */
export function itemFigures(works: readonly SeenWork[]): OfItem[] {
  const by = new Map<Id, { share: number; rest: number | null }[]>();
  for (const w of works) {
    const sum = w.items.reduce((n, i) => n + i.share, 0);
    for (const i of w.items) {
      const rest = w.items.length > 1 ? (sum - i.share) / (w.items.length - 1) : null;
      const list = by.get(i.id);
      if (list) list.push({ share: i.share, rest });
      else by.set(i.id, [{ share: i.share, rest }]);
    }
  }
  return [...by].map(([id, all]) => ({
    id,
    ...shareOf(all.map((x) => x.share)),
    tells: correlation(all.flatMap((x) => (x.rest === null ? [] : [[x.share, x.rest] as const]))),
  }));
}

export interface OfSupport {
  readonly name: string;
  readonly with: Share;
  readonly without: Share;
}

/** What went together: results of works that had a support, and of those that had not. Never that one made the other. */
export function withSupports(works: readonly SeenWork[]): OfSupport[] {
  const names = [...new Set(works.flatMap((w) => w.supports))].sort();
  const result = (w: SeenWork): number => mean(w.items.map((i: SeenItem) => i.share));
  return names.map((name) => ({
    name,
    with: shareOf(works.filter((w) => w.supports.includes(name)).map(result)),
    without: shareOf(works.filter((w) => !w.supports.includes(name)).map(result)),
  }));
}

export interface Move {
  readonly learnerId: Id;
  /** The versions in the order in which they were submitted. */
  readonly steps: readonly {
    readonly day: string;
    readonly title: string;
    readonly name: string;
    readonly versionId: Id | null;
  }[];
  readonly moved: boolean;
}

/** Which version each learner had, one work after the other, by its name: tiers are called alike in all activities. */
export function moves(works: readonly SeenWork[]): Move[] {
  return [...grouped(works, (w) => w.learnerId)].map(([learnerId, all]) => {
    const steps = all
      .sort((a, b) => a.day.localeCompare(b.day))
      .map((w) => ({ day: w.day, title: w.title, name: w.versionName, versionId: w.versionId }));
    return { learnerId, steps, moved: new Set(steps.map((s) => s.name)).size > 1 };
  });
}
