import { findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Block, isItem, itemRules, keyWordsOf, labelOf, wordsOf } from '../activity/blocks';
import { type Family, type Version, versionTree } from '../activity/family';
import { contentAddress } from '../activity/fingerprint';
import { adjustmentKinds, kindOfAdjustment } from '../adjust/registry';
import { type Frozen, type HandOut, workKeyOf } from '../assign/hand-out';
import { derive, originOf } from '../derive/derive';
import { type Copy, type Marking, responseTo } from '../work/copy';
import { markedOne } from '../work/mark/marks-of';
import { shareOf, type Share } from '../helps/figures';
import { whereUsed, type Use } from './lineage';

/** A hand-out that was given, with its sheets and what came back of it, by work. */
export interface WayGiven {
  readonly handOut: HandOut;
  readonly frozen: Readonly<Record<string, Frozen>>;
  readonly works: ReadonlyMap<Id, { readonly copy: Copy | undefined; readonly marking: Marking | undefined }>;
}

/** A form in which a block was given. */
export interface Wording {
  readonly n: number;
  readonly words: string;
  readonly key: string;
  /** Versions that gave it so, by name. */
  readonly versions: readonly string[];
}

/** One adjustment that makes the block what it is in a version. */
export interface WayStep {
  readonly versionId: Id;
  readonly adjustmentId: Id;
  readonly sentence: string;
  readonly kind: string;
  readonly reason: string;
  readonly author: string;
  /** ISO instant. */
  readonly at: string;
}

export interface WayVersion {
  readonly versionId: Id;
  readonly name: string;
  readonly basis: Id | null;
  readonly depth: number;
  readonly how: Use['how'];
  readonly words: string;
  readonly steps: readonly WayStep[];
}

export interface WayHandOut {
  readonly id: Id;
  readonly title: string;
  readonly givenAt: string;
  /** The versions that brought the block, the master as null. */
  readonly versionIds: readonly (Id | null)[];
  readonly learners: number;
  readonly reached: Share | null;
  /** Answers that the teacher accepted there besides the key, in words. */
  readonly accepted: readonly string[];
}

/** One learner's sheet that has the block: in which wording, and how it went. */
export interface HadIt {
  readonly learnerId: Id;
  readonly handOutId: Id;
  readonly title: string;
  /** ISO instant at which it was given. */
  readonly givenAt: string;
  readonly versionId: Id | null;
  readonly versionName: string;
  readonly revision: number;
  /** Address of the sheet. */
  readonly sheet: string;
  readonly wording: number;
  readonly stage: 'not begun' | 'begun' | 'submitted';
  readonly answer: string;
  /** What was reached, from 0 to 1; null where nothing is marked, or nothing is asked. */
  readonly reached: number | null;
}

/** The whole way of a block: where it comes from, what became of it, and who has had it. */
export interface BlockWay {
  readonly familyId: Id;
  readonly blockId: Id;
  readonly activity: string;
  readonly label: string;
  readonly isItem: boolean;
  readonly words: string;
  readonly key: string;
  readonly objective: string;
  /** Assets that it shows. */
  readonly assetIds: readonly string[];
  /** Revisions of the master in which it came or became another; none where a version added it. */
  readonly revisions: readonly {
    readonly n: number;
    readonly at: string;
    readonly note: string;
    readonly author: string;
    /** False where it was taken out. */
    readonly isThere: boolean;
    readonly words: string;
    readonly key: string;
  }[];
  readonly isInMaster: boolean;
  readonly versions: readonly WayVersion[];
  readonly wordings: readonly Wording[];
  readonly handOuts: readonly WayHandOut[];
  readonly had: readonly HadIt[];
}

const said = (b: Block): string =>
  wordsOf(b)
    .map((w) => w.text)
    .filter(Boolean)
    .join(' · ');
const keyOf = (b: Block): string => keyWordsOf(b).join(', ');

/** The whole way of a block, from the master to answers; undefined where neither the family nor a sheet has it. */
export function wayOf(family: Family, blockId: Id, given: readonly WayGiven[]): BlockWay | undefined {
  const wordings = new Wordings();
  const had = given.flatMap((g) => hadIn(g, blockId, wordings));
  const master = findBlock(derive(family, null).whole, blockId)?.block;
  const versions = versionsWith(family, blockId);
  const shown = versions.find((v) => v.words);
  const block = master ?? firstIn(family, versions, blockId) ?? wordings.first();
  if (!block) return undefined;
  const objectiveId = isItem(block) ? block.objectiveId : undefined;
  const { content } = derive(family, shown?.versionId ?? null);
  return {
    ...{ familyId: family.id, blockId, activity: content.title, label: labelOf(block), isItem: isItem(block) },
    ...{ words: said(block), key: keyOf(block) },
    objective: content.objectives.find((o) => o.id === objectiveId)?.text ?? '',
    assetIds: assetsIn(block),
    revisions: revisionsOf(family, blockId),
    isInMaster: master !== undefined,
    versions,
    wordings: wordings.all(),
    handOuts: given.flatMap(({ handOut }) => handOutWith(handOut, had, block) ?? []),
    had,
  };
}

const assetsIn = (b: Block): string[] => [...new Set(JSON.stringify(b).match(/sha256-[0-9a-f]{64}/g) ?? [])];

function firstIn(family: Family, versions: readonly WayVersion[], blockId: Id): Block | undefined {
  for (const v of versions) {
    const block = findBlock(derive(family, v.versionId).content, blockId)?.block;
    if (block) return block;
  }
  return undefined;
}

function revisionsOf(family: Family, blockId: Id): BlockWay['revisions'] {
  let last = '';
  return family.revisions.flatMap(({ n, at, note, author, content }) => {
    const block = findBlock(content, blockId)?.block;
    const address = block ? contentAddress(block) : '';
    const isOther = address !== last;
    last = address;
    if (!isOther) return [];
    return [
      {
        ...{ n, at, note, author, isThere: block !== undefined },
        ...{ words: block ? said(block) : '', key: block ? keyOf(block) : '' },
      },
    ];
  });
}

function versionsWith(family: Family, blockId: Id): WayVersion[] {
  const uses = new Map(whereUsed(family, blockId, []).map((u) => [u.versionId, u]));
  return versionTree(family).flatMap(({ version, depth }): WayVersion[] => {
    const use = uses.get(version.id);
    if (!use || use.how === 'not in it') return [];
    return [
      {
        ...{ versionId: version.id, name: version.name, basis: version.basis, depth, how: use.how, words: use.words },
        steps: stepsOn(family, version, blockId),
      },
    ];
  });
}

/** What this version itself does to the block. */
function stepsOn(family: Family, version: Version, blockId: Id): WayStep[] {
  const derived = derive(family, version.id);
  const { from, touched } = originOf(derived, blockId);
  const leftOut = derived.leftOut.get(blockId);
  const all = [...(from === 'master' ? [] : [from]), ...touched, ...(leftOut ? [leftOut] : [])];
  const basis = derive(family, version.basis).content;
  return [...new Set(all.filter((t) => t.versionId === version.id).map((t) => t.adjustment))].map((a) => ({
    versionId: version.id,
    adjustmentId: a.id,
    sentence: kindOfAdjustment(a).describe(a, basis),
    kind: adjustmentKinds[a.kind].label,
    reason: a.reason?.text ?? '',
    ...{ author: a.author, at: a.at },
  }));
}

/** Forms in which a block was given, each once, numbered from 1 as they came. */
class Wordings {
  private readonly byAddress = new Map<string, { n: number; block: Block; versions: Set<string> }>();

  numberOf(block: Block, versionName: string): number {
    const address = contentAddress(block);
    let one = this.byAddress.get(address);
    if (!one) this.byAddress.set(address, (one = { n: this.byAddress.size + 1, block, versions: new Set() }));
    one.versions.add(versionName);
    return one.n;
  }
  first(): Block | undefined {
    return [...this.byAddress.values()][0]?.block;
  }
  all(): Wording[] {
    return [...this.byAddress.values()].map(({ n, block, versions }) => ({
      ...{ n, words: said(block), key: keyOf(block), versions: [...versions] },
    }));
  }
}

/** Every learner's sheet of a hand-out that has the block; also those that were given before another one. */
function hadIn({ handOut, frozen, works }: WayGiven, blockId: Id, wordings: Wordings): HadIt[] {
  return Object.entries(handOut.given).flatMap(([learnerId, given]): HadIt[] => {
    const work = works.get(workKeyOf(handOut, learnerId));
    const goes = work?.copy?.goes ?? [];
    let from = 0;
    const sheets = [...(given.earlier ?? []), { ...given, goes: Infinity, at: '' }];
    return sheets.flatMap((sheet): HadIt[] => {
      const [first, last] = [from, sheet.goes];
      from = sheet.goes;
      const shared = frozen[sheet.frozen];
      const base = shared && findBlock(shared.content, blockId)?.block;
      if (!shared || !base) return [];
      const block = sheet.own?.find((o) => o.block.id === blockId)?.block ?? base;
      const go = goes.findLast((g) => g.n > first && g.n <= last);
      const mark =
        isItem(block) && go
          ? markedOne(block, go.answers[blockId], responseTo(work?.marking, go.n), handOut.accepted)
          : undefined;
      const answer = mark?.answer;
      return [
        {
          ...{ learnerId, handOutId: handOut.id, title: handOut.title, givenAt: handOut.givenAt ?? '' },
          ...{ versionId: shared.versionId, versionName: shared.versionName, revision: shared.revision },
          sheet: shared.id,
          // A name that is filled in makes no other wording.
          wording: wordings.numberOf(base, shared.versionName),
          stage: go?.submittedAt ? 'submitted' : go ? 'begun' : 'not begun',
          answer:
            mark && answer && !itemRules(mark.item).isEmpty(answer)
              ? itemRules(mark.item).answerWords(mark.item, answer)
              : '',
          reached:
            mark && go?.submittedAt && mark.mark.verdict !== 'yours' && mark.mark.outOf > 0
              ? mark.mark.points / mark.mark.outOf
              : null,
        },
      ];
    });
  });
}

function handOutWith(
  { id, title, givenAt, accepted = [] }: HandOut,
  all: readonly HadIt[],
  block: Block,
): WayHandOut | undefined {
  const had = all.filter((h) => h.handOutId === id);
  if (!had.length) return undefined;
  const reached = had.flatMap((h) => h.reached ?? []);
  return {
    ...{ id, title, givenAt: givenAt ?? '' },
    versionIds: [...new Set(had.map((h) => h.versionId))],
    learners: new Set(had.map((h) => h.learnerId)).size,
    reached: reached.length ? shareOf(reached) : null,
    accepted: isItem(block)
      ? accepted.filter((a) => a.itemId === block.id).map((a) => itemRules(block).answerWords(block, a.answer))
      : [],
  };
}
