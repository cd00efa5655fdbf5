import equal from 'fast-deep-equal';
import { usedSince, usedTogether } from '../learners/comfort';
import { type Copy, notesWritten, withNotes } from '../work/copy';
import { joined, joinedGoes } from '../work/meeting';

/** What comes of two changes of one thing; `lost` where both changed the same and one had to give way. */
export interface Merged<T> {
  readonly value: T;
  readonly lost: boolean;
}

type Plain = Readonly<Record<string, unknown>>;
const isPlain = (v: unknown): v is Plain => typeof v === 'object' && v !== null && !Array.isArray(v);
type Named = Plain & { readonly id: string };

/** Whether a list is one of things with ids of their own, that can be told apart wherever they stand. */
function isNamed(list: unknown): list is readonly Named[] {
  if (!Array.isArray(list)) return false;
  const ids = new Set<unknown>();
  for (const x of list) {
    const id = isPlain(x) ? x['id'] : undefined;
    if (typeof id !== 'string' || ids.has(id)) return false;
    ids.add(id);
  }
  return true;
}

/**
 * Two changes of one record, made at once on the same `base`, together: fields by name, lists of things with ids by
 * their ids. Where both changed the same value, `theirs` stands.
 */
export function merge3(base: unknown, theirs: unknown, mine: unknown): Merged<unknown> {
  if (mine === base || equal(mine, base)) return { value: theirs, lost: false };
  if (theirs === base || equal(theirs, base) || equal(theirs, mine)) return { value: mine, lost: false };
  if (isPlain(theirs) && isPlain(mine)) return mergeFields(isPlain(base) ? base : {}, theirs, mine);
  if (isNamed(theirs) && isNamed(mine)) return mergeLists(isNamed(base) ? base : [], theirs, mine);
  return { value: theirs, lost: true };
}

function mergeFields(base: Plain, theirs: Plain, mine: Plain): Merged<Plain> {
  const out: Record<string, unknown> = {};
  let lost = false;
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const one = merge3(base[key], theirs[key], mine[key]);
    lost ||= one.lost;
    if (one.value !== undefined) out[key] = one.value;
  }
  return { value: out, lost };
}

function mergeLists(
  base: readonly Named[],
  theirs: readonly Named[],
  mine: readonly Named[],
): Merged<readonly Named[]> {
  const at = (list: readonly Named[]) => new Map(list.map((x) => [x.id, x]));
  const [b, t, m] = [at(base), at(theirs), at(mine)];
  let lost = false;
  // Whoever moved things gives the order; where both did, theirs stands.
  const kept = (list: readonly Named[]) => list.map((x) => x.id).filter((id) => b.has(id) && t.has(id) && m.has(id));
  const iMoved = !equal(kept(mine), kept(base)) && equal(kept(theirs), kept(base));
  const [first, second] = iMoved ? [mine, theirs] : [theirs, mine];
  const order = first.map((x) => x.id);
  second.forEach((x, i) => {
    if (order.includes(x.id)) return;
    const before = second.slice(0, i).findLast((y) => order.includes(y.id));
    order.splice(before ? order.indexOf(before.id) + 1 : 0, 0, x.id);
  });
  const value = order.flatMap((id): Named[] => {
    const [was, their, own] = [b.get(id), t.get(id), m.get(id)];
    if (their && own) {
      const one = merge3(was, their, own);
      lost ||= one.lost;
      return [one.value as Named];
    }
    const left = their ?? own;
    // Taken away by one: gone, unless the other changed it meanwhile or has just made it.
    return left && (!was || !equal(left, was)) ? [left] : [];
  });
  return { value, lost };
}

/**
 * A learner's work from two places: every answer and sheet of notes of both, by their numbers. Of two to one question that
 * did not know of each other one counts, whichever way they meet; the other is kept beside.
 */
export function mergeCopies(base: Copy | undefined, theirs: Copy, mine: Copy, at: string): Copy {
  const goOf = (copy: Copy | undefined, n: number) => copy?.goes.find((g) => g.n === n);
  const numbers = [...new Set([...theirs.goes, ...mine.goes].map((g) => g.n))].sort((a, b) => a - b);
  const goes = numbers.flatMap((n) => {
    const [was, their, own] = [goOf(base, n), goOf(theirs, n), goOf(mine, n)];
    return their && own ? [joinedGoes(their, own, at, was)] : (their ?? own ?? []);
  });
  const remarks = [...(theirs.remarks ?? [])];
  for (const r of mine.remarks ?? []) if (!remarks.some((x) => x.id === r.id)) remarks.push(r);
  const seenAt = [theirs.seenAt ?? '', mine.seenAt ?? ''].sort()[1];
  const notes = joined(notesWritten(theirs), notesWritten(mine), at, base && notesWritten(base));
  const left = mine.at ?? theirs.at;
  const used = usedTogether(theirs.used, usedSince(mine.used, base?.used));
  const both = {
    ...theirs,
    goes,
    ...(Object.keys(used).length ? { used } : {}),
    ...(left ? { at: left } : {}),
    ...(seenAt ? { seenAt } : {}),
    ...(remarks.length ? { remarks } : {}),
  };
  return withNotes(both, notes);
}
