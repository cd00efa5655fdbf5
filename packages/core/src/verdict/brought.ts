import { findBlock } from '../activity/activity';
import type { Content } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Block, isItem, isLearners, type ItemBlock } from '../activity/blocks';
import { plainTextOf } from '../activity/plain-text';
import type { Adjustment } from '../adjust/registry';

/** Words that an adjustment brings to learners, and the items they may tell something of. */
export interface Brought {
  readonly text: string;
  /** Beside one item, as its hint or its question; or somewhere on a page. */
  readonly at: 'item' | 'page';
  readonly items: readonly ItemBlock[];
}

export const itemsOfPage = (content: Content, pageId: Id | undefined): ItemBlock[] =>
  content.pages.filter((p) => p.id === pageId).flatMap((p) => p.blocks.filter(isItem).filter(isLearners));
const allItems = (content: Content): ItemBlock[] =>
  content.pages.flatMap((p) => p.blocks.filter(isItem).filter(isLearners));

/** What a learner reads in a block that was added; of a question only what is asked, its choices hold the key by right. */
export const readIn = (b: Block): string =>
  !isLearners(b) ? '' : isItem(b) ? [b.prompt, b.hint ?? ''].join('\n') : plainTextOf(b);

/** What an adjustment brings. `content` is what it ends up in, with its pages whole. */
export function broughtBy(a: Adjustment, content: Content): Brought[] {
  const beside = (id: Id, ...texts: (string | undefined)[]): Brought[] => {
    const found = findBlock(content, id);
    const item = found && isItem(found.block) ? [found.block] : [];
    return texts.flatMap((text) => (text ? [{ text, at: 'item' as const, items: item }] : []));
  };
  const onPage = (pageId: Id | undefined, text: string, but?: Id): Brought[] =>
    text ? [{ text, at: 'page', items: itemsOfPage(content, pageId).filter((i) => i.id !== but) }] : [];
  const pageOf = (id: Id) => findBlock(content, id)?.page.id;
  switch (a.kind) {
    case 'hint':
      return beside(a.target, a.text);
    case 'sentence-starters':
      return beside(a.target, a.starters.join('\n'));
    case 'by-interest':
      return a.field === 'prompt'
        ? beside(a.target, ...a.by.map((b) => b.text))
        : a.by.flatMap((b) => onPage(pageOf(a.target), b.text));
    case 'reword': {
      const target = findBlock(content, a.target)?.block;
      if (target && isItem(target)) return a.field === 'prompt' || a.field === 'hint' ? beside(a.target, a.now) : [];
      return target?.kind === 'word-bank' ? [] : onPage(pageOf(a.target), a.now);
    }
    case 'reword-instructions':
      return onPage(pageOf(a.target), a.now);
    case 'steps-to-tick':
      return onPage(pageOf(a.blockId), a.steps.map((s) => s.text).join('\n'));
    case 'glossary':
      return onPage(a.page, a.entries.map((e) => `${e.word}: ${e.meaning}`).join('\n'));
    case 'word-bank': {
      // Short answers choose from it by right.
      const items = itemsOfPage(content, a.page).filter((i) => i.kind === 'long-text');
      return items.length ? [{ text: a.words.join('\n'), at: 'item', items }] : [];
    }
    case 'replace-picture':
      return onPage(pageOf(a.target), a.now.alt);
    case 'worked-example':
    case 'insert-block':
    case 'extension-item':
      return onPage(a.page, readIn(a.block), a.block.id);
    case 'insert-page': {
      const own = new Set(a.page.blocks.map((b) => b.id));
      const items = allItems(content).filter((i) => !own.has(i.id));
      return [{ text: a.page.blocks.map(readIn).filter(Boolean).join('\n'), at: 'page', items }];
    }
    case 'from-activity': {
      const blocks = a.part.what === 'page' ? a.part.page.blocks : [a.part.block];
      const own = new Set(blocks.map((b) => b.id));
      const items = a.part.what === 'page' ? allItems(content) : itemsOfPage(content, a.part.onPage);
      const text = blocks.map(readIn).filter(Boolean).join('\n');
      return [{ text, at: 'page', items: items.filter((i) => !own.has(i.id)) }];
    }
    default:
      return [];
  }
}

/** The items an adjustment has to do with, for what it may take over of their objectives. */
export function concerned(a: Adjustment, content: Content): ItemBlock[] {
  switch (a.kind) {
    case 'extra-time':
    case 'goes':
    case 'insert-page':
      return allItems(content);
    case 'from-activity':
      return a.part.what === 'page' ? allItems(content) : itemsOfPage(content, a.part.onPage);
    case 'glossary':
    case 'word-bank':
    case 'insert-block':
    case 'worked-example':
    case 'extension-item':
      return itemsOfPage(content, a.page);
    case 'other-answer':
    case 'hint':
    case 'sentence-starters':
    case 'reword':
    case 'reword-instructions':
    case 'recorded-instruction':
    case 'steps-to-tick':
    case 'by-interest':
    case 'replace-picture':
    case 'fewer-choices':
    case 'flap':
    case 'other-numbers': {
      const found = findBlock(content, a.target);
      if (!found) return [];
      return isItem(found.block) ? [found.block] : itemsOfPage(content, found.page.id);
    }
    default:
      return [];
  }
}
