import { freshItem, type Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import { Problem } from '../formats/problem';
import { trimOf } from '../spaces';
import { entriesInLine } from './keys';
import { counted } from '../counted';

export interface AnswerSheetRule {
  readonly kind: 'choice' | 'short';
  /** How many questions. */
  readonly count: number;
  /** How many choices each, for choice. */
  readonly choices: number;
  /** The key as typed or pasted: "ACBD…", or one answer a line. */
  readonly keys: string;
  /** Which way is meant where the key leaves a doubt. */
  readonly decided?: Readonly<Partial<Record<KeyDoubt['id'], string>>>;
}

export const MOST_QUESTIONS = 200;

/** Something in a typed key that can be meant in two ways. */
export interface KeyDoubt {
  readonly id: 'numbers' | 'slash';
  readonly asks: string;
  /** What may be meant; the first is taken until the teacher says otherwise. */
  readonly ways: readonly { readonly id: string; readonly label: string }[];
}

export interface ReadKeys {
  /** The accepted answers of each question, in order; none where its key is empty. */
  readonly keys: readonly (readonly string[])[];
  readonly doubts: readonly KeyDoubt[];
}

/** A number before an answer, with a sign that parts them: "1.", "2)", "3:", "4," or a tab. */
const NUMBERED = /^(\d{1,3}) ?(?:[.:](?=\s|$)|[)\t]|[.:,;=-] ?(?=\p{L}))(.*)$/u;
/** A number and an answer with room between. */
const SPACED = /^(\d{1,3})[^\S\n]+(\S.*)$/;
/** A number and a letter, whatever parts them; the letter may be missing. */
const WITH_LETTER = /^(\d{1,3})[.):,;=\t -]{0,9}([A-Ha-h]?)$/;
const LETTER = /^[A-Ha-h]$/;

/** Numbers before every answer, going up: a key sheet's own. Null where some line has none. */
function byNumber(lines: readonly string[], test: RegExp): { number: number; key: string }[] | null {
  const read = lines.filter((l) => l.trim() !== '').map((l) => test.exec(l.trim()));
  const out: { number: number; key: string }[] = [];
  for (const m of read) {
    const number = Number(m?.[1]);
    if (!m || number < 1 || number > MOST_QUESTIONS || number <= (out.at(-1)?.number ?? 0)) return null;
    out.push({ number, key: (m[2] ?? '').trim() });
  }
  return out.length ? out : null;
}

const placed = (list: readonly { number: number; key: string }[]): string[] => {
  const keys: string[] = [];
  for (const { number, key } of list) keys[number - 1] = key;
  return Array.from(keys, (k) => k ?? '');
};

const A_FRACTION = /^\d+\/\d+$/;
/** A slash with digits on both sides and no room, that is no plain fraction: "3.5/4.2", "9:05/9:10". */
const UNCLEAR_SLASH = /^(?!\d+\/\d+$).*\d\/\d/;

/** Accepted answers that a slash parts; "1/2" is one. */
function accepted(key: string, oneAnswer: boolean): string[] {
  if (A_FRACTION.test(key.trim()) || (oneAnswer && UNCLEAR_SLASH.test(key))) return key.trim() ? [key.trim()] : [];
  return key
    .split('/')
    .map((k) => k.trim())
    .filter(Boolean);
}

/**
 * The keys of a sheet as typed or pasted: letters in a row ("ACBD", spaces and commas allowed), numbered answers, or a
 * column, one a line, in which an empty line or "-" is an empty key. "/" parts accepted answers. What can be meant in
 * two ways is among the doubts; `decided` says which way is meant, by the doubts' ids.
 */
export function readKeys(
  text: string,
  kind: AnswerSheetRule['kind'],
  decided: Readonly<Partial<Record<KeyDoubt['id'], string>>> = {},
): ReadKeys {
  const lines = trimOf(text.replace(/\r\n?/g, '\n'), /\n/, 'end').split('\n');
  if (lines.every((l) => l.trim() === '')) return { keys: [], doubts: [] };
  const doubts: KeyDoubt[] = [];
  const done = (keys: readonly string[], oneAnswer = false) => ({
    keys: keys.map((k) => (k.trim() === '-' ? [] : accepted(k, oneAnswer))),
    doubts,
  });
  if (kind === 'choice') {
    const numbered = byNumber(lines, WITH_LETTER);
    if (numbered?.some((n) => n.key !== '')) return done(placed(numbered));
    const [only = ''] = lines;
    const inLine = lines.length === 1 ? entriesInLine(only) : [];
    if (inLine.length > 1 && inLine.every((e) => LETTER.test(e.words)))
      return done(placed(inLine.map((e) => ({ number: e.number, key: e.words }))));
    // A column keeps its empty lines; letters in rows are one after the other.
    if (lines.every((l) => l.trim() === '' || l.trim() === '-' || LETTER.test(l.trim()))) return done(lines);
    if (/^[A-Ha-h\s,;-]+$/.test(text)) return done(text.replace(/[\s,;]/g, '').split(''));
    return done(lines);
  }
  const signed = byNumber(lines, NUMBERED);
  const spaced = signed ? null : byNumber(lines, SPACED);
  let keys: readonly string[] = signed ? placed(signed) : lines;
  if (spaced?.every((s, i) => s.number === i + 1)) {
    doubts.push({
      id: 'numbers',
      asks: 'Each line begins with a number. Is it the question’s?',
      ways: [
        { id: 'yes', label: `Yes: question 1 is answered “${spaced[0]?.key ?? ''}”` },
        { id: 'no', label: `No: it is part of the answer, “${(lines.find((l) => l.trim()) ?? '').trim()}”` },
      ],
    });
    if (decided.numbers !== 'no') keys = placed(spaced);
  }
  const unclear = keys.find((k) => UNCLEAR_SLASH.test(k));
  if (unclear !== undefined)
    doubts.push({
      id: 'slash',
      asks: `Is “${unclear.trim()}” one answer, or are there two to accept?`,
      ways: [
        { id: 'two', label: 'Each side of the slash is accepted' },
        { id: 'one', label: 'It is one answer' },
      ],
    });
  return done(keys, decided.slash === 'one');
}

/** The items of an answer sheet made by rule. Throws a Problem where the keys do not fit the sheet. */
export function answerSheet(rule: AnswerSheetRule, newId: () => Id): Block[] {
  if (!(Number.isInteger(rule.count) && rule.count >= 1 && rule.count <= MOST_QUESTIONS))
    throw new Problem(`Say how many questions the sheet has: a whole number, 1 to ${MOST_QUESTIONS}.`);
  const { keys } = readKeys(rule.keys, rule.kind, rule.decided);
  if (keys.length > rule.count)
    throw new Problem(
      counted(
        rule.count,
        'There are {keys} keys for {n} question. Take some keys away, or ask for {keys} questions.',
        'There are {keys} keys for {n} questions. Take some keys away, or ask for {keys} questions.',
        { keys: keys.length },
      ),
    );
  const letters = 'ABCDEFGH'.slice(0, rule.choices).split('');
  if (rule.kind === 'choice')
    keys.forEach((k, i) => {
      const says = k.join(' / ');
      if (k.length > 1 || (k[0] !== undefined && !letters.includes(k[0].toUpperCase())))
        throw new Problem(`The key of question ${i + 1} is “${says}”, but the choices are ${letters.join(', ')}.`);
    });
  return Array.from({ length: rule.count }, (_, i): Block => {
    const base = { ...freshItem(newId()), prompt: `Question ${i + 1}` };
    const key = keys[i] ?? [];
    if (rule.kind === 'short') return { ...base, kind: 'short-text', key: [...key], spellingTolerant: false };
    const options = letters.map((text) => ({ id: newId(), text }));
    return {
      ...base,
      kind: 'single-choice',
      options,
      key: options.find((o) => o.text === key[0]?.toUpperCase())?.id ?? '',
    };
  });
}
