import type { Audience } from '../activity/block';
import { entriesInLine, ownAnswer } from './keys';
import { asChoice, asQuestion, BLANK, isWritingLine } from './marks';
import type { Material, Part } from './material';
import { bare, BOLD, linesOf, type Placed, rankOf, WORDS } from './placed';
import { goesOnForTeacher, labelOf, labelsWithin } from './teacher-label';
import { answersAll, type Asked, judge, note, quoted, stillKeys, weigh } from './weigh';

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
