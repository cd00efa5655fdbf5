import { freshItem, type Id } from '../activity/block';
import { type Block, type ItemBlock, keyWordsOf } from '../activity/blocks';
import { type Rect, rectSchema } from '../activity/parts';
import type { Making } from '../making';
import { partsAt, trimOf } from '../spaces';
import { plainWords } from '../work/match-words';
import { readNumber } from '../work/read-number';
import { withoutQuestion } from './keys';
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
  /** The answer that stands with it in the file, where one does. */
  own?: string;
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

/** A key that was not set, with the reason in words. */
export interface UnfitKey {
  readonly number: number;
  readonly says: string;
}

/** What a question and all under it become. `key` is what the key says to its number. */
export function finish(d: Draft, key: string | undefined, unfit: UnfitKey[], m: Making): Proposal {
  const answer = key === undefined ? undefined : shortened(withoutQuestion(key, d.prompt), d);
  const { block, why } = itemOf(d, answer === '' ? undefined : answer, m);
  const keyed = isKeyed(block);
  if (why && d.number !== null && answer)
    unfit.push({ number: d.number, says: `Question ${d.number}: “${answer.slice(0, 60)}” ${why}.` });
  const how = LABELS[block.kind] ?? block.kind;
  const many = 'options' in block ? `, ${block.options.length} choices` : '';
  const place = placeOf(d);
  return {
    id: m.newId(),
    says: `${d.number === null ? 'A place to answer' : `Question ${d.number}`}: ${how}${many}${keyed && answer ? `; key “${answer.slice(0, 120)}”` : ''}`,
    ...(d.number === null ? {} : { number: d.number }),
    block,
    plain: text(m, d.raw.join('\n')),
    ...(place ? { place } : {}),
    keyed,
  };
}

/** Whether an item has a key that can be marked by. */
export const isKeyed = (b: Block): boolean => keyWordsOf(b).some((w) => w.trim() !== '');

/** Of a short answer what stands before the next sentence: a remark for the teacher may follow the last of a row. */
const shortened = (answer: string, d: Draft): string =>
  d.lines > 1
    ? answer
    : answer
        // An initial or a short form ends with a point too.
        .replace(/^(.{0,80}?(?:\p{L}{3}|\d))\.\s+\p{Lu}\p{Ll}[\s\S]*$/u, '$1')
        .replace(/(?<=[^.\s])\.$/, '');

interface Made {
  readonly block: ItemBlock;
  /** Why the key was not set, in words that follow it. */
  readonly why?: string;
}

/** The letters a key names, in capitals: "B", "b)", "A and C", "AC"; empty where it is no such list. */
function lettersOf(key: string): string[] {
  const parts = partsAt(key, /[,;&/\s+]|\band\b|\bet\b|\bund\b|\by\b/i).map((w) => trimOf(w, /[()[\].]/));
  if (parts.length > 0 && parts.every((w) => /^[A-Ha-h]$/.test(w))) return parts.map((w) => w.toUpperCase());
  return /^[A-H]{2,8}$/.test(key) && new Set(key).size === key.length ? [...key] : [];
}

const SAME: readonly (readonly string[])[] = [
  ['true', 't', 'vrai', 'v', 'richtig', 'r', 'wahr', 'verdadero', 'right', 'correct'],
  ['false', 'f', 'faux', 'falsch', 'falso', 'wrong', 'incorrect'],
  ['yes', 'y', 'oui', 'o', 'ja', 'j', 'sí', 'si', 's'],
  ['no', 'n', 'non', 'nein'],
];

/** The options that a key means: by letters, by their words, by "T" for true, or by a letter with its words. */
function meant<T extends { readonly text: string; readonly mark: string }>(options: readonly T[], key: string): T[] {
  const letters = lettersOf(key);
  const byLetter = options.filter((o) => letters.includes(o.mark));
  if (letters.length && byLetter.length === letters.length) return byLetter;
  const same = (a: string, b: string) => plainWords(a) === plainWords(b);
  const byWords = options.filter((o) => same(o.text, key));
  if (byWords.length) return byWords;
  const marked = /^[([]?([A-Ha-h])[.)\]:]?\s+(\S[\s\S]*)$/.exec(key);
  const both = options.filter((o) => marked && o.mark === marked[1]?.toUpperCase() && same(o.text, marked[2] ?? ''));
  if (both.length) return both;
  const set = SAME.find((words) => words.includes(plainWords(key)));
  const byMeaning = set ? options.filter((o) => set.includes(plainWords(o.text))) : [];
  if (byMeaning.length === 1) return byMeaning;
  const parts = partsAt(key, /[,;/]|\band\b|\bet\b|\bund\b|\by\b/i);
  const each = parts.map((p) => options.find((o) => same(o.text, p)));
  return parts.length > 1 && each.every((o) => o !== undefined) ? each : [];
}

function itemOf(d: Draft, key: string | undefined, m: Making): Made {
  const id = m.newId();
  const base = { ...freshItem(id), prompt: m.fit(d.prompt, 4000) };
  if (d.choices.length >= 2 || d.ticks.length >= 2) {
    const ticks = d.choices.length < 2;
    const given = ticks ? d.ticks.map((t, i) => ({ mark: 'ABCDEFGH'[i] ?? '', text: t })) : d.choices;
    const options = m
      .first(given, 40, 'choices')
      .map((c) => ({ id: m.newId(), text: m.fit(c.text, 500), mark: c.mark }));
    const right = key === undefined ? [] : meant(options, key);
    const bare = options.map((o) => ({ id: o.id, text: o.text }));
    const why = key !== undefined && right.length === 0 ? { why: 'is none of its choices' } : {};
    if (ticks || right.length > 1 || /\b(all that|two|three|several)\b/i.test(d.prompt))
      return { block: { ...base, kind: 'multiple-choice', options: bare, key: right.map((o) => o.id) }, ...why };
    return { block: { ...base, kind: 'single-choice', options: bare, key: right[0]?.id ?? '' }, ...why };
  }
  const blanks = [...d.prompt.matchAll(BLANK)];
  const first = blanks[0];
  const inside = blanks.length > 1 || (first && first.index + first[0].length < d.prompt.trimEnd().length - 2);
  if (inside) {
    // "a) goes b) run": each gap's answer behind its letter.
    const lettered = partsAt(key ?? '', /(?:^|\s)[a-h][.)]\s+/);
    const accepted = lettered.length === blanks.length ? lettered : partsAt(key ?? '', /[,;]|\s[–-]\s|\s\/\s/);
    const fits = accepted.length === blanks.length || (blanks.length === 1 && key !== undefined);
    const gaps = blanks.map((_, i) => ({
      id: `g${i + 1}`,
      key: !fits
        ? []
        : blanks.length === 1
          ? partsAt(key ?? '', /\s?\/\s?|;/).map((k) => m.fit(k, 200))
          : [accepted[i] ?? ''],
      others: [],
    }));
    let n = 0;
    const words = d.prompt.replace(/[{}]/g, '').replace(BLANK, () => `{g${++n}}`);
    const block: ItemBlock = {
      ...base,
      prompt: 'Fill the gaps.',
      kind: 'gaps',
      text: words,
      gaps,
      mode: 'typed',
      extra: [],
      spellingTolerant: true,
    };
    return key !== undefined && !fits
      ? { block, why: `has ${accepted.length} word${accepted.length === 1 ? '' : 's'} for ${blanks.length} gaps` }
      : { block };
  }
  const prompt = base.prompt.replace(BLANK, '').trim();
  const letter = key !== undefined && /^[A-Ha-h]$/.test(key);
  if (d.lines > 1 || (d.box && /\b(write|explain|describe|why)\b/i.test(prompt)))
    return {
      block: {
        ...base,
        prompt,
        kind: 'long-text',
        demand: 'explain',
        points: 3,
        key: letter ? '' : m.fit(key ?? '', 4000),
        lines: Math.min(40, Math.max(2, d.lines)),
      },
      ...(letter ? { why: 'is a letter, and nothing is to choose from there' } : {}),
    };
  if (DRAW.test(prompt))
    return {
      block: { ...base, prompt, kind: 'drawing', height: 'middle' },
      ...(key === undefined ? {} : { why: 'is no drawing' }),
    };
  const number =
    key === undefined ? null : /^([-+]?[\d\s.,/]+)((?:\p{L}|[%°€£$])(?:(?!\s\/\s|;|\sor\s).)*)?$/u.exec(key);
  const value = number && readNumber((number[1] ?? '').trim(), '');
  if (number && value !== null && value !== undefined)
    return {
      block: {
        ...base,
        prompt,
        kind: 'number',
        demand: 'apply',
        key: value,
        tolerance: 0,
        unit: (number[2] ?? '').trim().slice(0, 30),
      },
    };
  if (!first && d.lines === 0 && !d.box && key === undefined)
    return { block: { ...base, prompt, kind: 'long-text', key: '', lines: 3 } };
  const accepted = partsAt(key ?? '', /\s\/\s|(?<=\p{L})\/(?=\p{L})|;|\bor\b|\bou\b|\boder\b/u).map((k) =>
    m.fit(k, 300),
  );
  return { block: { ...base, prompt, kind: 'short-text', key: accepted, spellingTolerant: true } };
}

const DRAW =
  /^\s*(?:draw|sketch|colour in|dessine[rz]?|zeichne|male|dibuja)\b|\b(?:draw (?:a|an|the|your)|dessine (?:un|une|le|la|les)|zeichne (?:ein|eine|einen|die|den|das)|dibuja (?:un|una|el|la|las|los))\b/i;

/** A table with empty cells, as an item. */
const widest = (rows: readonly (readonly string[])[]): readonly string[] =>
  rows.reduce((a, b) => (b.length > a.length ? b : a), []);

export function tableToFill(
  rows: readonly (readonly string[])[],
  prompt: string,
  number: number | null,
  box: Rect | undefined,
  key: string | undefined,
  unfit: UnfitKey[],
  m: Making,
): Proposal {
  const [head = [], ...rest] = rows;
  const width = m.first(widest(rows), 12, 'columns').length;
  const isBlank = (words: string) => words === '' || isWritingLine(words);
  const blanks = rest
    .flatMap((r) => Array.from({ length: width }, (_, i) => (r[i] ?? '').trim()))
    .filter(isBlank).length;
  const answers = partsAt(key ?? '', /[,;]/);
  const fits = answers.length === blanks;
  if (key !== undefined && !fits && number !== null)
    unfit.push({
      number,
      says: `Question ${number}: “${key.slice(0, 60)}” has ${answers.length} answer${answers.length === 1 ? '' : 's'} for ${blanks} empty cells.`,
    });
  let at = 0;
  const cells = (r: readonly string[]) =>
    Array.from({ length: width }, (_, i) => {
      const words = (r[i] ?? '').trim();
      const blank = isBlank(words);
      const answer = blank && fits ? answers[at++] : undefined;
      return { id: m.newId(), text: blank ? '' : m.fit(words, 500), blank, key: answer ? [m.fit(answer, 300)] : [] };
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
    keyed: isKeyed(block),
  };
}
