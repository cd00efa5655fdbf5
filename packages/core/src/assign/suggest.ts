import type { Id } from '../activity/block';
import type { Family } from '../activity/family';
import { derive } from '../derive/derive';
import type { Learner } from '../learners/learner';
import { readingGrade } from '../learners/levels';
import { SUPPORTS, supportsOn } from '../learners/supports';
import { measure, type Measures } from '../measure/measure';

export interface Suggestion {
  readonly learnerId: Id;
  readonly versionId: Id | null;
  /** In words, strongest first. */
  readonly reasons: readonly string[];
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
}

const isSeen = (support: string): boolean => SUPPORTS.some((s) => s === support);
const one = (n: number) => n.toFixed(1);

/**
 * A version for each learner, from the needs cards: a version made for this learner first; then supports agreed
 * against supports present, reading level against measured text, and the wish for more. The teacher decides. Supports
 * count that are agreed for `today` (ISO); without a day, all.
 */
export function suggest(family: Family, learners: readonly Learner[], today?: string): Suggestion[] {
  const master = measure(derive(family, null).content);
  const candidates: Candidate[] = [null, ...family.versions].map((v) => {
    const measures = measure(derive(family, v?.id ?? null).content);
    return {
      versionId: v?.id ?? null,
      name: v?.name ?? 'Master',
      learnerId: v?.learnerId,
      measures,
      asksMore: measures.items > master.items || measures.demand.explain > master.demand.explain,
    };
  });
  return learners.map((l) => {
    const ranked = candidates
      .filter((c) => !c.learnerId || c.learnerId === l.id)
      .map((c) => ({ c, ...weigh(c, l, today) }))
      .sort((a, b) => b.score - a.score);
    const [best] = ranked;
    return {
      learnerId: l.id,
      versionId: best?.c.versionId ?? null,
      reasons: best?.reasons.length ? best.reasons : ['nothing on the card asks for more or less'],
      betterBy: new Map(ranked.map((r) => [r.c.versionId ?? '', (best?.score ?? 0) - r.score])),
    };
  });
}

/** Scores are in arbitrary units: a version made for the learner outweighs all, an agreed support two grades of reading. */
function weigh(c: Candidate, learner: Learner, today: string | undefined): { score: number; reasons: string[] } {
  const { needs } = learner;
  const reasons: [number, string][] = [];
  if (c.learnerId === learner.id) reasons.push([100, 'made for this learner']);
  const supports = supportsOn(needs.supports, today);
  const has: readonly string[] = c.measures.supports;
  const present = supports.filter((s) => has.includes(s));
  if (present.length) reasons.push([present.length * 2, `has the agreed ${present.join(', ')}`]);
  // Only what can be seen in an activity can be missed in it.
  const lacking = supports.filter((s) => isSeen(s) && !has.includes(s));
  // A support nobody needs makes the work easier than it should be.
  const spare = c.measures.supports.filter((s) => s !== 'pictures' && !supports.includes(s)).length;
  const grade = c.measures.readability.figures.kincaid;
  const reads = readingGrade(needs.levels);
  if (reads !== undefined && grade !== undefined) {
    const above = grade - reads;
    if (above > 0.5) reasons.push([-above * 1.5, `text at ${one(grade)}, above reading at ${one(reads)}`]);
    else if (above >= -2.5) reasons.push([1 + above * 0.2, `text at ${one(grade)} fits reading at ${one(reads)}`]);
    else reasons.push([above * 0.2, `text at ${one(grade)}, well below reading at ${one(reads)}`]);
  }
  if (needs.wantsMore && c.asksMore) reasons.push([4, 'asks for more, as the card wishes']);
  if (!needs.wantsMore && c.asksMore) reasons.push([-3, 'asks for more than the master']);
  const score = reasons.reduce((n, [s]) => n + s, 0) - lacking.length - spare * 0.8;
  return {
    score,
    reasons: reasons
      .filter(([s]) => s > 0)
      .sort((a, b) => b[0] - a[0])
      .map(([, text]) => text),
  };
}
