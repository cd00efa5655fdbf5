import { z } from 'zod';
import type { BlockKind, Id, ItemRules, WordsField } from '../block';
import { heading } from './heading';
import { instructionBlock } from './instruction';
import { longText } from './long-text';
import { multipleChoice } from './multiple-choice';
import { numberBlock } from './number';
import { picture } from './picture';
import { shortText } from './short-text';
import { singleChoice } from './single-choice';
import { teacherNote } from './teacher-note';
import { textBlock } from './text';
import { wordBankBlock } from './word-bank';

/** Every block kind, by name. A kind that is here but lacks a half does not compile. */
export const blockKinds = {
  heading,
  text: textBlock,
  instruction: instructionBlock,
  picture,
  'word-bank': wordBankBlock,
  'teacher-note': teacherNote,
  'single-choice': singleChoice,
  'multiple-choice': multipleChoice,
  'short-text': shortText,
  'long-text': longText,
  number: numberBlock,
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

export const isItem = (block: Block): block is ItemBlock => 'prompt' in block;
export const isChoice = (block: Block): block is Extract<Block, { options: unknown }> => 'options' in block;
export const labelOf = (block: Block): string => kindOf(block).label;
export const wordsOf = (block: Block): WordsField[] => kindOf(block).words(block);
export const withWords = (block: Block, field: string, text: string): Block =>
  kindOf(block).withWords(block, field, text);
export const forLearner = (block: Block): LearnerBlock => kindOf(block).forLearner(block);
export const freshBlock = (kind: BlockKindName, id: Id, newId: () => Id): Block => blockKinds[kind].fresh(id, newId);

/** The text of one field, or undefined where the block has no such field. */
export const wordsAt = (block: Block, field: string): string | undefined =>
  wordsOf(block).find((w) => w.field === field)?.text;

export function itemRules(block: ItemBlock): ItemRules<ItemBlock> {
  return kindOf(block).item as unknown as ItemRules<ItemBlock>;
}

/** The key as words; empty for a block that is no item. */
export const keyWordsOf = (block: Block): string[] => (isItem(block) ? itemRules(block).keyWords(block) : []);

/** The key as option ids, for choice blocks. */
export function keyIdsOf(block: Block): readonly Id[] {
  if (block.kind === 'single-choice') return block.key ? [block.key] : [];
  if (block.kind === 'multiple-choice') return block.key;
  return [];
}
