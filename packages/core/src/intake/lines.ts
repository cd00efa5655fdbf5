import type { Rect } from '../activity/parts';
import { drawnTables, placesToWrite } from './drawn';
import { asQuestion, isWritingLine, startsMarked } from './marks';
import type { MaterialPage, Part } from './material';
import { readingOrder } from './reading-order';
import { labelOf } from './teacher-label';
import { joined, type LaidOutPage, type Line, linesOf, median } from './text-lines';

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
  const lines = linesOf(rest.items).filter((l) => !isPageNumber(l, page.height));
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

const PAGE_NUMBER =
  /^(?:(?:page|seite|página|p\.)\s?\d{1,3}(?:\s?(?:of|von|de|sur|\/)\s?\d{1,3})?|[–-]\s?\d{1,3}\s?[–-]|\d{1,3}\s?\/\s?\d{1,3})$/i;
/** The page's own number, over or under what it holds. */
const isPageNumber = (l: Line, height: number): boolean =>
  (l.y > height * 0.88 || l.low < height * 0.1) && PAGE_NUMBER.test(l.text);

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
