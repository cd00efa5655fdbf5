import { findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Block } from '../activity/blocks';
import { revealOf } from '../verdict/reveal';
import { accommodation, type JudgeContext } from './adjustment';

export const basisBlock = (c: JudgeContext, id: Id): Block | undefined => findBlock(c.basis, id)?.block;

/** Whether a text tells the answer of an item that `before` does not tell already. */
export function givesAway(text: string, item: Block, before: string): boolean {
  const told = revealOf(text, item, before);
  return told !== null && told.how !== 'offers';
}

/** Taking items away, where no objective loses too much by it: the verdict looks at that for the whole version. */
export const LESS_TO_DO = accommodation('Less to do; of each objective at least half is still asked.');
