import { itemsOf } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Family } from '../activity/family';
import { adjustmentKinds } from '../adjust/registry';
import { type Frozen, type HandOut, withOwn, workKeyOf } from '../assign/hand-out';
import type { Learner } from '../learners/learner';
import type { Copy, Marking } from '../work/copy';
import { responseTo } from '../work/copy';
import { marksOf } from '../work/mark/marks-of';

/** One marked question of a work: what was reached of what could be, from 0 to 1. */
export interface SeenItem {
  readonly id: Id;
  readonly objectiveId: string;
  readonly share: number;
  readonly right: boolean;
  /** Whether the master of its revision has it. */
  readonly ofMaster: boolean;
}

/** One learner's last go at a work, as charts and suggestions look at it. */
export interface SeenWork {
  readonly learnerId: Id;
  readonly handOutId: Id;
  readonly title: string;
  readonly familyId: string;
  readonly versionId: Id | null;
  readonly versionName: string;
  /** The day it was submitted, as an ISO date. */
  readonly day: string;
  /** Kinds of adjustment that were in force, in words, and tools of the desk that were used. */
  readonly supports: readonly string[];
  /** Kinds of adjustment in force that help with the task itself: what may be faded. */
  readonly helps: readonly string[];
  /** Goals that anything in force served. */
  readonly goalIds: readonly Id[];
  readonly items: readonly SeenItem[];
}

const kindOf = (kind: string) =>
  Object.hasOwn(adjustmentKinds, kind) ? adjustmentKinds[kind as keyof typeof adjustmentKinds] : undefined;
const labelOf = (kind: string): string => kindOf(kind)?.label.toLowerCase() ?? '';
/** Help with the task can be faded; how it is shown and answered is access, and is not. */
const isHelp = (kind: string): boolean => kindOf(kind)?.category === 'support';

/** A submitted work; undefined where nothing of it was submitted, or none of its questions is marked. */
export function seenWork(
  of: {
    readonly handOut: HandOut;
    readonly family: Family | undefined;
    readonly frozen: Readonly<Record<string, Frozen>>;
  },
  learner: Pick<Learner, 'id'>,
  done: { readonly copy: Copy | undefined; readonly marking: Marking | undefined },
  dayOf: (iso: string) => string,
  tools: Readonly<Record<string, string>> = {},
): SeenWork | undefined {
  const { handOut, family } = of;
  const go = done.copy?.goes.findLast((g) => g.submittedAt);
  const mine = Object.hasOwn(handOut.given, learner.id) ? handOut.given[learner.id] : undefined;
  const was = mine && (mine.earlier?.find((e) => go && go.n <= e.goes) ?? mine);
  const shared = was && of.frozen[was.frozen];
  if (!go?.submittedAt || !shared || workKeyOf(handOut, learner.id) !== learner.id) return undefined;
  const frozen = withOwn(shared, was);
  const master = masterItems(family, frozen.revision);
  const items = marksOf(frozen, go.answers, responseTo(done.marking, go.n), handOut.accepted ?? []).flatMap(
    ({ item, mark }): SeenItem[] =>
      mark.verdict === 'yours' || mark.outOf <= 0
        ? []
        : [
            {
              id: item.id,
              objectiveId: item.objectiveId ?? '',
              share: mark.points / mark.outOf,
              right: mark.verdict === 'right',
              ofMaster: master.has(item.id),
            },
          ],
  );
  if (!items.length) return undefined;
  const inForce = (frozen.record?.adjustments ?? []).filter((d) => d.status === 'applied');
  const used = Object.entries(done.copy?.used ?? {}).flatMap(([t, u]) =>
    u.times && Object.hasOwn(tools, t) ? [`${tools[t]} (at the desk)`] : [],
  );
  return {
    ...{ learnerId: learner.id, handOutId: handOut.id, title: handOut.title, familyId: handOut.familyId },
    ...{ versionId: frozen.versionId, versionName: frozen.versionName, day: dayOf(go.submittedAt) },
    supports: [...new Set([...inForce.map((d) => labelOf(d.kind)), ...used])].filter(Boolean),
    helps: [...new Set(inForce.map((d) => d.kind))].filter(isHelp),
    goalIds: [...new Set(inForce.flatMap((d) => d.goal?.id ?? []))],
    items,
  };
}

const known = new WeakMap<Family, Map<number, ReadonlySet<Id>>>();
function masterItems(family: Family | undefined, revision: number): ReadonlySet<Id> {
  if (!family) return new Set();
  const all = known.get(family) ?? new Map<number, ReadonlySet<Id>>();
  known.set(family, all);
  let ids = all.get(revision);
  if (!ids) {
    const content = family.revisions.find((r) => r.n === revision)?.content;
    all.set(revision, (ids = new Set(content ? itemsOf(content).map((i) => i.id) : [])));
  }
  return ids;
}
