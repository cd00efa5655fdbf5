import isSame from 'fast-deep-equal';
import { itemsOf } from '../../activity/activity';
import type { Id } from '../../activity/block';
import type { Family } from '../../activity/family';
import type { People } from '../../learners/people';
import { answerIsEmpty } from '../../work/answer';
import { type Copy, copyIdOf } from '../../work/copy';
import { givenTo } from '../give-out';
import { type Frozen, type FrozenById, frozenFor, type Given, type HandOut, type Parts, worksOf } from '../hand-out';
import { changedAfter } from './history';

/** How far the work on a sheet is that another is to be given in place of. */
export type Standing = 'not started' | 'working' | 'submitted';

/** What another sheet means for one piece of work. */
export interface Exchange {
  /** Under whom the work is kept, and who does it. */
  readonly key: Id;
  readonly learnerIds: readonly Id[];
  readonly standing: Standing;
  /** How many questions that were answered ask the same on the other sheet. */
  readonly same: number;
  /** Words of questions that were answered and ask something else there. */
  readonly otherwise: readonly string[];
  /** Words of those that are not there any more. */
  readonly gone: readonly string[];
  /** Ids of both. */
  readonly anew: readonly Id[];
}

/** Whether the answers that are there keep what they answered. */
export const isSafe = (e: Exchange): boolean => e.otherwise.length === 0 && e.gone.length === 0;

/** What becomes of a piece of work where one sheet gives way to another. */
export function exchangeOf(
  work: Pick<Exchange, 'key' | 'learnerIds'>,
  before: Frozen,
  after: Frozen,
  copy: Pick<Copy, 'goes'> | undefined,
): Exchange {
  const go = copy?.goes.at(-1);
  const answered = itemsOf(before.content).filter((i) => !answerIsEmpty(go?.answers[i.id]));
  const there = new Map(itemsOf(after.content).map((i) => [i.id, i]));
  const gone = answered.filter((i) => !there.has(i.id));
  const otherwise = answered.filter((i) => there.has(i.id) && !isSame(i, there.get(i.id)));
  return {
    key: work.key,
    learnerIds: work.learnerIds,
    standing: !go ? 'not started' : go.submittedAt ? 'submitted' : 'working',
    same: answered.length - gone.length - otherwise.length,
    otherwise: otherwise.map((i) => i.prompt),
    gone: gone.map((i) => i.prompt),
    anew: [...otherwise, ...gone].map((i) => i.id),
  };
}

/** What is known of the work on a hand-out: copies by their ids. */
export type CopiesById = Readonly<Record<string, Copy>>;

/** What some pieces of work would get: another version, or (`undefined`) the one they have as it is now. */
export interface Wanted {
  readonly keys: readonly Id[];
  readonly versionId: Id | null | undefined;
}

interface Prepared {
  readonly exchange: Exchange;
  readonly given: Readonly<Record<string, Given>>;
  readonly frozen: Frozen;
  readonly before: Frozen;
}

/** What would become of each piece of work, and what it would get. Who would get what they have is left out. */
export function preparedFor(
  handOut: HandOut,
  family: Family,
  people: People,
  known: FrozenById,
  copies: CopiesById,
  wanted: Wanted,
  at: string,
): Prepared[] {
  const byId = new Map(people.learners.map((l) => [l.id, l]));
  const works = worksOf(handOut);
  // For those who have one version, it is made once.
  const versions = new Map<string, { versionId: Id | null; parts: Parts | undefined; ids: Id[] }>();
  const of = (id: Id) => frozenFor(handOut, known, id);
  for (const key of wanted.keys)
    for (const id of works.get(key) ?? []) {
      const has = known[handOut.given[id]?.frozen ?? ''];
      if (!has) continue;
      const versionId = wanted.versionId === undefined ? has.versionId : wanted.versionId;
      // As it is now, the parts that are of other versions stay so.
      const parts = wanted.versionId === undefined ? has.parts : undefined;
      const name = JSON.stringify([versionId, parts ?? []]);
      const group = versions.get(name) ?? { versionId, parts, ids: [] };
      versions.set(name, group);
      group.ids.push(id);
    }
  const given: Record<string, Given> = {};
  const made: Record<string, Frozen> = {};
  for (const { versionId, parts, ids } of versions.values()) {
    const plan = {
      ...handOut,
      rules: [],
      lines: ids.map((learnerId) => ({ learnerId, versionId, ...(parts ? { parts } : {}) })),
      teams: handOut.teams.map((t) => ({ ...t, versionId })),
    };
    const done = givenTo(
      ids.flatMap((id) => byId.get(id) ?? []),
      { ...plan, learnerIds: ids },
      family,
      people,
      at,
    );
    Object.assign(given, done.given);
    for (const f of done.frozen) made[f.id] = f;
  }
  return wanted.keys.flatMap((key): Prepared[] => {
    const learnerIds = (works.get(key) ?? []).filter((id) => given[id]);
    const [first] = learnerIds;
    const before = first === undefined ? undefined : of(first);
    const frozen = first === undefined ? undefined : frozenFor({ given }, made, first);
    if (first === undefined || !before || !frozen) return [];
    const isTheSame = before.versionId === frozen.versionId && isSame(before.content, frozen.content);
    if (isTheSame) return [];
    return [
      {
        exchange: exchangeOf({ key, learnerIds }, before, frozen, copies[copyIdOf(handOut.id, key)]),
        given: Object.fromEntries(learnerIds.flatMap((id) => (given[id] ? [[id, given[id]]] : []))),
        frozen: made[given[first]?.frozen ?? ''] ?? frozen,
        before,
      },
    ];
  });
}

/** A hand-out in which some have another sheet, the activities that are new with it, and which goes are over. */
export interface GivenAnother {
  readonly handOut: HandOut;
  readonly frozen: readonly Frozen[];
  /** Where another go is asked for: what was done stays on the sheet it was done on. */
  readonly asked: readonly { readonly copyId: string; readonly go: number }[];
}

/**
 * Gives some pieces of work another sheet in the same hand-out. What is not begun is exchanged; so is what is begun and
 * whose answers keep their questions. Of all other work what was done stays as it is, on its own sheet, and another go
 * begins on the new one, with the answers whose questions are the same.
 */
export function giveAnother(
  handOut: HandOut,
  prepared: readonly Prepared[],
  copies: CopiesById,
  at: string,
  says: string,
): GivenAnother {
  const given = { ...handOut.given };
  const asked: { copyId: string; go: number }[] = [];
  for (const { exchange, given: next } of prepared) {
    const copyId = copyIdOf(handOut.id, exchange.key);
    const go = copies[copyId]?.goes.at(-1)?.n;
    const stays = go !== undefined && (exchange.standing === 'submitted' || !isSafe(exchange));
    if (stays) asked.push({ copyId, go });
    for (const [id, g] of Object.entries(next)) {
      const was = given[id];
      const earlier = was?.earlier ?? [];
      const now =
        stays && was
          ? [...earlier, { frozen: was.frozen, ...(was.own ? { own: was.own } : {}), goes: go, at }]
          : earlier;
      given[id] = {
        ...g,
        ...(now.length ? { earlier: now } : {}),
        ...(stays && exchange.anew.length ? { anew: [...exchange.anew] } : {}),
      };
    }
  }
  const version = new Map(prepared.map((p) => [p.exchange.key, p.frozen.versionId]));
  const teams = handOut.teams.map((t) => ({
    ...t,
    versionId: version.has(t.id) ? (version.get(t.id) ?? null) : t.versionId,
  }));
  return {
    handOut: changedAfter(handOut, { given, teams }, at, says),
    frozen: prepared.map((p) => p.frozen).filter((f, i, all) => all.findIndex((x) => x.id === f.id) === i),
    asked,
  };
}

/** The same where only the sheet that was done on is corrected: submitted work whose answers keep their questions stays submitted. */
export const correct = (
  handOut: HandOut,
  prepared: readonly Prepared[],
  copies: CopiesById,
  at: string,
  says: string,
): GivenAnother =>
  giveAnother(
    handOut,
    prepared.map((p) => (isSafe(p.exchange) ? { ...p, exchange: { ...p.exchange, standing: 'working' as const } } : p)),
    copies,
    at,
    says,
  );
