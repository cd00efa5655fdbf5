import { doubledIds } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Family, Version } from '../activity/family';
import { basisContent, derive, originOf } from '../derive/derive';
import { type Stamp, slotOf } from './drafted';
import { forOthers } from './for-others';
import { type Adjustment, adjustmentKinds, kindOfAdjustment } from './registry';

/** One that cannot be added: what it would do, and why it cannot here. */
export interface Unfit {
  readonly what: string;
  readonly why: string;
}

/** A version with adjustments from elsewhere added after its own, and what became of each of them. */
export interface Fitting {
  readonly version: Version;
  readonly added: readonly Adjustment[];
  /** How many the version has already, word for word. */
  readonly there: number;
  readonly unfit: readonly Unfit[];
}

/** What it does, without who made it, when, and by what act. */
function doesOnly(a: Adjustment): string {
  const { id: _id, at: _at, author: _by, batch: _batch, recipe: _recipe, ...rest } = forOthers(a);
  return JSON.stringify(Object.entries(rest).sort(([x], [y]) => (x < y ? -1 : 1)));
}

/**
 * Adds adjustments that were made elsewhere, for the same activity, to a version. Only what does all that it says is
 * added: one whose target is not there, or looks different from what it was made on, is named with its reason.
 * `name` is the act that all of them share.
 */
export function fitAdjustments(
  family: Family,
  version: Version,
  list: readonly Adjustment[],
  stamp: Stamp,
  name: string,
): Fitting {
  const basis = basisContent(family, version);
  const known = new Set(version.adjustments.map(doesOnly));
  const taken = new Set(version.adjustments.map(slotOf));
  const batch = { id: stamp.newId(), name };
  const unfit: Unfit[] = [];
  const cannot = (a: Adjustment, why: string) =>
    unfit.push({ what: `${adjustmentKinds[a.kind].label}: ${kindOfAdjustment(a).describe(a, basis)}`, why });

  let added: Adjustment[] = [];
  let there = 0;
  for (const a of list) {
    if (known.has(doesOnly(a))) there++;
    else if (taken.has(slotOf(a))) cannot(a, 'This version has one of its own for the same thing.');
    else {
      taken.add(slotOf(a));
      added.push({ ...forOthers(a), id: stamp.newId(), batch });
    }
  }
  const drop = (gone: ReadonlyMap<Id, string>) => {
    for (const a of added) {
      const why = gone.get(a.id);
      if (why !== undefined) cannot(a, why);
    }
    added = added.filter((a) => !gone.has(a.id));
  };
  // Without one that does not fit, another may have nothing left to be about.
  for (;;) {
    const made = { ...version, adjustments: [...version.adjustments, ...added] };
    const versions = family.versions.map((v) => (v.id === version.id ? made : v));
    const derived = derive({ ...family, versions }, version.id);
    const gone = new Map<Id, string>();
    for (const r of derived.reports) {
      if (r.versionId !== version.id) continue;
      if (r.status === 'skipped') gone.set(r.adjustmentId, r.why);
      if (r.status === 'unsettled') gone.set(r.adjustmentId, 'What it is about reads differently here.');
    }
    for (const id of doubledIds(derived.content)) {
      const { from } = originOf(derived, id);
      if (from !== 'master') gone.set(from.adjustment.id, 'What it brings in is there already.');
    }
    for (const id of gone.keys()) if (!added.some((a) => a.id === id)) gone.delete(id);
    if (gone.size === 0) return { version: made, added, there, unfit };
    drop(gone);
  }
}
