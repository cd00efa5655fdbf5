import type { Id } from '../activity/block';
import { type Family, latest, versionOf } from '../activity/family';
import { freezeForAll } from './held/freeze';
import type { Companion, Frozen, HandOut } from './hand-out';

/**
 * The hand-out with the activities that go with it held fast, those that are not yet, and these. One whose activity is not
 * there any more goes with nothing.
 */
export function withActivities(
  handOut: HandOut,
  families: Readonly<Record<Id, Family>>,
  at: string,
): { handOut: HandOut; frozen: Frozen[] } {
  const frozen: Frozen[] = [];
  const companions = handOut.companions.flatMap((c): Companion[] => {
    if (c.is !== 'activity' || c.frozen) return [c];
    const family = families[c.familyId] as Family | undefined;
    if (!family || (c.versionId !== null && !versionOf(family, c.versionId))) return [];
    const one = freezeForAll(family, c.versionId, at);
    frozen.push(one);
    return [{ ...c, frozen: one.id }];
  });
  return frozen.length || companions.length !== handOut.companions.length
    ? { handOut: { ...handOut, companions }, frozen }
    : { handOut, frozen };
}

/** An activity as a companion, called as it is called itself. */
export const activityBeside = (id: Id, family: Family): Companion => ({
  id,
  is: 'activity',
  title: latest(family).content.title,
  familyId: family.id,
  versionId: null,
  frozen: '',
});
