import type { Audience } from '../activity/block';
import { entriesInLine, entriesInTable, listed } from './keys';
import { asChoice, asQuestion, BLANK, choicesInLine, isWritingLine, letterNumber } from './marks';
import type { Part } from './material';
import { linesOf, type Placed, rankOf } from './placed';
import type { Label } from './teacher-label';

/** Parts looked at to see what stands under a title. */
const LOOK = 60;

export const plain = (t: string): string =>
  t
    .toLowerCase()
    .replace(/[^\p{L}\d]+/gu, ' ')
    .trim();

/** What has been asked so far. */
export interface Asked {
  readonly numbers: Set<number>;
  readonly words: Set<string>;
  last: number;
}

/** A question's words up to its mark. */
const asks = (words: string): string => (words.includes('?') ? words.slice(0, words.indexOf('?') + 1) : words);

/** What some parts look like: answers, or questions. */
export interface Weight {
  keys: number;
  /** Of them, those whose question was asked before. */
  known: number;
  asks: number;
  words: number;
}

export function weigh(parts: readonly Placed[], from: number, rest: string, asked: Asked): Weight {
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
export const answersAll = (words: string, asked: Asked): boolean =>
  asked.numbers.size > 1 && entriesInLine(words).length === 0 && listed(words).length === asked.numbers.size;

export const quoted = (words: string): string => `“${words.replace(/\*/g, '').slice(0, 60)}”`;

/** What some words are, and why. `own`: whether answers by number stand on the label's own line. */
export function judge(label: Label, w: Weight, asked: Asked, own: boolean): { audience: Audience; why: string } {
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

export function stillKeys(flat: readonly Placed[], from: number, asked: Asked): boolean {
  const w = weigh(flat, from, '', asked);
  return w.keys > 0 && w.asks === 0 && (asked.numbers.size === 0 || w.known * 2 >= w.keys);
}

export function note(part: Part, asked: Asked): void {
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
