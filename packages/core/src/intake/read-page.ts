import { type Rect, rectSchema } from '../activity/parts';
import type { Making } from '../making';
import { contentBlock } from './content-of';
import { type Draft, finish, type Proposal, type UnfitKey } from './item-of';
import { ownAnswer } from './keys';
import {
  asChoice,
  asQuestion,
  asTick,
  BLANK,
  blankAtEnd,
  choicesInLine,
  isToFill,
  isWritingLine,
  letterNumber,
  unmarked,
  type Marked,
} from './marks';
import type { Part } from './material';
import type { Piece } from './pieces';
import { prepared, withLists } from './prepared';
import type { Section } from './sheets';
import { tableToFill } from './table-of';
import { splitTail, withoutAnswer } from './tails';

export function plainPage(parts: readonly Part[], m: Making): Proposal[] {
  return withLists(parts).flatMap((p): Proposal[] => {
    const made = contentBlock(p, m);
    return made ? [{ id: m.newId(), ...made, plain: null, keyed: false }] : [];
  });
}

/** How far questions are counted, over all pages. */
export interface Counting {
  readonly sections: Section[];
  last: number;
  /** Titles since the last question. */
  headings: string[];
  /** Whether a page or a title begins, so that numbers may begin anew. */
  fresh: boolean;
}

type KeyOf = (section: number, number: number) => string | undefined;
/** A proposal that is made once the keys are known. */
type Later = (keyOf: KeyOf, unfit: UnfitKey[]) => Proposal;

/** Counts a question in: with those before it, or in a section of its own where numbers begin anew. */
function countIn(number: number, c: Counting, at: number): number {
  const now = c.sections.at(-1);
  if (!now || (c.fresh && number <= c.last)) c.sections.push({ at, title: c.headings.join(' '), numbers: new Set() });
  else now.title = `${now.title} ${c.headings.join(' ')}`.trim();
  c.sections.at(-1)?.numbers.add(number);
  c.last = number;
  c.headings = [];
  c.fresh = false;
  return c.sections.length - 1;
}

export function readPage(piece: Piece, c: Counting, m: Making): Later[] {
  const out: Later[] = [];
  let draft: Draft | null = null;
  let section = -1;
  const flush = () => {
    const d = draft as Draft | null;
    const of = section;
    // All of them marked says nothing.
    if (d?.right.length && d.right.length < d.choices.length + d.ticks.length) d.own ??= d.right.join(', ');
    if (d)
      out.push((keyOf, unfit) => finish(d, d.own ?? (d.number === null ? undefined : keyOf(of, d.number)), unfit, m));
    draft = null;
  };
  const begin = (number: number | null, prompt: string, p: Part): Draft => ({
    number,
    prompt,
    choices: [],
    ticks: [],
    right: [],
    lines: 0,
    box: false,
    answers: [],
    words: p.box ? [p.box] : [],
    raw: [],
  });
  const content = (p: Part) => {
    const made = contentBlock(p, m);
    if (made) out.push(() => ({ id: m.newId(), ...made, plain: null, keyed: false }));
  };
  c.fresh = true;
  // Numbers of a page go on from its first, wherever that is.
  let lastNumber = 0;
  // The question that those counted by letters belong to; 0 where they stand by themselves.
  let stem = 0;
  let blanksBefore = false;
  for (const p of prepared(piece.parts)) {
    const d = draft as Draft | null;
    // Bullets right under a numbered question are its choices.
    if (p.kind === 'list' && d && d.number !== null && p.items.length > 1 && !d.choices.length && !d.lines) {
      for (const [i, item] of p.items.entries()) {
        const { words, right } = unmarked(item);
        const choice = asChoice(words) ?? { mark: 'ABCDEFGH'[i] ?? '', text: asTick(words) ?? words };
        d.choices.push(choice);
        if (right) d.right.push(choice.mark);
        d.raw.push(words);
      }
      continue;
    }
    if (p.kind === 'rule' || p.kind === 'box') {
      if (d) {
        if (p.kind === 'rule') d.lines++;
        else d.box = true;
        if (p.box) d.answers.push(p.box);
      }
      continue;
    }
    if (p.kind === 'paragraph') {
      const whole = p.marker ? `${p.marker} ${p.text}` : p.text;
      if (isWritingLine(whole)) {
        if (d) {
          d.lines += whole.split('\n').length;
          if (p.box) d.answers.push(p.box);
        }
        continue;
      }
      const own = d && !d.own ? ownAnswer(whole) : null;
      if (d && own) {
        d.own = own;
        continue;
      }
      const inLine = choicesInLine(whole);
      const bare = unmarked(whole);
      const choice = asChoice(bare.words);
      const lettered = asLettered(inLine.length ? inLine : choice ? [choice] : [], d);
      if (lettered) {
        // What stood over it said what to do.
        if (d && d.number !== null && Number.isInteger(d.number) && isStem(d)) {
          stem = d.number;
          c.sections.at(-1)?.numbers.delete(d.number);
          content({ kind: 'paragraph', text: d.prompt });
          draft = null;
        }
        for (const l of lettered) {
          flush();
          section = countIn(letterNumber(stem, l.mark), c, piece.at);
          draft = begin(letterNumber(stem, l.mark), l.text, p);
          draft.raw.push(whole);
        }
        continue;
      }
      // Things to choose from for several questions, each with a blank of its own.
      if (d && choice?.mark === 'A' && blankAtEnd(d.prompt) >= 0 && blanksBefore && !d.choices.length) {
        flush();
        content(p);
        continue;
      }
      const tick = asTick(bare.words);
      if (d && (inLine.length || choice || tick !== null)) {
        if (inLine.length) d.choices.push(...inLine);
        else if (choice) d.choices.push(choice);
        else d.ticks.push(tick ?? '');
        if (bare.right && !inLine.length) d.right.push(choice?.mark ?? 'ABCDEFGH'[d.ticks.length - 1] ?? '');
        d.raw.push(inLine.length ? whole : bare.words);
        if (p.box) d.words.push(p.box);
        continue;
      }
      const question = asQuestion(whole);
      // After a title numbers may begin anew.
      const anew: boolean = Number(question?.mark) === 1 && (c.fresh || asksSomething(question?.text ?? ''));
      if (question && (anew || isNext(Number(question.mark), lastNumber))) {
        c.fresh ||= anew && lastNumber > 0;
        blanksBefore = d !== null && d.number !== null && blankAtEnd(d.prompt) >= 0 && !d.choices.length;
        flush();
        stem = 0;
        lastNumber = Number(question.mark);
        section = countIn(lastNumber, c, piece.at);
        const kept = withoutAnswer(question.text);
        const tail = splitTail(kept.question);
        draft = begin(lastNumber, tail.prompt, p);
        if (kept.answer) draft.own = kept.answer;
        const blank = blankAt(whole, p.box);
        if (blank) draft.answers.push(blank);
        draft.choices.push(...tail.choices);
        draft.raw.push(kept.answer ? whole.replace(question.text, kept.question) : whole);
        continue;
      }
      // A few words under a numbered question, before any answer place, are still the question.
      if (d && d.number !== null && !d.choices.length && p.marker === undefined && goesOn(d, whole, p.box)) {
        d.prompt = `${d.prompt}\n${whole}`.trim();
        d.raw.push(whole);
        if (p.box) d.words.push(p.box);
        continue;
      }
      flush();
      const blanks = [...whole.matchAll(BLANK)].length;
      if (blanks > 0 && !asksForName(whole)) {
        draft = begin(null, whole, p);
        draft.raw.push(whole);
        flush();
        continue;
      }
      if (/^\*\*[^*]+\*\*\s?:?$/.test(whole)) titled(c, whole);
    } else if (
      p.kind === 'table' &&
      p.rows.length > 1 &&
      p.rows.slice(1).some((r) => r.some((c) => c.trim() === '' || isWritingLine(c)))
    ) {
      const prompt = d && d.number !== null && !d.choices.length && !d.lines ? d.prompt : '';
      const number = prompt && d ? d.number : null;
      const own = d?.own;
      if (prompt) draft = null;
      flush();
      const of = section;
      out.push((keyOf, unfit) =>
        tableToFill(
          p.rows,
          prompt || 'Fill the table.',
          number,
          p.box,
          own ?? (number === null ? undefined : keyOf(of, number)),
          unfit,
          m,
        ),
      );
      continue;
    }
    if (p.kind !== 'paragraph') flush();
    if (p.kind === 'heading') titled(c, p.text);
    content(p);
  }
  flush();
  return out;
}

/** Whether words ask, or leave a blank to fill: numbers may begin anew with them, also without a title. */
const asksSomething = (words: string): boolean => /\?\s*$/.test(words) || words.search(BLANK) >= 0;

const OF_NAME =
  /^(?:first|last|my|full|your|name|date|class|grade|group|nom|prénom|classe|vorname|datum|klasse|nombre|apellidos?|fecha|clase|curso)$/i;
/** Whether a line asks who works on it and when, as on paper: no question, and not counted as one. */
function asksForName(line: string): boolean {
  const words = line.replace(BLANK, ' ').match(/[\p{L}\d]+/gu) ?? [];
  return words.length > 0 && words.every((w) => OF_NAME.test(w));
}

/** Lines that are questions counted by letters: each to be filled, or asked where no numbered question is open. */
function asLettered(lines: readonly Marked[], d: Draft | null): readonly Marked[] | null {
  const open = d !== null && d.number !== null && Number.isInteger(d.number);
  const asks = (l: Marked) => isToFill(l.text) || (!open && /\?\s*$/.test(l.text));
  const follows = d !== null && d.choices.length > 0;
  return lines.length > 0 && !follows && lines.every(asks) ? lines : null;
}

/** Whether a question has nothing to answer itself. */
const isStem = (d: Draft): boolean =>
  !d.choices.length && !d.ticks.length && !d.lines && !d.box && d.own === undefined && blankAtEnd(d.prompt) < 0;

function titled(c: Counting, words: string): void {
  c.headings.push(words);
  c.fresh = true;
}

/** Whether words under a question are still the question: close below it, and it has no place to answer yet. */
function goesOn(d: Draft, words: string, box: Rect | undefined): boolean {
  if (d.own !== undefined || /^\*\*[^*]+\*\*\s?:?$/.test(words)) return false;
  if (d.lines > 0 || d.box || d.answers.length > 0 || words.length > 300 || blankAtEnd(d.prompt) >= 0) return false;
  const last = d.words.at(-1);
  return !box || !last || box.y - (last.y + last.h) < 1.2;
}

/** Where the blank at the end of a line stands, by its share of the line. */
function blankAt(words: string, box: Rect | undefined): Rect | undefined {
  const at = blankAtEnd(words);
  if (!box || at < 0 || box.h > 2.6) return undefined;
  const x = box.x + (box.w * at) / words.length;
  const made = rectSchema.safeParse({ x, y: box.y + box.h, w: box.x + box.w - x, h: 0.5 });
  return made.success ? made.data : undefined;
}

/** Whether a number goes on the count; a page may begin anywhere, and "3.5 kg" or "2019." are no questions. */
const isNext = (n: number, last: number): boolean => (last === 0 ? n < 200 : n > last && n <= last + 3);
