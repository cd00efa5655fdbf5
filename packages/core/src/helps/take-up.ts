import type { Id } from '../activity/block';
import { isItem } from '../activity/blocks';
import { chainOf, type Family, latest, type Version, versionOf } from '../activity/family';
import type { Swatch } from '../activity/swatch';
import { draftLeaveOut } from '../adjust/drafts';
import { type Adjustment, adjustmentKinds } from '../adjust/registry';
import { type HandOut, newHandOut } from '../assign/hand-out';
import type { HeldReview } from '../evidence/folder';
import { beginReview } from '../evidence/review';
import { findBlock } from '../activity/activity';
import { calledOf, type Learner } from '../learners/learner';
import { classify, counts } from '../verdict/classify';
import type { HelpSuggestion } from './suggestions';

/** What taking a suggestion up makes: a draft, or a review that is begun; nothing that reaches a learner by itself. */
export type TakenUp =
  | { readonly made: 'version'; readonly familyId: Id; readonly version: Version }
  | { readonly made: 'plan'; readonly handOut: HandOut }
  | { readonly made: 'review'; readonly learnerId: Id; readonly held: HeldReview };

/** What there is now of what a suggestion speaks of. */
export interface TakingUp {
  readonly family: Family | undefined;
  readonly learner: Learner | undefined;
  /** The learner's review that is under way already. */
  readonly held: HeldReview | undefined;
  /** ISO instant, and the day of it. */
  readonly at: string;
  readonly today: string;
  readonly author: string;
  readonly newId: () => Id;
  readonly swatch: Swatch;
}

/** What comes of a suggestion; undefined where what it speaks of is not there any more. */
export function takeUp(s: HelpSuggestion, on: TakingUp): TakenUp | undefined {
  const { family, learner } = on;
  if (s.what === 'goal met' || (s.what === 'fade' && s.agreed !== undefined))
    return learner && inReview(s, learner, on);
  if (!family) return undefined;
  if (s.what === 'step up') return learner && planned(s, family, learner, on);
  const version =
    s.what === 'fade'
      ? learner && faded(s, family, learner, on)
      : s.what === 'misleads'
        ? withoutItem(s, family, on)
        : nearer(s, family, on);
  return version && { made: 'version', familyId: family.id, version };
}

function inReview(s: HelpSuggestion, { id, needs }: Learner, on: TakingUp): TakenUp {
  const held = on.held ?? beginReview(needs);
  const supports = held.supports.map((x) => (x.what === s.agreed ? { ...x, until: on.today } : x));
  const isGoal = s.goalId !== undefined && held.goals.some((g) => g.id === s.goalId);
  const met = isGoal && s.goalId !== undefined ? [...new Set([...held.met, s.goalId])] : held.met;
  return { made: 'review', learnerId: id, held: { ...held, supports, met } };
}

const fresh = (
  family: Family,
  on: TakingUp,
  of: Pick<Version, 'name' | 'purpose' | 'basis' | 'adjustments'>,
): Version => ({
  ...{ id: on.newId(), swatch: on.swatch, upTo: latest(family).n, upkeepLog: [] },
  ...of,
  name: of.name.slice(0, 120),
});
/** The same adjustment in another version: as it was written, under an id of its own. */
const copied = (a: Adjustment, on: TakingUp): Adjustment => ({ ...a, id: on.newId() });

/** The learner's version without one kind of help: built on the last version that has none of it. */
function faded(s: HelpSuggestion, family: Family, learner: Learner, on: TakingUp): Version | undefined {
  const chain = s.versionId === undefined ? [] : chainOf(family, s.versionId);
  const from = chain.findIndex((v) => v.adjustments.some((a) => a.kind === s.kind));
  const last = chain.at(-1);
  if (from < 0 || !last) return undefined;
  const above = chain.slice(from);
  const name = adjustmentKinds[s.kind as keyof typeof adjustmentKinds].label.toLowerCase();
  const version = fresh(family, on, {
    name: `${last.name}, without ${name}`,
    purpose: `For ${calledOf(learner)}: the help is faded`,
    basis: above[0]?.basis ?? null,
    adjustments: above.flatMap((v) => v.adjustments.filter((a) => a.kind !== s.kind).map((a) => copied(a, on))),
  });
  return { ...version, upTo: Math.min(...above.map((v) => v.upTo)), learnerId: learner.id };
}

/** A plan for the learner alone, in which the pages that ask the objective come from the other version. */
function planned(s: HelpSuggestion, family: Family, learner: Learner, on: TakingUp): TakenUp | undefined {
  const { versionId, tryId } = s;
  if (!versionId || !versionOf(family, versionId) || tryId === undefined) return undefined;
  if (tryId !== null && !versionOf(family, tryId)) return undefined;
  const { content } = latest(family);
  const asks = content.pages.filter((p) => p.blocks.some((b) => isItem(b) && b.objectiveId === s.objectiveId));
  const isAll = asks.length === content.pages.filter((p) => p.blocks.some((b) => isItem(b))).length;
  const parts = asks.map((p) => ({ pageId: p.id, versionId: tryId }));
  const line = isAll ? { versionId: tryId } : { versionId, parts };
  const blank = newHandOut({ id: on.newId(), familyId: family.id, title: content.title, createdAt: on.at });
  return {
    made: 'plan',
    handOut: { ...blank, learnerIds: [learner.id], lines: [{ learnerId: learner.id, ...line }] },
  };
}

/** Everything of the master but one question. */
function withoutItem(s: HelpSuggestion, family: Family, on: TakingUp): Version | undefined {
  const block = s.itemId === undefined ? undefined : findBlock(latest(family).content, s.itemId)?.block;
  if (!block) return undefined;
  const leaveOut = { ...draftLeaveOut(block), id: on.newId(), at: on.at, author: on.author } as Adjustment;
  return fresh(family, on, {
    name: 'Without a question that misleads',
    purpose: '',
    basis: null,
    adjustments: [{ ...leaveOut, reason: { text: s.reasons[0] ?? '' } }],
  });
}

/** The version without what changes the task. */
function nearer(s: HelpSuggestion, family: Family, on: TakingUp): Version | undefined {
  const version = s.versionId === undefined ? undefined : versionOf(family, s.versionId);
  if (!version) return undefined;
  const without = (v: Version): Adjustment[] => {
    const judged = classify(family, v.id).adjustments;
    return v.adjustments.filter((a) => {
      const verdict = judged.get(a.id);
      return !verdict || counts(verdict) !== 'modification';
    });
  };
  const made = fresh(family, on, {
    name: `${version.name}, nearer to the master`,
    purpose: version.purpose,
    // From the master on: what is above may change the task too.
    basis: null,
    adjustments: chainOf(family, version.id).flatMap((v) => without(v).map((a) => copied(a, on))),
  });
  const upTo = Math.min(...chainOf(family, version.id).map((v) => v.upTo));
  return { ...made, upTo, ...(version.learnerId ? { learnerId: version.learnerId } : {}) };
}
