import { type Content, findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Block, isChoice, isItem, keyWordsOf, plainTextOf, wordsAt, withWords } from '../activity/blocks';
import { type Family, type Version, versionOf } from '../activity/family';
import { fingerprint } from '../activity/fingerprint';
import { basisContent, derive, originOf } from '../derive/derive';
import { snapshotChoices } from './fewer-choices';
import { questionBehind } from './hint';
import { itemsWithin } from './choose-items';
import { pageInBasis, wholePlace } from './chunk';
import type { Draft } from './drafts';
import { answerBehind } from './other-answer';
import { type Adjustment, adjustmentSchema, kindOfAdjustment } from './registry';
import { proposeWords } from './word-bank';

/** What a person did to a version, in place. */
export type InPlace =
  | { readonly did: 'words'; readonly blockId: Id; readonly field: string; readonly text: string }
  | { readonly did: 'remove-block'; readonly blockId: Id }
  | { readonly did: 'remove-page'; readonly pageId: Id }
  | { readonly did: 'keep-pages'; readonly pageIds: readonly Id[] }
  | { readonly did: 'put-back'; readonly id: Id }
  | { readonly did: 'remove-options'; readonly blockId: Id; readonly optionIds: readonly Id[] }
  | { readonly did: 'insert-block'; readonly pageId: Id; readonly after: Id | null; readonly block: Block }
  | { readonly did: 'replace-inserted'; readonly block: Block }
  | { readonly did: 'hint'; readonly blockId: Id; readonly text: string }
  | { readonly did: 'word-bank'; readonly pageId: Id; readonly after: Id | null; readonly words?: readonly string[] }
  | { readonly did: 'personal-fields'; readonly otherwise: Readonly<Record<string, string>> }
  /** Any kinds of adjustment, as one act: "fewer choices in 4 items". */
  | { readonly did: 'adjust'; readonly drafts: readonly Draft[]; readonly name?: string };

/** What the core may not make up itself. */
export interface Stamp {
  readonly at: string;
  readonly author: string;
  readonly newId: () => Id;
}

/** Thrown where an in-place change cannot be recorded; its message is for the teacher. */
export class CannotRecord extends Error {}

/**
 * The version with what a person did in place recorded as an adjustment: a new one, or the one that is there already
 * brought up to date, or gone where the change took it back.
 */
export function recordInPlace(family: Family, versionId: Id, done: InPlace, stamp: Stamp): Version {
  const version = versionOf(family, versionId);
  if (!version) throw new CannotRecord('This version is no longer there.');
  const basis = basisContent(family, version);
  const derived = derive(family, versionId);
  const meta = () => ({ id: stamp.newId(), at: stamp.at, author: stamp.author });
  const list = version.adjustments;
  const withList = (adjustments: Adjustment[]): Version => ({ ...version, adjustments });
  const add = (a: Adjustment) => withList([...list, a]);
  const swap = (old: Adjustment, next: Adjustment | null) =>
    withList(next ? list.map((a) => (a === old ? next : a)) : list.filter((a) => a !== old));
  const ownInsert = (blockId: Id) => {
    const from = originOf(derived, blockId).from;
    return from !== 'master' && from.versionId === versionId
      ? list.find((a) => a.id === from.adjustment.id)
      : undefined;
  };

  switch (done.did) {
    case 'words': {
      const inserted = ownInsert(done.blockId);
      if (inserted?.kind === 'insert-block')
        return swap(inserted, { ...inserted, block: withWords(inserted.block, done.field, done.text) });
      if (inserted?.kind === 'word-bank')
        return done.field === 'title' ? swap(inserted, { ...inserted, title: done.text }) : version;
      if (done.field === 'hint') return recordInPlace(family, versionId, { ...done, did: 'hint' }, stamp);
      const block = findBlock(basis, done.blockId)?.block;
      const was = block && wordsAt(block, done.field);
      if (was === undefined) throw new CannotRecord('These words are no longer in the basis.');
      const old = list.find((a) => a.kind === 'reword' && a.target === done.blockId && a.field === done.field);
      if (old?.kind === 'reword') return swap(old, done.text === was ? null : { ...old, was, now: done.text });
      if (done.text === was) return version;
      return add({ ...meta(), kind: 'reword', target: done.blockId, field: done.field, was, now: done.text });
    }
    case 'remove-block': {
      const inserted = ownInsert(done.blockId);
      if (inserted) return withoutAdjustment(version, inserted.id);
      const block = findBlock(basis, done.blockId)?.block;
      if (!block) throw new CannotRecord('This block is no longer in the basis.');
      if (derived.leftOut.has(done.blockId)) return version;
      return add({ ...meta(), kind: 'leave-out', what: 'block', target: block.id, was: fingerprint(block) });
    }
    case 'remove-page': {
      const page = basis.pages.find((p) => p.id === pageInBasis(basis, done.pageId));
      if (!page) throw new CannotRecord('This page is no longer in the basis.');
      if (derived.content.pages.length < 2) throw new CannotRecord('A version needs at least one page.');
      return add({ ...meta(), kind: 'leave-out', what: 'page', target: page.id, was: fingerprint(page) });
    }
    case 'keep-pages': {
      const known = basis.pages.map((p) => p.id);
      const whole = new Set(done.pageIds.map((id) => pageInBasis(basis, id)));
      const pages = known.filter((id) => whole.has(id));
      if (pages.length === 0) throw new CannotRecord('Choose at least one page to keep.');
      const old = list.find((a) => a.kind === 'keep-pages');
      const all = pages.length === known.length;
      // Moved to the end: what was added to a page before it was dropped must still find its page.
      if (old?.kind === 'keep-pages')
        return withList([...list.filter((a) => a !== old), ...(all ? [] : [{ ...old, pages, known }])]);
      return all ? version : add({ ...meta(), kind: 'keep-pages', pages, known });
    }
    case 'put-back': {
      const keep = list.find((a) => a.kind === 'keep-pages');
      const out = list.find((a) => a.kind === 'leave-out' && a.target === done.id);
      if (out) return swap(out, null);
      if (keep?.kind === 'keep-pages' && keep.known.includes(done.id)) {
        const pages = keep.known.filter((id) => id === done.id || keep.pages.includes(id));
        return swap(keep, pages.length === keep.known.length ? null : { ...keep, pages });
      }
      throw new CannotRecord('Another version on the way to this one leaves it out: put it back there.');
    }
    case 'remove-options': {
      const inserted = ownInsert(done.blockId);
      if (inserted?.kind === 'insert-block' && isChoice(inserted.block)) {
        const options = inserted.block.options.filter((o) => !done.optionIds.includes(o.id));
        return swap(inserted, { ...inserted, block: { ...inserted.block, options } });
      }
      const block = findBlock(basis, done.blockId)?.block;
      if (!block || !isChoice(block)) throw new CannotRecord('This question is no longer in the basis.');
      const here = block.options.map((o) => o.id);
      const out = here.filter((id) => done.optionIds.includes(id));
      const key: readonly Id[] = block.kind === 'single-choice' ? [block.key] : block.key;
      if (out.some((id) => key.includes(id)))
        throw new CannotRecord('A choice that is the key cannot be left out. Change the key in the master first.');
      const old = list.find((a) => a.kind === 'fewer-choices' && a.target === block.id);
      const was = snapshotChoices(block);
      if (old?.kind === 'fewer-choices') return swap(old, out.length ? { ...old, leaveOut: out, was } : null);
      return out.length ? add({ ...meta(), kind: 'fewer-choices', target: block.id, leaveOut: out, was }) : version;
    }
    case 'insert-block': {
      const page = derived.content.pages.find((p) => p.id === done.pageId);
      if (!page) throw new CannotRecord('This page is no longer in the version.');
      return add({
        ...meta(),
        kind: 'insert-block',
        ...wholePlace(basis, derived.content, page.id, done.after),
        block: done.block,
      });
    }
    case 'replace-inserted': {
      const inserted = ownInsert(done.block.id);
      if (inserted?.kind !== 'insert-block') throw new CannotRecord('Only a block added here can be changed this way.');
      return swap(inserted, { ...inserted, block: done.block });
    }
    case 'hint': {
      const inserted = ownInsert(done.blockId);
      if (inserted?.kind === 'insert-block' && isItem(inserted.block)) {
        const { hint: _, ...rest } = inserted.block;
        return swap(inserted, { ...inserted, block: done.text ? { ...rest, hint: done.text } : rest });
      }
      const block = findBlock(basis, done.blockId)?.block;
      if (!block || !isItem(block)) throw new CannotRecord('Only a question can have a hint.');
      const was = questionBehind(block);
      const old = list.find((a) => a.kind === 'hint' && a.target === block.id);
      const back = done.text === (block.hint ?? '');
      if (old?.kind === 'hint') return swap(old, back ? null : { ...old, text: done.text, was });
      return back ? version : add({ ...meta(), kind: 'hint', target: block.id, text: done.text, was });
    }
    case 'word-bank': {
      const page = derived.content.pages.find((p) => p.id === done.pageId);
      if (!page) throw new CannotRecord('This page is no longer in the version.');
      const place = wholePlace(basis, derived.content, page.id, done.after);
      const was = proposeWords(basis.pages.find((p) => p.id === place.page) ?? page);
      const words = [...(done.words ?? proposeWords(page))].map((w) => w.trim()).filter((w) => w !== '');
      const old = list.find((a) => a.kind === 'word-bank' && a.page === place.page);
      if (old?.kind === 'word-bank')
        return words.length ? swap(old, { ...old, words, was }) : withoutAdjustment(version, old.id);
      if (words.length === 0)
        throw new CannotRecord(
          'This page has no short-text question with a key, so there are no words to propose. Write them yourself.',
        );
      const bank = { ...place, blockId: stamp.newId(), title: 'Words you can use', words, was };
      return add({ ...meta(), kind: 'word-bank', ...bank });
    }
    case 'adjust':
      return withDrafts(family, version, done.drafts, stamp, done.name);
    case 'personal-fields': {
      const old = list.find((a) => a.kind === 'personal-fields');
      if (old?.kind === 'personal-fields') return swap(old, { ...old, otherwise: done.otherwise });
      return add({ ...meta(), kind: 'personal-fields', otherwise: done.otherwise });
    }
  }
}

/** What an adjustment is the only one of in its version: a second on the same takes the first's place. */
function slotOf(a: Draft): string {
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

function siblingBefore(content: Content, id: Id): Id | null {
  const list = content.pages.some((p) => p.id === id) ? content.pages : (findBlock(content, id)?.page.blocks ?? []);
  return list[list.findIndex((x) => x.id === id) - 1]?.id ?? null;
}

/** A draft whose place is on a smaller page, with its place on the whole one: that is what adjustments know. */
function onWhole(d: Draft, basis: Content, shown: Content): Draft {
  // After itself is where it is: after what stands before it.
  if (d.kind === 'move' && d.after === d.target)
    return onWhole({ ...d, after: siblingBefore(shown, d.target) }, basis, shown);
  if ('page' in d && typeof d.page === 'string') {
    const place = wholePlace(basis, shown, d.page, 'after' in d ? d.after : null);
    return { ...d, ...place } as Draft;
  }
  if (d.kind === 'keep-pages' || d.kind === 'choose-items' || d.kind === 'chunk')
    return { ...d, pages: [...new Set(d.pages.map((id) => pageInBasis(basis, id)))] } as Draft;
  return d;
}

/** A draft made on the version's own content, with what its targets look like in the basis: upkeep asks about that. */
function againstBasis(d: Draft, basis: Content): Draft {
  // What the basis has is known too, even where this version leaves it out already.
  if (d.kind === 'choose-items')
    return { ...d, known: [...new Set([...d.known, ...itemsWithin(basis, d.pages).map((i) => i.id)])] };
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
  const shown = derive(
    { ...family, versions: family.versions.map((v) => (v.id === version.id ? version : v)) },
    version.id,
  ).content;
  let adjustments = version.adjustments;
  for (const d of drafts) {
    const slot = slotOf(onWhole(d, basis, shown));
    const old = adjustments.find((a) => slotOf(a) === slot);
    const made = {
      ...againstBasis(onWhole(d, basis, shown), basis),
      id: old?.id ?? stamp.newId(),
      at: stamp.at,
      author: stamp.author,
      ...(batch ? { batch } : {}),
    } as Adjustment;
    const read = adjustmentSchema.safeParse(made);
    if (!read.success)
      throw new CannotRecord(`This cannot be recorded: ${read.error.issues[0]?.message ?? 'it does not fit'}.`);
    adjustments = old ? adjustments.map((a) => (a === old ? made : a)) : [...adjustments, made];
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

/** What an adjustment adds: the ids of it, and what its first stands after; null where it adds nothing. */
function addedBy(a: Adjustment): { ids: readonly Id[]; after: Id | null } | null {
  switch (a.kind) {
    case 'insert-block':
    case 'worked-example':
    case 'extension-item':
      return { ids: [a.block.id], after: a.after };
    case 'word-bank':
    case 'glossary':
      return { ids: [a.blockId], after: a.after };
    case 'steps-to-tick':
      return { ids: [a.blockId], after: a.target };
    case 'insert-page':
    case 'from-activity':
      return { ids: kindOfAdjustment(a).targets(a), after: a.after };
    default:
      return null;
  }
}

/**
 * The version without one of its adjustments. What stood after a block it added now stands where that block stood, and
 * what was done to that block goes with it.
 */
export function withoutAdjustment(version: Version, adjustmentId: Id): Version {
  const gone = version.adjustments.find((a) => a.id === adjustmentId);
  const rest = version.adjustments.filter((a) => a.id !== adjustmentId);
  const added = gone && addedBy(gone);
  if (!added) return { ...version, adjustments: rest };
  return {
    ...version,
    adjustments: rest
      .filter((a) => !('target' in a && added.ids.includes(a.target)))
      .map((a) => ('after' in a && a.after !== null && added.ids.includes(a.after) ? { ...a, after: added.after } : a)),
  };
}
