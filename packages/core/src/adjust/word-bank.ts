import { z } from '../zod';
import type { Page } from '../activity/activity';
import { type Id, idSchema } from '../activity/block';
import { isItem, keyWordsOf } from '../activity/blocks';
import { plainWords } from '../work/plain-words';
import { adjustmentBase, type AdjustmentKind, type Applied, missed, accommodation, modification } from './adjustment';
import { placeShape, reviewPlace, standingPlace } from './insert-block';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('word-bank'),
  ...placeShape,
  /** Id of the block it adds. */
  blockId: idSchema,
  title: z.string().max(200),
  words: z.array(z.string().max(120)).min(1).max(60),
  /** The words the keys proposed when this was written. */
  was: z.array(z.string().max(300)),
});
export type WordBank = z.infer<typeof schema>;

/**
 * The words a bank for a page should hold: the first accepted answer of each short-text item, in alphabetical
 * order so that the order gives nothing away, each once.
 */
export function proposeWords(page: Page): string[] {
  const found = new Map<string, string>();
  for (const block of page.blocks) {
    if (!isItem(block) || block.kind !== 'short-text') continue;
    const [word] = keyWordsOf(block);
    if (word?.trim()) found.set(plainWords(word), word.trim());
  }
  return [...found.values()].sort((a, b) => plainWords(a).localeCompare(plainWords(b), 'en'));
}

export const bankBlock = (a: { blockId: Id; title: string; words: readonly string[] }) => ({
  id: a.blockId,
  kind: 'word-bank' as const,
  audience: 'learner' as const,
  title: a.title,
  words: [...a.words],
});

export const wordBank: AdjustmentKind<WordBank> = {
  kind: 'word-bank',
  label: 'Word bank',
  done: 'word bank added',
  category: 'support',
  schema,
  targets: (a) => [a.blockId],
  apply(a, sheet): Applied {
    const place = standingPlace(a, sheet);
    if (!place) return missed(a.page, 'The page it stood on is no longer there.');
    return { edits: [{ edit: 'insert-block', block: bankBlock(a), ...place }], missed: [] };
  },
  describe: (a) => `A word bank is added: ${a.words.join(', ')}.`,
  judge: (a) =>
    a.words.length < 2
      ? modification('A bank of one word gives the answer away.')
      : accommodation('Words to choose from are given; which goes where is still asked.'),
  review(a, sheet) {
    const page = sheet.basisPage(a.page);
    const place = reviewPlace(a, sheet, a.words.join(' · '));
    if (!page || place.outcome !== 'untouched') return place;
    const proposed = proposeWords(page);
    if (proposed.join('\n') === a.was.join('\n')) return place;
    const gone = a.was.filter((w) => !proposed.includes(w));
    const fresh = proposed.filter((w) => !a.was.includes(w) && !a.words.includes(w));
    const combined = [...a.words.filter((w) => !gone.includes(w)), ...fresh];
    const words = combined.length ? combined : proposed;
    const taken = words.length ? { ...a, words, was: proposed } : null;
    if (a.words.join('\n') === a.was.join('\n'))
      return {
        outcome: 'carried',
        target: a.page,
        why: `The keys changed, and the bank follows them: ${words.join(', ') || 'no words are left'}.`,
        result: taken,
      };
    return {
      outcome: 'to-decide',
      target: a.page,
      field: 'words',
      why: 'The keys changed, and this bank was put together by hand.',
      old: a.was.join(' · '),
      master: proposed.join(' · '),
      version: a.words.join(' · '),
      proposed: words.join(' · '),
      choices: [
        {
          choice: 'master',
          label: 'Take the words of the keys',
          result: proposed.length ? { ...a, words: proposed, was: proposed } : null,
        },
        { choice: 'version', label: 'Keep this bank', result: { ...a, was: proposed } },
        { choice: 'combined', label: 'Take the combination', result: taken },
      ],
    };
  },
};
