import type { Id } from '../../activity/block';
import type { Roster, RosterLearner } from './roster';
import { EMPTY_NEEDS, type Learner, NO_PERSON } from '../../learners/learner';
import { NEW_CLASS, type People, type SchoolClass } from '../../learners/people';
import { ROSTER_ID, type RosterReading } from '../../learners/roster-reading';

/** Somebody on the school's list, and what it changes for them. Names of classes are the school's. */
export interface RosterChange {
  readonly rosterId: string;
  readonly learnerId: Id | null;
  readonly name: string;
  readonly from: readonly string[];
  readonly to: readonly string[];
}

/** What the school's list changes here. Nobody is ever removed: who left is in no class of it any more. */
export interface RosterChanges {
  readonly newClasses: readonly string[];
  readonly came: readonly RosterChange[];
  readonly left: readonly RosterChange[];
  readonly moved: readonly RosterChange[];
  readonly renamed: readonly { readonly from: string; readonly to: string }[];
  /** Classes that were followed and are not on the list any more: they stay as they are. */
  readonly gone: readonly string[];
  /** Learners who were here and are known to be those on the list, by class and name. */
  readonly recognised: readonly string[];
}

export interface RosterTaken {
  readonly changes: RosterChanges;
  /** Records as they are to be kept: those that changed or are new. */
  readonly learners: readonly Learner[];
  readonly classes: readonly SchoolClass[];
  readonly reading: RosterReading;
}

const alike = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * What follows of the school's list for the classes that are followed (`chosen`, by the school's ids). Those who are
 * here are known by the school's id, or, the first time, by class and name. What the teacher changed by hand stays where
 * the list says what it said at the last reading.
 * @param at ISO instant of the reading; `from` says where the list came from.
 */
export function takeRoster(
  roster: Roster,
  chosen: ReadonlySet<string>,
  people: People,
  last: RosterReading | undefined,
  { at, from, newId }: { readonly at: string; readonly from: string; readonly newId: () => Id },
): RosterTaken {
  const followed = roster.classes.filter((c) => chosen.has(c.rosterId));
  const said = new Map(last?.classes.map((c) => [c.rosterId, c]));
  const learnerBy = new Map(people.learners.flatMap((l) => (l.rosterId ? [[l.rosterId, l]] : [])));
  const classBy = new Map(people.classes.flatMap((c) => (c.rosterId ? [[c.rosterId, c]] : [])));
  const learners = new Map<Id, Learner>();
  const classes = new Map<Id, SchoolClass>();
  const newClasses: string[] = [];
  const renamed: { from: string; to: string }[] = [];
  const recognised: string[] = [];
  const fresh = new Set<string>();
  const byId = new Map(people.learners.map((l) => [l.id, l]));

  for (const c of followed) {
    const here = classBy.get(c.rosterId) ?? people.classes.find((x) => !x.rosterId && alike(x.name, c.name));
    if (here) {
      // A name that the teacher gave stays, where the school's did not change.
      const was = said.get(c.rosterId)?.name;
      const name = was !== undefined && was !== c.name ? c.name : here.name;
      if (name !== here.name) renamed.push({ from: here.name, to: name });
      classes.set(here.id, { ...here, name, rosterId: c.rosterId });
      classBy.set(c.rosterId, here);
    } else {
      const made = { ...NEW_CLASS, id: newId(), name: c.name, rosterId: c.rosterId };
      newClasses.push(c.name);
      classes.set(made.id, made);
      classBy.set(c.rosterId, made);
    }
  }
  const homeOf = (rosterId: string) => classes.get(classBy.get(rosterId)?.id ?? '');

  const person = (r: RosterLearner, home: SchoolClass): Learner => {
    const known = learnerBy.get(r.rosterId);
    if (known) {
      const was = last?.names[r.rosterId];
      const name = was !== undefined && was !== r.name ? r.name : known.name;
      if (name !== known.name) renamed.push({ from: known.name, to: name });
      return { ...known, name, birthday: known.birthday || r.birthday, chosenName: known.chosenName || r.called };
    }
    const same = home.learnerIds
      .flatMap((id) => byId.get(id) ?? [])
      .find((l) => !l.rosterId && alike(l.name, r.name) && (!l.birthday || !r.birthday || l.birthday === r.birthday));
    if (same) {
      recognised.push(same.name);
      return { ...same, rosterId: r.rosterId, birthday: same.birthday || r.birthday };
    }
    fresh.add(r.rosterId);
    const { rosterId, name, called, birthday } = r;
    return { ...NO_PERSON, id: newId(), name, chosenName: called, birthday, rosterId, needs: EMPTY_NEEDS };
  };
  const before = new Map(people.classes.map((c) => [c.id, new Set(c.learnerIds)]));
  for (const c of followed) {
    const home = homeOf(c.rosterId);
    if (!home) continue;
    const then = new Set(said.get(c.rosterId)?.members);
    let { learnerIds } = home;
    for (const rosterId of c.members) {
      const r = roster.learners.get(rosterId);
      if (!r) continue;
      const known = learnerBy.get(rosterId);
      const l = known && learners.has(known.id) ? known : person(r, home);
      learners.set(l.id, l);
      learnerBy.set(rosterId, l);
      // Taken out by hand since: out, until the list says something new.
      if (!learnerIds.includes(l.id) && !then.has(rosterId)) learnerIds = [...learnerIds, l.id];
    }
    const now = new Set(c.members);
    const gone = new Set([...then].filter((id) => !now.has(id)).flatMap((id) => learnerBy.get(id)?.id ?? []));
    if (gone.size) learnerIds = learnerIds.filter((id) => !gone.has(id));
    classes.set(home.id, { ...home, learnerIds });
  }

  const inOld = (id: Id) =>
    people.classes.filter((c) => before.get(c.id)?.has(id) && classes.has(c.id)).map((c) => c.name);
  const inNew = (id: Id) => [...classes.values()].filter((c) => c.learnerIds.includes(id)).map((c) => c.name);
  const rosterIdOf = new Map([...learnerBy].map(([rosterId, l]) => [l.id, rosterId]));
  const touched = new Set([...learners.keys(), ...[...classes.values()].flatMap((c) => [...(before.get(c.id) ?? [])])]);
  const changes = [...touched].flatMap((id): (RosterChange & { kind: 'came' | 'left' | 'moved' })[] => {
    const rosterId = rosterIdOf.get(id);
    const l = learners.get(id) ?? byId.get(id);
    if (!rosterId || !l) return [];
    const [old, now] = [inOld(id), inNew(id)];
    const change = { rosterId, learnerId: byId.has(id) ? id : null, name: l.name, from: old, to: now };
    if (fresh.has(rosterId)) return [{ ...change, kind: 'came' }];
    if (old.length === now.length && old.every((n, i) => n === now[i])) return [];
    const names = new Set(renamed.map((r) => r.to));
    if (old.length === now.length && now.every((n, i) => n === old[i] || names.has(n))) return [];
    return [{ ...change, kind: now.length === 0 ? 'left' : old.length === 0 ? 'came' : 'moved' }];
  });
  const of = (kind: 'came' | 'left' | 'moved') =>
    changes
      .filter((c) => c.kind === kind)
      .map(({ kind: _, ...c }) => c)
      .sort((a, b) => a.name.localeCompare(b.name));
  const listed = new Set(roster.classes.map((c) => c.rosterId));
  const gone = (last?.classes ?? []).filter((c) => !listed.has(c.rosterId)).map((c) => c.name);
  const isOther = <T>(now: T, old: T | undefined) => JSON.stringify(now) !== JSON.stringify(old);
  return {
    changes: { newClasses, came: of('came'), left: of('left'), moved: of('moved'), renamed, gone, recognised },
    learners: [...learners.values()].filter((l) => isOther(l, byId.get(l.id))),
    classes: [...classes.values()].filter((c) =>
      isOther(
        c,
        people.classes.find((x) => x.id === c.id),
      ),
    ),
    reading: {
      id: ROSTER_ID,
      readAt: at,
      from: from.slice(0, 200),
      classes: followed.map(({ rosterId, name, members }) => ({ rosterId, name, members: [...members] })),
      names: Object.fromEntries(
        followed.flatMap((c) => c.members.map((id) => [id, roster.learners.get(id)?.name ?? ''])),
      ),
    },
  };
}
