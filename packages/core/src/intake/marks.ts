/** What is read as the beginning of a question: "3.", "3)", "Q3:", "Question 3". Groups: number, the rest. */
const QUESTION = /^(?:(?:question|q)\s{0,3}(?:\.\s{0,3})?)?\(?(\d{1,3})\s{0,3}[.):](?!\d)([\s\S]*)$/i;
const QUESTION_WORD = /^(?:question\s+|q\s?)(\d{1,3})\b(?![.,:]\d)[.):]?([\s\S]*)$/i;
/** A choice: "A.", "b)", "(C)", "[d]". Groups: letter, the rest. */
const CHOICE = /^\s*[([]?([A-Ha-h])[.)\]]\s+(\S[\s\S]*)$/;
const TICK = /^\s*(?:[☐□❏❑▢◻○◯☑☒✅✓✔]|\[[ xX]?\])\s*(\S[\s\S]*)$/;
/** What marks the right one among choices: before its letter, in its box, or behind its words. */
const RIGHT_BEFORE = /^\s*(?:[☑☒✅✓✔]|\[[xX]\])\s*/;
const RIGHT_BEHIND = /\s?[✓✔✅☑]$/;
const BULLET = /^\s*[•◦▪‣·–—-]\s+(\S[\s\S]*)$/;
/** A blank to fill: underscores, or dots in a row. */
export const BLANK = /_{3,}|\.{5,}|…{2,}/g;
const WRITING_LINE = /_{5}|\.{8}|…{3}/;
/** How many of a character make a blank at a line's end. */
const ENDS = { _: 3, '.': 5, '…': 2 } as const;

export interface Marked {
  readonly mark: string;
  readonly text: string;
}

export function asQuestion(text: string): Marked | null {
  // Only its number is bold: "**Question 1:** Who hides?"
  const words = text.trim().replace(/^\*\*([^*]{1,16})\*\*/, '$1');
  const m = QUESTION_WORD.exec(words) ?? QUESTION.exec(words);
  return m ? { mark: m[1] ?? '', text: (m[2] ?? '').trim() } : null;
}

export function asChoice(text: string): Marked | null {
  const m = CHOICE.exec(text);
  return m ? { mark: (m[1] ?? '').toUpperCase(), text: (m[2] ?? '').trim() } : null;
}

/** A choice without what marks it as the right one, and whether it was marked: "✓ b) rain", "b) **rain**", "☑ rain". */
export function unmarked(line: string): { readonly words: string; readonly right: boolean } {
  const words = line.trim();
  const bold = /^((?:[([]?[A-Ha-h][.)\]]\s)?)\*\*([^*]+)\*\*$/.exec(words);
  if (bold) return { words: `${bold[1] ?? ''}${bold[2] ?? ''}`, right: true };
  if (RIGHT_BEHIND.test(words)) return { words: words.replace(RIGHT_BEHIND, ''), right: true };
  const before = RIGHT_BEFORE.exec(words);
  if (!before) return { words, right: false };
  const rest = words.slice(before[0].length);
  return { words: asChoice(rest) ? rest : `☐ ${rest}`, right: true };
}

/** The number of a question that is counted by letters: "b" of question 3 is 3.02, "b" by itself 0.02. */
export const letterNumber = (of: number, mark: string): number => (of * 100 + mark.charCodeAt(0) - 64) / 100;
/** A question's number in words: "3", "3 b", "b". */
export function numberWords(n: number): string {
  const of = Math.floor(n);
  const letter = Math.round((n - of) * 100);
  return [...(of || !letter ? [`${of}`] : []), ...(letter ? [String.fromCharCode(96 + letter)] : [])].join(' ');
}
/** Whether a lettered line is to be answered itself, and no choice: "a) 3 + 4 =", "b) Crabs have ____ legs". */
export const isToFill = (text: string): boolean => text.search(BLANK) >= 0 || /=\s*$/.test(text);

export const asTick = (text: string): string | null => TICK.exec(text)?.[1]?.trim() ?? null;
export const asBullet = (text: string): string | null => BULLET.exec(text)?.[1]?.trim() ?? null;
export const isWritingLine = (text: string): boolean => /^[\s_.…]*$/.test(text) && WRITING_LINE.test(text);

/** Where the blank begins that ends these words; -1 where none does. */
export function blankAtEnd(text: string): number {
  const words = text.trimEnd();
  const last = words.at(-1) ?? '';
  let at = words.length;
  while (at > 0 && words[at - 1] === last) at--;
  return last in ENDS && words.length - at >= ENDS[last as keyof typeof ENDS] ? at : -1;
}

export const startsMarked = (text: string): boolean =>
  asQuestion(text) !== null || asChoice(text) !== null || asTick(text) !== null || asBullet(text) !== null;

/** Several choices on one line, "A. red   B. blue", each by itself; empty where there are not at least two in order. */
export function choicesInLine(text: string): Marked[] {
  const pieces = text.split(/(?:^|\s)(?=[([]?[A-Ha-h][.)\]]\s+\S)/).filter((t) => t.trim() !== '');
  const choices = pieces.map(asChoice);
  if (choices.length < 2 || choices.some((c) => c === null)) return [];
  const marks = choices.map((c) => c?.mark ?? '');
  const first = marks[0]?.charCodeAt(0) ?? 0;
  return marks.every((m, i) => m.charCodeAt(0) === first + i) ? (choices as Marked[]) : [];
}
