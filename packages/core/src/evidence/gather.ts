import { itemsOf } from '../activity/activity';
import type { Id } from '../activity/block';
import { itemRules } from '../activity/blocks';
import type { Family } from '../activity/family';
import { adjustmentKinds, type AdjustmentKindName } from '../adjust/registry';
import type { Category } from '../adjust/category';
import { datesFor, NO_DAYS_OFF, type SchoolDays } from '../assign/dates';
import { type Frozen, type HandOut, withOwn, workKeyOf } from '../assign/hand-out';
import type { Decided } from '../assign/held/decided';
import type { Used } from '../learners/comfort';
import type { Day } from '../learners/days';
import { calledOf, type Learner } from '../learners/learner';
import type { SchoolClass } from '../learners/people';
import type { Copy, Go, Marking } from '../work/copy';
import { responseTo } from '../work/copy';
import { type Marked, marksOf, totalOf } from '../work/mark/marks-of';
import { type Adjusted, type Evidence, EVIDENCE_FORMAT, type EvidenceWork, type GoOf, type RightOf } from './evidence';
import { type BareSide, sidesOf } from './sides';
import { type SeenWork, supportsGiven } from './supports-given';
import { usedOf } from './used';

/** A hand-out with what is known of it; `family` is undefined where the activity is not here any more. */
export interface GivenWork {
  readonly handOut: HandOut;
  readonly family: Family | undefined;
  /** What the hand-out gave, by address. */
  readonly frozen: Readonly<Record<string, Frozen>>;
}

/** What one learner did with it, or those did that the learner does it with. */
export interface DoneWork {
  readonly copy: Copy | undefined;
  readonly marking: Marking | undefined;
}

/** The day of an instant (ISO) where the teacher is, as an ISO date. */
export type DayOf = (iso: string) => Day;

export interface Period {
  readonly from: Day;
  readonly until: Day;
}

const isIn = ({ from, until }: Period, day: Day): boolean =>
  (from === '' || day >= from) && (until === '' || day <= until);

/** Days on which something of a work reached a learner: when it was given, and what came after. */
export function reachedIn(h: Pick<HandOut, 'givenAt'>, { copy }: DoneWork, period: Period, dayOf: DayOf): boolean {
  const days = [h.givenAt, ...(copy?.goes ?? []).map((g) => g.submittedAt)].flatMap((at) => (at ? [dayOf(at)] : []));
  return days.some((d) => isIn(period, d));
}

/** One piece of evidence, with what the agreed supports are looked for in. */
export interface Gathered {
  readonly work: EvidenceWork;
  readonly seen: SeenWork;
}

/**
 * Puts together works of one hand-out for one learner after another: what all of them share on a sheet is looked at once.
 */
export class Gathering {
  private readonly sides = new Map<string, BareSide[]>();

  constructor(
    private readonly given: GivenWork,
    private readonly dayOf: DayOf,
    private readonly schoolDays: SchoolDays = NO_DAYS_OFF,
  ) {}

  /** Undefined where the learner was given nothing of it. */
  of(learner: Learner, done: DoneWork): Gathered | undefined {
    const { handOut, family } = this.given;
    const mine = Object.hasOwn(handOut.given, learner.id) ? handOut.given[learner.id] : undefined;
    const shared = mine && this.given.frozen[mine.frozen];
    if (!mine || !shared || handOut.kind !== 'work' || !handOut.givenAt) return undefined;
    const frozen = withOwn(shared, mine);
    const last = done.copy?.goes.at(-1);
    const marks = last ? this.marks(frozen, last, done) : [];
    const goes = (done.copy?.goes ?? []).map((go) => {
      const sheet = this.sheetOf(mine, go.n);
      return this.goOf(go, done, go === last && !sheet ? marks : this.marks(sheet ?? frozen, go, done));
    });
    const used = done.copy?.used ?? {};
    const dates = datesFor(handOut, learner, this.schoolDays);
    const sides = withAnswers(frozen === shared ? this.sidesOf(frozen) : this.freshSides(frozen), marks);
    const onPaper = goes.at(-1)?.onPaper ?? false;
    const version = frozen.record?.verdicts.find((v) => v.versionId === frozen.versionId);
    const extra = frozen.content.settings?.extraTime?.days;
    const moreTime = dates.why || (extra ? `${extra} days more on the sheet` : '');
    const late = !!last?.submittedAt && !!handOut.dueAt && this.dayOf(last.submittedAt) > handOut.dueAt.slice(0, 10);
    const work: EvidenceWork = {
      handOutId: handOut.id,
      title: handOut.title,
      familyId: handOut.familyId,
      activity: frozen.content.title,
      givenAt: handOut.givenAt,
      takenBack: handOut.isHidden,
      together: workKeyOf(handOut, learner.id) !== learner.id,
      ...{ versionId: frozen.versionId, versionName: frozen.versionName, revision: frozen.revision, sheet: frozen.id },
      countsAs: version?.judgement ?? (family ? 'same' : ''),
      ...{ dueAt: handOut.dueAt ?? '', ownDueAt: dates.dueAt ?? '', moreTime },
      goesAllowed: handOut.goes ?? frozen.content.settings?.goes ?? 0,
      adjustments: adjustmentsOf(frozen, sides, marks, { last, used, goesUsed: goes.length, late }),
      sides,
      goes,
      used: Object.entries(used).flatMap(([tool, use]) => (use.times || use.seconds ? [{ tool, ...use }] : [])),
    };
    const { id: handOutId, title } = handOut;
    return { work, seen: { handOutId, title, on: this.dayOf(handOut.givenAt), frozen, used, moreTime, onPaper } };
  }

  private sheetOf(mine: HandOut['given'][string], go: number): Frozen | undefined {
    const was = mine.earlier?.find((e) => go <= e.goes);
    const frozen = was && this.given.frozen[was.frozen];
    return frozen && withOwn(frozen, was);
  }

  private marks(frozen: Frozen, go: Go, { marking }: DoneWork): Marked[] {
    return marksOf(frozen, go.answers, responseTo(marking, go.n), this.given.handOut.accepted ?? []);
  }

  private goOf(go: Go, done: DoneWork, marks: readonly Marked[]): GoOf {
    const said = responseTo(done.marking, go.n);
    const total = totalOf(marks, said?.points);
    return {
      n: go.n,
      ...{ submittedAt: go.submittedAt ?? '', decidedAt: said?.decidedAt ?? '', decision: said?.decision ?? '' },
      onPaper: (said?.paper?.length ?? 0) > 0,
      ...{ right: total.right, of: total.right + total.wrong, open: total.open },
      ...{ points: total.points, outOf: total.outOf, comment: said?.comment ?? '' },
    };
  }

  private freshSides(frozen: Frozen): BareSide[] {
    const { family } = this.given;
    return sidesOf(frozen, family?.revisions.find((r) => r.n === frozen.revision)?.content);
  }

  private sidesOf(frozen: Frozen): BareSide[] {
    const known = this.sides.get(frozen.id) ?? this.freshSides(frozen);
    this.sides.set(frozen.id, known);
    return known;
  }
}

function withAnswers(sides: readonly BareSide[], marks: readonly Marked[]): EvidenceWork['sides'] {
  const byItem = new Map(marks.map((m) => [m.item.id, m]));
  return sides.map((s) => {
    const m = byItem.get(s.blockId);
    if (!m) return { ...s, answer: '', verdict: '' };
    const rules = itemRules(m.item);
    const answer = m.answer && !rules.isEmpty(m.answer) ? rules.answerWords(m.item, m.answer) : '';
    return { ...s, answer, verdict: m.mark.verdict };
  });
}

/** Right ones of those that are marked and were answered with a mark; null where there is none. */
function rightOf(marks: readonly Marked[]): RightOf | null {
  const counted = marks.filter((m) => m.mark.verdict !== 'yours');
  return counted.length
    ? { right: counted.filter((m) => m.mark.verdict === 'right').length, of: counted.length }
    : null;
}

const categoryOf = (kind: string): Category | '' =>
  Object.hasOwn(adjustmentKinds, kind) ? adjustmentKinds[kind as keyof typeof adjustmentKinds].category : '';

/** Kinds that speak of the whole sheet, and of no block. */
const OF_THE_WHOLE: ReadonlySet<string> = new Set<AdjustmentKindName>([
  'larger-print',
  'one-at-a-time',
  'mix-up',
  'chunk',
  'extra-time',
  'goes',
  'personal-fields',
]);

interface Doing {
  readonly last: Go | undefined;
  readonly used: Used;
  readonly goesUsed: number;
  readonly late: boolean;
}

/** What reached the learner: adjustments that were in force; of a sheet with no record, those that its blocks name. */
function adjustmentsOf(frozen: Frozen, sides: readonly BareSide[], marks: readonly Marked[], doing: Doing): Adjusted[] {
  const blocks = new Map<Id, Id[]>();
  for (const [blockId, steps] of Object.entries(frozen.lineage))
    for (const s of steps) blocks.set(s.adjustmentId, [...(blocks.get(s.adjustmentId) ?? []), blockId]);
  const pageOf = new Map(frozen.content.pages.flatMap((p) => p.blocks.map((b) => [b.id, p] as const)));
  const items = new Set(itemsOf(frozen.content).map((i) => i.id));
  /** The questions it touches; where it touches none, those of its pages; where it touches nothing, all. */
  const concerned = (blockIds: readonly Id[], isAll: boolean): Id[] => {
    const own = blockIds.filter((id) => items.has(id));
    if (own.length) return own;
    const pages = new Set(blockIds.flatMap((id) => pageOf.get(id) ?? []));
    const onPages = [...pages].flatMap((p) => p.blocks.map((b) => b.id).filter((id) => items.has(id)));
    return blockIds.length || !isAll ? onPages : [...items];
  };
  const gone = new Set(sides.filter((s) => s.how === 'left out').flatMap((s) => s.adjustmentIds));
  // What it was made for may be left out again by another: then it did not reach anybody.
  const reached = (d: Decided) =>
    d.status === 'applied' && (OF_THE_WHOLE.has(d.kind) || blocks.has(d.adjustmentId) || gone.has(d.adjustmentId));
  const one = (d: Decided): Adjusted => {
    const blockIds = blocks.get(d.adjustmentId) ?? [];
    const itemIds = concerned(blockIds, OF_THE_WHOLE.has(d.kind));
    const about = new Set(itemIds);
    const computed = d.verdict?.judgement ?? '';
    return {
      ...{ adjustmentId: d.adjustmentId, versionId: d.versionId, versionName: d.versionName },
      ...{ category: categoryOf(d.kind), name: d.name ?? '', sentence: d.sentence },
      countsAs: d.overruled?.judgement ?? computed,
      why: d.verdict?.why ?? '',
      overruled: d.overruled ? { ...d.overruled, was: computed } : null,
      ...{ reason: d.reason ?? '', goal: d.goal ?? null, author: d.author, at: d.at },
      ...{ from: d.from ?? '', until: d.until ?? '' },
      used: usedOf(d.kind, {
        ...{ frozen, go: doing.last, blockIds, itemIds, goesUsed: doing.goesUsed, late: doing.late },
        meanings: doing.used.meaning?.times ?? 0,
      }),
      result: rightOf(marks.filter((m) => about.has(m.item.id))),
    };
  };
  if (frozen.record) return frozen.record.adjustments.filter(reached).map(one);
  const steps = new Map(Object.values(frozen.lineage).flatMap((s) => s.map((x) => [x.adjustmentId, x] as const)));
  return [...steps.values()].map((s) => one({ ...s, kind: '', author: '', at: '', status: 'applied' }));
}

/** Evidence of one learner from the works that reached them in the period, in the order in which they were given. */
export function evidenceOf(of: {
  readonly learner: Learner;
  readonly classes: readonly SchoolClass[];
  readonly period: Period;
  readonly works: readonly Gathered[];
  /** ISO instant. */
  readonly at: string;
}): Evidence {
  const { learner, period } = of;
  const works = [...of.works].sort((a, b) => a.work.givenAt.localeCompare(b.work.givenAt));
  return {
    ...{ product: 'lorvet', kind: 'evidence', format: EVIDENCE_FORMAT, at: of.at },
    learner: {
      ...{ id: learner.id, name: learner.name, called: calledOf(learner) },
      classes: of.classes.filter((c) => c.learnerIds.includes(learner.id)).map((c) => c.name),
    },
    period: { from: period.from, until: period.until },
    goals: learner.needs.goals.map(({ id, text, measure, target, by }) => ({ id, text, measure, target, by })),
    supports: supportsGiven(
      learner.needs.supports,
      works.map((w) => w.seen),
    ),
    works: works.map((w) => w.work),
    notes: [],
    reviews: [],
    stressed: [],
  };
}
