import { CannotRecord } from './cannot-record';
import { type Content, findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { isChoice, isItem, keyWordsOf, wordsAt } from '../activity/blocks';
import { plainTextOf } from '../activity/plain-text';
import type { Family, Version } from '../activity/family';
import { fingerprint } from '../activity/fingerprint';
import { basisContent, derive } from '../derive/derive';
import { wholePageId, wholePlace } from '../derive/divide';
import { itemsWithin } from './choose-items';
import type { Draft } from './drafts';
import { snapshotChoices } from './fewer-choices';
import { proposeHardWords } from './glossary';
import { questionBehind } from './hint';
import { answerBehind } from './other-answer';
import { type Adjustment, adjustmentSchema } from './registry';
import { proposeWords } from './word-bank';

/** What the core may not make up itself. */
export interface Stamp {
  readonly at: string;
  readonly author: string;
  readonly newId: () => Id;
}

/** What an adjustment is the only one of in its version: a second on the same takes the first's place. */
export function slotOf(a: Draft): string {
  switch (a.kind) {
    case 'word-bank':
    case 'glossary':
      return `${a.kind} ${a.page}`;
    case 'steps-to-tick':
    case 'move':
      return `${a.kind} ${a.target}`;
    case 'reword':
    case 'by-interest':
      return `${a.kind} ${a.target} ${a.field}`;
    case 'insert-block':
    case 'worked-example':
    case 'extension-item':
      return `${a.kind} ${a.block.id}`;
    case 'insert-page':
      return `${a.kind} ${a.page.id}`;
    case 'from-activity':
      return `${a.kind} ${a.part.what === 'page' ? a.part.page.id : a.part.block.id}`;
    case 'choose-items':
    case 'chunk':
      return `${a.kind} ${a.pages.join()}`;
    default:
      return 'target' in a ? `${a.kind} ${a.target}` : a.kind;
  }
}

/** A draft for what an adjustment is there already for: added to it, and standing where it stood. */
function addedTo(old: Adjustment, d: Draft): Draft {
  // Drafts are made on what the version shows: what it leaves out already must not come back.
  if (d.kind === 'fewer-choices' && old.kind === d.kind)
    return { ...d, leaveOut: [...new Set([...old.leaveOut, ...d.leaveOut])] };
  if (d.kind === 'mix-up' && old.kind === d.kind)
    return { ...d, targets: [...new Set([...old.targets, ...d.targets])] };
  if ((d.kind === 'word-bank' || d.kind === 'glossary') && old.kind === d.kind)
    return { ...d, blockId: old.blockId, page: old.page, after: old.after };
  if (d.kind === 'steps-to-tick' && old.kind === d.kind) return { ...d, blockId: old.blockId };
  return d;
}

function siblingBefore(content: Content, id: Id): Id | null {
  const list = content.pages.some((p) => p.id === id) ? content.pages : (findBlock(content, id)?.page.blocks ?? []);
  return list[list.findIndex((x) => x.id === id) - 1]?.id ?? null;
}

/** A draft whose place is on a part of a page, with its place on the whole one: that is what adjustments know. */
function onWhole(d: Draft, whole: Content, shown: Content): Draft {
  // After itself is where it is: after what stands before it.
  if (d.kind === 'move' && d.after === d.target)
    return onWhole({ ...d, after: siblingBefore(whole, d.target) }, whole, shown);
  if (d.kind === 'move' && d.what === 'page')
    return { ...d, target: wholePageId(whole, d.target), after: d.after === null ? null : wholePageId(whole, d.after) };
  if (d.kind === 'insert-page' && d.after !== null) return { ...d, after: wholePageId(whole, d.after) };
  if ('page' in d && typeof d.page === 'string') {
    const place = wholePlace(whole, shown, d.page, 'after' in d ? d.after : null);
    return { ...d, ...place } as Draft;
  }
  if (d.kind === 'keep-pages' || d.kind === 'choose-items' || d.kind === 'chunk')
    return { ...d, pages: [...new Set(d.pages.map((id) => wholePageId(whole, id)))] } as Draft;
  return d;
}

/** A draft made on the version's own content, with what its targets look like in the basis: upkeep asks about that. */
function againstBasis(d: Draft, basis: Content): Draft {
  // What the basis has is known too, even where this version leaves it out already.
  if (d.kind === 'choose-items')
    return { ...d, known: [...new Set([...d.known, ...itemsWithin(basis, d.pages).map((i) => i.id)])] };
  const page = 'page' in d ? basis.pages.find((p) => p.id === d.page) : undefined;
  if (page && d.kind === 'word-bank') return { ...d, was: proposeWords(page) };
  if (page && d.kind === 'glossary') return { ...d, was: proposeHardWords(page) };
  const b = 'target' in d ? findBlock(basis, d.target)?.block : undefined;
  if (!b) return d;
  switch (d.kind) {
    case 'flap':
      return { ...d, was: keyWordsOf(b) };
    case 'hint':
      return isItem(b) ? { ...d, was: questionBehind(b) } : d;
    case 'other-answer':
      return isItem(b) ? { ...d, was: answerBehind(b) } : d;
    case 'fewer-choices':
      return isChoice(b) ? { ...d, was: snapshotChoices(b) } : d;
    case 'sentence-starters':
      return b.kind === 'long-text' ? { ...d, was: [...(b.starters ?? [])] } : d;
    case 'steps-to-tick':
      return { ...d, was: plainTextOf(b) };
    case 'recorded-instruction':
    case 'reword-instructions':
      return { ...d, was: wordsAt(b, 'text') ?? d.was };
    case 'by-interest':
      return { ...d, was: wordsAt(b, d.field) ?? d.was };
    case 'leave-out':
      return { ...d, was: fingerprint(b) };
    default:
      return d;
  }
}

/** Whether something that was recorded after an adjustment stands behind a block that it moved. */
const isStoodOn = (list: readonly Adjustment[], a: Adjustment, target: Id): boolean =>
  list.slice(list.indexOf(a) + 1).some((x) => 'after' in x && x.after === target);

/**
 * The version with drafts written down as adjustments, of one batch where there are several. One that is there already
 * for the same thing is brought up to date in its place. Throws CannotRecord where a draft fits nothing.
 */
export function withDrafts(
  family: Family,
  version: Version,
  drafts: readonly Draft[],
  stamp: Stamp,
  name?: string,
): Version {
  if (drafts.length === 0) return version;
  const batch = drafts.length > 1 && name ? { id: stamp.newId(), name } : undefined;
  const basis = basisContent(family, version);
  const now = derive(
    { ...family, versions: family.versions.map((v) => (v.id === version.id ? version : v)) },
    version.id,
  );
  let adjustments = version.adjustments;
  for (const d of drafts) {
    const whole = onWhole(d, now.whole, now.content);
    const slot = slotOf(whole);
    const moved = whole.kind === 'move';
    const before = adjustments.filter((a) => slotOf(a) === slot);
    // What was moved before is moved once more, after all else: what stands after it was put there where it was by then.
    const gone = moved ? before.filter((a) => !isStoodOn(adjustments, a, whole.target)) : [];
    const [old] = moved ? gone : before;
    const made = {
      ...againstBasis(old ? addedTo(old, whole) : whole, basis),
      id: old?.id ?? stamp.newId(),
      at: stamp.at,
      author: stamp.author,
      ...(batch ? { batch } : {}),
    } as Adjustment;
    const read = adjustmentSchema.safeParse(made);
    if (!read.success)
      throw new CannotRecord(`This cannot be recorded: ${read.error.issues[0]?.message ?? 'it does not fit'}.`);
    adjustments =
      old && !moved
        ? adjustments.map((a) => (a === old ? made : a))
        : [...adjustments.filter((a) => !gone.includes(a)), made];
  }
  const next: Version = { ...version, adjustments };
  const result = derive(
    { ...family, versions: family.versions.map((v) => (v.id === version.id ? next : v)) },
    version.id,
  );
  if (result.content.pages.length === 0) throw new CannotRecord('A version needs at least one page.');
  const unfit = result.reports.find(
    (r) =>
      r.versionId === version.id &&
      r.status === 'skipped' &&
      drafts.length === 1 &&
      r.adjustmentId === adjustments.at(-1)?.id,
  );
  if (unfit) throw new CannotRecord(unfit.why);
  return next;
}
