import type { Id } from '../activity/block';
import type { Family } from '../activity/family';
import { albumOf } from '../assign/album-of';
import { answersFor, type Frozen, type HandOut, workKeyOf, worksOf } from '../assign/hand-out';
import { datesFor, type LearnerDates, SCHOOL_ID } from '../assign/dates';
import { flapsOf, keysFor, type LearnerSheet, learnerSheet } from '../assign/learner-sheet';
import { noticed, NOTHING_SAID, slipped } from '../assign/slip';
import isSame from 'fast-deep-equal';
import type { Comfort, Tools } from '../learners/comfort';
import type { Learner } from '../learners/learner';
import { EXTRA_TIME } from '../learners/supports';
import type { SchoolClass } from '../learners/people';
import { type Copy, decisionsOf } from '../work/copy';
import { saidOf } from '../work/said';
import { decidedOn, type RecordChange, workPatches } from './work-changes';
import { type CollectionName, COLLECTIONS, emptyIndex, isRemoved, listOf } from '../collections';
import type { Workspace } from '../workspace';
import { type HandOutHead, holdersOf } from './head-parts';
import { familyHead, handOutHead } from './heads';
import { type Index, type IndexPatch, patchedIndex } from './index-parts';
import type { Removed } from './removed';

type Known = { readonly [C in Exclude<CollectionName, 'assets'>]: Workspace[C] };

/**
 * What changes of records ask of the index. `w` is what is known after the changes: it must hold the records that the
 * changed ones speak of (the hand-out and the frozen activities of what was given, the marking of a copy). `index` is
 * what is known of it before.
 */
export function indexChanges(
  changes: readonly RecordChange[],
  w: Known,
  index: Pick<Index, 'slips'> = { slips: {} },
): IndexPatch[] {
  const out: IndexPatch[] = [];
  const was = new Map(changes.map((c) => [`${c.collection}/${c.id}`, c.before]));
  const before = <T>(collection: CollectionName, id: string, now: T | undefined): T | undefined => {
    const key = `${collection}/${id}`;
    return was.has(key) ? (was.get(key) as T | undefined) : now;
  };
  const copies = new Set<string>();
  const handOuts = new Set<string>();
  const families = new Set<string>();
  let door = false;
  for (const c of changes)
    switch (c.collection) {
      case 'families':
        families.add(c.id);
        break;
      case 'handOuts':
        handOuts.add(c.id);
        break;
      case 'copies':
      case 'markings':
        copies.add(c.id);
        break;
      case 'learners': {
        door = true;
        const [was, is] = [c.before as Learner | undefined, c.after as Learner | undefined];
        const { comfort, tools } = startOf(is);
        if (!isSame(startOf(was), { comfort, tools })) out.push({ in: 'slips', id: c.id, comfort, tools });
        break;
      }
      case 'classes':
        door = true;
        break;
      case 'removed': {
        const r = (c.after ?? c.before) as Removed;
        if (r.what === 'hand-out') handOuts.add(r.target);
        if (r.what === 'activity') families.add(r.target);
        break;
      }
      default:
    }
  for (const id of families) {
    const family = isRemoved(w.removed, 'activity', id) ? undefined : (w.families[id] as Family | undefined);
    out.push({ in: 'familyHeads', id, put: family ? familyHead(family) : null });
  }
  const days = w.calendars[SCHOOL_ID];
  const datesOf = (handOut: HandOut, learnerId: string): LearnerDates | undefined => {
    const learner = w.learners[learnerId] as Learner | undefined;
    return learner && datesFor(handOut, learner, days);
  };
  const sheets = new Map<string, LearnerSheet>();
  const keys = new Set<string>();
  const sheetOf = (frozen: Frozen): LearnerSheet => {
    let sheet = sheets.get(frozen.id);
    if (sheet) return sheet;
    sheets.set(frozen.id, (sheet = learnerSheet(frozen)));
    out.push({ in: 'sheets', id: frozen.id, put: sheet });
    const flaps = flapsOf(frozen);
    if (Object.keys(flaps.under).length) out.push({ in: 'flaps', id: frozen.id, put: flaps });
    return sheet;
  };
  for (const id of handOuts) {
    const now = w.handOuts[id] as HandOut | undefined;
    const shown = isRemoved(w.removed, 'hand-out', id) ? undefined : now;
    out.push({ in: 'handOutHeads', id, put: shown ? handOutHead(shown, w.frozen) : null });
    const then = before<HandOut>('handOuts', id, now);
    const works = shown ? worksOf(shown) : new Map<string, string[]>();
    const nameOf = (l: string) => (w.learners[l] as Learner | undefined)?.name ?? '';
    if (shown?.place || then?.place)
      out.push({ in: 'albums', id, put: shown ? albumOf(shown, w.learners, listOf(w.classes), w.frozen) : null });
    for (const c of shown?.companions ?? []) {
      const beside = c.is === 'activity' ? (w.frozen[c.frozen] as Frozen | undefined) : undefined;
      if (beside) sheetOf(beside);
    }
    for (const learnerId of new Set([...Object.keys(then?.given ?? {}), ...Object.keys(shown?.given ?? {})])) {
      const given = shown?.given[learnerId];
      const frozen = given && (w.frozen[given.frozen] as Frozen | undefined);
      if (shown && !shown.isHidden && given && shown.kind !== 'work') {
        out.push({ in: 'slips', id: learnerId, works: { [id]: noticed(shown, datesOf(shown, learnerId)) } });
        continue;
      }
      if (!shown || shown.isHidden || !given || !frozen) {
        out.push({ in: 'slips', id: learnerId, works: { [id]: null } });
        continue;
      }
      const sheet = sheetOf(frozen);
      for (const e of given.earlier ?? []) {
        const before = w.frozen[e.frozen] as Frozen | undefined;
        if (before) sheetOf(before);
      }
      const answersAt = answersFor(shown, learnerId);
      if (answersAt && !keys.has(frozen.id)) {
        keys.add(frozen.id);
        out.push({ in: 'keys', id: frozen.id, put: keysFor(frozen) });
      }
      const key = workKeyOf(shown, learnerId);
      const copyId = `${id}.${key}`;
      copies.add(copyId);
      const marking = w.markings[copyId];
      const said = marking ? { said: { [id]: saidOf(marking) } } : {};
      const mates = given.shares ? (works.get(key) ?? []).filter((l) => l !== learnerId) : [];
      out.push({
        in: 'slips',
        id: learnerId,
        works: {
          [id]: slipped(shown, given, sheet, {
            dates: datesOf(shown, learnerId),
            answersAt,
            ...(given.shares
              ? {
                  together: {
                    team: shown.teams.find((t) => t.id === given.shares)?.name ?? 'Everybody',
                    mates: mates.map(nameOf),
                    mateIds: mates,
                  },
                }
              : {}),
          }),
        },
        ...said,
      });
    }
    if (!now) out.push(...[...goneFrom(then)].map((l): IndexPatch => ({ in: 'states', id, set: { [l]: null } })));
  }
  // Where the marking is not at hand, as at the desk, what was decided stands on the slip.
  const decided = (copy: Copy) =>
    was.has(`markings/${copy.id}`) || copy.id in w.markings
      ? decisionsOf(w.markings[copy.id])
      : decidedOn(index.slips, copy);
  out.push(...workPatches(copies, (id) => before<Copy>('copies', id, undefined), decided, w));
  for (const id of copies) {
    const marking = w.markings[id];
    const known = (w.copies[id] as Copy | undefined) ?? before<Copy>('copies', id, undefined);
    if (known && was.has(`markings/${id}`)) {
      const { handOutId, learnerId } = known;
      const said = marking ? saidOf(marking) : NOTHING_SAID;
      const handOut = w.handOuts[handOutId] as HandOut | undefined;
      const those = (handOut && worksOf(handOut).get(learnerId)) ?? [learnerId];
      for (const l of those) out.push({ in: 'slips', id: l, said: { [handOutId]: said } });
    }
  }
  if (door) out.push({ in: 'door', id: 'door', put: { id: 'door', classes: doorOf(listOf(w.classes), w.learners) } });
  return out;
}

/**
 * Parts of the index that say something else after these changes, though nothing of their hand-outs changed: dates, where
 * more time is agreed for a learner or the days of school are others; names, where others read them beside their work.
 */
export function partsToRemake(
  changes: readonly RecordChange[],
  w: Pick<Known, 'learners'>,
  heads: Readonly<Record<Id, HandOutHead>>,
): { kind: 'slips' | 'albums'; id: Id }[] {
  const slips = new Set<Id>();
  const albums = new Set<Id>();
  const named = new Set<Id>();
  let classes = false;
  const hasMore = (l: Learner | undefined) => l?.needs.supports.filter((s) => s.what === EXTRA_TIME) ?? [];
  for (const c of changes) {
    if (c.collection === 'learners') {
      const [was, is] = [c.before as Learner | undefined, c.after as Learner | undefined];
      if (was && is && !isSame(hasMore(was), hasMore(is))) slips.add(c.id);
      if (was && is && was.name !== is.name) named.add(c.id);
    }
    if (c.collection === 'classes') classes = true;
    if (c.collection === 'calendars') for (const l of listOf(w.learners)) if (hasMore(l).length) slips.add(l.id);
  }
  if (named.size || classes)
    for (const h of Object.values(heads)) {
      const isAlbum = h.way === 'place-each';
      if (h.state !== 'given' || (!isAlbum && h.shared.length === 0)) continue;
      const holders = holdersOf(h);
      const isNamed = holders.some((id) => named.has(id));
      if (isAlbum && (isNamed || classes)) albums.add(h.id);
      else if (isNamed) for (const id of holders) slips.add(id);
    }
  return [
    ...[...slips].map((id) => ({ kind: 'slips' as const, id })),
    ...[...albums].map((id) => ({ kind: 'albums' as const, id })),
  ];
}

/** How the desk begins for a learner, and what of it is settled. */
const startOf = (learner: Learner | undefined): { comfort: Comfort | null; tools: Tools } => ({
  comfort: learner?.needs.comfort ?? null,
  tools: learner?.needs.tools ?? {},
});

const goneFrom = (h: HandOut | undefined): Set<string> => new Set(Object.keys(h?.given ?? {}));

const doorOf = (classes: readonly SchoolClass[], learners: Readonly<Record<string, Learner>>) =>
  classes.map((c) => ({
    id: c.id,
    name: c.name,
    learners: c.learnerIds.flatMap((id) => {
      const l = learners[id];
      return l ? [{ id: l.id, name: l.name }] : [];
    }),
  }));

/** The index of a whole workspace. */
export function indexOf(w: Workspace): Index {
  const all = COLLECTIONS.filter((c) => c !== 'assets').flatMap((collection) =>
    Object.entries(w[collection]).map(([id, after]): RecordChange => ({ collection, id, before: undefined, after })),
  );
  return patchedIndex(emptyIndex(), indexChanges(all, w));
}
