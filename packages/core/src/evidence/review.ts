import type { Goal, NeedsCard } from '../learners/learner';
import type { AgreedSupport } from '../learners/supports';
import type { HeldReview, Review } from './folder';

type Card = Pick<NeedsCard, 'supports' | 'goals'>;

/** A review begins with the card as it is. */
export const beginReview = ({ supports, goals }: Card): HeldReview => ({
  said: '',
  supports: [...supports],
  goals: [...goals],
  met: [],
});

/** The card as it is after a review: goals that are met are no longer on it. */
export const cardAfter = ({ supports, goals, met }: HeldReview): Card => ({
  supports: [...supports],
  goals: goals.filter((g) => !met.includes(g.id)),
});

/** What a review changes on a card, in words, one for each thing. `day` writes a day (ISO) as the reader does. */
export function reviewChanges(before: Card, held: HeldReview, day: (iso: string) => string): string[] {
  return [...supportChanges(before.supports, held.supports, day), ...goalChanges(before.goals, held, day)];
}

const orNone = (date: string, day: (iso: string) => string): string => (date ? day(date) : 'no day');

function supportChanges(
  before: readonly AgreedSupport[],
  after: readonly AgreedSupport[],
  day: (iso: string) => string,
): string[] {
  const was = new Map(before.map((s) => [s.what, s]));
  const is = new Map(after.map((s) => [s.what, s]));
  return [
    ...before.filter((s) => !is.has(s.what)).map((s) => `“${s.what}” is not agreed any more.`),
    ...after.flatMap((s) => {
      const old = was.get(s.what);
      if (!old) return [`“${s.what}” is agreed${s.from ? ` from ${day(s.from)}` : ''}.`];
      return [
        ...(old.until !== s.until
          ? [`“${s.what}” ${s.until ? `ends on ${day(s.until)}` : 'has no end any more'}.`]
          : []),
        ...(old.reviewOn !== s.reviewOn
          ? [`“${s.what}” is looked at again on ${orNone(s.reviewOn, day)} (was ${orNone(old.reviewOn, day)}).`]
          : []),
        ...(old.note !== s.note ? [`“${s.what}” has another note.`] : []),
        ...(old.days !== s.days ? [`“${s.what}”: ${s.days} days more (was ${old.days}).`] : []),
      ];
    }),
  ];
}

function goalChanges(before: readonly Goal[], { goals, met }: HeldReview, day: (iso: string) => string): string[] {
  const was = new Map(before.map((g) => [g.id, g]));
  const is = new Set(goals.map((g) => g.id));
  return [
    ...before.filter((g) => !is.has(g.id)).map((g) => `The goal “${g.text}” is given up.`),
    ...goals.flatMap((g) => {
      if (met.includes(g.id)) return [`The goal “${g.text}” is met.`];
      const old = was.get(g.id);
      if (!old) return [`A new goal: “${g.text}”${g.by ? `, by ${day(g.by)}` : ''}.`];
      return [
        ...(old.text !== g.text ? [`The goal “${old.text}” is now “${g.text}”.`] : []),
        ...(old.by !== g.by ? [`The goal “${g.text}” is by ${orNone(g.by, day)} (was ${orNone(old.by, day)}).`] : []),
      ];
    }),
  ];
}

/** A review as it is kept when it is over. */
export const reviewOf = (
  before: Card,
  held: HeldReview,
  at: { readonly id: string; readonly on: string; readonly from: string; readonly until: string },
  day: (iso: string) => string,
): Review => ({
  ...at,
  said: held.said,
  changes: reviewChanges(before, held, day),
  was: { supports: [...before.supports], goals: [...before.goals] },
});
