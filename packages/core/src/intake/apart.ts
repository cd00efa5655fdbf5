import type { Audience } from '../activity/block';
import { entriesInLine, entriesInTable, listed, ownAnswer } from './keys';
import { asChoice, asQuestion, BLANK, choicesInLine, isWritingLine, letterNumber, startsMarked } from './marks';
import type { Material, Part } from './material';
import { goesOnForTeacher, type Label, labelOf, labelsWithin } from './teacher-label';

/** A part and the page it stands on, by its place among the material's pages. */
export interface Placed {
  readonly page: number;
  readonly part: Part;
}

/** What was decided of some words that are a part for the teacher, or look like one. */
export interface Decision {
  /** Where it was taken: the same whenever the same material is read. */
  readonly id: string;
  /** The words it was taken at. */
  readonly at: string;
  readonly audience: Audience;
  readonly why: string;
  /** Whom it would be for, turned round. */
  readonly or: Audience;
}

/** Parts that follow each other and are for the same people. */
export interface Stretch {
  readonly audience: Audience;
  readonly parts: readonly Placed[];
  readonly decided?: Decision;
}

/** Ranks below every heading's: a bold line, and words within the text. */
const BOLD = 7;
const WORDS = 8;
/** Parts looked at to see what stands under a title. */
const LOOK = 60;

export const linesOf = (p: Part): string[] =>
  p.kind === 'paragraph'
    ? (p.marker ? `${p.marker} ${p.text}` : p.text).split('\n')
    : p.kind === 'heading'
      ? [p.text]
      : p.kind === 'list'
        ? [...p.items]
        : [];

const isBold = (p: Part): boolean =>
  p.kind === 'paragraph' && p.marker === undefined && p.text.length < 90 && /^\*\*[^*]+\*\*\s?:?$/.test(p.text.trim());
const rankOf = (p: Part): number | null =>
  p.kind === 'heading' ? (p.rank ?? p.level) : isBold(p) && !startsMarked(bare(p)) ? BOLD : null;
const bare = (p: Part): string => linesOf(p).join(' ').replace(/\*/g, '').trim();
const plain = (t: string): string =>
  t
    .toLowerCase()
    .replace(/[^\p{L}\d]+/gu, ' ')
    .trim();

/** What has been asked so far. */
interface Asked {
  readonly numbers: Set<number>;
  readonly words: Set<string>;
  last: number;
}

/** A paragraph parted where a label begins within it, and at the lines that are one. */
function parted(p: Part): Part[] {
  if (p.kind !== 'paragraph') return [p];
  const breaks = new Set<number>();
  let at = 0;
  for (const line of p.text.split('\n')) {
    if (at > 0 && isLabelled(line)) breaks.add(at);
    for (const within of labelsWithin(line)) if (isLabelled(line.slice(within))) breaks.add(at + within);
    at += line.length + 1;
  }
  if (breaks.size === 0) return [p];
  const ends = [...breaks, p.text.length].sort((a, b) => a - b);
  return ends.map((end, i): Part => {
    const from = i === 0 ? 0 : (ends[i - 1] ?? 0);
    const share = (n: number) => (p.box ? p.box.y + (p.box.h * n) / p.text.length : 0);
    const { marker, ...rest } = p;
    return {
      ...rest,
      ...(i === 0 && marker !== undefined ? { marker } : {}),
      text: p.text.slice(from, end).trim(),
      ...(p.box ? { box: { ...p.box, y: share(from), h: Math.max(0.5, share(end) - share(from)) } } : {}),
    };
  });
}

/** Whether words within a paragraph begin a part of their own: a key with answers, or notes. */
function isLabelled(words: string): boolean {
  const label = labelOf(words);
  if (!label) return false;
  if (label.for === 'teacher') return label.strength === 'sure';
  if (ownAnswer(words) !== null && entriesInLine(label.rest).length === 0) return false;
  return label.rest === '' ? label.strength !== 'hint' : entriesInLine(label.rest).length > 0;
}

/** A question's words up to its mark. */
const asks = (words: string): string => (words.includes('?') ? words.slice(0, words.indexOf('?') + 1) : words);

/** What some parts look like: answers, or questions. */
interface Weight {
  keys: number;
  /** Of them, those whose question was asked before. */
  known: number;
  asks: number;
  words: number;
}

function weigh(parts: readonly Placed[], from: number, rest: string, asked: Asked): Weight {
  const w: Weight = { keys: 0, known: 0, asks: 0, words: 0 };
  const line = (text: string) => {
    if (text.trim() === '') return;
    if (isWritingLine(text)) return void w.asks++;
    const q = asQuestion(text);
    const repeated = q !== null && asked.words.has(plain(asks(q.text)));
    if (q && !repeated && (q.text.search(BLANK) >= 0 || /\?\s*$/.test(q.text) || q.text === '')) return void w.asks++;
    if (!q && (text.search(BLANK) >= 0 || /\?\s*$/.test(text))) return void w.asks++;
    const letter = asChoice(text);
    if (letter && asked.numbers.has(letterNumber(0, letter.mark))) {
      w.keys++;
      w.known++;
      return;
    }
    const entries = entriesInLine(text);
    if (entries.length === 0) return void w.words++;
    w.keys += entries.length;
    w.known += repeated ? 1 : entries.filter((e) => asked.numbers.has(e.number)).length;
  };
  if (answersAll(rest, asked)) w.known = w.keys = asked.numbers.size;
  else line(rest);
  let numbered = false;
  // Lines right under the label are a table's edges, unless nothing is written between them.
  let edges = 0;
  for (const { part } of parts.slice(from, from + LOOK)) {
    if (rankOf(part) !== null) break;
    if ((part.kind === 'rule' || part.kind === 'box') && w.keys + w.words + w.asks === 0) edges++;
    else if (part.kind === 'rule' || part.kind === 'box') w.asks++;
    else if (part.kind === 'table') {
      const cells = part.rows.flat();
      if (cells.some((c) => c.trim() === '' || isWritingLine(c)) && cells.length > 2) w.asks++;
      else {
        const entries = entriesInTable(part.rows);
        w.keys += entries.length;
        w.known += entries.filter((e) => asked.numbers.has(e.number)).length;
      }
    } else
      for (const l of linesOf(part)) {
        // Choices under a question that was not asked before are asked now.
        if (numbered && (asChoice(l) || choicesInLine(l).length > 0) && asked.numbers.size === 0) w.asks++;
        else line(l);
        numbered ||= asQuestion(l) !== null;
      }
  }
  if (w.keys === 0) w.asks += edges;
  return w;
}

/** Whether words without numbers are as many as the questions: "Key: soil / rain / worm". */
const answersAll = (words: string, asked: Asked): boolean =>
  asked.numbers.size > 1 && entriesInLine(words).length === 0 && listed(words).length === asked.numbers.size;

const quoted = (words: string): string => `“${words.replace(/\*/g, '').slice(0, 60)}”`;

/** What some words are, and why. `own`: whether answers by number stand on the label's own line. */
function judge(label: Label, w: Weight, asked: Asked, own: boolean): { audience: Audience; why: string } {
  const q = quoted(label.words);
  const of = label.for;
  if (label.strength === 'sure')
    return {
      audience: of,
      why: of === 'key' ? `${q} begins an answer key.` : `${q} begins a part that is for the teacher.`,
    };
  const asks = w.asks > w.keys;
  if (label.strength === 'likely') {
    if (asks) return { audience: 'learner', why: `${q} may be called a key, but what stands under it asks.` };
    if (w.keys > 0) return { audience: of, why: `Under ${q} stand answers by number.` };
    return asked.numbers.size > 0
      ? { audience: of, why: `${q} follows the questions and asks nothing.` }
      : { audience: 'learner', why: `Before ${q} nothing is asked, and no answers stand under it by number.` };
  }
  return w.asks === 0 && w.keys >= (own ? 1 : 2) && w.known * 2 >= w.keys
    ? { audience: of, why: `Under ${q} stand answers to the numbers that were asked.` }
    : {
        audience: 'learner',
        why: asks
          ? `${q} speaks of answers, but what stands under it asks.`
          : `${q} speaks of answers, but no key stands under it.`,
      };
}

/** Whether a paragraph is the first question, with something to answer. */
const asksFirst = (part: Part): boolean => {
  const q = part.kind === 'paragraph' ? asQuestion(linesOf(part)[0] ?? '') : null;
  return q?.mark === '1' && (/\?\s*$/.test(q.text) || q.text.search(BLANK) >= 0);
};

/** Whether a part is the next question of the learners' count, with something to answer. */
function asksNext(parts: readonly Placed[], at: number, asked: Asked): boolean {
  const part = parts[at]?.part;
  const q = part && part.kind === 'paragraph' ? asQuestion(linesOf(part)[0] ?? '') : null;
  if (!q || asked.last === 0 || Number(q.mark) !== asked.last + 1) return false;
  if (/\?\s*$/.test(q.text) || q.text.search(BLANK) >= 0) return true;
  const next = parts[at + 1]?.part;
  return (
    next !== undefined &&
    (next.kind === 'rule' || next.kind === 'box' || linesOf(next).some((l) => isWritingLine(l) || asChoice(l) !== null))
  );
}

/**
 * A material's parts in stretches of one audience each. A part for the teacher runs from its label to the next heading
 * of the label's rank or to the end; words within a page, no further than the page's end. `turned` says where the
 * teacher decided otherwise, by the decisions' ids. What looked like such a part and was not taken for one is among
 * the decisions too.
 */
export function apart(
  material: Material,
  turned: ReadonlyMap<string, Audience> = new Map(),
): { stretches: Stretch[]; near: Decision[] } {
  const flat = material.pages.flatMap((p, page) =>
    p.parts.flatMap((part) => parted(part).map((x): Placed => ({ page, part: x }))),
  );
  const places = new Map<number, number>();
  const ids = flat.map(({ page }) => {
    const n = places.get(page) ?? 0;
    places.set(page, n + 1);
    return `${material.pages[page]?.n ?? 0}.${n}`;
  });
  const stretches: { audience: Audience; parts: Placed[]; decided?: Decision }[] = [];
  const near: Decision[] = [];
  const asked: Asked = { numbers: new Set(), words: new Set(), last: 0 };
  let now: Audience = 'learner';
  let rank = 0;
  /** The frame that the part for the teacher began in, and whether more than its label stands there. */
  let frame: number | undefined;
  let filled = false;
  const begin = (audience: Audience, decided?: Decision) => {
    now = audience;
    stretches.push({ audience, parts: [], ...(decided ? { decided } : {}) });
  };
  flat.forEach((placed, i) => {
    const { part, page } = placed;
    const own = rankOf(part);
    const id = ids[i] ?? '';
    const newPage = i > 0 && flat[i - 1]?.page !== page;
    const [line = ''] = part.kind === 'heading' || part.kind === 'paragraph' ? linesOf(part) : [];
    const numbered = part.kind === 'paragraph' && asQuestion(line) !== null;
    const label = line === '' || numbered ? null : labelOf(line);
    const mayLabel =
      label !== null &&
      (own !== null ||
        label.rest === '' ||
        label.strength !== 'hint' ||
        isLabelled(line) ||
        answersAll(label.rest, asked));
    const decision = turned.get(id);
    if (mayLabel && (ownAnswer(line) === null || isLabelled(line))) {
      const more = linesOf(part).slice(1).join('\n');
      const w = weigh(flat, i + 1, [label.rest, more].filter(Boolean).join('\n'), asked);
      // "Answer: ____" is where a learner writes.
      const blank = label.rest !== '' && label.rest.search(BLANK) >= 0 && w.keys === 0;
      const judged = blank
        ? null
        : judge(label, w, asked, entriesInLine(label.rest).length > 0 || answersAll(label.rest, asked));
      const audience = decision ?? judged?.audience ?? 'learner';
      const why = decision ? `You said so at ${quoted(label.words)}.` : (judged?.why ?? '');
      const decided = {
        id,
        at: label.words.replace(/\*/g, ''),
        audience,
        why,
        or: audience === 'learner' ? label.for : ('learner' as const),
      };
      if (audience !== 'learner') {
        rank = now === 'learner' ? (own ?? WORDS) : Math.min(rank, own ?? WORDS);
        if (now === 'learner' || part.frame !== frame) {
          frame = part.frame;
          filled = label.rest !== '' || more !== '';
        }
        begin(audience, decided);
      } else if (judged || decision) {
        // A sentence that speaks of answers is no title.
        const title = own !== null || (label.rest === '' && !/[.?!]$/.test(line.trim()));
        if (decision || (title && now === 'learner')) near.push(decided);
        if (now !== 'learner' && (decision || (own !== null && own <= rank))) begin('learner');
      }
    } else if (now !== 'learner') {
      const leaves = frame !== undefined && part.frame !== frame;
      if (frame !== undefined && !leaves) filled = true;
      const ends =
        leaves && filled
          ? !stillKeys(flat, i, asked)
          : own !== null && own <= rank
            ? !(now === 'teacher' && goesOnForTeacher(bare(part))) && !(now === 'key' && stillKeys(flat, i + 1, asked))
            : newPage && rank >= WORDS
              ? !stillKeys(flat, i, asked)
              : ((newPage || rank >= BOLD) && asksNext(flat, i, asked)) ||
                // A note on a line of its own, before anything was asked.
                (now === 'teacher' && filled && rank === WORDS && asked.last === 0 && asksFirst(part));
      if (ends) begin('learner');
    }
    if (stretches.length === 0) begin(now);
    stretches.at(-1)?.parts.push(placed);
    if (now === 'learner') note(part, asked);
  });
  return { stretches: stretches.filter((s) => s.parts.length > 0), near };
}

function stillKeys(flat: readonly Placed[], from: number, asked: Asked): boolean {
  const w = weigh(flat, from, '', asked);
  return w.keys > 0 && w.asks === 0 && (asked.numbers.size === 0 || w.known * 2 >= w.keys);
}

function note(part: Part, asked: Asked): void {
  if (part.kind !== 'paragraph') return;
  for (const l of linesOf(part)) {
    const q = asQuestion(l);
    const letter = q ? null : asChoice(l);
    if (letter && /\?\s*$/.test(letter.text)) asked.numbers.add(letterNumber(0, letter.mark));
    if (!q) continue;
    asked.numbers.add(Number(q.mark));
    asked.last = Number(q.mark);
    if (q.text.length > 8) asked.words.add(plain(asks(q.text)));
  }
}
