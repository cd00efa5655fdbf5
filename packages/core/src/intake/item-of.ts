import { freshItem, type Id } from '../activity/block';
import type { Block, ItemBlock } from '../activity/blocks';
import { type Rect, rectSchema } from '../activity/parts';
import type { Making } from '../making';
import { partsAt } from '../spaces';
import { plainWords } from '../work/match-words';
import { readNumber } from '../work/read-number';
import { BLANK, isWritingLine, type Marked } from './marks';
import type { Part } from './material';

/** One thing the import made of some parts, to be accepted or not. */
export interface Proposal {
  readonly id: Id;
  /** "Question 3: single choice, 4 choices; key B" */
  readonly says: string;
  /** Number of the question in the file, if it is one. */
  readonly number?: number;
  /** What it becomes when accepted. */
  readonly block: Block;
  /** What it becomes otherwise: the words as they stood; null: nothing. */
  readonly plain: Block | null;
  /** Where its answer goes on the page's picture. */
  readonly place?: Rect;
  readonly keyed: boolean;
}

/** A question as far as it was read. */
export interface Draft {
  number: number | null;
  prompt: string;
  choices: Marked[];
  ticks: string[];
  lines: number;
  box: boolean;
  /** The parts' own places: where to answer, and where the words stand. */
  answers: Rect[];
  words: Rect[];
  raw: string[];
}

const LABELS: Partial<Record<Block['kind'], string>> = {
  'single-choice': 'single choice',
  'multiple-choice': 'multiple choice',
  'short-text': 'short text',
  'long-text': 'long text',
  number: 'number',
  gaps: 'gaps',
  'table-fill': 'table to fill',
  drawing: 'drawing',
  steps: 'steps',
};

/** Words as a text block. A number or a dash at a line's beginning is what was written there, not the mark of a list. */
export const text = (m: Making, words: string): Block => ({
  id: m.newId(),
  kind: 'text',
  audience: 'learner',
  text: m.fit(
    words
      .replace(/^([^\S\n\r\u2028\u2029]*)(\d{1,9})([.)])(?=\s)/gm, '$1$2\\$3')
      .replace(/^([^\S\n\r\u2028\u2029]*)([-+])(?=\s)/gm, '$1\\$2'),
    20000,
  ),
});

/** What a part is by itself, without a question round it. */
export function contentBlock(p: Part, m: Making): { block: Block; says: string } | null {
  switch (p.kind) {
    case 'heading':
      return {
        block: { id: m.newId(), kind: 'heading', audience: 'learner', text: m.fit(p.text, 400), level: p.level },
        says: 'Heading',
      };
    case 'paragraph':
      return { block: text(m, p.marker ? `${p.marker} ${p.text}` : p.text), says: 'Text' };
    case 'list':
      return {
        block: {
          id: m.newId(),
          kind: 'text',
          audience: 'learner',
          text: m.fit(p.items.map((i) => `- ${i}`).join('\n'), 20000),
        },
        says: `List, ${p.items.length} entries`,
      };
    case 'picture':
      return {
        block: {
          id: m.newId(),
          kind: 'picture',
          audience: 'learner',
          assetId: `picture:${p.picture}`,
          alt: m.fit(p.alt, 1000),
        },
        says: 'Picture',
      };
    case 'table': {
      const rows = m.first(p.rows, 200, 'rows').map((r) => ({
        id: m.newId(),
        cells: m.first(r, 20, 'cells in a row').map((t) => ({ id: m.newId(), text: m.fit(t, 1000) })),
      }));
      return {
        block: { id: m.newId(), kind: 'table', audience: 'learner', caption: '', header: true, rows },
        says: `Table, ${rows.length} rows`,
      };
    }
    default:
      return null;
  }
}

function placeOf(d: Draft): Rect | undefined {
  const rect = (x: number, y: number, w: number, h: number): Rect | undefined => {
    const two = (n: number) => Math.round(n * 100) / 100;
    const made = {
      x: two(Math.max(0, x)),
      y: two(Math.max(0, y)),
      w: two(Math.min(w, 100 - x)),
      h: two(Math.min(h, 100 - y)),
    };
    const checked = rectSchema.safeParse(made);
    return checked.success ? checked.data : undefined;
  };
  if (d.answers.length) {
    const x = Math.min(...d.answers.map((r) => r.x));
    const y = Math.min(...d.answers.map((r) => r.y));
    const right = Math.max(...d.answers.map((r) => r.x + r.w));
    const low = Math.max(...d.answers.map((r) => r.y + r.h));
    const above = d.box ? 0 : 3;
    return rect(x, y - above, right - x, Math.max(3, low - y + above));
  }
  if (!d.words.length) return undefined;
  const own = d.choices.length && d.words.length > 1 ? d.words.slice(1) : d.words;
  const y = Math.min(...own.map((r) => r.y));
  const low = Math.max(...own.map((r) => r.y + r.h));
  const right = Math.max(...own.map((r) => r.x + r.w));
  // Beside the words where there is room, else under them.
  return right < 68 ? rect(right + 2, y, 96 - right - 2, Math.max(3.5, low - y)) : rect(12, low + 0.5, 60, 3.5);
}

/** What a question and all under it become. */
export function finish(d: Draft, keys: ReadonlyMap<number, string>, used: Set<number>, m: Making): Proposal {
  const key = d.number === null ? undefined : keys.get(d.number);
  const block = itemOf(d, key, m);
  const keyed = key !== undefined && isKeyed(block);
  if (keyed && d.number !== null) used.add(d.number);
  const how = LABELS[block.kind] ?? block.kind;
  const many = 'options' in block ? `, ${block.options.length} choices` : '';
  const place = placeOf(d);
  return {
    id: m.newId(),
    says: `${d.number === null ? 'A place to answer' : `Question ${d.number}`}: ${how}${many}${keyed ? `; key “${key}”` : ''}`,
    ...(d.number === null ? {} : { number: d.number }),
    block,
    plain: text(m, d.raw.join('\n')),
    ...(place ? { place } : {}),
    keyed,
  };
}

const isKeyed = (b: Block): boolean =>
  'key' in b && b.key !== null && (typeof b.key === 'number' || b.key.length > 0)
    ? true
    : b.kind === 'gaps' && b.gaps.some((g) => g.key.length > 0);

function itemOf(d: Draft, key: string | undefined, m: Making): ItemBlock {
  const id = m.newId();
  const base = { ...freshItem(id), prompt: m.fit(d.prompt, 4000) };
  if (d.choices.length >= 2) {
    const options = m
      .first(d.choices, 40, 'choices')
      .map((c) => ({ id: m.newId(), text: m.fit(c.text, 500), mark: c.mark }));
    const wanted = partsAt(key ?? '', /[,;&/\s]|\band\b/i);
    const letters = wanted.every((w) => /^[A-Ha-h]$/.test(w)) ? wanted.map((w) => w.toUpperCase()) : [];
    const right = options.filter((o) =>
      letters.length ? letters.includes(o.mark) : key !== undefined && plainWords(o.text) === plainWords(key),
    );
    const bare = options.map((o) => ({ id: o.id, text: o.text }));
    if (right.length > 1 || /\b(all that|two|three|several)\b/i.test(d.prompt))
      return { ...base, kind: 'multiple-choice', options: bare, key: right.map((o) => o.id) };
    return { ...base, kind: 'single-choice', options: bare, key: right[0]?.id ?? '' };
  }
  if (d.ticks.length >= 2) {
    const options = m.first(d.ticks, 40, 'choices').map((t) => ({ id: m.newId(), text: m.fit(t, 500) }));
    return { ...base, kind: 'multiple-choice', options, key: [] };
  }
  const blanks = [...d.prompt.matchAll(BLANK)];
  const first = blanks[0];
  const inside = blanks.length > 1 || (first && first.index + first[0].length < d.prompt.trimEnd().length - 2);
  if (inside) {
    const accepted = partsAt(key ?? '', /[,;]/);
    const gaps = blanks.map((_, i) => ({
      id: `g${i + 1}`,
      key: accepted.length === blanks.length || blanks.length === 1 ? [accepted[i] ?? key ?? ''].filter(Boolean) : [],
      others: [],
    }));
    let n = 0;
    const words = d.prompt.replace(/[{}]/g, '').replace(BLANK, () => `{g${++n}}`);
    return {
      ...base,
      prompt: 'Fill the gaps.',
      kind: 'gaps',
      text: words,
      gaps,
      mode: 'typed',
      extra: [],
      spellingTolerant: true,
    };
  }
  const prompt = base.prompt.replace(BLANK, '').trim();
  if (d.lines > 1 || (d.box && /\b(write|explain|describe|why)\b/i.test(prompt)))
    return {
      ...base,
      prompt,
      kind: 'long-text',
      demand: 'explain',
      points: 3,
      key: key ?? '',
      lines: Math.min(40, Math.max(2, d.lines)),
    };
  if (/^\s*draw\b|\bdraw (a|an|the|your)\b/i.test(prompt) && key === undefined)
    return { ...base, prompt, kind: 'drawing', height: 'middle' };
  const number = key === undefined ? null : /^([-+]?[\d\s.,/]+)(\p{L}.*)?$/u.exec(key);
  const value = number && readNumber((number[1] ?? '').trim(), '');
  if (number && value !== null && value !== undefined)
    return {
      ...base,
      prompt,
      kind: 'number',
      demand: 'apply',
      key: value,
      tolerance: 0,
      unit: (number[2] ?? '').slice(0, 30),
    };
  if (!first && d.lines === 0 && !d.box && key === undefined)
    return { ...base, prompt, kind: 'long-text', key: '', lines: 3 };
  const accepted = partsAt(key ?? '', /[/;]|\bor\b/).map((k) => m.fit(k, 300));
  return { ...base, prompt, kind: 'short-text', key: accepted, spellingTolerant: true };
}

/** A table with empty cells, as an item. */
const widest = (rows: readonly (readonly string[])[]): readonly string[] =>
  rows.reduce((a, b) => (b.length > a.length ? b : a), []);

export function tableToFill(
  rows: readonly (readonly string[])[],
  prompt: string,
  number: number | null,
  box: Rect | undefined,
  m: Making,
): Proposal {
  const [head = [], ...rest] = rows;
  const width = m.first(widest(rows), 12, 'columns').length;
  const cells = (r: readonly string[]) =>
    Array.from({ length: width }, (_, i) => {
      const words = (r[i] ?? '').trim();
      const blank = words === '' || isWritingLine(words);
      return { id: m.newId(), text: blank ? '' : m.fit(words, 500), blank, key: [] };
    });
  const block: Block = {
    ...freshItem(m.newId()),
    prompt: m.fit(prompt, 4000),
    kind: 'table-fill',
    points: 2,
    columns: Array.from({ length: width }, (_, i) => ({ id: m.newId(), text: m.fit(head[i] ?? '', 300) })),
    rows: m.first(rest, 60, 'rows').map((r) => ({ id: m.newId(), cells: cells(r) })),
    spellingTolerant: true,
  };
  const made = contentBlock({ kind: 'table', rows }, m);
  return {
    id: m.newId(),
    says: `${number === null ? 'A place to answer' : `Question ${number}`}: table to fill, ${rest.length} rows`,
    ...(number === null ? {} : { number }),
    block,
    plain: made?.block ?? null,
    ...(box ? { place: box } : {}),
    keyed: false,
  };
}
