import { type ItemBlock, itemRules } from '../../activity/blocks';
import type { Answer, ItemMark } from '../answer';
import type { Response } from '../copy';
import type { Judge } from './judge';
import { judgeNumber } from './judge-number';
import { judgeWords } from './judge-words';

/** The judge of words and numbers. */
export const judge: Judge = { words: judgeWords, number: judgeNumber };

/** Marks one answer by the item's own rule; what a rule cannot judge is left to the teacher. */
export function markItem(item: ItemBlock, answer: Answer | undefined): ItemMark {
  const rules = itemRules(item);
  if (rules.emptyIsKey?.(item) && (!answer || rules.isEmpty(answer)))
    return { verdict: 'yours', points: 0, outOf: item.points, why: 'Nothing lies there: that is right, or not done.' };
  if (!answer || rules.isEmpty(answer))
    return { verdict: 'empty', points: 0, outOf: item.points, why: 'Nothing was given.' };
  return rules.mark(item, answer, judge);
}

/** The mark that counts: the teacher's where there is one, else the computed one. */
export function markThatCounts(
  item: ItemBlock,
  answer: Answer | undefined,
  response: Response | undefined,
): ItemMark & { readonly byTeacher: boolean } {
  const own = response?.marks[item.id];
  if (own)
    return { verdict: own.verdict, points: own.points, outOf: item.points, why: 'Marked by you.', byTeacher: true };
  const mark = markItem(item, answer);
  // What was done on paper is there to be looked at, and no rule can read it.
  if (mark.verdict === 'empty' && response?.paper?.length)
    return { ...mark, verdict: 'yours', why: 'Done on paper: yours to mark.', byTeacher: false };
  return { ...mark, byTeacher: false };
}
