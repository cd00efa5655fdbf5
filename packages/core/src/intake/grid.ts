import type { DrawnShape } from './text-lines';

/** A table that is drawn: its edges, in points, from the left and from the top. */
export interface Grid {
  readonly xs: readonly number[];
  readonly ys: readonly number[];
  /** What it is drawn of. */
  readonly of: readonly DrawnShape[];
}

/** A line is no thicker than this, and a cell no smaller. */
const THIN = 2.5;
const LEAST = 8;
/** Ends that are no farther apart touch: also the borders of neighbours that are drawn each by itself. */
const NEAR = 4.5;
const MOST = { columns: 12, rows: 60, lines: 2000 };

interface Edge extends DrawnShape {
  readonly of: DrawnShape;
}

/** The edges of a shape: itself, where it is a line; the four sides of a frame. */
function edgesOf(s: DrawnShape, most: number): Edge[] {
  if (s.w <= THIN || s.h <= THIN) return Math.max(s.w, s.h) >= LEAST ? [{ ...s, of: s }] : [];
  if (s.w < LEAST || s.h < LEAST || s.w * s.h > most) return [];
  const { x, y, w, h } = s;
  return [
    { x, y, w, h: 0, of: s },
    { x, y: y + h, w, h: 0, of: s },
    { x, y, w: 0, h, of: s },
    { x: x + w, y, w: 0, h, of: s },
  ];
}

const touch = (a: DrawnShape, b: DrawnShape): boolean =>
  a.x <= b.x + b.w + NEAR && b.x <= a.x + a.w + NEAR && a.y <= b.y + b.h + NEAR && b.y <= a.y + a.h + NEAR;

/** Edges that hang together. */
function together(edges: readonly Edge[]): Edge[][] {
  const left = new Set(edges);
  const groups: Edge[][] = [];
  for (const first of edges) {
    if (!left.delete(first)) continue;
    const group = [first];
    for (const e of group)
      for (const other of left)
        if (touch(e, other)) {
          left.delete(other);
          group.push(other);
        }
    groups.push(group);
  }
  return groups;
}

/** Places that are near each other as one, in order. */
function clustered(places: readonly number[]): number[] {
  const groups: number[][] = [];
  for (const p of [...places].sort((a, b) => a - b)) {
    const last = groups.at(-1);
    if (last && p - (last.at(-1) ?? 0) <= NEAR) last.push(p);
    else groups.push([p]);
  }
  return groups.map((g) => g.reduce((a, b) => a + b, 0) / g.length);
}

/**
 * The tables that are drawn on a page: lines or frames that hang together and make two columns and two rows at least,
 * with every line between two cells there. `area`: of the page, in square points.
 */
export function grids(shapes: readonly DrawnShape[], area: number): Grid[] {
  const edges = shapes.flatMap((s) => edgesOf(s, area / 4));
  if (edges.length > MOST.lines) return [];
  return together(edges).flatMap((group): Grid[] => {
    const across = group.filter((e) => e.w >= e.h);
    const down = group.filter((e) => e.h > e.w);
    const xs = clustered(down.map((e) => e.x + e.w / 2));
    const ys = clustered(across.map((e) => e.y + e.h / 2));
    if (xs.length < 3 || ys.length < 3 || xs.length > MOST.columns + 1 || ys.length > MOST.rows + 1) return [];
    const parts = (list: readonly number[]) => list.slice(1).map((to, i) => ((list[i] ?? 0) + to) / 2);
    const isWhole =
      xs.every((x) => parts(ys).every((y) => down.some((e) => near(e.x + e.w / 2, x) && e.y <= y && e.y + e.h >= y))) &&
      ys.every((y) => parts(xs).every((x) => across.some((e) => near(e.y + e.h / 2, y) && e.x <= x && e.x + e.w >= x)));
    return isWhole ? [{ xs, ys, of: group.map((e) => e.of) }] : [];
  });
}

const near = (a: number, b: number): boolean => Math.abs(a - b) <= NEAR * 2;

/** The row and column that a point stands in; null where it stands outside. */
export function cellAt({ xs, ys }: Grid, x: number, y: number): { row: number; column: number } | null {
  const at = (list: readonly number[], v: number) =>
    list.findIndex((to, i) => i > 0 && v > (list[i - 1] ?? 0) && v <= to);
  const [column, row] = [at(xs, x), at(ys, y)];
  return column > 0 && row > 0 ? { row: row - 1, column: column - 1 } : null;
}
