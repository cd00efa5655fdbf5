import type { Id } from '../../activity/block';
import type { Family } from '../../activity/family';
import { versionOf } from '../../activity/family';
import { laterBy, nextSchoolDay, type SchoolDays } from '../dates';
import { type HandOut, handOutSchema } from '../hand-out';

/** The parts of a plan that another may begin with: nothing that was given, and nothing of anybody's work. */
type Planned = Omit<
  HandOut,
  | 'id'
  | 'createdAt'
  | 'state'
  | 'givenAt'
  | 'given'
  | 'lookedAs'
  | 'confirmed'
  | 'history'
  | 'isHidden'
  | 'seriesId'
  | 'isTemplate'
  | 'accepted'
  | 'toPlace'
  | 'ownAnswers'
>;

/** What of a hand-out is its plan. */
function plannedOf(handOut: HandOut): Planned {
  const { kind, familyId, title, way, note, classIds, groupIds, learnerIds, audienceIds, leftOutIds } = handOut;
  const { lines, rules, teams, companions, unit, objectiveIds, points, category, goes } = handOut;
  const { opensAt, dueAt, closesAt, answersAt, marksAt, rubrics, zone, ownDates, place } = handOut;
  return {
    ...{ kind, familyId, title, way, note, classIds, groupIds, learnerIds, audienceIds, leftOutIds },
    ...{ lines, rules, teams, companions, unit, objectiveIds, points, category, goes },
    ...{ opensAt, dueAt, closesAt, answersAt, zone, ownDates },
    ...(marksAt === undefined ? {} : { marksAt }),
    ...(rubrics ? { rubrics } : {}),
    // An activity beside it is held fast anew when it is given.
    companions: companions.map((c) => (c.is === 'activity' ? { ...c, frozen: '' } : c)),
    // What learners wrote to each other's places is their work.
    place: place && { ...place, remarks: [] },
  };
}

export interface Again {
  readonly id: Id;
  /** ISO instant. */
  readonly createdAt: string;
  readonly title: string;
  /** Days that every date is later by; a date that falls on a day without school goes to the next with. */
  readonly later?: number;
  /** For another class: whom it was for, and who had which version by name, does not come along. */
  readonly classId?: Id;
  /** The version everybody gets this time; left out, as it was. */
  readonly versionId?: Id | null;
  readonly isTemplate?: boolean;
  /** What the hand-outs that follow each other have in common. */
  readonly seriesId?: string;
}

/** The same plan once more, as a draft: for the same learners or another class, earlier or later. */
export function again(handOut: HandOut, a: Again, newId: () => Id, days?: SchoolDays): HandOut {
  const plan = plannedOf(handOut);
  const moved = (at: string | null): string | null => {
    if (at === null || !a.later) return at;
    return nextSchoolDay(laterBy(at, a.later), days);
  };
  const other = a.classId !== undefined && !handOut.classIds.includes(a.classId);
  const who: Partial<HandOut> = other
    ? {
        classIds: a.classId === undefined ? [] : [a.classId],
        groupIds: [],
        learnerIds: [],
        audienceIds: [],
        leftOutIds: [],
        lines: [],
        teams: [],
        ownDates: {},
        rules: plan.rules.filter((r) => r.by === 'everyone'),
      }
    : {};
  const all: Partial<HandOut> =
    a.versionId === undefined
      ? {}
      : {
          rules: [{ id: newId(), by: 'everyone' as const, of: '', versionId: a.versionId }],
          lines: [],
          teams: (who.teams ?? plan.teams).map((t) => ({ ...t, versionId: a.versionId ?? null })),
        };
  const ownDates = Object.fromEntries(
    Object.entries(plan.ownDates).map(([id, d]) => [
      id,
      Object.fromEntries(Object.entries(d).map(([k, at]) => [k, moved(at ?? null)])),
    ]),
  );
  return handOutSchema.parse({
    ...plan,
    opensAt: moved(plan.opensAt),
    dueAt: moved(plan.dueAt),
    closesAt: moved(plan.closesAt),
    answersAt: moved(plan.answersAt),
    ...(plan.marksAt ? { marksAt: moved(plan.marksAt) } : {}),
    ownDates,
    ...who,
    ...all,
    id: a.id,
    createdAt: a.createdAt,
    title: a.title,
    state: 'draft',
    givenAt: null,
    given: {},
    lookedAs: [],
    isTemplate: a.isTemplate ?? false,
    seriesId: a.seriesId ?? '',
  });
}

/** One step of a series: which version everybody gets, and how many days after the first it opens. */
export interface SeriesStep {
  readonly versionId: Id | null;
  readonly later: number;
}

/**
 * A series after a plan: the same for the same learners, version after version. The first is the plan itself; where it
 * opens at once, the others are counted from `now` (local), and open in the morning.
 */
export function seriesOf(
  handOut: HandOut,
  steps: readonly SeriesStep[],
  family: Family,
  now: string,
  at: string,
  newId: () => Id,
  days?: SchoolDays,
): HandOut[] {
  const seriesId = handOut.seriesId || newId();
  const first = { ...handOut, seriesId };
  const nameOf = (n: number) => `${handOut.title} (${n})`.slice(0, 200);
  const rest = steps.flatMap((step, i) => {
    if (step.versionId !== null && !versionOf(family, step.versionId)) return [];
    const of = { id: newId(), createdAt: at, title: nameOf(i + 2), later: step.later, seriesId };
    const begins = { ...handOut, opensAt: handOut.opensAt ?? `${now.slice(0, 10)}T08:00` };
    return [again(begins, { ...of, versionId: step.versionId }, newId, days)];
  });
  return [first, ...rest];
}
