import { asQuestion } from './marks';
import { type Line, median } from './text-lines';

/** Whether both sides are numbered, and the right one goes on where the left one ends; titles are of neither. */
function countsOn(left: readonly Line[], right: readonly Line[]): boolean {
  const questions = (side: readonly Line[]) =>
    [...side].sort((a, b) => a.y - b.y).filter((l) => asQuestion(l.text) !== null);
  const [a, b] = [questions(left), questions(right)];
  const all = [...a, ...b].map((l) => Number(asQuestion(l.text)?.mark));
  const size = median([...a, ...b].map((l) => l.size));
  return (
    a.length > 1 &&
    b.length > 1 &&
    all.every((n, i) => i === 0 || n === (all[i - 1] ?? 0) + 1) &&
    ![...left, ...right].some((l) => l.text !== '' && l.size > size * 1.18)
  );
}

/** The x of a gutter that parts the lines into two columns of some length, if there is one. */
function gutter(lines: readonly Line[], pageWidth: number): number | null {
  const least = 4;
  const edges = [...new Set(lines.map((l) => l.x))].sort((a, b) => a - b);
  for (const x of edges) {
    const left = lines.filter((l) => l.right < x - pageWidth * 0.006);
    const right = lines.filter((l) => l.x >= x - 0.5);
    if (left.length + right.length !== lines.length) continue;
    // However short: the count that ends on the left goes on at the right.
    if (countsOn(left, right)) return x - 1;
    if (left.length < least || right.length < least) continue;
    // Both sides must stand beside each other for most of their height, and be more than labels.
    const top = Math.max(Math.min(...left.map((l) => l.y)), Math.min(...right.map((l) => l.y)));
    const low = Math.min(Math.max(...left.map((l) => l.low)), Math.max(...right.map((l) => l.low)));
    const whole = Math.max(...lines.map((l) => l.low)) - Math.min(...lines.map((l) => l.y));
    const letters = (side: readonly Line[]) => side.reduce((n, l) => n + l.text.length, 0) / side.length;
    if (low - top > whole * 0.4 && letters(left) > 12 && letters(right) > 12) return x - 1;
  }
  return null;
}

/** How many lines over columns, and under them, are looked past. */
const MOST_ACROSS = 12;

/** Where lines from the top can be cut across the page, twice: from which line to which columns may stand. */
function bands(sorted: readonly Line[]): [number, number][] {
  const n = sorted.length;
  let low = -Infinity;
  const cuts = sorted.flatMap((l, i) => {
    const isCut = i === 0 || l.y >= low - 1;
    low = Math.max(low, l.low);
    return isCut ? [i] : [];
  });
  const ends = [n, ...cuts.filter((j) => j >= n - MOST_ACROSS).reverse()];
  return ends.flatMap((j) =>
    cuts.flatMap((i): [number, number][] => (i < MOST_ACROSS && j - i > 3 && j - i < n ? [[i, j]] : [])),
  );
}

/** Lines in the order they are read: bands from the top, columns within a band. */
export function readingOrder(lines: readonly Line[], pageWidth: number, depth = 0): Line[] {
  if (lines.length < 2) return [...lines];
  const at = gutter(lines, pageWidth);
  if (at !== null) {
    const left = lines.filter((l) => l.x < at);
    const right = lines.filter((l) => l.x >= at);
    const sides = lines.filter((l) => l.rtl).length > lines.length / 2 ? [right, left] : [left, right];
    return sides.flatMap((side) => readingOrder(side, pageWidth, depth + 1));
  }
  const sorted = [...lines].sort((a, b) => a.y - b.y || a.x - b.x);
  if (depth < 4)
    // What stands across the page over columns, and under them, is cut off, and the rest looked at again.
    for (const [i, j] of bands(sorted)) {
      const columns = sorted.slice(i, j);
      if (gutter(columns, pageWidth) === null) continue;
      return [sorted.slice(0, i), columns, sorted.slice(j)].flatMap((band) => readingOrder(band, pageWidth, depth + 1));
    }
  // Lines of one height are one line: from the left, or from the right where that is how it is read.
  const rtl = lines.filter((l) => l.rtl).length > lines.length / 2;
  const out: Line[] = [];
  let rest = sorted;
  for (let first = rest[0]; first; first = rest[0]) {
    const top = first;
    const inRow = (l: Line) => l === top || l.y + (l.low - l.y) / 2 < top.low;
    out.push(...rest.filter(inRow).sort((a, b) => (rtl ? b.x - a.x : a.x - b.x)));
    rest = rest.filter((l) => !inRow(l));
  }
  return out;
}
