import { partsAt, trimOf } from '../spaces';
import { asQuestion, BLANK } from './marks';

/** One answer of a key: the number of its question, and the words. */
export interface KeyEntry {
  readonly number: number;
  readonly words: string;
}

/** A number that begins an answer within a run of them: "1)", "2.", "3:", "4 -", "Q5." */
const IN_RUN =
  /(?<![\p{L}\d.,:/+*×=-])(?:question\s?|q\.?\s?|nr\.?\s?|no\.?\s?|n[º°]\s?)?\(?(\d{1,3})(?:\s?\)\s?|[.:]\)?\s+|\s?[=–]\s?|\s-\s|-(?=[A-Ha-h](?![\p{L}\d])))(?=\S)/giu;
/** A number and one letter, with nothing but room between: "1 b", "2c". */
const LETTERED = /(?<![\p{L}\d.,:/])(\d{1,3})\s?([A-Ha-h])(?![\p{L}\d'’])/gu;
/** A number and its answer on a line of their own, with nothing but room between. */
const BARE = /^(?:question|q|nr|no)?\.?\s{0,3}(\d{1,3})\s+(\S[\s\S]*)$/i;
/** The same where several stand on the line, each behind a sign that ends the one before: "1 stamp, 2 red". */
const BARE_IN_RUN = /(?:^|[,;.–—|/]\s{0,3}|\s-\s)(\d{1,3})\s+(?=\S)/gu;
/** "1 is the oven, 2 is rye bread" says it in a sentence. */
const IS = /^(?:is|are|est|sont|ist|sind|es|son)\s+/i;
/** How far numbers may jump in a run: an answer's own numbers are rarely the next one. */
const JUMP = 3;

const trimmed = (words: string): string => trimOf(words.replace(/^[\s,;|–-]+/u, ''), /[\s,;|]/u, 'end');

/** The sign behind a mark's number. */
const signOf = (m: RegExpMatchArray | undefined): string => m?.[0].replace(/^.*\d/s, '').trim().charAt(0) ?? '';

/** Marks of a run that go up from the first, each with what stands up to the next. */
function run(line: string, marks: readonly RegExpMatchArray[], jump = JUMP): KeyEntry[] {
  const taken: { number: number; from: number; to: number }[] = [];
  for (const m of marks) {
    const number = Number(m[1]);
    // All of a row have one sign: in "1. 3 + 4 = 7" the four begins nothing.
    if (signOf(m) !== signOf(marks[0])) continue;
    const last = taken.at(-1);
    if (last && !(number > last.number && number <= last.number + jump)) continue;
    taken.push({ number, from: m.index ?? 0, to: (m.index ?? 0) + m[0].length });
  }
  return taken.map((t, i) => ({ number: t.number, words: trimmed(line.slice(t.to, taken[i + 1]?.from)) }));
}

/** The answers on one line: one of its own, or all in a run ("1) 6:30 3) as marked 4) 9:05, 11:45"). */
export function entriesInLine(line: string): KeyEntry[] {
  const text = line.trim();
  const bare = run(text, [...text.matchAll(BARE_IN_RUN)], 1).map((e) => ({ ...e, words: e.words.replace(IS, '') }));
  const lettered = [...text.matchAll(LETTERED)];
  const letters = lettered.reduce((n, m) => n + m[0].replace(/\s/g, '').length, 0);
  // "1 B 2 C 3 A": the pairs are most of the line.
  if (lettered.length > 1 && lettered.length >= bare.length && letters * 2 >= text.replace(/[\s,;.)]/g, '').length)
    return lettered.map((m) => ({ number: Number(m[1]), words: m[2] ?? '' }));
  const marks = [...text.matchAll(IN_RUN)];
  const [first] = marks;
  if (first && first.index === 0) return run(text, marks).filter((e) => e.words !== '' || marks.length === 1);
  if (bare.length > 1 && /^\d/.test(text)) return bare;
  const alone = BARE.exec(text);
  if (alone) return [{ number: Number(alone[1]), words: trimmed(alone[2] ?? '') }];
  return first && marks.length > 1 ? run(text, marks) : [];
}

const ANSWER_COLUMN =
  /^(?:the )?(?:correct |right )?(?:answers?|keys?|solutions?|réponses?|corrigé|antwort(?:en)?|lösung(?:en)?|respuestas?|soluci(?:ón|ones)|clave)$/i;
const isNumber = (cell: string | undefined): boolean =>
  /^(?:q(?:uestion)?\s?)?\d{1,3}[.)]?$/i.test((cell ?? '').trim());
const numberOf = (cell: string): number => Number(/\d+/.exec(cell)?.[0]);

/** The answers in a table: a row each, a column each ("1 2 3" over "b c a"), or pairs of columns side by side. */
export function entriesInTable(rows: readonly (readonly string[])[]): KeyEntry[] {
  const [head = [], ...below] = rows;
  const numbers = head.filter(isNumber).length;
  const answers = below.at(-1);
  if (answers && numbers >= 2 && numbers >= head.length - 1)
    return head.flatMap((h, i) =>
      isNumber(h) && answers[i]?.trim() ? [{ number: numberOf(h), words: trimmed(answers[i] ?? '') }] : [],
    );
  const byHead = head.findIndex((h) => ANSWER_COLUMN.test(h.replace(/\*/g, '').trim()));
  return rows.flatMap((row): KeyEntry[] => {
    const at = row.flatMap((c, i) => (isNumber(c) ? [i] : []));
    const [one = 0, two = 0] = at;
    if (byHead < 0 && at.length > 1 && at.every((i, k) => i === one + k * (two - one)))
      return at.flatMap((i) =>
        row[i + 1]?.trim() ? [{ number: numberOf(row[i] ?? ''), words: trimmed(row[i + 1] ?? '') }] : [],
      );
    const [first] = at;
    if (first === undefined) return entriesInLine(row.filter((c) => c.trim() !== '').join(' '));
    const cell = byHead > first ? row[byHead] : row.slice(first + 1).findLast((c) => c.trim() !== '');
    return cell?.trim() ? [{ number: numberOf(row[first] ?? ''), words: trimmed(cell) }] : [];
  });
}

/** Least letters of a word that a stroke parts from another: "crab/lobster" are two, "km/h" and "he/she" one. */
const LEAST_PARTED = 3;
const PER = /^(?:hour|minute|second|day|week|year|lit(?:re|er)|met(?:re|er))s?$/i;

/** Parts at strokes that stand between two words, or have room about them: not those of "1/2", "km/h" and "miles/hour". */
function atStrokes(words: string): string[] {
  const out: string[] = [];
  for (const [i, part] of words.split('/').entries()) {
    const before = out.at(-1);
    const isApart = before !== undefined && /\s$/.test(before) && /^\s/.test(part);
    const ending = before?.match(/\p{L}+/gu)?.at(-1) ?? '';
    const last = before?.endsWith(ending) ? ending : '';
    const first = /^\p{L}*/u.exec(part)?.[0] ?? '';
    const isWords = Math.min(last.length, first.length) >= LEAST_PARTED && !PER.test(first);
    if (i === 0 || isApart || isWords) out.push(part);
    else out[out.length - 1] = `${before}/${part}`;
  }
  return out.map((p) => p.trim()).filter(Boolean);
}

/** The accepted answers that a key names in one line. */
export const acceptedIn = (key: string): string[] => partsAt(key, /[|;]/).flatMap(atStrokes);

/** Words parted by commas; by strokes where there are none. */
export function listed(line: string): string[] {
  const parts = partsAt(line, /[,;]/);
  return parts.length > 1 ? parts : partsAt(line, /\//);
}

/** What a key says where it gives no answer that could be checked. */
const NO_ANSWER =
  /^(?:as (?:marked|shown|drawn|above|in the .*)|see .*|(?:answers?|responses?) (?:will |may |can )?vary.*|various.*|(?:own|open|individual|personal|any)(?: (?:sensible|own|reasonable))?(?: answers?| ideas?| words?)?|réponses? (?:libres?|personnelles?|variées?)|(?:individuelle|eigene|offene) (?:antwort(?:en)?|lösung(?:en)?)|respuestas? (?:libres?|personal(?:es)?|variadas?)|[–—-]|n\/a)\.?$/i;
export const givesAnswer = (words: string): boolean => words !== '' && !NO_ANSWER.test(words);

/** An answer that stands with its question: "Answer: the moon". Groups: the answer. A place to write one is none. */
const OWN = /^(?:(?:correct |right )?answer|ans\.?|solution|réponse|solución|respuesta|antwort|lösung)[*_]{0,3} ?[:=]/i;
export function ownAnswer(line: string): string | null {
  const text = trimOf(line, /[\s()[\]*_]/);
  const label = OWN.exec(text);
  if (!label || line.search(BLANK) >= 0) return null;
  const words = trimOf(text.slice(label[0].length), /[\s*_]/);
  if (!/[\p{L}\d]/u.test(words)) return null;
  // "Answer: 1. snow" is a key's, by its number; "Answer: yes / no" is to be chosen from.
  if (asQuestion(words)) return null;
  return /^(?:yes|true|no|false)\b/i.test(words) && /\/|\bor\b/.test(words) ? null : words;
}

/** The answer in brackets at a question's end: "What pulls the sea? (Answer: the moon)". */
export function bracketedAnswer(text: string): { question: string; answer: string } | null {
  const at = text.search(/[([][^()[\]]{2,200}[)\]]\s*$/);
  // In brackets there may be several: "(Answers: flour, water)".
  const answer =
    at > 0
      ? ownAnswer(
          text
            .slice(at)
            .trim()
            .replace(/^([([]\s?answer)s/i, '$1'),
        )
      : null;
  return answer ? { question: text.slice(0, at).trim(), answer } : null;
}

/** What an answer earns, said behind it: "(1 mark)". */
const POINTS = /[([]\d{1,2} ?(?:marks?|points?|pts?|punkte?|puntos?)[)\]]$/i;

/** What is right too, said in brackets behind an answer: "bee (accept: bees)". */
const ALSO =
  /(?<=\S)\s?[([](?:also )?(?:accept(?:ed)?|or|also|ou|aussi|oder|auch|o|también)(?: also)?\s?:?\s([^()[\]]{1,80})[)\]]$/i;

/** An answer without the question that some keys repeat before it. */
export function withoutQuestion(words: string, prompt: string): string {
  const plain = (t: string) => t.replace(/[\s_*…]+/g, ' ').trim();
  const [a, p] = [plain(words), plain(prompt)];
  let rest = words;
  if (a === p) return '';
  if (p.length >= 6 && a.toLowerCase().startsWith(p.toLowerCase())) rest = a.slice(p.length);
  else {
    // Asked again in other words or shortened: what follows the question mark is the answer.
    const asked = a.indexOf('?');
    if (asked > 8 && a.slice(asked + 1).trim() !== '') rest = a.slice(asked + 1);
    else if (asked === a.length - 1 && asked > 8) rest = '';
  }
  const own = ownAnswer(rest.trim());
  const answer = trimmed(own ?? rest.trim().replace(/^(?:answers?|ans\.?) ?[:=]/i, '')).trim();
  return trimOf(answer.replace(POINTS, ''), /[\s*]/).replace(ALSO, ' / $1');
}

/** Whether a line begins with a question's number, or holds answers of several. */
export const isNumbered = (line: string): boolean => asQuestion(line) !== null || entriesInLine(line).length > 0;
