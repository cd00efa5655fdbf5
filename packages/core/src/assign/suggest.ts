import type { Id } from '../activity/block';
import { isItem } from '../activity/blocks';
import { chainOf, type Family } from '../activity/family';
import { derive } from '../derive/derive';
import type { Learner } from '../learners/learner';
import { readingGrade } from '../learners/levels';
import { SUPPORTS, type Support, supportsOn } from '../learners/supports';
import { measure, type Measures } from '../measure/measure';

/** Whether a version fits, none does, or nothing is known to go by. */
export type Fit = 'fits' | 'none fits' | 'no opinion';

export interface Suggestion {
  readonly learnerId: Id;
  readonly fit: Fit;
  /** The version that fits (null: the master), or that comes nearest; undefined where there is no opinion. */
  readonly versionId: Id | null | undefined;
  /** In words, strongest first. */
  readonly reasons: readonly string[];
  /** What the version lacks of what the card asks for, in words. */
  readonly lacks: readonly string[];
  /** Agreed supports that the version lacks. */
  readonly missing: readonly Support[];
  /** How much better it fits than each version, by id (the master: ''); arbitrary units, a clear case from 1.5 up. */
  readonly betterBy: ReadonlyMap<Id, number>;
}

/** From here on a suggestion is worth a word beside what the teacher chose. */
export const CLEARLY_BETTER = 1.5;

interface Candidate {
  readonly versionId: Id | null;
  readonly name: string;
  readonly learnerId?: Id | undefined;
  readonly measures: Measures;
  readonly asksMore: boolean;
  /** Interests whose examples it has. */
  readonly interests: ReadonlySet<string>;
}

const isSeen = (support: string): support is Support => SUPPORTS.some((s) => s === support);
const one = (n: number) => n.toFixed(1);
const lower = (words: string): string => words.trim().toLowerCase();

/** A text so much above a learner's reading is too hard for them; so much below, it asks too little. In grades. */
const TOO_HARD = 1;
const TOO_EASY = 2.5;
/** So far below, a text gives nothing to read to who needs no help with it. */
const FAR_TOO_EASY = 4;
/** More is too hard alike. */
const MOST_MISFIT = 4;
/** What each thing weighs: a support that lacks outweighs any reading, reading all else. */
const WEIGHS = { support: 40, reading: 4, wish: 3, interest: 1, spare: 0.1, nearer: 0.01 } as const;

/** Questions that count as more to do; steps to tick are help. */
const asked = (family: Family, versionId: Id | null): number =>
  derive(family, versionId).content.pages.reduce(
    (n, p) =>
      n +
      p.blocks.filter((b) => isItem(b) && b.audience === 'learner' && b.kind !== 'steps' && b.kind !== 'notes').length,
    0,
  );

function candidatesOf(family: Family): Candidate[] {
  const master = measure(derive(family, null).content);
  const least = asked(family, null);
  return [null, ...family.versions].map((v) => {
    const id = v?.id ?? null;
    const measures = measure(derive(family, id).content);
    const adjustments = v ? chainOf(family, v.id).flatMap((x) => x.adjustments) : [];
    return {
      versionId: id,
      name: v?.name ?? 'Master',
      learnerId: v?.learnerId,
      measures,
      asksMore: asked(family, id) > least || measures.demand.explain > master.demand.explain,
      interests: new Set(
        adjustments.flatMap((a) => (a.kind === 'by-interest' && !a.off ? a.by.map((b) => lower(b.interest)) : [])),
      ),
    };
  });
}

/** Whether a card says anything that a version could fit. */
const saysSomething = ({ needs }: Learner, supports: readonly string[]): boolean =>
  supports.length > 0 || needs.wantsMore || readingGrade(needs.levels) !== undefined || needs.interests.length > 0;

/**
 * A version for each learner, from the needs cards. What is agreed comes first: a version that lacks an agreed support does not
 * fit. Then reading, against the hardest passage; then the wish for more, and interests. Supports that nobody needs decide only
 * where all else is equal. A version made for the learner comes before others. Where none fits, that is the answer, with what the
 * nearest lacks; without a card there is no opinion. The teacher decides. Supports count that are agreed for `today` (ISO); without a
 * day, all.
 */
export function suggest(family: Family, learners: readonly Learner[], today?: string): Suggestion[] {
  const candidates = candidatesOf(family);
  return learners.map((l) => {
    const supports = supportsOn(l.needs.supports, today);
    const own = candidates.some((c) => c.learnerId === l.id);
    const ranked = candidates
      .filter((c) => !c.learnerId || c.learnerId === l.id)
      .map((c) => ({ c, ...weigh(c, l, supports) }))
      .sort((a, b) => b.score - a.score);
    const [best] = ranked;
    if (!best || (!own && !saysSomething(l, supports)))
      return {
        learnerId: l.id,
        fit: 'no opinion',
        versionId: undefined,
        reasons: ['no needs card to go by'],
        lacks: [],
        missing: [],
        betterBy: new Map(),
      };
    return {
      learnerId: l.id,
      fit: best.lacks.length ? 'none fits' : 'fits',
      versionId: best.c.versionId,
      reasons: best.reasons.length ? best.reasons : ['nothing on the card asks for more or less'],
      lacks: best.lacks,
      missing: best.missing,
      betterBy: new Map(ranked.map((r) => [r.c.versionId ?? '', best.score - r.score])),
    };
  });
}

interface Weighed {
  readonly score: number;
  readonly reasons: readonly string[];
  readonly lacks: readonly string[];
  readonly missing: readonly Support[];
}

function weigh(
  { measures, learnerId, asksMore, interests }: Candidate,
  { id, needs }: Learner,
  supports: readonly string[],
): Weighed {
  const reasons: string[] = [];
  const lacks: string[] = [];
  let score = 0;
  if (learnerId === id) {
    reasons.push('made for this learner');
    score += WEIGHS.support / 2;
  }
  // Only what can be seen in an activity can be missed in it.
  const agreed = supports.filter(isSeen);
  const missing = agreed.filter((s) => !measures.supports.includes(s));
  const present = agreed.filter((s) => !missing.includes(s));
  if (present.length) reasons.push(`has the agreed ${present.join(', ')}`);
  for (const s of missing) lacks.push(partly(s, measures));
  score -= missing.length * WEIGHS.support;
  const grade = measures.readability.figures.kincaid;
  const reads = readingGrade(needs.levels);
  if (reads !== undefined && grade !== undefined) {
    const above = grade - reads;
    const text = `${measures.hardest === null ? 'text' : 'hardest text'} at ${grade < 1 ? 'below 1' : one(grade)}`;
    const isFarOff = above > TOO_HARD || (-above > FAR_TOO_EASY && agreed.length === 0);
    if (isFarOff) lacks.push(`a text for reading at ${one(reads)} (${text})`);
    else if (above >= -TOO_EASY) reasons.push(`${text} fits reading at ${one(reads)}`);
    else reasons.push(`${text}, well below reading at ${one(reads)}`);
    // Too hard weighs in full, too easy half; a figure of a short text is a rough sign, and weighs half.
    const misfit = Math.max(0, above - TOO_HARD / 2) + 0.5 * Math.max(0, -above - TOO_EASY);
    // What is far too easy fits no better than what is far too hard; of those, the nearer comes first.
    const counted = isFarOff && above < 0 ? MOST_MISFIT : Math.min(MOST_MISFIT, misfit);
    score -=
      WEIGHS.reading * counted * (measures.readability.sure === 'rough' ? 0.5 : 1) + WEIGHS.nearer * Math.abs(above);
  }
  if (needs.wantsMore) {
    if (asksMore) reasons.push('asks for more, as the card wishes');
    score += asksMore ? WEIGHS.wish : 0;
  } else if (asksMore) score -= WEIGHS.wish;
  const shared = needs.interests.filter((i) => interests.has(lower(i)));
  if (shared.length) reasons.push(`has examples of ${shared.join(', ')}`);
  score += shared.length ? WEIGHS.interest : 0;
  score -= WEIGHS.spare * measures.supports.filter((s) => s !== 'pictures' && !supports.includes(s)).length;
  return { score, reasons, lacks, missing };
}

/** A support that lacks, with how far it is there: "hints (2 of 7 questions)". */
function partly(support: Support, { shares }: Measures): string {
  const share = shares[support];
  return share && share.has > 0 ? `${support} (${share.has} of ${share.of})` : support;
}
