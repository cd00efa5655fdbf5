import isSame from 'fast-deep-equal';
import type { Copy } from '../../work/copy';
import { copyIdOf } from '../../work/copy';
import { type Done, type HandOut, handOutSchema, workKeyOf } from '../hand-out';

/** A hand-out keeps this many of the things that were done to it; the oldest go first. */
const MOST_DONE = 1000;
/** And for this many of the newest what it was before. */
const MOST_BACK = 20;

/** What a change after giving out may concern, and what undoing it brings back. */
const FIELDS = [
  ...(['title', 'note', 'companions', 'unit', 'objectiveIds', 'points', 'category', 'goes', 'isHidden'] as const),
  ...(['opensAt', 'dueAt', 'closesAt', 'answersAt', 'zone', 'ownDates'] as const),
  ...(['classIds', 'groupIds', 'learnerIds', 'audienceIds', 'leftOutIds', 'teams', 'place', 'lines', 'rules'] as const),
];

/** What a hand-out was, where a change made it another. */
function backFrom(was: HandOut, is: HandOut): NonNullable<Done['back']> {
  const fields = Object.fromEntries(FIELDS.flatMap((f) => (isSame(was[f], is[f]) ? [] : [[f, was[f]] as const])));
  const ids = new Set([...Object.keys(was.given), ...Object.keys(is.given)]);
  const given = Object.fromEntries(
    [...ids].flatMap((id) => (isSame(was.given[id], is.given[id]) ? [] : [[id, was.given[id] ?? null] as const])),
  );
  return { fields, given, asked: [] };
}

/** The hand-out with a change that was made after it was given, in its history. `at` is an ISO instant. */
export function changedAfter(handOut: HandOut, patch: Partial<HandOut>, at: string, says: string): HandOut {
  const now = { ...handOut, ...patch };
  const done: Done = { at, says: says.slice(0, 300), back: backFrom(handOut, now) };
  const older = handOut.history.map((d, i, all): Done => (all.length - i < MOST_BACK ? d : { at: d.at, says: d.says }));
  return { ...now, history: [...older, done].slice(-MOST_DONE) };
}

/** The newest thing that was done and not undone; undefined where there is none that can be. */
export const lastDone = (handOut: HandOut): Done | undefined => handOut.history.findLast((d) => d.back);

/** Learners who have opened their work since something was done to it: they have seen it. */
export function seenBy(handOut: HandOut, done: Done, copies: Readonly<Record<string, Copy>>): string[] {
  const touched = Object.keys(done.back?.fields ?? {}).length
    ? Object.keys(handOut.given)
    : Object.keys(done.back?.given ?? {});
  return touched.filter((id) => (copies[copyIdOf(handOut.id, workKeyOf(handOut, id))]?.seenAt ?? '') > done.at);
}

/** The hand-out as it was before the newest thing that was done to it, which its history goes on to name. */
export function undone(handOut: HandOut, at: string): HandOut {
  const done = lastDone(handOut);
  if (!done?.back) return handOut;
  const given = { ...handOut.given };
  for (const [id, was] of Object.entries(done.back.given))
    if (was) given[id] = was;
    else delete given[id];
  const history = handOut.history.map((d): Done => (d === done ? { at: d.at, says: d.says } : d));
  const says = `undone: ${done.says}`.slice(0, 300);
  return handOutSchema.parse({
    ...handOut,
    ...done.back.fields,
    given,
    history: [...history, { at, says }].slice(-MOST_DONE),
  });
}
