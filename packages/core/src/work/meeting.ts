import equal from 'fast-deep-equal';
import { type Answer, answerIsEmpty } from './answer';
import { asideStep, type Go, type PutAside, SUBMITTED } from './copy';
import {
  type Entry,
  isByPlace,
  type Journal,
  later,
  overtaken,
  type Overtaken,
  placeKey,
  placesIn,
  placesOf2,
  sifted,
  withPlaces,
  type Written,
} from './journal';
import { joinedLifted } from './lifted';

/** Before anything was numbered. Everybody knows of it. */
const FIRST: Entry = { n: 0, from: '' };
const knows = (seen: Journal['seen'], { n, from }: Entry): boolean => (seen[from] ?? 0) >= n;

/** Two of something: of the one side, and of the other. */
type Pair<T> = readonly [T, T];

/** Which of two entries stands, and whether its writer did not know of the other. */
interface Chosen {
  readonly first: boolean;
  readonly lose: Entry;
  readonly isUnknown: boolean;
}

/** `old` is what both sides had in common, where that is known. */
function pick<T>(seen: Pair<Journal['seen']>, entries: Pair<Entry | undefined>, [a, b]: Pair<T>, old: T): Chosen {
  const [ea, eb] = [entries[0] ?? FIRST, entries[1] ?? FIRST];
  // Both from before there were numbers: who changed it since is right, and of two the second.
  const isSame = equal(ea, eb);
  const first = isSame ? equal(b, old) : later(ea, eb);
  const lose = first ? eb : ea;
  const isUnknown = isSame ? !equal(first ? b : a, old) : !knows(seen[first ? 0 : 1], lose);
  return { first, lose, isUnknown: isUnknown && !equal(a, b) };
}

const latest = (a: Readonly<Record<string, Entry>> = {}, b: Readonly<Record<string, Entry>> = {}) => {
  const out = { ...a };
  for (const [key, entry] of Object.entries(b)) {
    const now = out[key];
    if (!now || later(entry, now)) out[key] = entry;
  }
  return out;
};

function joinedJournal(a: Journal | undefined, b: Journal | undefined): Journal {
  const seen = { ...a?.seen };
  for (const [from, n] of Object.entries(b?.seen ?? {})) seen[from] = Math.max(n, seen[from] ?? 0);
  const steps = latest(a?.steps, b?.steps);
  return { seen, stands: latest(a?.stands, b?.stands), ...(Object.keys(steps).length ? { steps } : {}) };
}

/** A place in a question, and how it is read and filled; a question of one place is that place. */
interface Slot {
  readonly key: string;
  readonly of: (a: Answer | undefined) => unknown;
  readonly as: (value: unknown) => Answer;
}

function slotsOf(item: string, one: Answer, [x, y]: Pair<Answer | undefined>): Slot[] {
  if (!isByPlace(x, y)) return [{ key: item, of: (a) => a, as: (value) => value as Answer }];
  return placesOf2(x, y).map((place) => ({
    key: placeKey(item, place),
    of: (a) => placesIn(a)?.[place],
    as: (value) => withPlaces(one, { [place]: value as string }),
  }));
}

/** The last entry to a question, also where that took something out. */
function newest(item: string, journal: Journal | undefined): Entry {
  let out = FIRST;
  for (const [key, entry] of Object.entries(journal?.stands ?? {}))
    if ((key === item || key.startsWith(`${item} `)) && later(entry, out)) out = entry;
  return out;
}

/** What comes of one question. */
interface Met {
  readonly answer: Answer;
  readonly by: string | undefined;
  readonly lost: readonly Overtaken[];
}

function met(item: string, sides: Pair<Written>, old: Answer | undefined, at: string): Met | undefined {
  const answers = [sides[0].answers[item], sides[1].answers[item]] as const;
  const one = answers[0] ?? answers[1];
  if (!one) return undefined;
  const seen = [sides[0].journal?.seen ?? {}, sides[1].journal?.seen ?? {}] as const;
  const isWhole = !isByPlace(...answers);
  const filled: Answer[] = [];
  const lost: Overtaken[] = [];
  const [newestOne, newestOther] = [newest(item, sides[0].journal), newest(item, sides[1].journal)];
  let firstWrote = later(newestOne, newestOther);
  for (const slot of slotsOf(item, one, answers)) {
    const values = [slot.of(answers[0]), slot.of(answers[1])] as const;
    const entries = [sides[0].journal?.stands[slot.key], sides[1].journal?.stands[slot.key]] as const;
    const is = pick(seen, entries, values, slot.of(old));
    const [value, other] = is.first ? values : [values[1], values[0]];
    // A whole answer is emptied, and never taken away: where there is none, there was none yet.
    const stands = value ?? (isWhole ? other : undefined);
    if (stands !== undefined) filled.push(slot.as(stands));
    const gone = other !== undefined && stands !== other && is.isUnknown ? slot.as(other) : undefined;
    const by = sides[is.first ? 1 : 0].by?.[item];
    if (gone && !answerIsEmpty(gone)) lost.push(overtaken(item, gone, is.lose.n ? is.lose : undefined, by, at));
    if (equal(newestOne, newestOther)) firstWrote = is.first;
  }
  const [winner, loser] = firstWrote ? sides : [sides[1], sides[0]];
  const whole = isWhole ? filled[0] : withPlaces(one, Object.assign({}, ...filled.map(placesIn)) as Places);
  return whole && { answer: whole, by: winner.by?.[item] ?? loser.by?.[item], lost };
}
type Places = Record<string, string>;

/**
 * What was written at two places, together: of each place the later entry. What another took the place of without knowing
 * of it is kept beside. Whoever comes first, it comes to the same. `base` helps with what was written before answers were
 * numbered.
 */
export function joined(one: Written, other: Written, at: string, base?: Written): Written {
  const answers: Record<string, Answer> = {};
  const by: Record<string, string> = {};
  const lost: Overtaken[] = [];
  for (const item of new Set([...Object.keys(one.answers), ...Object.keys(other.answers)])) {
    const is = met(item, [one, other], base?.answers[item], at);
    if (!is) continue;
    answers[item] = is.answer;
    if (is.by) by[item] = is.by;
    lost.push(...is.lost);
  }
  const journal = joinedJournal(one.journal, other.journal);
  const earlier = sifted([...(one.earlier ?? []), ...(other.earlier ?? []), ...lost], journal, answers);
  return {
    answers,
    ...(Object.keys(by).length ? { by } : {}),
    ...(earlier.length ? { earlier } : {}),
    ...(Object.keys(journal.seen).length ? { journal } : {}),
  };
}

/** Two states of one go together: the answers, whether it is submitted, and what is put aside, each by its entries. */
export function joinedGoes(one: Go, other: Go, at: string, base?: Go): Go {
  const { submittedAt: _, submittedFor: __, aside: ___, by: _b, earlier: _e, journal: _j, lifted: _l, ...rest } = one;
  const aside = joinedAside([one, other], base?.aside ?? []);
  const lifted = joinedLifted(one.lifted, other.lifted);
  return {
    ...rest,
    startedAt: one.startedAt < other.startedAt ? one.startedAt : other.startedAt,
    ...submissionOf([one, other], base),
    ...joined(one, other, at, base),
    ...(aside.length ? { aside } : {}),
    ...(Object.keys(lifted).length ? { lifted } : {}),
  };
}

const stepOf = (sides: Pair<Go>, step: string): Pair<Entry | undefined> => [
  sides[0].journal?.steps?.[step],
  sides[1].journal?.steps?.[step],
];
const seenBy = (sides: Pair<Go>): Pair<Journal['seen']> => [sides[0].journal?.seen ?? {}, sides[1].journal?.seen ?? {}];

function submissionOf(sides: Pair<Go>, base: Go | undefined): Pick<Go, 'submittedAt' | 'submittedFor'> {
  const at = [sides[0].submittedAt, sides[1].submittedAt] as const;
  const is = pick(seenBy(sides), stepOf(sides, SUBMITTED), at, base?.submittedAt ?? null);
  const { submittedAt, submittedFor } = sides[is.first ? 0 : 1];
  return { submittedAt, ...(submittedFor ? { submittedFor } : {}) };
}

/** What is put aside in either place; what one of them brought back is aside no more. */
function joinedAside(sides: Pair<Go>, base: readonly PutAside[]): PutAside[] {
  const [a, b] = [sides[0].aside ?? [], sides[1].aside ?? []];
  const find = (list: readonly PutAside[], id: string) => list.find((x) => x.id === id);
  const all = [...a, ...b.filter((x) => !find(a, x.id))];
  return all
    .filter(({ id }) => {
      const values = [find(a, id), find(b, id)] as const;
      const is = pick(seenBy(sides), stepOf(sides, asideStep(id)), values, find(base, id));
      return values[is.first ? 0 : 1] !== undefined;
    })
    .sort((x, y) => x.at.localeCompare(y.at) || (x.id < y.id ? -1 : 1));
}
