import { blockIndex, type Content, type Page, pageIndex, type Settings } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Block } from '../activity/blocks';

/**
 * The smallest changes a sheet can undergo. Adjustments are written as lists of them, so that the inverse of any
 * adjustment is the reversed list of their inverses. `after` is the id of the sibling before the place; null is first.
 */
export type Edit =
  | { readonly edit: 'replace-block'; readonly before: Block; readonly block: Block }
  | { readonly edit: 'remove-block'; readonly block: Block; readonly pageId: Id; readonly after: Id | null }
  | { readonly edit: 'insert-block'; readonly block: Block; readonly pageId: Id; readonly after: Id | null }
  | { readonly edit: 'remove-page'; readonly page: Page; readonly after: Id | null }
  | { readonly edit: 'insert-page'; readonly page: Page; readonly after: Id | null }
  | { readonly edit: 'move-block'; readonly block: Block; readonly from: Place; readonly to: Place }
  | { readonly edit: 'move-page'; readonly page: Page; readonly from: Id | null; readonly to: Id | null }
  | { readonly edit: 'settings'; readonly before: Settings | undefined; readonly settings: Settings | undefined };

export interface Place {
  readonly pageId: Id;
  readonly after: Id | null;
}

export function invertEdit(e: Edit): Edit {
  switch (e.edit) {
    case 'replace-block':
      return { edit: 'replace-block', before: e.block, block: e.before };
    case 'remove-block':
      return { ...e, edit: 'insert-block' };
    case 'insert-block':
      return { ...e, edit: 'remove-block' };
    case 'remove-page':
      return { ...e, edit: 'insert-page' };
    case 'insert-page':
      return { ...e, edit: 'remove-page' };
    case 'move-block':
    case 'move-page':
      return { ...e, from: e.to, to: e.from } as Edit;
    case 'settings':
      return { edit: 'settings', before: e.settings, settings: e.before };
  }
}

/** Where a block stands in a list; a plain loop, since it is asked for with every adjustment. */
function indexIn(blocks: readonly Block[], id: Id): number {
  for (let i = 0; i < blocks.length; i++) if (blocks[i]?.id === id) return i;
  return -1;
}

/**
 * A working copy of a content: copies an array only when it is first written to, so that what no edit touched
 * stays the same object as in the basis.
 */
export class Sheet {
  private pages: Page[] | null = null;
  /** Positions of the pages; the basis's own index until pages come or go. */
  private positions: ReadonlyMap<Id, number>;
  private readonly basePositions: ReadonlyMap<Id, number>;
  private readonly home: ReadonlyMap<Id, Id>;
  private moved: Map<Id, Id | null> | null = null;
  /** The lists of blocks that are this sheet's own; until pages come or go, those of the pages that are not the basis's. */
  private ownBlocks: Set<Block[]> | null = null;
  /** Where the block asked for last stands: an adjustment looks at a block, then replaces it. */
  private spot: { readonly id: Id; readonly page: number; readonly at: number } | null = null;
  private ownSettings: { readonly now: Settings | undefined } | null = null;

  constructor(readonly base: Content) {
    this.positions = this.basePositions = pageIndex(base);
    this.home = blockIndex(base);
  }

  /** A block as the basis has it, before anything was written to this sheet; one that was added to it, as it is. */
  basisBlock(id: Id): Block | undefined {
    const page = this.base.pages[this.basePositions.get(this.home.get(id) ?? '') ?? -1];
    return page?.blocks[indexIn(page.blocks, id)] ?? this.block(id);
  }

  /** A block as the basis has it; where an adjustment of this version made another kind of question of it, as it is now. */
  turnedBlock(id: Id): Block | undefined {
    const basis = this.basisBlock(id);
    const now = basis && this.block(id);
    return now && now.kind !== basis.kind ? now : basis;
  }

  /** Whether the basis has a block or page that an adjustment before this one has taken off the sheet. */
  isLeftOut(id: Id): boolean {
    return (this.home.has(id) && !this.block(id)) || (this.basisPage(id) !== undefined && !this.page(id));
  }

  basisPage(id: Id): Page | undefined {
    return this.base.pages[this.basePositions.get(id) ?? -1];
  }

  settings(): Settings | undefined {
    return this.ownSettings ? this.ownSettings.now : this.base.settings;
  }

  page(id: Id): Page | undefined {
    const at = this.positions.get(id);
    return at === undefined ? undefined : (this.pages ?? this.base.pages)[at];
  }

  allPages(): readonly Page[] {
    return this.pages ?? this.base.pages;
  }

  pageOf(blockId: Id): Page | undefined {
    const moved = this.moved?.get(blockId);
    const pageId = moved === undefined ? this.home.get(blockId) : moved;
    return pageId ? this.page(pageId) : undefined;
  }

  block(id: Id): Block | undefined {
    const moved = this.moved?.get(id);
    const page = this.positions.get((moved === undefined ? this.home.get(id) : moved) ?? '');
    const blocks = page === undefined ? undefined : (this.pages ?? this.base.pages)[page]?.blocks;
    if (page === undefined || !blocks) return undefined;
    const at = indexIn(blocks, id);
    if (at < 0) return undefined;
    this.spot = { id, page, at };
    return blocks[at];
  }

  /** Where a block stands, as an `insert-block` would need it. */
  placeOf(blockId: Id): { pageId: Id; after: Id | null } | undefined {
    const page = this.pageOf(blockId);
    const at = page?.blocks.findIndex((b) => b.id === blockId) ?? -1;
    return page && at >= 0 ? { pageId: page.id, after: page.blocks[at - 1]?.id ?? null } : undefined;
  }

  apply(e: Edit): void {
    switch (e.edit) {
      case 'replace-block': {
        if (this.spot?.id !== e.block.id && !this.block(e.block.id)) return;
        const { spot } = this;
        const blocks = spot && this.writableAt(spot.page);
        if (blocks) blocks[spot.at] = e.block;
        return;
      }
      case 'remove-block': {
        const blocks = this.writable(e.pageId);
        const at = blocks?.findIndex((b) => b.id === e.block.id) ?? -1;
        if (blocks && at >= 0) blocks.splice(at, 1);
        (this.moved ??= new Map()).set(e.block.id, null);
        this.spot = null;
        return;
      }
      case 'insert-block': {
        const blocks = this.writable(e.pageId);
        if (!blocks) return;
        blocks.splice(e.after === null ? 0 : blocks.findIndex((b) => b.id === e.after) + 1, 0, e.block);
        (this.moved ??= new Map()).set(e.block.id, e.pageId);
        this.spot = null;
        return;
      }
      case 'remove-page':
        this.changePages((pages) => pages.filter((p) => p.id !== e.page.id));
        return;
      case 'insert-page':
        this.changePages((pages) => {
          const at = e.after === null ? 0 : pages.findIndex((p) => p.id === e.after) + 1;
          return [...pages.slice(0, at), e.page, ...pages.slice(at)];
        });
        for (const b of e.page.blocks) (this.moved ??= new Map()).set(b.id, e.page.id);
        return;
      case 'move-block':
        this.apply({ edit: 'remove-block', block: e.block, ...e.from });
        this.apply({ edit: 'insert-block', block: e.block, ...e.to });
        return;
      case 'move-page':
        this.changePages((pages) => {
          const page = pages.find((p) => p.id === e.page.id);
          const rest = pages.filter((p) => p.id !== e.page.id);
          const at = e.to === null ? 0 : rest.findIndex((p) => p.id === e.to) + 1;
          return page ? [...rest.slice(0, at), page, ...rest.slice(at)] : rest;
        });
        return;
      case 'settings':
        this.ownSettings = { now: e.settings };
    }
  }

  /** The finished content; the basis itself where nothing was changed. */
  content(): Content {
    if (!this.pages && !this.ownSettings) return this.base;
    const { settings: _, ...base } = this.base;
    const settings = this.settings();
    return { ...base, pages: this.pages ?? this.base.pages, ...(settings ? { settings } : {}) };
  }

  private writable(pageId: Id): Block[] | undefined {
    const at = this.positions.get(pageId);
    return at === undefined ? undefined : this.writableAt(at);
  }

  private writableAt(at: number): Block[] | undefined {
    const pages = (this.pages ??= this.base.pages.slice());
    const page = pages[at];
    if (!page) return undefined;
    if (this.ownBlocks ? this.ownBlocks.has(page.blocks) : page !== this.base.pages[at]) return page.blocks;
    const blocks = page.blocks.slice();
    this.ownBlocks?.add(blocks);
    pages[at] = { ...page, blocks };
    return blocks;
  }

  private changePages(change: (pages: readonly Page[]) => Page[]): void {
    this.spot = null;
    this.ownBlocks ??= new Set((this.pages ?? []).filter((p, i) => p !== this.base.pages[i]).map((p) => p.blocks));
    this.pages = change(this.pages ?? this.base.pages);
    this.positions = new Map(this.pages.map((p, i) => [p.id, i]));
  }
}
