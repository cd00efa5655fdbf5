import { findBlock, type Page } from '../activity/activity';
import type { Block } from '../activity/blocks';
import { type Family, latest, type Version } from '../activity/family';
import { type Draft, isDraft, type Proposal } from '../adjust/drafts';
import { recordInPlace } from '../adjust/record';
import { AUTHOR, type Clock } from './build';

/** Further work on the demo's versions, done after some of it was given out, as a teacher goes on with it. */
export class Later {
  private n = 0;
  constructor(private readonly clock: Clock) {}

  readonly newId = (): string => `later-${++this.n}`;

  /** Records drafts as one act; a proposal that says why not would be a mistake in the demo. */
  change(family: Family, versionId: string, proposals: readonly Proposal[], reason: string, name?: string): Family {
    const drafts = proposals.map((p): Draft => {
      if (!isDraft(p)) throw new Error(`The demo's ${versionId}: ${p.why}`);
      return { ...p, reason: { text: reason } };
    });
    const stamp = { at: this.clock.iso(-1), author: AUTHOR, newId: this.newId };
    const version = recordInPlace(family, versionId, { did: 'adjust', drafts, ...(name ? { name } : {}) }, stamp);
    return { ...family, versions: family.versions.map((v) => (v.id === versionId ? version : v)) };
  }
}

/** A version with nothing adjusted yet. */
export const freshVersion = (
  family: Family,
  made: Pick<Version, 'id' | 'name' | 'swatch' | 'purpose'> & Partial<Pick<Version, 'learnerId'>>,
): Version => ({ ...made, basis: null, upTo: latest(family).n, adjustments: [], upkeepLog: [] });

export const blockIn = (f: Family, id: string): Block => {
  const found = findBlock(latest(f).content, id)?.block;
  if (!found) throw new Error(`The demo lacks ${id}`);
  return found;
};

export const pageIn = (f: Family, id: string): Page => {
  const found = latest(f).content.pages.find((p) => p.id === id);
  if (!found) throw new Error(`The demo lacks ${id}`);
  return found;
};
