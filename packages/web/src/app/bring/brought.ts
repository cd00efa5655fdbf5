import { type Content, type Family, FAMILY_FORMAT, type Id, swatchFrom } from '@lorvet/core';
import { isKeyed, type Proposal, type ProposedPage, type ReadQuestion } from '@lorvet/core/intake';
import type { KeptAsset } from '../platform/storage/kept-asset';

/** How a file is read, by its ending. */
const ENDINGS = new Map([
  ['docx', 'docx'],
  ['html', 'html'],
  ['htm', 'html'],
  ['md', 'markdown'],
  ['markdown', 'markdown'],
  ['txt', 'markdown'],
  ['zip', 'qti'],
] as const);
export const documentKind = (ending: string): 'docx' | 'html' | 'markdown' | 'qti' | undefined =>
  (ENDINGS as ReadonlyMap<string, 'docx' | 'html' | 'markdown' | 'qti'>).get(ending);

const QUESTIONS_ON_PAGE = 20;

export const isQuestion = (p: Proposal): boolean => 'prompt' in p.block;

/** The questions of a list, on pages of twenty. */
export function questionPages(questions: readonly ReadQuestion[], newId: () => Id): ProposedPage[] {
  const pages: ProposedPage[] = [];
  for (let i = 0; i < questions.length; i += QUESTIONS_ON_PAGE)
    pages.push({
      n: pages.length + 1,
      page: pages.length + 1,
      title: `Questions ${i + 1} to ${Math.min(questions.length, i + QUESTIONS_ON_PAGE)}`,
      audience: 'learner',
      pictureOnly: false,
      proposals: questions
        .slice(i, i + QUESTIONS_ON_PAGE)
        .map((q) => ({ id: newId(), says: `Line ${q.line}`, block: q.block, plain: null, keyed: isKeyed(q.block) })),
    });
  return pages;
}

/** Pictures as blocks, all on one page. */
export const pictureBlocks = (assets: readonly KeptAsset[], title: string, newId: () => Id): ProposedPage => ({
  n: 1,
  page: 1,
  title,
  audience: 'learner',
  pictureOnly: false,
  proposals: assets.map((a) => ({
    id: newId(),
    says: `Picture: ${a.name}`,
    block: { id: newId(), kind: 'picture', audience: 'learner', assetId: a.id, alt: '' },
    plain: null,
    keyed: false,
  })),
});

/** Pictures as pages of their own, under answer places. */
export const picturePages = (assets: readonly KeptAsset[]): ProposedPage[] =>
  assets.map((_, i) => ({
    n: i + 1,
    page: i + 1,
    title: `Page ${i + 1}`,
    audience: 'learner',
    pictureOnly: true,
    proposals: [],
  }));

/** A master with its first revision. */
export const broughtMaster = (
  content: Content,
  note: string,
  stamp: { readonly id: Id; readonly at: string; readonly author: string },
): Family => ({
  format: FAMILY_FORMAT,
  id: stamp.id,
  createdAt: stamp.at,
  swatch: swatchFrom(stamp.id),
  revisions: [{ n: 1, at: stamp.at, author: stamp.author, note: note.slice(0, 300), content }],
  versions: [],
});
