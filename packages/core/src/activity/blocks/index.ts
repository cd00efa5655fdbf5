import { z } from '../../zod';
import type { BlockKind, Id, ItemRules, WordsField } from '../block';
import { audioBlock } from './audio';
import { contentsList } from './contents';
import { dailyNote } from './daily-note';
import { divider } from './divider';
import { documentBlock } from './document';
import { drawing } from './drawing';
import { familyNote } from './family-note';
import { gapsBlock } from './gaps';
import { heading } from './heading';
import { instructionBlock } from './instruction';
import { labels } from './labels';
import { link } from './link';
import { longText } from './long-text';
import { matching } from './matching';
import { multipleChoice } from './multiple-choice';
import { notes } from './notes';
import { numberBlock } from './number';
import { ordering } from './ordering';
import { paper } from './paper';
import { passage } from './passage';
import { photo } from './photo';
import { picture } from './picture';
import { pictureWriting } from './picture-writing';
import { piecesBlock } from './pieces';
import { shortText } from './short-text';
import { singleChoice } from './single-choice';
import { sorting } from './sorting';
import { spots } from './spots';
import { steps } from './steps';
import { table } from './table';
import { tableFill } from './table-fill';
import { teacherNote } from './teacher-note';
import { textBlock } from './text';
import { videoBlock } from './video';
import { vocabulary } from './vocabulary';
import { voice } from './voice';
import { wordBankBlock } from './word-bank';
import { workedExample } from './worked-example';

/** Every block kind, by name. A kind that is here but lacks a half does not compile. */
export const blockKinds = {
  heading,
  text: textBlock,
  instruction: instructionBlock,
  passage,
  picture,
  table,
  audio: audioBlock,
  video: videoBlock,
  link,
  document: documentBlock,
  vocabulary,
  'word-bank': wordBankBlock,
  'worked-example': workedExample,
  divider,
  contents: contentsList,
  'daily-note': dailyNote,
  'family-note': familyNote,
  'teacher-note': teacherNote,
  'single-choice': singleChoice,
  'multiple-choice': multipleChoice,
  'short-text': shortText,
  'long-text': longText,
  number: numberBlock,
  gaps: gapsBlock,
  matching,
  sorting,
  ordering,
  pieces: piecesBlock,
  labels,
  spots,
  drawing,
  'picture-writing': pictureWriting,
  'table-fill': tableFill,
  steps,
  photo,
  voice,
  paper,
  notes,
};

type Kinds = typeof blockKinds;
export type BlockKindName = keyof Kinds;
type BlockOf<K extends BlockKindName> = z.infer<Kinds[K]['schema']>;
type LearnerBlockOf<K extends BlockKindName> = z.infer<Kinds[K]['learnerSchema']>;
export type Block = { [K in BlockKindName]: BlockOf<K> }[BlockKindName];
export type LearnerBlock = { [K in BlockKindName]: LearnerBlockOf<K> }[BlockKindName];
export type ItemBlock = Extract<Block, { prompt: string }>;
export type ItemKindName = ItemBlock['kind'];
export type LearnerItem = Extract<LearnerBlock, { prompt: string }>;
export const BLOCK_KIND_NAMES = Object.keys(blockKinds) as BlockKindName[];

// A discriminated union names the bad field of the right kind, where a plain one would list every kind's complaint.
type Option = z.core.$ZodTypeDiscriminable;
const union = (schemas: z.ZodType[]) => z.discriminatedUnion('kind', schemas as unknown as [Option, ...Option[]]);
export const blockSchema = union(Object.values(blockKinds).map((k) => k.schema)) as unknown as z.ZodType<Block>;
export const learnerBlockSchema = union(
  Object.values(blockKinds)
    .filter((k) => k.learnerSchema.type !== 'never')
    .map((k) => k.learnerSchema),
) as unknown as z.ZodType<LearnerBlock>;

// The one place where a block meets its own kind: TypeScript cannot follow that the two are of one name.
const kindOf = (block: Block): BlockKind<Block, LearnerBlock> =>
  blockKinds[block.kind] as unknown as BlockKind<Block, LearnerBlock>;

export const assetsIn = (block: Block): string[] => kindOf(block).assets?.(block) ?? [];
export const isItem = (block: Block): block is ItemBlock => 'prompt' in block;
export const isChoice = (block: Block): block is Extract<Block, { options: unknown }> => 'options' in block;
export const labelOf = (block: Block): string => kindOf(block).label;
export const wordsOf = (block: Block): WordsField[] => kindOf(block).words(block);
export const withWords = (block: Block, field: string, text: string): Block =>
  kindOf(block).withWords(block, field, text);
export const forLearner = (block: Block): LearnerBlock => kindOf(block).forLearner(block);
export const freshBlock = (kind: BlockKindName, id: Id, newId: () => Id): Block => blockKinds[kind].fresh(id, newId);

/** The text of one field, or undefined where the block has no such field. */
export function wordsAt(block: Block, field: string): string | undefined {
  // These fields are the block's own of the same name, in every kind that has them (tested): no list is made for them.
  if (field === 'text' || field === 'prompt') {
    const own = (block as { text?: unknown; prompt?: unknown })[field];
    return typeof own === 'string' ? own : undefined;
  }
  return wordsOf(block).find((w) => w.field === field)?.text;
}

export function itemRules(block: ItemBlock): ItemRules<ItemBlock> {
  return kindOf(block).item as unknown as ItemRules<ItemBlock>;
}

/** Whether a block is for learners. */
export const isLearners = (b: Block): boolean => b.audience === 'learner';

/** The key as words; empty for a block that is no item. */
export const keyWordsOf = (block: Block): string[] => (isItem(block) ? itemRules(block).keyWords(block) : []);

/** The key as option ids, for choice blocks. */
export function keyIdsOf(block: Block): readonly Id[] {
  if (block.kind === 'single-choice') return block.key ? [block.key] : [];
  if (block.kind === 'multiple-choice') return block.key;
  return [];
}
