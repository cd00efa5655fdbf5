import type { Audience, Id } from '../activity/block';
import { MOST_BLOCKS } from '../activity/activity';
import { type Rect, rectSchema } from '../activity/parts';
import { type Making, making } from '../making';
import { contentBlock, type Draft, finish, type Proposal, tableToFill } from './item-of';
import {
  asBullet,
  asChoice,
  asTick,
  audienceOfHeading,
  BLANK,
  blankAtEnd,
  choicesInLine,
  asQuestion,
  isWritingLine,
  keysIn,
  type Marked,
} from './marks';
import type { Material, MaterialPage, Part } from './material';

export interface ProposedPage {
  readonly n: number;
  readonly title: string;
  readonly audience: Audience;
  readonly proposals: readonly Proposal[];
  readonly pictureOnly: boolean;
}

export interface Proposed {
  readonly pages: readonly ProposedPage[];
  /** Question numbers on key pages for which no question was found. */
  readonly unmatched: readonly number[];
  /** What had no room as it was, in words. */
  readonly cut?: readonly string[];
}

/**
 * What a material could become: numbered questions with their ways to answer, text, tables and pictures, a page each.
 * Pages headed as answers or as the teacher's are set apart, and their keys go to the questions of the same numbers.
 */
export function propose(material: Material, newId: () => Id): Proposed {
  const m = making(newId);
  const audiences = material.pages.map(audienceOf);
  const keys = keysIn(material.pages.flatMap((p, i) => (audiences[i] === 'key' ? linesOf(p) : [])));
  const used = new Set<number>();
  const pages = material.pages.map((page, i): ProposedPage => {
    const audience = audiences[i] ?? 'learner';
    const proposals = audience === 'learner' ? readPage(page, keys, used, m) : plainPage(page, m);
    const heading = page.parts.find((p) => p.kind === 'heading');
    const title = heading?.kind === 'heading' ? heading.text.slice(0, 200) : `Page ${page.n}`;
    return { n: page.n, title, audience, proposals, pictureOnly: page.pictureOnly ?? false };
  });
  const divided = pages.flatMap((p) =>
    p.proposals.length > MOST_BLOCKS
      ? [
          `Page ${p.n} has ${p.proposals.length} parts: it is divided into ${Math.ceil(p.proposals.length / MOST_BLOCKS)}.`,
        ]
      : [],
  );
  return { pages, unmatched: [...keys.keys()].filter((n) => !used.has(n)), cut: [...divided, ...m.cut] };
}

/** A document that is not laid out in pages is parted where its answers or the teacher's notes begin. */
export function setApart(material: Material): Material {
  const pages: MaterialPage[] = [];
  for (const page of material.pages) {
    let parts: Part[] = [];
    const close = () => {
      if (parts.length) pages.push({ ...page, n: pages.length + 1, parts });
      parts = [];
    };
    for (const p of page.parts) {
      if (p.kind === 'heading' && audienceOfHeading(p.text)) close();
      parts.push(p);
    }
    close();
  }
  return pages.length ? { ...material, pages } : material;
}

function audienceOf(page: MaterialPage): Audience {
  const [first, second] = page.parts.filter((p) => p.kind === 'heading' || p.kind === 'paragraph');
  for (const p of [first, second]) {
    const says = p && 'text' in p ? audienceOfHeading(p.text) : null;
    if (says) return says;
  }
  return 'learner';
}

const linesOf = (page: MaterialPage): string[] =>
  page.parts.flatMap((p) =>
    p.kind === 'paragraph'
      ? (p.marker ? `${p.marker} ${p.text}` : p.text).split('\n')
      : p.kind === 'table'
        ? p.rows.map((r) => r.join(' '))
        : [],
  );

function plainPage(page: MaterialPage, m: Making): Proposal[] {
  return withLists(page.parts).flatMap((p): Proposal[] => {
    const made = contentBlock(p, m);
    return made ? [{ id: m.newId(), ...made, plain: null, keyed: false }] : [];
  });
}

/** Bulleted paragraphs that follow each other, as one list. */
function withLists(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (const p of parts) {
    const item =
      p.kind !== 'paragraph' ? null : p.marker === '•' ? p.text : p.marker === undefined ? asBullet(p.text) : null;
    const last = out.at(-1);
    if (item === null) out.push(p);
    else if (last?.kind === 'list') out[out.length - 1] = { ...last, items: [...last.items, item] };
    else out.push({ kind: 'list', items: [item], ...(p.box ? { box: p.box } : {}) });
  }
  return out;
}

function readPage(page: MaterialPage, keys: ReadonlyMap<number, string>, used: Set<number>, m: Making): Proposal[] {
  const out: Proposal[] = [];
  let draft: Draft | null = null;
  const flush = () => {
    if (draft) out.push(finish(draft, keys, used, m));
    draft = null;
  };
  const begin = (number: number | null, prompt: string, p: Part): Draft => ({
    number,
    prompt,
    choices: [],
    ticks: [],
    lines: 0,
    box: false,
    answers: [],
    words: p.box ? [p.box] : [],
    raw: [],
  });
  let lastNumber = 0;
  for (const p of withLists(page.parts)) {
    const d = draft as Draft | null;
    // Bullets right under a numbered question are its choices.
    if (p.kind === 'list' && d && d.number !== null && p.items.length > 1 && !d.choices.length && !d.lines) {
      d.choices.push(...p.items.map((t, i) => ({ mark: 'ABCDEFGH'[i] ?? '', text: t })));
      d.raw.push(...p.items);
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
      const inLine = choicesInLine(whole);
      const choice = asChoice(whole);
      const tick = asTick(whole);
      if (d && (inLine.length || choice || tick !== null)) {
        if (inLine.length) d.choices.push(...inLine);
        else if (choice) d.choices.push(choice);
        else d.ticks.push(tick ?? '');
        d.raw.push(whole);
        if (p.box) d.words.push(p.box);
        continue;
      }
      const question = asQuestion(whole);
      if (question && isNext(Number(question.mark), lastNumber)) {
        flush();
        lastNumber = Number(question.mark);
        const tail = splitTail(question.text);
        draft = begin(lastNumber, tail.prompt, p);
        const blank = blankAt(whole, p.box);
        if (blank) draft.answers.push(blank);
        draft.choices.push(...tail.choices);
        draft.raw.push(whole);
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
      if (blanks > 0) {
        draft = begin(null, whole, p);
        draft.raw.push(whole);
        flush();
        continue;
      }
    } else if (
      p.kind === 'table' &&
      p.rows.length > 1 &&
      p.rows.slice(1).some((r) => r.some((c) => c.trim() === '' || isWritingLine(c)))
    ) {
      const prompt = d && d.number !== null && !d.choices.length && !d.lines ? d.prompt : '';
      const number = prompt && d ? d.number : null;
      if (prompt) draft = null;
      flush();
      out.push(tableToFill(p.rows, prompt || 'Fill the table.', number, p.box, m));
      continue;
    }
    if (p.kind !== 'paragraph') flush();
    const made = contentBlock(p, m);
    if (made) out.push({ id: m.newId(), ...made, plain: null, keyed: false });
  }
  flush();
  return out;
}

/** Whether words under a question are still the question: close below it, and it has no place to answer yet. */
function goesOn(d: Draft, words: string, box: Rect | undefined): boolean {
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

/** "Is it wet? A. yes B. no" and "Crabs swim. True / False": the choices at a question's end. */
function splitTail(words: string): { prompt: string; choices: Marked[] } {
  const either = /\b(true|yes)\s{0,3}(?:\/|or|,)\s{0,3}(false|no)\b[)\s.?]*$/i.exec(words);
  if (either) {
    let end = either.index;
    while (/[\s(]/.test(words[end - 1] ?? '')) end--;
    return {
      prompt: words.slice(0, end).trim(),
      choices: [
        { mark: 'A', text: either[1] ?? '' },
        { mark: 'B', text: either[2] ?? '' },
      ],
    };
  }
  const at = words.search(/\s[([]?[Aa][.)\]]\s+\S/);
  if (at > 0) {
    const choices = choicesInLine(words.slice(at));
    if (choices.length) return { prompt: words.slice(0, at).trim(), choices };
  }
  return { prompt: words, choices: [] };
}
