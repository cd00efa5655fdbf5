import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Content, findBlock, type Page } from '../activity/activity';
import { type Block, wordsOf, withWords } from '../activity/blocks';
import { masters, type Step, steps } from '../testing/random-family';
import { type Edit, invertEdit, Sheet } from './sheet';
import { runs } from '../testing/laws';

/** The same edit on plain arrays, the slow and simple way. */
function simply(pages: readonly Page[], e: Edit): Page[] {
  const put = (list: readonly Block[], block: Block, after: string | null) => {
    const at = after === null ? 0 : list.findIndex((b) => b.id === after) + 1;
    return [...list.slice(0, at), block, ...list.slice(at)];
  };
  const out = (all: readonly Page[], id: string) =>
    all.map((p) => ({ ...p, blocks: p.blocks.filter((b) => b.id !== id) }));
  switch (e.edit) {
    case 'replace-block':
      return pages.map((p) => ({ ...p, blocks: p.blocks.map((b) => (b.id === e.block.id ? e.block : b)) }));
    case 'remove-block':
      return out(pages, e.block.id);
    case 'insert-block':
      return pages.map((p) => (p.id === e.pageId ? { ...p, blocks: put(p.blocks, e.block, e.after) } : p));
    case 'move-block':
      return simply(out(pages, e.block.id), { edit: 'insert-block', block: e.block, ...e.to });
    case 'remove-page':
      return pages.filter((p) => p.id !== e.page.id);
    case 'insert-page': {
      const at = e.after === null ? 0 : pages.findIndex((p) => p.id === e.after) + 1;
      return [...pages.slice(0, at), e.page, ...pages.slice(at)];
    }
    case 'move-page': {
      const page = pages.find((p) => p.id === e.page.id);
      return page
        ? simply(
            pages.filter((p) => p.id !== e.page.id),
            { edit: 'insert-page', page, after: e.to },
          )
        : [...pages];
    }
    case 'settings':
      return [...pages];
  }
}

let made = 0;
/** An edit that fits what the sheet shows now. */
function editOf(sheet: Sheet, step: Step): Edit | null {
  const pages = sheet.allPages();
  const page = pages[step.on % Math.max(1, pages.length)];
  if (!page) return null;
  const blocks = pages.flatMap((p) => p.blocks);
  const block = blocks[step.where % Math.max(1, blocks.length)];
  const after = page.blocks[step.where % Math.max(1, page.blocks.length)]?.id ?? null;
  const pageBefore = pages[pages.indexOf(page) - 1]?.id ?? null;
  const place = block && sheet.placeOf(block.id);
  switch (step.what % 7) {
    case 0:
      return block
        ? {
            edit: 'replace-block',
            before: block,
            block: withWords(block, wordsOf(block)[0]?.field ?? 'text', step.words),
          }
        : null;
    case 1:
      return block && place ? { edit: 'remove-block', block, ...place } : null;
    case 2:
      return {
        edit: 'insert-block',
        block: { id: `new${++made}`, kind: 'text', audience: 'learner', text: step.words },
        pageId: page.id,
        after,
      };
    case 3:
      return block && place && after !== block.id
        ? { edit: 'move-block', block, from: place, to: { pageId: page.id, after } }
        : null;
    case 4:
      return pages.length > 1 ? { edit: 'remove-page', page, after: pageBefore } : null;
    case 5:
      return {
        edit: 'insert-page',
        page: { id: `page${++made}`, title: step.words, orientation: 'portrait', blocks: [] },
        after: step.where % 3 === 0 ? null : page.id,
      };
    default: {
      const last = pages.at(-1)?.id ?? null;
      return last === page.id ? null : { edit: 'move-page', page, from: pageBefore, to: last };
    }
  }
}

const doing = fc.tuple(masters, steps(14));

/** Applies steps one after the other; gives the sheet, the edits and what the simple way comes to. */
function run(content: Content, list: readonly Step[]) {
  const sheet = new Sheet(content);
  const edits: Edit[] = [];
  let plain: Page[] = content.pages.map((p) => ({ ...p }));
  for (const step of list) {
    const e = editOf(sheet, step);
    if (!e) continue;
    edits.push(e);
    sheet.apply(e);
    plain = simply(plain, e);
  }
  return { sheet, edits, plain };
}

describe('a sheet', () => {
  it('does what plain arrays do, in whatever order it is edited', () => {
    fc.assert(
      fc.property(doing, ([content, list]) => {
        const { sheet, plain } = run(content, list);
        expect(sheet.content().pages).toEqual(plain);
      }),
      runs(300),
    );
  });

  it('finds every block where it stands, and no block that is gone', () => {
    fc.assert(
      fc.property(doing, ([content, list]) => {
        const { sheet } = run(content, list);
        const now = sheet.content();
        for (const page of now.pages)
          for (const [i, b] of page.blocks.entries()) {
            expect(sheet.block(b.id)).toBe(b);
            expect(sheet.pageOf(b.id)?.id).toBe(page.id);
            expect(sheet.placeOf(b.id)).toEqual({ pageId: page.id, after: page.blocks[i - 1]?.id ?? null });
          }
        for (const page of content.pages)
          for (const b of page.blocks) {
            expect(sheet.basisBlock(b.id)).toBe(b);
            expect(sheet.isLeftOut(b.id)).toBe(findBlock(now, b.id) === undefined);
          }
      }),
    );
  });

  it('takes its edits back one by one to the very words it began with', () => {
    fc.assert(
      fc.property(doing, ([content, list]) => {
        const { sheet, edits } = run(content, list);
        for (const e of [...edits].reverse()) sheet.apply(invertEdit(e));
        expect(sheet.content()).toEqual(content);
      }),
      runs(200),
    );
  });

  it('shares every page that no edit touched, and is the basis itself where there was none', () => {
    fc.assert(
      fc.property(masters, fc.nat(20), (content, n) => {
        expect(new Sheet(content).content()).toBe(content);
        const blocks = content.pages.flatMap((p) => p.blocks);
        const block = blocks[n % Math.max(1, blocks.length)];
        if (!block) return;
        const sheet = new Sheet(content);
        sheet.apply({ edit: 'replace-block', before: block, block: { ...block } });
        const now = sheet.content();
        content.pages.forEach((p, i) => {
          if (p.blocks.includes(block)) expect(now.pages[i]).not.toBe(p);
          else expect(now.pages[i]).toBe(p);
        });
        // The basis is never written to.
        expect(findBlock(content, block.id)?.block).toBe(block);
      }),
    );
  });

  it('keeps settings beside the pages, and lets them go again', () => {
    fc.assert(
      fc.property(masters, (content) => {
        const sheet = new Sheet(content);
        const settings = { oneAtATime: true };
        sheet.apply({ edit: 'settings', before: undefined, settings });
        expect(sheet.content()).toEqual({ ...content, settings });
        sheet.apply({ edit: 'settings', before: settings, settings: undefined });
        expect(sheet.content()).toEqual(content);
      }),
    );
  });
});
