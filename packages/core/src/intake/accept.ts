import { type Content, MOST_BLOCKS, type Page } from '../activity/activity';
import type { Audience, Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import type { Rect } from '../activity/parts';
import type { Proposed, ProposedPage } from './propose';

/** How one page is to come in, and which of its proposals are accepted. */
export interface PageChoice {
  readonly n: number;
  readonly as: 'blocks' | 'picture' | 'leave';
  readonly audience: Audience;
  /** Ids of accepted proposals. */
  readonly accepted: ReadonlySet<Id>;
  /** Asset of the page's own picture; needed for 'picture'. */
  readonly pictureId?: string;
  readonly orientation?: 'portrait' | 'landscape';
}

/** The pages that come of the choices made. `assets` gives the id of each of the material's pictures. */
export function acceptedPages(
  proposed: Proposed,
  choices: readonly PageChoice[],
  assets: ReadonlyMap<number, string>,
  source: string,
  newId: () => Id,
): Page[] {
  const blockOf = (b: Block): Block | null => {
    const known = /^picture:(\d+)$/.exec(b.kind === 'picture' ? b.assetId : '');
    if (b.kind !== 'picture' || !known) return b;
    const assetId = assets.get(Number(known[1]));
    return assetId ? { ...b, assetId } : null;
  };
  return choices.flatMap((choice): Page[] => {
    const page = proposed.pages.find((p) => p.n === choice.n);
    if (!page || choice.as === 'leave') return [];
    const from = { familyId: '', revision: 0, id: `page ${page.page}`, title: source.slice(0, 300) };
    const kept = page.proposals.flatMap((p): { block: Block; place: Rect | undefined }[] => {
      const yes = choice.accepted.has(p.id);
      // On a picture the words stand already: only places to answer are laid over it.
      if (choice.as === 'picture') return yes && 'prompt' in p.block ? [{ block: p.block, place: p.place }] : [];
      const block = yes ? p.block : p.plain;
      const whole = block && blockOf(block);
      return whole ? [{ block: whole, place: undefined }] : [];
    });
    const base = {
      id: newId(),
      title: page.title,
      orientation: choice.orientation ?? ('portrait' as const),
      ...(choice.audience === 'learner' ? {} : { audience: choice.audience }),
      source: from,
      blocks: kept.map((k) => k.block),
    };
    if (choice.as !== 'picture' || !choice.pictureId) return divided(base, newId);
    const places = Object.fromEntries(kept.flatMap((k) => (k.place ? [[k.block.id, k.place] as const] : [])));
    return [{ ...base, fixed: { assetId: choice.pictureId, alt: altOf(page) }, places }];
  });
}

/** A page that is too long for one, as several. */
function divided(page: Page, newId: () => Id): Page[] {
  const out: Page[] = [];
  for (let at = 0; at === 0 || at < page.blocks.length; at += MOST_BLOCKS)
    out.push(
      at === 0
        ? { ...page, blocks: page.blocks.slice(0, MOST_BLOCKS) }
        : {
            ...page,
            id: newId(),
            title: `${page.title.slice(0, 190)}, part ${out.length + 1}`,
            blocks: page.blocks.slice(at, at + MOST_BLOCKS),
          },
    );
  return out;
}

/** What a page's picture shows, from the words that were read on it. */
function altOf(page: ProposedPage): string {
  const words = page.proposals.flatMap((p) =>
    p.plain && p.plain.kind === 'text' ? [p.plain.text] : 'text' in p.block ? [p.block.text] : [],
  );
  return words.join('\n').slice(0, 2000) || `Page ${page.n}, a picture without text that could be read.`;
}

/** A content that begins with some pages. */
export const contentOf = (title: string, pages: readonly Page[]): Content => ({
  title: title.slice(0, 200) || 'Imported',
  subject: '',
  ages: '',
  objectives: [],
  pages: [...pages],
});
