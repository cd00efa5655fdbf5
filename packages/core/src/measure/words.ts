import { type Content, itemsOf } from '../activity/activity';
import { type Block, isItem } from '../activity/blocks';
import { plainTextOf } from '../activity/plain-text';
import { plainRich } from '../activity/rich';

export { sentencesIn } from './sentences';

/**
 * The words of a text as a person counts them: what stands between room and dashes. "Well-known", "don't", "3.5", "8:40",
 * "1,000", "1/2" and "a.m." are one word each.
 */
export function wordsIn(text: string): string[] {
  return text.match(/(?:\p{L}\.){2,}|[\p{L}\p{N}]+(?:(?:['’‐‑-]|(?<=\p{N})[.,:/](?=\p{N}))[\p{L}\p{N}]+)*/gu) ?? [];
}

/** A field that is filled for each learner counts as one easy word: what will stand there is not known yet. */
export const withFieldsAsWords = (text: string): string => text.replace(/\[\p{L}[\p{L} ]*\]/gu, 'you');

/** The words a learner reads in a block; the description of a picture is read to who cannot see it. */
export const learnerText = (block: Block): string => {
  if (block.audience !== 'learner' || block.kind === 'picture') return '';
  return 'alt' in block ? plainTextOf({ ...block, alt: '' } as Block) : plainTextOf(block);
};

/** The running text of a block: of a passage or text all, of an instruction or question what is said. */
export const prose = (block: Block): string => {
  if (block.audience !== 'learner') return '';
  if (block.kind === 'text' || block.kind === 'passage') return plainRich(block.text);
  if (block.kind === 'instruction') return block.text;
  return isItem(block) ? block.prompt : '';
};

export const objectiveIdsIn = (content: Content): Set<string> =>
  new Set(itemsOf(content).flatMap((i) => (i.objectiveId ? [i.objectiveId] : [])));
