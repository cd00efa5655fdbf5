import { type Content, itemsOf } from '../activity/activity';
import { type Block, isItem } from '../activity/blocks';
import { plainTextOf } from '../activity/plain-text';
import { plainRich } from '../activity/rich';

export { sentencesIn } from './sentences';

/** An address of the net or of a letter box. */
const ADDRESS =
  /(?:https?:\/\/|www\.)\S+|(?<![\p{L}\p{N}._-])[\p{L}\p{N}._-]{1,64}@[\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)+/u;
/** "a.m.", "U.S.A.", "Ph.D." */
const LETTERS = /(?:\p{L}{1,2}\.){2,}/u;
const WORD = /[\p{L}\p{N}]+(?:(?:['’‐‑-]|(?<=\p{N})[.,:/](?=\p{N})|(?<=\p{N})°(?=\p{L}))[\p{L}\p{N}]+)*/u;
const ANY_WORD = new RegExp([ADDRESS, LETTERS, WORD].map((r) => r.source).join('|'), 'gu');

/**
 * The words of a text as a person counts them: what stands between room and dashes. "Well-known", "don't", "3.5", "8:40",
 * "1,000", "1/2", "a.m.", "20°C" and an address are one word each.
 */
export function wordsIn(text: string): string[] {
  return text.match(ANY_WORD) ?? [];
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
