import type { Id } from '../activity/block';
import { chainOf, type Family } from '../activity/family';
import type { Judgement } from '../adjust/adjustment';
import { kindOfAdjustment } from '../adjust/registry';
import { basisContent, derive, inForce } from '../derive/derive';
import { objectiveIdsIn } from './words';

export interface Verdict {
  readonly judgement: Judgement;
  readonly why: string;
  /** The teacher's own judgement, where there is one; it counts. */
  readonly overruled?: { readonly judgement: Judgement; readonly reason: string };
}

export interface Classified {
  /** 'same' where nothing is in force. */
  readonly judgement: Judgement | 'same';
  readonly why: readonly string[];
  readonly adjustments: ReadonlyMap<Id, Verdict>;
}

/** What counts: the teacher's judgement before the computed one. */
export const counts = (v: Verdict): Judgement => v.overruled?.judgement ?? v.judgement;

/**
 * Accommodation or modification, by rule (docs/decisions/0003): an adjustment is a modification when it takes away
 * the last item of an objective or gives an answer away; an addition when it only adds to what is asked; otherwise
 * an accommodation.
 */
export function classify(family: Family, versionId: Id): Classified {
  const chain = chainOf(family, versionId);
  const master = derive(family, null).content;
  const result = derive(family, versionId);
  const lost = new Set([...objectiveIdsIn(master)].filter((id) => !objectiveIdsIn(result.content).has(id)));
  const adjustments = new Map<Id, Verdict>();
  const all: Verdict[] = [];
  for (const version of chain)
    for (const a of version.adjustments) {
      if (!inForce(a, undefined)) continue;
      const { neutral, ...judged } = kindOfAdjustment(a).judge(a, { basis: basisContent(family, version), lost });
      const verdict: Verdict = { ...judged, ...(a.overrule ? { overruled: a.overrule } : {}) };
      if (!neutral || a.overrule) all.push(verdict);
      adjustments.set(a.id, verdict);
    }
  const of = (j: Judgement) => all.filter((v) => counts(v) === j);
  const why = [...new Set(of('modification').map((v) => v.overruled?.reason ?? v.why))];
  if (why.length > 0) return { judgement: 'modification', why, adjustments };
  if (of('accommodation').length > 0)
    return { judgement: 'accommodation', why: ['Every objective of the master is still asked.'], adjustments };
  if (all.length > 0) return { judgement: 'addition', why: ['It only adds to what the master asks.'], adjustments };
  return { judgement: 'same', why: ['Nothing differs from the master yet.'], adjustments };
}
