import { cellAt, grids } from './grid';
import {
  type DrawnShape,
  isRtl,
  joined,
  type LaidOutPage,
  type Line,
  linesOf,
  median,
  type TextItem,
} from './text-lines';

/** Words that were stored as one, and stand in two cells: parted at the space that is nearest the edge between them. */
function partedAt(item: TextItem, xs: readonly number[]): TextItem[] {
  const edge = xs.find((x) => x > item.x + item.h * 0.2 && x < item.x + item.w - item.h * 0.2);
  const spaces = edge === undefined ? [] : [...item.text.matchAll(/\s+/g)].filter((m) => m.index > 0);
  const step = item.w / item.text.length;
  const away = (m: RegExpMatchArray) => Math.abs(item.x + (m.index ?? 0) * step - (edge ?? 0));
  const at = spaces.reduce<RegExpExecArray | null>((best, m) => (best && away(best) <= away(m) ? best : m), null);
  if (edge === undefined || !at || at.index + at[0].length >= item.text.length) return [item];
  const left = { ...item, text: item.text.slice(0, at.index), w: edge - item.x - 0.1 };
  const right = { ...item, text: item.text.slice(at.index + at[0].length), x: edge + 0.1, w: item.x + item.w - edge };
  return [left, ...partedAt(right, xs)];
}

/** Tables that are drawn, each as one line; and what is left of the page. */
export function drawnTables(page: LaidOutPage): {
  tables: Line[];
  items: readonly TextItem[];
  shapes: readonly DrawnShape[];
} {
  let { items, shapes } = page;
  const tables = grids(shapes, page.width * page.height).flatMap((grid): Line[] => {
    const cells = grid.ys.slice(1).map(() => grid.xs.slice(1).map((): TextItem[] => []));
    const rest: TextItem[] = [];
    for (const i of items) {
      const middle = i.y + i.h / 2;
      const inside = middle > (grid.ys[0] ?? 0) && middle < (grid.ys.at(-1) ?? 0);
      for (const part of inside ? partedAt(i, grid.xs) : [i]) {
        const at = cellAt(grid, part.x + part.w / 2, middle);
        if (at) cells[at.row]?.[at.column]?.push(part);
        else rest.push(part);
      }
    }
    const words = cells.flat(2).filter((i) => i.text.trim() !== '');
    const drawn = new Set(grid.of);
    shapes = shapes.filter((s) => !drawn.has(s));
    items = rest;
    const place = { x: grid.xs[0] ?? 0, y: grid.ys[0] ?? 0, right: grid.xs.at(-1) ?? 0, low: grid.ys.at(-1) ?? 0 };
    const line = { ...place, text: '', size: median(words.map((w) => w.h)), bold: false, rtl: isRtl(words) };
    // Squares without a word are room to write or draw in.
    if (words.length === 0) return [{ ...line, frame: true }];
    const rows = cells.map((r) => r.map((c) => joined(linesOf(c))));
    return [{ ...line, rows: line.rtl ? rows.map((r) => r.reverse()) : rows }];
  });
  return { tables, items, shapes };
}

/** Drawn lines to write on, and frames to write in, as lines without text. */
export function placesToWrite(page: LaidOutPage, lines: readonly Line[], body: number): Line[] {
  const flat = { text: '', size: body, bold: false, rtl: false };
  const seen: DrawnShape[] = [];
  return page.shapes.flatMap((s): Line[] => {
    if (
      seen.some(
        (o) => Math.abs(o.x - s.x) < 2 && Math.abs(o.y - s.y) < 2 && Math.abs(o.w - s.w) < 3 && Math.abs(o.h - s.h) < 3,
      )
    )
      return [];
    seen.push(s);
    const line = { ...flat, x: s.x, y: s.y, right: s.x + s.w, low: s.y + s.h };
    if (s.h <= 2.5 && s.w >= 50 && s.w < page.width * 0.95) {
      // A line close under words underlines them; one right under a whole line of text is a border.
      const underWords = lines.some(
        (l) =>
          l.x < s.x + s.w * 0.5 &&
          l.right > s.x + s.w * 0.5 &&
          s.y >= l.low - l.size * 0.6 &&
          s.y - l.low < l.size * 0.35,
      );
      return underWords ? [] : [{ ...line, rule: true }];
    }
    const empty = !lines.some(
      (l) => l.x >= s.x - 2 && l.right <= s.x + s.w + 2 && l.y >= s.y - 2 && l.low <= s.y + s.h + 2,
    );
    const large = s.w >= 60 && s.h >= 14 && s.w * s.h < page.width * page.height * 0.6;
    return empty && large ? [{ ...line, frame: true }] : [];
  });
}
