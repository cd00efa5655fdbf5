import { z } from '../zod';
import { audienceSchema, type Id, idSchema, sourceSchema } from './block';
import { assetsIn, type Block, blockSchema, isItem, type ItemBlock } from './blocks';
import { assetIdSchema, rectSchema } from './parts';
import { languageSchema } from './language';
import { SKILLS, skillSchema } from './skill';

export const objectiveSchema = z.object({
  id: idSchema,
  text: z.string().min(1).max(300),
  /** What it protects, where the teacher said it; else its words do. */
  protects: z.array(skillSchema).max(SKILLS.length).optional(),
});
export type Objective = z.infer<typeof objectiveSchema>;

export const PAGE_SIZES = { A3: [297, 420], A4: [210, 297], A5: [148, 210], Letter: [215.9, 279.4] } as const;
export const pageSizeSchema = z.enum(['A3', 'A4', 'A5', 'Letter']);
export type PageSize = z.infer<typeof pageSizeSchema>;

/** Marks by which a page of a packet is found: a day, a subject, a colour and a sign. */
export const pageMarkSchema = z.object({
  day: z.string().max(40).default(''),
  subject: z.string().max(60).default(''),
  colour: z.enum(['', 'a', 'b', 'c', 'd', 'e', 'f', 'g', 'h']).default(''),
  sign: z.enum(['', 'sun', 'leaf', 'wave', 'stone', 'shell', 'star', 'moon', 'drop']).default(''),
});
export type PageMark = z.infer<typeof pageMarkSchema>;

/** A picture that fills the page and cannot be moved; answer places lie on top of it, in hundredths of the page. */
export const fixedPictureSchema = z.object({ assetId: assetIdSchema, alt: z.string().max(2000) });

/** Blocks that one page has room for. */
export const MOST_BLOCKS = 400;

export const pageSchema = z.object({
  id: idSchema,
  title: z.string().max(200),
  orientation: z.enum(['portrait', 'landscape']).default('portrait'),
  size: pageSizeSchema.optional(),
  /** Whom the page is for; a page that is not the learner's never reaches a package. */
  audience: audienceSchema.optional(),
  /** Laid out over this picture; without it the page flows. */
  fixed: fixedPictureSchema.optional(),
  /** Where blocks lie on the picture, by block id; a block without a place flows below it. */
  places: z.record(idSchema, rectSchema).optional(),
  mark: pageMarkSchema.optional(),
  source: sourceSchema.optional(),
  blocks: z.array(blockSchema).max(MOST_BLOCKS),
});
export type Page = z.infer<typeof pageSchema>;

/** Ids of all assets a content shows. */
export const assetsOf = (content: { pages: readonly Page[] }): Set<string> =>
  new Set(
    content.pages.flatMap((p) => [...(p.fixed?.assetId ? [p.fixed.assetId] : []), ...p.blocks.flatMap(assetsIn)]),
  );

/** How the whole is shown and given, where it is not as usual. */
export const settingsSchema = z.object({
  /** Only one question is on the page at a time. */
  oneAtATime: z.boolean().optional(),
  /** Print and screen: size and spacing as factors of the usual. */
  print: z
    .object({
      size: z.number().min(1).max(2.5),
      spacing: z.number().min(1).max(2),
      font: z.enum(['', 'hyperlegible', 'lexend', 'serif']),
      colours: z.enum(['', 'paper', 'cream', 'mist', 'night']),
    })
    .optional(),
  /** Added to the usual: per cent of the time, and days to the due date. */
  extraTime: z.object({ percent: z.number().min(0).max(300), days: z.number().int().min(0).max(60) }).optional(),
  /** How many goes a learner has. */
  goes: z.number().int().min(1).max(20).optional(),
  /** Ids of blocks whose pieces and choices are mixed up for each learner and go. */
  mix: z.array(idSchema).max(2000).optional(),
});
export type Settings = z.infer<typeof settingsSchema>;

/** Everything a revision holds: what the activity is for, and its pages. */
export const contentSchema = z.object({
  title: z.string().min(1).max(200),
  subject: z.string().max(100),
  ages: z.string().max(40),
  objectives: z.array(objectiveSchema).max(60),
  pages: z.array(pageSchema).max(1000),
  settings: settingsSchema.optional(),
  /** The language of its texts, where the teacher said it; else it is found. */
  language: languageSchema.optional(),
});
export type Content = z.infer<typeof contentSchema>;

export interface Placed {
  readonly block: Block;
  readonly page: Page;
}

/** All blocks in reading order, with their pages. */
export function* blocksOf(content: Content): Generator<Placed> {
  for (const page of content.pages) for (const block of page.blocks) yield { block, page };
}

export function itemsOf(content: Content): ItemBlock[] {
  return content.pages.flatMap((p) => p.blocks.filter(isItem));
}

const pageIndexes = new WeakMap<Content, ReadonlyMap<Id, number>>();
const blockIndexes = new WeakMap<Content, ReadonlyMap<Id, Id>>();

/** Position of each page by id; made once per content. */
export function pageIndex(content: Content): ReadonlyMap<Id, number> {
  let index = pageIndexes.get(content);
  if (!index) pageIndexes.set(content, (index = new Map(content.pages.map((p, i) => [p.id, i]))));
  return index;
}

/** Page id of each block by block id; made once per content. */
export function blockIndex(content: Content): ReadonlyMap<Id, Id> {
  let index = blockIndexes.get(content);
  if (!index) {
    const made = new Map<Id, Id>();
    for (const { block, page } of blocksOf(content)) made.set(block.id, page.id);
    blockIndexes.set(content, (index = made));
  }
  return index;
}

export function findBlock(content: Content, blockId: Id): Placed | undefined {
  const at = pageIndex(content).get(blockIndex(content).get(blockId) ?? '');
  const page = at === undefined ? undefined : content.pages[at];
  const block = page?.blocks.find((b) => b.id === blockId);
  return page && block && { page, block };
}

/** The ids that stand twice; empty in sound content. Ids must be unique over pages and blocks. */
export function doubledIds(content: Content): Id[] {
  const seen = new Set<Id>();
  const doubled: Id[] = [];
  for (const id of [...content.pages.map((p) => p.id), ...[...blocksOf(content)].map((p) => p.block.id)]) {
    if (seen.has(id)) doubled.push(id);
    seen.add(id);
  }
  return doubled;
}

/** A clean copy of a page: the same words and places, every id new. */
export function copyOfPage(page: Page, newId: () => Id): Page {
  const ids = new Map<Id, Id>();
  const fresh = (id: Id): Id => {
    let now = ids.get(id);
    if (now === undefined) ids.set(id, (now = newId()));
    return now;
  };
  const blocks = page.blocks.map((b) => copyOfBlock(b, newId));
  page.blocks.forEach((b, i) => ids.set(b.id, blocks[i]?.id ?? b.id));
  const places = page.places && Object.fromEntries(Object.entries(page.places).map(([id, r]) => [fresh(id), { ...r }]));
  return { ...page, id: newId(), blocks, ...(places ? { places } : {}) };
}

/** A copy of a block with a new id. What it holds keeps its ids, which need only differ within the block. */
export const copyOfBlock = (block: Block, newId: () => Id): Block => ({ ...block, id: newId() });
