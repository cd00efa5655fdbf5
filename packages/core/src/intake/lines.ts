import type { Rect } from '../activity/parts';
import { cellAt, grids } from './grid';
import { asQuestion, isWritingLine, startsMarked } from './marks';
import type { MaterialPage, Part } from './material';
import { labelOf } from './teacher-label';

/** A stretch of text as a laid-out page gives it, in points from the page's top left; y is the top. */
export interface TextItem {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  /** Height of the letters. */
  readonly h: number;
  readonly bold: boolean;
}

/** A drawn line or frame, in points from the top left. */
export interface DrawnShape {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

export interface LaidOutPage {
  readonly n: number;
  readonly width: number;
  readonly height: number;
  readonly items: readonly TextItem[];
  readonly shapes: readonly DrawnShape[];
}

interface Line {
  text: string;
  x: number;
  y: number;
  right: number;
  low: number;
  size: number;
  bold: boolean;
  rtl: boolean;
  rule?: boolean;
  frame?: boolean;
  /** Rows of a table that is drawn. */
  rows?: string[][];
}

const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;

const RTL = /[\u0590-\u08FF\uFB1D-\uFDFF\uFE70-\uFEFC]/g;
const LTR = /[A-Za-z\u00C0-\u024F\u0370-\u058F]/g;

/** Whether a line is read from the right: by its letters, for not every file says so. */
function isRtl(items: readonly TextItem[]): boolean {
  const text = items.map((i) => i.text).join('');
  return (text.match(RTL)?.length ?? 0) > (text.match(LTR)?.length ?? 0);
}

/** Joins items of one baseline that are near each other; a wide gap parts columns. */
function linesOf(items: readonly TextItem[]): Line[] {
  const sorted = [...items].filter((i) => i.text.trim() !== '').sort((a, b) => a.y - b.y || a.x - b.x);
  const rows: TextItem[][] = [];
  for (const item of sorted) {
    const middle = item.y + item.h / 2;
    const row = rows.findLast((r) => {
      const [first] = r;
      return first !== undefined && middle > first.y && middle < first.y + first.h;
    });
    if (row) row.push(item);
    else rows.push([item]);
  }
  const starts = new Map<number, number>();
  for (const i of sorted) starts.set(Math.round(i.x), (starts.get(Math.round(i.x)) ?? 0) + 1);
  const isColumnStart = (i: TextItem) =>
    [-1, 0, 1].reduce((n, by) => n + (starts.get(Math.round(i.x) + by) ?? 0), 0) >= 5;
  return rows.flatMap((row) => {
    const lines: Line[] = [];
    const across = [...row].sort((a, b) => a.x - b.x);
    let now: TextItem[] = [];
    const close = () => {
      const [first] = now;
      if (!first) return;
      const rtl = isRtl(now);
      const order = rtl ? [...now].sort((a, b) => b.x - a.x) : now;
      let words = '';
      order.forEach((item, i) => {
        const before = order[i - 1];
        const gap = before ? (rtl ? before.x - (item.x + item.w) : item.x - (before.x + before.w)) : 0;
        words +=
          before && gap > item.h * 0.18 && !/\s$/.test(words) && !/^\s/.test(item.text) ? ` ${item.text}` : item.text;
      });
      lines.push({
        text: upright(words.replace(/\s+/g, ' ').trim(), rtl),
        x: first.x,
        y: Math.min(...now.map((i) => i.y)),
        right: Math.max(...now.map((i) => i.x + i.w)),
        low: Math.max(...now.map((i) => i.y + i.h)),
        size: median(now.map((i) => i.h)),
        bold: now.every((i) => i.bold),
        rtl,
      });
      now = [];
    };
    for (const item of across) {
      const last = now.at(-1);
      const gap = last ? item.x - (last.x + last.w) : 0;
      const height = Math.max(item.h, last?.h ?? 0);
      // A narrower gap parts columns too where many lines begin at the same place.
      if (last && (gap > height * 1.3 || (gap > height * 0.35 && isColumnStart(item)))) close();
      now.push(item);
    }
    close();
    return lines;
  });
}

/** A sentence's end belongs behind it, on whichever side that is: some files store it as it is seen. */
function upright(text: string, rtl: boolean): string {
  const end = rtl ? (/^[.,:;!?…]+/u.exec(text)?.[0] ?? '') : '';
  return end ? text.slice(end.length).trimStart() + end : text;
}

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
function readingOrder(lines: readonly Line[], pageWidth: number, depth = 0): Line[] {
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
function drawnTables(page: LaidOutPage): { tables: Line[]; items: readonly TextItem[]; shapes: readonly DrawnShape[] } {
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
function placesToWrite(page: LaidOutPage, lines: readonly Line[], body: number): Line[] {
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

/** Rows of short stretches that stand under each other in columns, as a table; as many lines as it takes. */
function tableAt(lines: readonly Line[], from: number): { rows: string[][]; used: number } | null {
  const rows: Line[][] = [];
  let i = from;
  while (i < lines.length) {
    const first = lines[i] as Line;
    const row: Line[] = [];
    while (i + row.length < lines.length) {
      const l = lines[i + row.length] as Line;
      if (l.rule || l.frame || l.rows || Math.abs(l.y - first.y) > first.size * 0.6) break;
      row.push(l);
    }
    if (row.length < 2) break;
    const above = rows.at(-1);
    if (above && (row[0]?.y ?? 0) - (above[0]?.low ?? 0) > first.size * 2.5) break;
    rows.push(row);
    i += row.length;
  }
  if (rows.length < 2 || rows.some((r) => r.some((l) => startsMarked(l.text) || l.text.length > 60))) return null;
  const widest = rows.reduce((a, b) => (b.length > a.length ? b : a), rows[0] ?? []);
  if (widest.length < 2 || rows.filter((r) => r.length === widest.length).length < 2) return null;
  const starts = widest.map((l) => l.x);
  const fits = rows.every((r) => r.every((l) => starts.some((x) => Math.abs(x - l.x) < l.size * 3)));
  if (!fits) return null;
  const cells = rows.map((r) =>
    starts.map((x, k) => {
      const here = r.find((l) => nearest(starts, l.x) === k);
      return here && Math.abs(here.x - x) < here.size * 3 ? here.text : '';
    }),
  );
  return { rows: cells, used: i - from };
}

const nearest = (list: readonly number[], x: number): number =>
  list.reduce((best, v, i) => (Math.abs(v - x) < Math.abs((list[best] ?? 0) - x) ? i : best), 0);

/** Reads a laid-out page: headings, paragraphs, tables, lines and boxes to write in, in reading order. */
export function readLaidOut(page: LaidOutPage): MaterialPage {
  const { tables, ...rest } = drawnTables(page);
  const lines = linesOf(rest.items);
  const size = { width: page.width, height: page.height };
  if (lines.length + tables.length === 0) return { n: page.n, parts: [], size, pictureOnly: true };
  const body = median([...lines, ...tables.flatMap((t) => t.rows?.map(() => t) ?? [])].map((l) => l.size));
  const all = readingOrder([...lines, ...tables, ...placesToWrite({ ...page, ...rest }, lines, body)], page.width);
  const boxOf = (group: readonly Line[]): Rect => {
    const x = Math.min(...group.map((l) => l.x));
    const y = Math.min(...group.map((l) => l.y));
    const part = (n: number, of: number) => Math.round(Math.min(100, Math.max(0, (n / of) * 100)) * 100) / 100;
    const right = Math.max(...group.map((l) => l.right));
    const low = Math.max(...group.map((l) => l.low));
    return {
      x: part(x, page.width),
      y: part(y, page.height),
      w: Math.max(0.5, part(right - x, page.width)),
      h: Math.max(0.5, part(low - y, page.height)),
    };
  };
  const parts: Part[] = [];
  let para: Line[] = [];
  const close = () => {
    if (para.length) parts.push({ kind: 'paragraph', text: joined(para), box: boxOf(para) });
    para = [];
  };
  for (let i = 0; i < all.length; i++) {
    const l = all[i] as Line;
    if (l.rule || l.frame) {
      close();
      parts.push({ kind: l.rule ? 'rule' : 'box', box: boxOf([l]) });
      continue;
    }
    if (l.rows) {
      close();
      parts.push({ kind: 'table', rows: l.rows, box: boxOf([l]) });
      continue;
    }
    const table = para.length === 0 || endsBefore(para.at(-1), l) ? tableAt(all, i) : null;
    if (table) {
      close();
      parts.push({ kind: 'table', rows: table.rows, box: boxOf(all.slice(i, i + table.used)) });
      i += table.used - 1;
      continue;
    }
    if (isHeading(l, body)) {
      close();
      const rank = l.size > body * 1.45 ? 1 : l.size >= body * 1.18 ? 2 : 3;
      parts.push({ kind: 'heading', text: l.text, level: rank === 1 ? 1 : 2, rank, box: boxOf([l]) });
      continue;
    }
    const last = para.at(-1);
    if (last && !goesOn(last, l, all, body)) close();
    para.push(l);
  }
  close();
  return { n: page.n, parts, size };
}

/** A label of a part for the teacher begins a paragraph of its own, however close it stands. */
function beginsApart(text: string): boolean {
  const label = labelOf(text);
  return label !== null && (label.strength === 'sure' || /^[*\s]*[:：–—-]/u.test(text.slice(label.words.length)));
}

const endsBefore = (last: Line | undefined, l: Line): boolean => last === undefined || l.y - last.low > l.size * 0.9;

function isHeading(l: Line, body: number): boolean {
  if (l.text.length > 90 || asQuestion(l.text) || isWritingLine(l.text)) return false;
  return l.size >= body * 1.18 || (l.bold && l.text.length < 60 && !/[.,;:?]$/.test(l.text));
}

/** Whether a line goes on with the paragraph before it. */
function goesOn(last: Line, l: Line, all: readonly Line[], body: number): boolean {
  if (startsMarked(l.text) || isWritingLine(l.text) || isWritingLine(last.text) || beginsApart(l.text)) return false;
  if (Math.abs(l.size - last.size) > body * 0.15) return false;
  // At the foot of a column a sentence goes on at the head of the next.
  if (l.low < last.y) return !/[.?!:…]$/.test(last.text);
  // "1 the pump" over "2 the ladder": rows of a list, whatever sign is missing.
  const [above, own] = [last, l].map((x) => Number(/^\d{1,3}(?=\s)/.exec(x.text)?.[0] ?? NaN));
  if (own === (above ?? NaN) + 1) return false;
  const gap = l.y - last.low;
  if (gap > l.size * 0.85 || gap < -l.size) return Math.abs(l.y - last.y) < l.size * 0.5;
  const column = all.filter((o) => !o.rule && !o.frame && !o.rows && Math.abs(o.x - last.x) < 40);
  const widest = Math.max(...column.map((o) => o.right - o.x));
  const full = (last.right - last.x) / Math.max(1, widest) > 0.62;
  return full || /^[\p{Ll}]/u.test(l.text);
}

function joined(lines: readonly Line[]): string {
  return lines.reduce((text, l) => {
    if (text === '') return l.text;
    if (/\p{L}-$/u.test(text) && /^\p{Ll}/u.test(l.text)) return text.slice(0, -1) + l.text;
    return `${text} ${l.text}`;
  }, '');
}
