import { freshItem, type Id } from '../activity/block';
import type { Block, ItemBlock } from '../activity/blocks';
import { type Rect, rectSchema } from '../activity/parts';
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
export const text = (id: Id, words: string): Block => ({
  id,
  kind: 'text',
  audience: 'learner',
  text: words
    .replace(/^(\s*)(\d{1,9})([.)])(?=\s)/gm, '$1$2\\$3')
    .replace(/^(\s*)([-+])(?=\s)/gm, '$1\\$2')
    .slice(0, 20000),
});

/** What a part is by itself, without a question round it. */
export function contentBlock(p: Part, newId: () => Id): { block: Block; says: string } | null {
  switch (p.kind) {
    case 'heading':
      return {
        block: { id: newId(), kind: 'heading', audience: 'learner', text: p.text.slice(0, 400), level: p.level },
        says: 'Heading',
      };
    case 'paragraph':
      return { block: text(newId(), p.marker ? `${p.marker} ${p.text}` : p.text), says: 'Text' };
    case 'list':
      return {
        block: {
          id: newId(),
          kind: 'text',
          audience: 'learner',
          text: p.items
            .map((i) => `- ${i}`)
            .join('\n')
            .slice(0, 20000),
        },
        says: `List, ${p.items.length} entries`,
      };
    case 'picture':
      return {
        block: {
          id: newId(),
          kind: 'picture',
          audience: 'learner',
          assetId: `picture:${p.picture}`,
          alt: p.alt.slice(0, 1000),
        },
        says: 'Picture',
      };
    case 'table': {
      const rows = p.rows.slice(0, 200).map((r) => ({
        id: newId(),
        cells: r.slice(0, 20).map((t) => ({ id: newId(), text: t.slice(0, 1000) })),
      }));
      return {
        block: { id: newId(), kind: 'table', audience: 'learner', caption: '', header: true, rows },
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
export function finish(d: Draft, keys: ReadonlyMap<number, string>, used: Set<number>, newId: () => Id): Proposal {
  const key = d.number === null ? undefined : keys.get(d.number);
  const block = itemOf(d, key, newId);
  const keyed = key !== undefined && isKeyed(block);
  if (keyed && d.number !== null) used.add(d.number);
  const how = LABELS[block.kind] ?? block.kind;
  const many = 'options' in block ? `, ${block.options.length} choices` : '';
  const place = placeOf(d);
  return {
    id: newId(),
    says: `${d.number === null ? 'A place to answer' : `Question ${d.number}`}: ${how}${many}${keyed ? `; key “${key}”` : ''}`,
    ...(d.number === null ? {} : { number: d.number }),
    block,
    plain: text(newId(), d.raw.join('\n')),
    ...(place ? { place } : {}),
    keyed,
  };
}

const isKeyed = (b: Block): boolean =>
  'key' in b && b.key !== null && (typeof b.key === 'number' || b.key.length > 0)
    ? true
    : b.kind === 'gaps' && b.gaps.some((g) => g.key.length > 0);

function itemOf(d: Draft, key: string | undefined, newId: () => Id): ItemBlock {
  const id = newId();
  const base = { ...freshItem(id), prompt: d.prompt.slice(0, 4000) };
  if (d.choices.length >= 2) {
    const options = d.choices.slice(0, 40).map((c) => ({ id: newId(), text: c.text.slice(0, 500), mark: c.mark }));
    const wanted = key?.split(/\s*(?:,|;|\band\b|&|\/|\s)\s*/i).filter(Boolean) ?? [];
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
    const options = d.ticks.slice(0, 40).map((t) => ({ id: newId(), text: t.slice(0, 500) }));
    return { ...base, kind: 'multiple-choice', options, key: [] };
  }
  const blanks = [...d.prompt.matchAll(BLANK)];
  const first = blanks[0];
  const inside = blanks.length > 1 || (first && first.index + first[0].length < d.prompt.trimEnd().length - 2);
  if (inside) {
    const accepted = (key ?? '').split(/\s*[,;]\s*/).filter(Boolean);
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
  const prompt = d.prompt.replace(BLANK, '').trim().slice(0, 4000);
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
  const number = key === undefined ? null : /^([-+]?[\d\s.,/]+?)\s*(\p{L}.*)?$/u.exec(key);
  const value = number && readNumber(number[1] ?? '', '');
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
  const accepted = (key ?? '')
    .split(/\s*(?:\/|;|\bor\b)\s*/)
    .map((k) => k.trim().slice(0, 300))
    .filter(Boolean);
  return { ...base, prompt, kind: 'short-text', key: accepted, spellingTolerant: true };
}

/** A table with empty cells, as an item. */
export function tableToFill(
  rows: readonly (readonly string[])[],
  prompt: string,
  number: number | null,
  box: Rect | undefined,
  newId: () => Id,
): Proposal {
  const [head = [], ...rest] = rows;
  const width = Math.min(12, Math.max(...rows.map((r) => r.length)));
  const cells = (r: readonly string[]) =>
    Array.from({ length: width }, (_, i) => {
      const words = (r[i] ?? '').trim();
      const blank = words === '' || isWritingLine(words);
      return { id: newId(), text: blank ? '' : words.slice(0, 500), blank, key: [] };
    });
  const block: Block = {
    ...freshItem(newId()),
    prompt: prompt.slice(0, 4000),
    kind: 'table-fill',
    points: 2,
    columns: Array.from({ length: width }, (_, i) => ({ id: newId(), text: (head[i] ?? '').slice(0, 300) })),
    rows: rest.slice(0, 60).map((r) => ({ id: newId(), cells: cells(r) })),
    spellingTolerant: true,
  };
  const made = contentBlock({ kind: 'table', rows }, newId);
  return {
    id: newId(),
    says: `${number === null ? 'A place to answer' : `Question ${number}`}: table to fill, ${rest.length} rows`,
    ...(number === null ? {} : { number }),
    block,
    plain: made?.block ?? null,
    ...(box ? { place: box } : {}),
    keyed: false,
  };
}
