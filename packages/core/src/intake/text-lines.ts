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

/** Words on one line, or something drawn that stands among them. */
export interface Line {
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

export const median = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;

const RTL = /[\u0590-\u08FF\uFB1D-\uFDFF\uFE70-\uFEFC]/g;
const LTR = /[A-Za-z\u00C0-\u024F\u0370-\u058F]/g;

/** Whether a line is read from the right: by its letters, for not every file says so. */
export function isRtl(items: readonly TextItem[]): boolean {
  const text = items.map((i) => i.text).join('');
  return (text.match(RTL)?.length ?? 0) > (text.match(LTR)?.length ?? 0);
}

/** Joins items of one baseline that are near each other; a wide gap parts columns. */
export function linesOf(items: readonly TextItem[]): Line[] {
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

/** The words of lines that are one paragraph. */
export function joined(lines: readonly Line[]): string {
  return lines.reduce((text, l) => {
    if (text === '') return l.text;
    if (/\p{L}-$/u.test(text) && /^\p{Ll}/u.test(l.text)) return text.slice(0, -1) + l.text;
    return `${text} ${l.text}`;
  }, '');
}
