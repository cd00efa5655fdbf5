import equal from 'fast-deep-equal';
import { z } from '../zod';
import { idSchema } from '../activity/block';
import { type Answer, answerIsEmpty, answerSchema } from './answer';

/** Which entry it is: its number, and the opening of a desk that wrote it. A later entry has a greater number. */
export const entrySchema = z.object({ n: z.number().int().min(0), from: z.string().max(40) });
export type Entry = z.infer<typeof entrySchema>;

/**
 * Which entries the answers of a go are. Whoever writes numbers what they write one more than all they have seen, so that
 * goes that were written in at several places come together alike, whichever way and in whichever order they meet, and
 * however often.
 */
export const journalSchema = z.object({
  /** The last number that is known of each who wrote. */
  seen: z.record(z.string().max(40), z.number().int().min(1)),
  /** The entry that stands, by question, and by place where a question has several: “q1”, “q2 a”. */
  stands: z.record(z.string().max(150), entrySchema),
  /** The entry that stands of what was done with the go, by what it is about: “submitted”, “aside a1”. */
  steps: z.record(z.string().max(150), entrySchema).optional(),
});
export type Journal = z.infer<typeof journalSchema>;

/** An answer that another one took the place of, by who did not know of it. */
export const overtakenSchema = z.object({
  item: z.string(),
  answer: answerSchema,
  /** When that was found, as an ISO instant. */
  at: z.string(),
  entry: entrySchema.optional(),
  by: idSchema.optional(),
});
export type Overtaken = z.infer<typeof overtakenSchema>;

/** What of a go the journal is about. */
export interface Written {
  readonly answers: Record<string, Answer>;
  /** Who wrote what, by item. */
  readonly by?: Record<string, string> | undefined;
  readonly earlier?: Overtaken[] | undefined;
  readonly journal?: Journal | undefined;
}

export interface Pen {
  /** The opening of the desk that writes: never twice the same. */
  readonly from: string;
  /** The learner who writes; empty where it is nobody's but the copy's own. */
  readonly by?: string | undefined;
  /** An ISO instant. */
  readonly at: string;
}

const NOTHING: Journal = { seen: {}, stands: {} };
/** Whether one entry stands in the place of the other. */
export const later = (a: Entry, b: Entry): boolean => a.n > b.n || (a.n === b.n && a.from > b.from);
/** The number after all that are known, by who writes. */
const next = ({ seen }: Journal, from: string): Entry => ({ n: Math.max(0, ...Object.values(seen)) + 1, from });

/** The journal with one entry more: something was done with the go. */
export function stepped(journal: Journal | undefined, step: string, from: string): Journal {
  const was = journal ?? NOTHING;
  const entry = next(was, from);
  return { ...was, seen: { ...was.seen, [from]: entry.n }, steps: { ...was.steps, [step]: entry } };
}

/** The places of an answer that several can fill at once, each with what is in it; null where it is one thing. */
export function placesIn(a: Answer | undefined): Readonly<Record<string, string>> | null {
  return a?.kind === 'values' ? a.values : a?.kind === 'placed' ? a.placed : null;
}

export function withPlaces(a: Answer, places: Record<string, string>): Answer {
  return a.kind === 'values' ? { kind: 'values', values: places } : { kind: 'placed', placed: places };
}

export const placeKey = (item: string, place: string): string => `${item} ${place}`;
export const placesOf2 = (a: Answer | undefined, b: Answer | undefined): string[] => [
  ...new Set([...Object.keys(placesIn(a) ?? {}), ...Object.keys(placesIn(b) ?? {})]),
];
/** Whether both are filled place by place, so that what is in different places goes together. */
export const isByPlace = (a: Answer | undefined, b: Answer | undefined): boolean =>
  (a ?? b) !== undefined && placesIn(a ?? b) !== null && (!a || !b || a.kind === b.kind);

/**
 * What was written, on top of what stands there. `over` is what its writer saw there when they began: what came from
 * elsewhere since is kept beside, and in other places of the same question it stands. An item that `answers` does not
 * name is left as it is.
 */
export function recorded<T extends Written>(
  go: T,
  answers: Readonly<Record<string, Answer>>,
  pen: Pen,
  over: Readonly<Record<string, Answer | undefined>> = go.answers,
): T {
  const was = go.journal ?? NOTHING;
  const entry = next(was, pen.from);
  const stands = { ...was.stands };
  const [out, by] = [{ ...go.answers }, { ...go.by }];
  const earlier = [...(go.earlier ?? [])];
  for (const [item, wanted] of Object.entries(answers)) {
    const now = go.answers[item];
    const answer = isByPlace(now, wanted) ? rebased(now, wanted, over[item]) : wanted;
    if (equal(answer, now)) continue;
    const keys = isByPlace(now, answer) ? changedPlaces(now, answer).map((p) => placeKey(item, p)) : [item];
    // Somebody else wrote there meanwhile, and is not forgotten.
    if (now && !equal(now, over[item]))
      for (const [key, lost] of lostOf(item, now, answer, over[item]))
        earlier.push(overtaken(item, lost, was.stands[key], go.by?.[item], pen.at));
    for (const key of keys) stands[key] = entry;
    out[item] = answer;
    if (pen.by) by[item] = pen.by;
  }
  if (equal(out, go.answers)) return go;
  const journal = { ...was, seen: { ...was.seen, [pen.from]: entry.n }, stands };
  const kept = sifted(earlier, journal, out);
  return {
    ...go,
    answers: out,
    journal,
    ...(Object.keys(by).length ? { by } : {}),
    ...(kept.length ? { earlier: kept } : {}),
  };
}

/** What one changed of an answer, on top of what stands there now. */
function rebased(now: Answer | undefined, wanted: Answer, over: Answer | undefined): Answer {
  const [n, w, o] = [placesIn(now) ?? {}, placesIn(wanted) ?? {}, placesIn(over) ?? {}];
  const out = { ...n };
  for (const place of placesOf2(wanted, over)) {
    if (w[place] === o[place]) continue;
    if (w[place] === undefined) Reflect.deleteProperty(out, place);
    else out[place] = w[place];
  }
  return withPlaces(wanted, out);
}

const changedPlaces = (a: Answer | undefined, b: Answer): string[] =>
  placesOf2(a, b).filter((p) => placesIn(a)?.[p] !== placesIn(b)?.[p]);

/** What of an answer is not there any more and its successor did not know of, by place. */
function lostOf(item: string, now: Answer, next: Answer, over: Answer | undefined): [string, Answer][] {
  if (!isByPlace(now, next)) return answerIsEmpty(now) ? [] : [[item, now]];
  const [x, o] = [placesIn(next) ?? {}, placesIn(over) ?? {}];
  return Object.entries(placesIn(now) ?? {})
    .filter(([p, v]) => v.trim() && x[p] !== v && o[p] !== v)
    .map(([p, v]) => [placeKey(item, p), withPlaces(now, { [p]: v })]);
}

export function overtaken(
  item: string,
  answer: Answer,
  entry: Entry | undefined,
  by: string | undefined,
  at: string,
): Overtaken {
  return { item, answer, at, ...(entry ? { entry } : {}), ...(by ? { by } : {}) };
}

/** What a place holds in words; the whole answer for what is no words. */
function wordsOf(a: Answer | undefined, key: string): unknown {
  const places = placesIn(a);
  return places ? places[key] : a?.kind === 'text' ? a.text : a;
}

const goesOn = (words: unknown, after: unknown): boolean =>
  typeof words === 'string' && typeof after === 'string' ? words.startsWith(after) : equal(words, after);

/** The same once; and without the beginnings of what the same desk went on with: no word of them is gone. */
export function sifted(earlier: readonly Overtaken[], { stands }: Journal, answers: Written['answers']): Overtaken[] {
  const told = earlier.map((e) => {
    const [place] = Object.keys(placesIn(e.answer) ?? {});
    const key = place === undefined ? e.item : placeKey(e.item, place);
    return { e, key, words: wordsOf(e.answer, place ?? ''), now: wordsOf(answers[e.item], place ?? '') };
  });
  type Told = (typeof told)[number];
  const isAfter = (entry: Entry | undefined, e: Overtaken) =>
    e.entry !== undefined && entry?.from === e.entry.from && later(entry, e.entry);
  const isSame = (a: Told, b: Told) => a.key === b.key && equal(a.e.entry, b.e.entry) && equal(a.words, b.words);
  return told.flatMap((one, i) => {
    const again = told.some((o, k) => k < i && isSame(o, one));
    const stood = isAfter(stands[one.key], one.e) && goesOn(one.now, one.words);
    const more = told.some((o) => o.key === one.key && isAfter(o.e.entry, one.e) && goesOn(o.words, one.words));
    return again || stood || more ? [] : [one.e];
  });
}

/** What stands beside the answers and is not in them: somebody else's words to the same question, the same words once. */
export function besideOf(go: Written): Overtaken[] {
  const isBeside = ({ item, answer }: Overtaken) => {
    const now = go.answers[item];
    const places = placesIn(answer);
    if (!places) return !goesOn(wordsOf(now, ''), wordsOf(answer, ''));
    return Object.entries(places).some(([place, words]) => placesIn(now)?.[place] !== words);
  };
  const all = (go.earlier ?? []).filter(isBeside);
  const isSame = (a: Overtaken, b: Overtaken) => a.item === b.item && a.by === b.by && equal(a.answer, b.answer);
  return all.filter((one, i) => !all.some((o, k) => k > i && isSame(o, one)));
}

/** An answer with what stands beside it in its place. */
export function takenIn(now: Answer | undefined, { answer }: Overtaken): Answer {
  const places = placesIn(answer);
  return places ? withPlaces(answer, { ...placesIn(now), ...places }) : answer;
}
