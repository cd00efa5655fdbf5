import { type Content, itemsOf } from '../activity/activity';
import { type Block, isItem } from '../activity/blocks';
import { plainTextOf } from '../activity/plain-text';
import { plainRich } from '../activity/rich';

export function wordsIn(text: string): string[] {
  return text.match(/[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*/gu) ?? [];
}

/** Sentences end at . ! ? or a line's end; a question's numbering is no sentence. */
export function sentencesIn(text: string): string[] {
  return text
    .split(/(?<=[.!?…])\s+|\n+/u)
    .map((s) => s.trim())
    .filter((s) => wordsIn(s).length > 0);
}

/** A field that is filled for each learner counts as one easy word: what will stand there is not known yet. */
export const withFieldsAsWords = (text: string): string => text.replace(/\[\p{L}[\p{L} ]*\]/gu, 'you');

/** The words a learner reads in a block. */
export const learnerText = (block: Block): string =>
  block.audience !== 'learner' || block.kind === 'picture' ? '' : plainTextOf(block);

/** The running text that the formulas measure: passages, instructions and questions, not labels and choices. */
export const prose = (block: Block): string => {
  if (block.audience !== 'learner') return '';
  if (block.kind === 'text' || block.kind === 'passage') return plainRich(block.text);
  if (block.kind === 'instruction') return block.text;
  return isItem(block) ? block.prompt : '';
};

export const objectiveIdsIn = (content: Content): Set<string> =>
  new Set(itemsOf(content).flatMap((i) => (i.objectiveId ? [i.objectiveId] : [])));
