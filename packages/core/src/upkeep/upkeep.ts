import { blocksOf, type Content, findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { wordsOf } from '../activity/blocks';
import { type Family, latest, type Version, versionOf, versionTree } from '../activity/family';
import { contentAddress } from '../activity/fingerprint';
import type { Choice, Review, ReviewContext, Reviewing } from '../adjust/adjustment';
import { snippet } from '../adjust/adjustment';
import { type Adjustment, kindOfAdjustment } from '../adjust/registry';
import { Sheet } from '../adjust/sheet';
import { derive, inForce, onceOn } from '../derive/derive';

/** What the master's change asks of one adjustment of one version. */
export interface UpkeepEntry {
  readonly versionId: Id;
  readonly adjustmentId: Id;
  readonly outcome: 'carried' | 'to-decide' | 'lost';
  readonly target: Id;
  readonly why: string;
  /** What the change is about, as in the master: for the heading of its group. */
  readonly about: string;
  /** Entries with the same key ask the same question: the same master's change of the same place. */
  readonly groupKey: string;
  readonly old: string;
  readonly master: string;
  readonly version: string;
  readonly proposed: string;
  readonly choices: readonly Choice<Adjustment>[];
  /** Whether the teacher may answer with words of their own. */
  readonly ownWords: boolean;
  /** The page it stood on, where the master no longer has it: all that stood there asks one question. */
  readonly cutPage?: Id;
}

export interface UpkeepReport {
  readonly from: number;
  readonly to: number;
  readonly masterChanges: readonly MasterChange[];
  readonly entries: readonly UpkeepEntry[];
  /** Number of adjustments the change did not concern, per version. */
  readonly untouched: ReadonlyMap<Id, number>;
}

export interface MasterChange {
  readonly id: Id;
  readonly how: 'added' | 'changed' | 'taken out' | 'moved';
  readonly what: string;
}

export const waits = (e: UpkeepEntry): boolean => e.outcome !== 'carried';

/** What differs between two contents of one master, block by block, in words. */
export function masterChanges(before: Content, after: Content): MasterChange[] {
  if (before === after) return [];
  const changes: MasterChange[] = [];
  const name = (c: Content, id: Id) => {
    const block = findBlock(c, id)?.block;
    return snippet(block ? (wordsOf(block)[0]?.text ?? '') : (c.pages.find((p) => p.id === id)?.title ?? ''), 70);
  };
  const pagesBefore = new Set(before.pages.map((p) => p.id));
  const pagesAfter = new Set(after.pages.map((p) => p.id));
  for (const p of after.pages)
    if (!pagesBefore.has(p.id)) changes.push({ id: p.id, how: 'added', what: `page “${p.title}”` });
  for (const p of before.pages)
    if (!pagesAfter.has(p.id)) changes.push({ id: p.id, how: 'taken out', what: `page “${p.title}”` });
  const old = new Map([...blocksOf(before)].map(({ block, page }) => [block.id, { block, page: page.id }]));
  const seen = new Set<Id>();
  for (const { block, page } of blocksOf(after)) {
    seen.add(block.id);
    const was = old.get(block.id);
    if (!was) changes.push({ id: block.id, how: 'added', what: name(after, block.id) });
    else if (was.block !== block && contentAddress(was.block) !== contentAddress(block))
      changes.push({ id: block.id, how: 'changed', what: name(after, block.id) });
    else if (was.page !== page.id) changes.push({ id: block.id, how: 'moved', what: name(after, block.id) });
  }
  // What went with its page is said by the page.
  for (const [id, was] of old)
    if (!seen.has(id) && pagesAfter.has(was.page)) changes.push({ id, how: 'taken out', what: name(before, id) });
  return changes;
}

interface Reviewed {
  readonly entries: readonly UpkeepEntry[];
  readonly untouched: number;
}

/** Reviews a version: once for as long as it and its basis stay the same, so that an edit of one reviews one. */
function reviewVersion(family: Family, version: Version, context: ReviewContext): Reviewed {
  const basis = derive(family, version.basis);
  const work = () => reviewOn(basis.whole, version, reviewing(family, version, context));
  // What follows another activity depends on that one too.
  const alone = !version.adjustments.some((a) => a.kind === 'from-activity');
  return alone ? onceOn(basis, version, 'reviewed ', work) : work();
}

function reviewing(family: Family, version: Version, context: ReviewContext): Reviewing {
  let reworded: Set<string> | undefined;
  // Few reviews ask for it.
  const rewordedIn = () =>
    new Set(
      version.adjustments.flatMap((a) => {
        if (a.kind === 'reword-instructions') return [`${a.target} text`];
        return 'field' in a ? [`${a.target} ${a.field}`] : [];
      }),
    );
  return {
    ...context,
    before: family.revisions.find((r) => r.n === version.upTo)?.content,
    rewords: (target, field) => (reworded ??= rewordedIn()).has(`${target} ${field}`),
  };
}

/** Reviews the adjustments of a version against what it is made on now, each after those before it. */
function reviewOn(basis: Content, version: Version, context: Reviewing): Reviewed {
  const sheet = new Sheet(basis);
  const entries: UpkeepEntry[] = [];
  let untouchedCount = 0;
  for (const a of version.adjustments) {
    const kind = kindOfAdjustment(a);
    const review: Review<Adjustment> = kind.review(a, sheet, context);
    if (review.outcome === 'untouched') untouchedCount++;
    else entries.push(entryOf(version, a, review, sheet, kind.withWords !== undefined));
    if (!kind.inPlace && inForce(a, undefined)) for (const e of kind.apply(a, sheet, {}).edits) sheet.apply(e);
  }
  return { entries, untouched: untouchedCount };
}

function entryOf(
  version: Version,
  a: Adjustment,
  review: Exclude<Review<Adjustment>, { outcome: 'untouched' }>,
  sheet: Sheet,
  canReword: boolean,
): UpkeepEntry {
  const block = sheet.block(review.target);
  const about = snippet(block ? (wordsOf(block)[0]?.text ?? '') : (sheet.page(review.target)?.title ?? ''), 90);
  const carried = review.outcome === 'carried';
  // Written out: spreading costs more here than all the rest, and there may be thousands.
  return {
    versionId: version.id,
    adjustmentId: a.id,
    outcome: review.outcome,
    target: review.target,
    why: review.why,
    about: about || (carried ? '' : snippet(review.old || review.version, 90)),
    groupKey: carried
      ? ''
      : `${review.outcome}\u0000${review.target}\u0000${review.field ?? ''}\u0000${review.old}\u0000${review.master}`,
    old: carried ? '' : review.old,
    master: carried ? '' : review.master,
    version: carried ? '' : review.version,
    proposed: carried ? '' : review.proposed,
    choices: carried
      ? [{ choice: 'combined', label: 'Carried over', result: review.result, also: review.also ?? [] }]
      : review.choices,
    ownWords: review.outcome === 'to-decide' && canReword,
  };
}

/**
 * What the step from revision `from` to the latest asks of every version and adjustment. Adjustments hold what their
 * target looked like when they were written, so steps several revisions apart need no replay.
 */
export function upkeep(family: Family, from: number, context: ReviewContext = {}): UpkeepReport {
  const to = latest(family);
  const before = family.revisions.find((r) => r.n === from) ?? to;
  const entries: UpkeepEntry[] = [];
  const untouched = new Map<Id, number>();
  for (const { version } of versionTree(family)) {
    const reviewed = reviewVersion(family, version, context);
    entries.push(...reviewed.entries);
    untouched.set(version.id, reviewed.untouched);
  }
  return {
    from: before.n,
    to: to.n,
    masterChanges: masterChanges(before.content, to.content),
    entries: onCutPages(entries, before.content, to.content),
    untouched,
  };
}

/** Entries that are lost with a whole page of the master ask one question: that of the page. */
function onCutPages(entries: readonly UpkeepEntry[], before: Content, after: Content): readonly UpkeepEntry[] {
  const here = new Set(after.pages.map((p) => p.id));
  const cut = before.pages.filter((p) => !here.has(p.id));
  if (cut.length === 0) return entries;
  return entries.map((e) => {
    const page =
      e.outcome === 'lost' && e.choices.every((c) => c.choice !== 'version')
        ? cut.find((p) => p.id === e.target || p.blocks.some((b) => b.id === e.target))
        : undefined;
    return page
      ? {
          ...e,
          cutPage: page.id,
          about: `The page “${snippet(page.title, 70)}”`,
          why: 'The master no longer has this page.',
          groupKey: `cut\u0000${page.id}`,
        }
      : e;
  });
}

/** The questions and carried changes of one version. */
export function reviewOf(family: Family, versionId: Id, context: ReviewContext = {}): readonly UpkeepEntry[] {
  const version = versionOf(family, versionId);
  return version ? reviewVersion(family, version, context).entries : [];
}

/** The entries that wait for someone, with those that ask the same question together. */
export function groupsToDecide(report: UpkeepReport): UpkeepEntry[][] {
  const groups = new Map<string, UpkeepEntry[]>();
  for (const e of report.entries) if (waits(e)) groups.set(e.groupKey, [...(groups.get(e.groupKey) ?? []), e]);
  return [...groups.values()];
}
