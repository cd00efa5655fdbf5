import { findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Block, isItem, keyWordsOf } from '../activity/blocks';
import { plainWords } from '../work/plain-words';
import { accommodation, type Judged, type JudgeContext, modification } from './adjustment';

export const basisBlock = (c: JudgeContext, id: Id): Block | undefined => findBlock(c.basis, id)?.block;

/** Whether a text says the key of an item that its own question does not say already. */
export function givesAway(text: string, item: Block, before: string): boolean {
  const said = ` ${plainWords(text)} `;
  const saidBefore = ` ${plainWords(before)} `;
  if (!isItem(item) || item.kind === 'long-text') return false;
  return keyWordsOf(item).some((k) => {
    const key = ` ${plainWords(k)} `;
    return key.trim() !== '' && said.includes(key) && !saidBefore.includes(key);
  });
}

/** Taking items away is a modification only where it takes the last item of an objective. */
export function judgeRemoval(c: JudgeContext, items: readonly Block[]): Judged {
  const gone = [...new Set(items.map((b) => (isItem(b) ? (b.objectiveId ?? '') : '')))].filter((id) => c.lost.has(id));
  const [first] = gone;
  const text = c.basis.objectives.find((o) => o.id === first)?.text ?? '';
  return first === undefined
    ? accommodation('Less to do; every objective it touches is still asked elsewhere.')
    : modification(`“${text}” has no item left in this version.`);
}
