import { evidenceOf, Gathering, type Period, reachedIn } from '../evidence/gather';
import type { Evidence } from '../evidence/evidence';
import { workKeyOf } from '../assign/hand-out';
import type { Learner, NeedsCard } from '../learners/learner';
import { copyIdOf } from '../work/copy';
import type { Workspace } from '../workspace';

const dayOf = (iso: string): string => iso.slice(0, 10);

/** Evidence of a learner from all that is in a workspace; their card may say something else. */
export function evidenceIn(
  w: Workspace,
  learnerId: string,
  more: { readonly period?: Period; readonly needs?: Partial<NeedsCard> } = {},
): Evidence {
  const known = w.learners[learnerId];
  if (!known) throw new Error(`no learner ${learnerId}`);
  const learner: Learner = { ...known, needs: { ...known.needs, ...more.needs } };
  const period = more.period ?? { from: '', until: '' };
  const works = Object.values(w.handOuts).flatMap((handOut) => {
    const id = copyIdOf(handOut.id, workKeyOf(handOut, learnerId));
    const done = { copy: w.copies[id], marking: w.markings[id] };
    if (!reachedIn(handOut, done, period, dayOf)) return [];
    const family = w.families[handOut.familyId];
    return new Gathering({ handOut, family, frozen: w.frozen }, dayOf).of(learner, done) ?? [];
  });
  const at = '2026-11-24T09:00:00.000Z';
  return evidenceOf({ learner, classes: Object.values(w.classes), period, works, at });
}
