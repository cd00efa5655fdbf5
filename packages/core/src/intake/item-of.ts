import { freshItem, type Id } from '../activity/block';
import { type Block, type ItemBlock, keyWordsOf } from '../activity/blocks';
import { type Rect, rectSchema } from '../activity/parts';
import type { Making } from '../making';
import { partsAt } from '../spaces';
import { keyNumber } from '../work/mark/read-key';
import { text } from './content-of';
import { acceptedIn, withoutQuestion } from './keys';
import { BLANK, type Marked, numberWords } from './marks';
import { meant } from './meant';
import { counted } from '../counted';

/** One thing the import made of some parts, to be accepted or not. */
export interface Proposal {
  readonly id: Id;
  /** "Question 3: single choice, 4 choices; key B" */
  readonly says: string;
  /** Number of the question in the file, if it is one; one counted by letters as `letterNumber` says. */
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
  /** Letters of the choices that are marked as right in the file. */
  right: string[];
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
    unfit.push({ number: d.number, says: `Question ${numberWords(d.number)}: “${answer.slice(0, 60)}” ${why}.` });
  const how = LABELS[block.kind] ?? block.kind;
  const many = 'options' in block ? `, ${block.options.length} choices` : '';
  const place = placeOf(d);
  return {
    id: m.newId(),
    says: `${d.number === null ? 'A place to answer' : `Question ${numberWords(d.number)}`}: ${how}${many}${keyed && answer ? `; key “${answer.slice(0, 120)}”` : ''}`,
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
      spellingTolerant: false,
    };
    return key !== undefined && !fits
      ? {
          block,
          why: counted(accepted.length, 'has {n} word for {gaps} gaps', 'has {n} words for {gaps} gaps', {
            gaps: blanks.length,
          }),
        }
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
  // "1st" and "1.200" are no numbers that could be known: they are typed as they stand.
  const read = number && keyNumber((key ?? '').trim());
  if (read && typeof read !== 'string')
    return {
      block: {
        ...base,
        prompt,
        kind: 'number',
        demand: 'apply',
        key: read.value,
        tolerance: 0,
        unit: read.unit.slice(0, 30),
      },
    };
  if (!first && d.lines === 0 && !d.box && key === undefined)
    return { block: { ...base, prompt, kind: 'long-text', key: '', lines: 3 } };
  const accepted = partsAt(key ?? '', /\bor\b|\bou\b|\boder\b/u)
    .flatMap(acceptedIn)
    .map((k) => m.fit(k, 300));
  return { block: { ...base, prompt, kind: 'short-text', key: accepted, spellingTolerant: false } };
}

const DRAW =
  /^\s*(?:draw|sketch|colour in|dessine[rz]?|zeichne|male|dibuja)\b|\b(?:draw (?:a|an|the|your)|dessine (?:un|une|le|la|les)|zeichne (?:ein|eine|einen|die|den|das)|dibuja (?:un|una|el|la|las|los))\b/i;
