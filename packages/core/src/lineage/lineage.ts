import { findBlock, itemsOf } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Block, isItem, itemRules, wordsOf } from '../activity/blocks';
import { type Family, type Revision, versionTree } from '../activity/family';
import { type Frozen, type HandOut, type LineageStep } from '../assign/hand-out';
import type { Decided, HeldRecord } from '../assign/held/decided';
import { derive, originOf } from '../derive/derive';
import { idsIn, type PackedIds } from '../keep/packed-ids';
import type { Answer } from '../work/answer';
import type { Copy } from '../work/copy';

/** A step of the way, with what was decided about it where that was held fast. */
export interface WayStep extends LineageStep {
  readonly decided: Decided | undefined;
}

/** The way back from a learner's answer to the master's block. */
export interface Lineage {
  readonly answer: Answer | undefined;
  readonly answerWords: string;
  readonly go: number;
  /** The block as the learner had it. */
  readonly asGiven: Block;
  readonly versionId: Id | null;
  readonly versionName: string;
  /** What made it so, nearest the master first. */
  readonly steps: readonly WayStep[];
  /** What was decided about the whole sheet when it was given. */
  readonly record: HeldRecord | undefined;
  /** The master's block in the revision it came from; null where a version added it. */
  readonly master: { readonly revision: Pick<Revision, 'n' | 'at' | 'note'>; readonly block: Block } | null;
  /** Whether the master's block has changed since. */
  readonly changedSince: boolean;
}

/** `frozen` is what the learner of the copy got; undefined where it has no such item. */
export function lineageOf(
  family: Family,
  frozen: Frozen,
  copy: Pick<Copy, 'goes'>,
  itemId: Id,
  go?: number,
): Lineage | undefined {
  const asGiven = findBlock(frozen.content, itemId)?.block;
  if (!asGiven) return undefined;
  const theGo = go === undefined ? copy.goes.at(-1) : copy.goes.find((g) => g.n === go);
  const answer = theGo?.answers[itemId];
  const revision = family.revisions.find((r) => r.n === frozen.revision);
  const block = revision && findBlock(revision.content, itemId)?.block;
  const now = findBlock(derive(family, null).content, itemId)?.block;
  return {
    answer,
    answerWords: answer && isItem(asGiven) ? itemRules(asGiven).answerWords(asGiven, answer) : '',
    go: theGo?.n ?? 0,
    asGiven,
    versionId: frozen.versionId,
    versionName: frozen.versionName,
    steps: (frozen.lineage[itemId] ?? []).map((step) => ({
      ...step,
      decided: frozen.record?.adjustments.find((d) => d.adjustmentId === step.adjustmentId),
    })),
    record: frozen.record,
    master: revision && block ? { revision: { n: revision.n, at: revision.at, note: revision.note }, block } : null,
    changedSince: block !== undefined && JSON.stringify(block) !== JSON.stringify(now),
  };
}

export interface Use {
  readonly versionId: Id;
  readonly versionName: string;
  readonly how: 'as in the master' | 'changed' | 'left out' | 'not in it';
  readonly words: string;
  readonly learnerIds: readonly Id[];
}

/** What is known of a hand-out without opening it: who got which version. */
export type Holders = Pick<HandOut, 'familyId' | 'state'> & {
  readonly holders: readonly { readonly versionId: Id | null; readonly learners: PackedIds }[];
};

/** From a master's block forward: every version that shows, changes or leaves it out, and the learners who were given it. */
export function whereUsed(family: Family, blockId: Id, handOuts: readonly Holders[]): Use[] {
  const steps = whereUsedInSteps(family, blockId, handOuts);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}

/** `whereUsed` in steps of one version: for whoever has something else to do in between. */
export function* whereUsedInSteps(
  family: Family,
  blockId: Id,
  handOuts: readonly Holders[],
): Generator<undefined, Use[]> {
  const uses: Use[] = [];
  const inMaster = findBlock(derive(family, null).whole, blockId) !== undefined;
  for (const { version } of versionTree(family)) {
    const derived = derive(family, version.id);
    const block = findBlock(derived.content, blockId)?.block;
    const touched = originOf(derived, blockId).touched.length > 0;
    uses.push({
      versionId: version.id,
      versionName: version.name,
      // What another version added was never here: it is not left out.
      how: block
        ? touched || !inMaster
          ? 'changed'
          : 'as in the master'
        : inMaster || derived.leftOut.has(blockId)
          ? 'left out'
          : 'not in it',
      words: block ? (wordsOf(block)[0]?.text ?? '') : '',
      learnerIds: learnersWith(handOuts, family.id, version.id),
    });
    yield;
  }
  return uses;
}

/** Learners who were given a version (null: the master), each once. */
export function learnersWith(handOuts: readonly Holders[], familyId: Id, versionId?: Id | null): Id[] {
  const ids = new Set<Id>();
  for (const h of handOuts) {
    if (h.familyId !== familyId || h.state === 'draft') continue;
    for (const held of h.holders)
      if (versionId === undefined || held.versionId === versionId) idsIn(held.learners).forEach((id) => ids.add(id));
  }
  return [...ids];
}

/** The items of all that was given out together, in the master's order, those added by versions at the end. */
export function alignedItems(family: Family, all: readonly Frozen[]): { id: Id; words: string; added: boolean }[] {
  const out = new Map<Id, { id: Id; words: string; added: boolean }>();
  for (const i of itemsOf(derive(family, null).content)) out.set(i.id, { id: i.id, words: i.prompt, added: false });
  const given = new Set<Id>();
  for (const frozen of all)
    for (const i of itemsOf(frozen.content)) {
      given.add(i.id);
      if (!out.has(i.id)) out.set(i.id, { id: i.id, words: i.prompt, added: true });
    }
  return [...out.values()].filter((i) => given.has(i.id));
}
