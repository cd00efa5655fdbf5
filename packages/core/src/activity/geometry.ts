import type { Rect } from './parts';

/** The least side of a rectangle, in hundredths: enough for one short word. */
export const LEAST_SIDE = 1.5;
/** How near an edge must come to another's before it takes its place, in hundredths. */
export const SNAP = 0.8;

const round = (n: number): number => Math.round(n * 100) / 100;
const clamp = (n: number, low: number, high: number): number => Math.min(Math.max(n, low), Math.max(low, high));

/** The rectangle moved by hundredths, never off the page. */
export function moveRect(r: Rect, dx: number, dy: number): Rect {
  return { ...r, x: round(clamp(r.x + dx, 0, 100 - r.w)), y: round(clamp(r.y + dy, 0, 100 - r.h)) };
}

/** The rectangle with its right and lower edges moved, never off the page nor smaller than LEAST_SIDE. */
export function resizeRect(r: Rect, dx: number, dy: number): Rect {
  return {
    ...r,
    w: round(clamp(r.w + dx, LEAST_SIDE, 100 - r.x)),
    h: round(clamp(r.h + dy, LEAST_SIDE, 100 - r.y)),
  };
}

/** The rectangle between two corners, wherever they lie. */
export function rectBetween(a: { x: number; y: number }, b: { x: number; y: number }): Rect {
  const x = clamp(Math.min(a.x, b.x), 0, 100 - LEAST_SIDE);
  const y = clamp(Math.min(a.y, b.y), 0, 100 - LEAST_SIDE);
  return {
    x: round(x),
    y: round(y),
    w: round(clamp(Math.max(a.x, b.x) - x, LEAST_SIDE, 100 - x)),
    h: round(clamp(Math.max(a.y, b.y) - y, LEAST_SIDE, 100 - y)),
  };
}

/** Moves a rectangle so that an edge that is near another's lies on it; size stays. */
export function snapRect(r: Rect, others: readonly Rect[]): Rect {
  const best = (mine: readonly number[], theirs: readonly number[]): number => {
    let by = 0;
    let least = SNAP;
    for (const m of mine)
      for (const t of theirs)
        if (Math.abs(t - m) < least) {
          least = Math.abs(t - m);
          by = t - m;
        }
    return by;
  };
  const dx = best(
    [r.x, r.x + r.w],
    others.flatMap((o) => [o.x, o.x + o.w]),
  );
  const dy = best(
    [r.y, r.y + r.h],
    others.flatMap((o) => [o.y, o.y + o.h]),
  );
  return moveRect(r, dx, dy);
}

/** Ids of places in reading order: lines from the top, each from the left. Places of one line overlap by half. */
export function readingOrder(places: Readonly<Record<string, Rect>>): string[] {
  const left = Object.entries(places).sort(([, a], [, b]) => a.y - b.y || a.x - b.x);
  const out: string[] = [];
  while (left.length) {
    const [, first] = left[0] as [string, Rect];
    const inLine = ([, r]: [string, Rect]) => r.y + r.h / 2 <= first.y + first.h;
    const line = left.filter(inLine).sort(([, a], [, b]) => a.x - b.x);
    out.push(...line.map(([id]) => id));
    for (const entry of line) left.splice(left.indexOf(entry), 1);
  }
  return out;
}

/** A place of usual size that lies on none of `taken`: from the top, left before right; at the foot where all is full. */
export function freePlace(taken: readonly Rect[]): Rect {
  const size = { w: 36, h: 6 };
  for (let y = 6; y <= 88; y += size.h + 1)
    for (const x of [8, 54]) {
      const r = { x, y, ...size };
      if (taken.every((t) => t.x >= r.x + r.w || r.x >= t.x + t.w || t.y >= r.y + r.h || r.y >= t.y + t.h)) return r;
    }
  return { x: 8 + (taken.length % 8) * 4, y: 92, ...size };
}
