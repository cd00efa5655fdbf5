import { findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Block, isChoice, isItem, wordsAt, withWords } from '../activity/blocks';
import { type Family, type Version, versionOf } from '../activity/family';
import { fingerprint } from '../activity/fingerprint';
import { overfull } from '../activity/limits';
import { basisContent, derive, originOf } from '../derive/derive';
import { wholePageId, wholePlace } from '../derive/divide';
import { snapshotChoices } from './fewer-choices';
import { questionBehind } from './hint';
import { CannotRecord } from './cannot-record';
import { type Stamp, withDrafts } from './drafted';
import type { Draft } from './drafts';
import { type Adjustment, adjustmentSchema } from './registry';
import { withoutAdjustment } from './without';
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

/**
 * The version with what a person did in place recorded as an adjustment: a new one, or the one that is there already
 * brought up to date, or gone where the change took it back.
 */
export function recordInPlace(family: Family, versionId: Id, done: InPlace, stamp: Stamp): Version {
  const before = versionOf(family, versionId);
  const after = recorded(family, versionId, done, stamp);
  // Nothing is recorded that could not be kept.
  for (const a of after.adjustments) {
    const full = before?.adjustments.includes(a) ? '' : overfull(adjustmentSchema, a);
    if (full) throw new CannotRecord(full);
  }
  return after;
}

function recorded(family: Family, versionId: Id, done: InPlace, stamp: Stamp): Version {
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

  // A page as a whole one, or as the part it is shown in.
  const pageShown = (id: Id) =>
    derived.content.pages.find((p) => p.id === id) ?? derived.whole.pages.find((p) => p.id === id);

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
      if (inserted) return withoutAdjustment(family, version, inserted.id);
      const block = findBlock(basis, done.blockId)?.block;
      if (!block) throw new CannotRecord('This block is no longer in the basis.');
      if (derived.leftOut.has(done.blockId)) return version;
      return add({ ...meta(), kind: 'leave-out', what: 'block', target: block.id, was: fingerprint(block) });
    }
    case 'remove-page': {
      const id = wholePageId(derived.whole, done.pageId);
      const page = basis.pages.find((p) => p.id === id);
      if (!page) throw new CannotRecord('This page is no longer in the basis.');
      if (derived.whole.pages.every((p) => p.id === page.id))
        throw new CannotRecord('A version needs at least one page.');
      return add({ ...meta(), kind: 'leave-out', what: 'page', target: page.id, was: fingerprint(page) });
    }
    case 'keep-pages': {
      const known = basis.pages.map((p) => p.id);
      const whole = new Set(done.pageIds.map((id) => wholePageId(derived.whole, id)));
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
      const page = pageShown(done.pageId);
      if (!page) throw new CannotRecord('This page is no longer in the version.');
      return add({
        ...meta(),
        kind: 'insert-block',
        ...wholePlace(derived.whole, derived.content, page.id, done.after),
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
      const part = pageShown(done.pageId);
      if (!part) throw new CannotRecord('This page is no longer in the version.');
      const place = wholePlace(derived.whole, derived.content, part.id, done.after);
      const page = derived.whole.pages.find((p) => p.id === place.page) ?? part;
      const was = proposeWords(basis.pages.find((p) => p.id === place.page) ?? page);
      const words = [...(done.words ?? proposeWords(page))].map((w) => w.trim()).filter((w) => w !== '');
      const old = list.find((a) => a.kind === 'word-bank' && a.page === place.page);
      if (old?.kind === 'word-bank')
        return words.length ? swap(old, { ...old, words, was }) : withoutAdjustment(family, version, old.id);
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
