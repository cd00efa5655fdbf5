import { z } from '../zod';
import { type Content, findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { isItem } from '../activity/blocks';
import { plainWords } from '../work/plain-words';

/** The question's words when something was written for it; where it was written before they were kept, those of the last revision. */
export const questionShape = { question: z.string().max(4000).optional() };

/** Whether a question reads otherwise than when something was written for it: case and signs are no other words. */
export function readsOtherwise(
  was: string | undefined,
  now: { readonly id: Id; readonly prompt: string },
  before: Content | undefined,
): { readonly was: string } | null {
  const then = before && findBlock(before, now.id)?.block;
  const words = was ?? (then && isItem(then) ? then.prompt : undefined);
  return words !== undefined && plainWords(words) !== plainWords(now.prompt) ? { was: words } : null;
}
