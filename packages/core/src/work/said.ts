import type { Writing } from './answer';
import { decisionsOf, HELD, type Marking, type Note, type ReleasedMark, type Response } from './copy';

/** The words and marks to one go, for its learner. */
export interface SaidToGo {
  go: number;
  comment: string;
  comments: Record<string, string>;
  marks: Record<string, ReleasedMark>;
  /** Points that were given to the whole by hand; null where they are the sum. */
  points: number | null;
  voice: string;
  voices: Record<string, string>;
  writing: Record<string, Writing>;
  levels: Record<string, string[]>;
  /** Sheets of paper that the teacher wrote on; others stay with the teacher. */
  sheets: { assetId: string; writing: Writing }[];
  only: string[];
}

/** Built from a list of fields: what a mark was made by, and what is said to the family, is not among them. */
function wordsOf(r: Response | undefined): SaidToGo {
  // Another go that does not say where: the marks, and words on single answers, would say it.
  const isOpen = r?.decision !== 'another go' || r.again?.where !== false;
  return {
    go: r?.go ?? 0,
    comment: r?.comment ?? '',
    comments: isOpen ? { ...r?.comments } : {},
    marks: isOpen ? { ...r?.released } : {},
    points: isOpen ? (r?.points ?? null) : null,
    voice: r?.voice ?? '',
    voices: isOpen ? { ...r?.voices } : {},
    writing: isOpen ? { ...r?.writing } : {},
    levels: isOpen ? levelsSaid(r?.levels ?? {}) : {},
    sheets: isOpen ? (r?.paper ?? []).flatMap(({ assetId, writing }) => (writing ? [{ assetId, writing }] : [])) : [],
    only: r?.decision === 'another go' ? [...(r.again?.only ?? [])] : [],
  };
}

/** What of a marking is for the learner: the decisions, and the words and marks to the last go that was decided on. */
export function saidOf(marking: Marking): SaidToGo & {
  decisions: Record<string, 'another go' | 'complete'>;
  begun: number[];
  notes: Record<string, Note[]>;
  heldGo: number;
  outAt: string;
  before?: SaidToGo;
} {
  const decided = [...marking.responses].reverse().filter((r) => r.decision !== null);
  const held = decided[0]?.heldUntil === undefined ? undefined : decided[0];
  const out = decided.find((r) => r.heldUntil === undefined);
  // What is let out by hand is not there yet; what is let out at a time comes along, and is told then.
  const isTimed = held !== undefined && held.heldUntil !== '';
  return {
    decisions: { ...decisionsOf(marking) },
    ...wordsOf(isTimed ? held : out),
    begun: marking.responses.filter(hasBegun).map((r) => r.go),
    notes: notesOf(marking),
    heldGo: held?.go ?? 0,
    outAt: held ? held.heldUntil || HELD : '',
    ...(isTimed && out ? { before: wordsOf(out) } : {}),
  };
}

/** Levels in words, by item: "Names a part: names it". */
const levelsSaid = (all: NonNullable<Response['levels']>): Record<string, string[]> =>
  Object.fromEntries(Object.entries(all).map(([id, given]) => [id, given.map((g) => `${g.criterion}: ${g.level}`)]));

/** What was said back to places for notes in all goes, by item, the oldest first. */
function notesOf(marking: Marking): Record<string, Note[]> {
  const out: Record<string, Note[]> = {};
  for (const r of marking.responses)
    for (const [item, notes] of Object.entries(r.notes ?? {})) out[item] = [...(out[item] ?? []), ...notes];
  return out;
}

/** Whether a teacher has said or marked anything of a go; notes to and fro are no marking. */
const hasBegun = (r: Response): boolean =>
  r.decision !== null ||
  r.comment !== '' ||
  [r.marks, r.comments, r.voices ?? {}, r.writing ?? {}].some((by) => Object.keys(by).length > 0);
