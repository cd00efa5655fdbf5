import { entriesInLine, entriesInTable, givesAnswer, type KeyEntry, listed } from './keys';
import { asChoice, asQuestion, choicesInLine, letterNumber, numberWords } from './marks';
import { linesOf, type Placed } from './placed';
import { labelOf } from './teacher-label';
import { counted } from '../counted';

/** Questions that are counted together: a sheet, or a part of one whose numbers begin anew. */
export interface Section {
  /** Place of its first part in the file. */
  readonly at: number;
  /** Words of the headings over it and in it. */
  title: string;
  readonly numbers: Set<number>;
}

/** Answers that stand together in a key. */
export interface KeyGroup {
  readonly at: number;
  readonly title: string;
  readonly entries: readonly KeyEntry[];
  /** Answers without numbers, in the order of the questions. */
  readonly inOrder: readonly string[];
}

/** The answers of a key, in groups: a new one where a heading stands between, or the numbers begin anew. */
export function keyGroups(parts: readonly Placed[], at: number): KeyGroup[] {
  const fresh = (): Gathered => ({ title: '', entries: [], inOrder: [] });
  const groups = [fresh()];
  const last = () => groups[groups.length - 1] as Gathered;
  const named = (words: string) => {
    if (last().entries.length + last().inOrder.length) groups.push(fresh());
    last().title = `${last().title} ${words}`.trim();
  };
  const add = (entries: readonly KeyEntry[]) => {
    for (const e of entries) {
      const before = last().entries.at(-1);
      if (before && e.number <= before.number && e.number <= (last().entries[0]?.number ?? 0)) groups.push(fresh());
      if (!last().entries.some((x) => x.number === e.number)) last().entries.push(e);
    }
  };
  /** Answers counted by letters, of one question or by themselves. */
  const addLettered = (line: string): boolean => {
    const here = choicesInLine(line);
    const one = asChoice(line);
    const choices = here.length ? here : one ? [one] : [];
    const of = Math.floor(last().entries.at(-1)?.number ?? 0);
    add(choices.map((c) => ({ number: letterNumber(of, c.mark), words: c.text })));
    return choices.length > 0;
  };
  for (const { part } of parts) {
    if (part.kind === 'table') add(entriesInTable(part.rows));
    else if (part.kind === 'heading') named(part.text);
    else
      for (const whole of linesOf(part)) {
        // A numbered line that speaks of answers or keys is an answer.
        const label = asQuestion(whole) ? null : labelOf(whole);
        const under = label || asQuestion(whole) ? null : titled(whole);
        const line = label?.rest ?? under?.rest ?? whole;
        if (label && label.strength !== 'hint') named(label.words);
        if (under) named(under.title);
        const entries = entriesInLine(line.replace(/\*\*/g, ''));
        const before = last().entries.at(-1);
        if (entries.length) add(entries);
        else if (before && isOpen(before) && asChoice(line)) {
          const words = `${before.words} ${line}`.trim();
          last().entries[last().entries.length - 1] = { ...before, words };
        } else if (!isOpen(before) && isLettered(before) && addLettered(line)) continue;
        else if (before) goOn(last().entries, before, line);
        else if (isTitle(line) || (label && !label.rest)) named(line);
        else last().inOrder.push(...answersInOrder(line, label !== null));
        if (!entries.length && last().entries.length && isTitle(line)) named(line);
      }
  }
  return groups.filter((g) => g.entries.length + g.inOrder.length).map((g) => ({ ...g, at }));
}

/** Whether answers counted by letters may follow: at the beginning, or behind another of them. */
const isLettered = (before: KeyEntry | undefined): boolean => before === undefined || !Number.isInteger(before.number);
/** The same under the number of their question: alone, or with the first of them. */
const isOpen = (before: KeyEntry | undefined): boolean =>
  before !== undefined && Number.isInteger(before.number) && (before.words === '' || asChoice(before.words) !== null);

interface Gathered {
  title: string;
  entries: KeyEntry[];
  inOrder: string[];
}

/** Answers without numbers: all on the label's line, parted by commas; or a line each. */
const answersInOrder = (line: string, onLabel: boolean): string[] =>
  onLabel ? listed(line) : line.trim() ? [line.replace(/^[•–-]\s+/, '').trim()] : [];

const isTitle = (line: string): boolean =>
  /^\*\*[^*]+\*\*\s?:?$/.test(line) ||
  /^(?:sheet|part|page|section|exercise|activity|task|fiche|partie|exercice|blatt|teil|aufgabe|übung|hoja|parte|ejercicio)\s+\S{1,4}\b.{0,60}$/i.test(
    line,
  );

/** A title and the answers under it on one line: "Part A: 1. 100, 2. a". */
function titled(line: string): { title: string; rest: string } | null {
  const at = line.indexOf(':');
  const [title, rest] = [line.slice(0, at).trim(), line.slice(at + 1).trim()];
  const entries = /^[*(]*\d{1,3}[^\p{L}\d]/u.test(rest) ? entriesInLine(rest).length : 0;
  // "Marking: 10 points in all" is none.
  const begins = entries > 1 || (entries === 1 && /^[*(]*\d{1,3}\s?[.):=]/.test(rest));
  return at > 2 && at < 60 && begins && entriesInLine(title).length === 0 ? { title, rest } : null;
}

/** A key that repeats its questions gives the answer on the next line, or marks it among the choices. */
function goOn(entries: KeyEntry[], before: KeyEntry, line: string): void {
  if (!/\?\s*$/.test(before.words) && !/\?\n/.test(before.words)) return;
  const choice = asChoice(line.replace(/^[*✓✔☑\s]+/u, ''));
  if (choice && !/^\s*[*✓✔☑]|\*\*|[✓✔☑]/u.test(line)) return;
  const words = choice ? choice.mark : line;
  if (before.words.includes('\n')) return;
  entries[entries.length - 1] = { ...before, words: `${before.words}\n${words}` };
}

/** Words of a title that tell it from another: not those that every key's title has. */
function tokens(title: string): Set<string> {
  // "Part A" and "Sheet A" are told apart from others by their letter or number.
  const counted = title
    .toLowerCase()
    .replace(
      /(?:sheet|part|page|section|exercise|activity|task|fiche|partie|exercice|blatt|teil|aufgabe|übung|hoja|parte|ejercicio)\s+([\p{L}\d]{1,3})(?![\p{L}\d])/gu,
      '#$1',
    );
  const all = counted.match(/#?[\p{L}\d]+/gu) ?? [];
  return new Set(
    all.filter(
      (t) =>
        (t.length > 2 || /[\d#]/.test(t)) &&
        !/^(?:answers?|keys?|solutions?|the|for|and|teachers?|réponses?|corrigés?|lösungen|antworten|respuestas|soluciones|sheet|part|page|les|des|aux|die|der|las|los|del)$/.test(
          t,
        ),
    ),
  );
}

function overlap(a: Set<string>, b: Set<string>): number {
  let n = 0;
  for (const t of a) if (b.has(t)) n++;
  return n;
}

/** The answer to a question that is asked by letters, to each of them: "a) 7 b) 11". */
function inLetters(e: KeyEntry, asked: ReadonlySet<number>): KeyEntry[] {
  const parts = asked.has(letterNumber(e.number, 'A')) ? choicesInLine(e.words) : [];
  return parts.length ? parts.map((c) => ({ number: letterNumber(e.number, c.mark), words: c.text })) : [e];
}

export interface Assigned {
  /** By section: the answer to each number. */
  readonly keys: readonly Map<number, string>[];
  /** What of the key could not be given to one sheet, in words. */
  readonly unclear: readonly string[];
  /** Numbers that no question has. */
  readonly unmatched: readonly number[];
}

/**
 * Gives each group of answers to its sheet: by the title that both have, by the order they stand in, or by numbers that
 * only one sheet has. Where two sheets could be meant, none gets it, and that is said.
 */
export function assignKeys(sections: readonly Section[], groups: readonly KeyGroup[]): Assigned {
  const keys = sections.map(() => new Map<number, string>());
  const unclear: string[] = [];
  const unmatched: number[] = [];
  const give = (section: number, g: Pick<KeyGroup, 'entries' | 'inOrder'>) => {
    // Without numbers they are the answers only where there are as many as questions.
    const numbers = [...(sections[section]?.numbers ?? [])].sort((a, b) => a - b);
    const loose = g.entries.length ? [] : g.inOrder;
    const inOrder = numbers.length > 1 && loose.length === numbers.length ? loose : [];
    const asked = sections[section]?.numbers ?? new Set<number>();
    const entries = g.entries.flatMap((e) => inLetters(e, asked));
    for (const e of [...entries, ...inOrder.map((words, i) => ({ number: numbers[i] ?? 0, words }))]) {
      if (e.words === '') continue;
      if (!sections[section]?.numbers.has(e.number)) unmatched.push(e.number);
      else if (givesAnswer(e.words) && !keys[section]?.has(e.number)) keys[section]?.set(e.number, e.words);
    }
  };
  const runs: { at: number; groups: KeyGroup[] }[] = [];
  for (const g of groups) {
    const last = runs.at(-1);
    const between = last && sections.some((s) => s.at > last.at && s.at < g.at);
    if (last && !between) last.groups.push(g);
    else runs.push({ at: g.at, groups: [g] });
  }
  runs.forEach((run, r) => {
    const from = r === 0 ? -1 : (runs[r - 1]?.at ?? -1);
    const between = (a: number, b: number) => sections.flatMap((s, i) => (s.at > a && s.at < b ? [i] : []));
    let left = between(from, run.at);
    if (left.length === 0) left = between(run.at, runs[r + 1]?.at ?? Infinity);
    let rest = run.groups;
    if (left.length > 1 || rest.length > 1) {
      const titles = left.map((i) => tokens(sections[i]?.title ?? ''));
      const still: KeyGroup[] = [];
      for (const g of rest) {
        const scores = titles.map((t) => overlap(tokens(g.title), t));
        const best = Math.max(0, ...scores);
        const at = scores.indexOf(best);
        if (best > 0 && scores.lastIndexOf(best) === at) give(left[at] ?? -1, g);
        else still.push(g);
      }
      const taken = new Set(left.filter((i) => keys[i]?.size));
      if (still.length < rest.length) left = left.filter((i) => !taken.has(i));
      rest = still;
    }
    if (rest.length === 0) return;
    if (left.length === rest.length) return rest.forEach((g, i) => give(left[i] ?? -1, g));
    if (left.length === 1 && rest.length > 1) {
      const all = rest.flatMap((g) => g.entries);
      const once = all.filter((e) => all.filter((x) => x.number === e.number).length === 1);
      give(left[0] ?? -1, { entries: once, inOrder: [] });
      sayTwice(
        all.filter((e) => !once.includes(e)),
        unclear,
        'The key has two answers for',
      );
      return;
    }
    const several: KeyEntry[] = [];
    for (const e of rest.flatMap((g) => g.entries)) {
      const having = left.filter((i) => sections[i]?.numbers.has(e.number));
      if (having.length === 1) give(having[0] ?? -1, { entries: [e], inOrder: [] });
      else if (having.length > 1) several.push(e);
      else unmatched.push(e.number);
    }
    sayTwice(several, unclear, 'Several sheets have');
  });
  return { keys, unclear, unmatched: [...new Set(unmatched)] };
}

function sayTwice(entries: readonly KeyEntry[], unclear: string[], what: string): void {
  const numbers = [...new Set(entries.map((e) => e.number))];
  if (numbers.length)
    unclear.push(
      counted(
        numbers.length,
        '{what} question {numbers}, and it does not say which is meant: no key was set there.',
        '{what} questions {numbers}, and it does not say which is meant: no key was set there.',
        { what, numbers: numbers.map(numberWords).join(', ') },
      ),
    );
}
