import { z } from '../zod';
import type { Page } from '../activity/activity';
import { idSchema } from '../activity/block';
import { keyWordsOf } from '../activity/blocks';
import { entriesSchema } from '../activity/blocks/vocabulary';
import { isHard } from '../measure/hard';
import { prose, withFieldsAsWords, wordsIn } from '../measure/words';
import { plainWords } from '../work/plain-words';
import { accommodation, adjustmentBase, type AdjustmentKind, type Applied, missed, modification } from './adjustment';
import { placeShape, reviewPlace, standingPlace } from './insert-block';

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('glossary'),
  ...placeShape,
  blockId: idSchema,
  title: z.string().max(200),
  entries: entriesSchema,
  /** The hard words of the page when this was written. */
  was: z.array(z.string().max(120)),
});
export type Glossary = z.infer<typeof schema>;

/**
 * The hard words a page's learners read, each once, in the order they stand: those the Dale–Chall list lacks, without
 * names (a word that only ever stands with a capital).
 */
export function proposeHardWords(page: Page): string[] {
  const all = wordsIn(withFieldsAsWords(page.blocks.map(prose).join('\n')));
  const small = new Set(all.filter((w) => /^\p{Ll}/u.test(w)));
  const found = new Map<string, string>();
  for (const w of all) {
    const word = w.toLocaleLowerCase('en').replace(/['’]s$/, '');
    if (isHard(word) && small.has(w.toLocaleLowerCase('en')) && !found.has(word)) found.set(word, word);
  }
  return [...found.values()];
}

export const glossary: AdjustmentKind<Glossary> = {
  kind: 'glossary',
  label: 'Glossary',
  done: 'glossary added',
  category: 'support',
  schema,
  targets: (a) => [a.blockId],
  apply(a, sheet): Applied {
    const place = standingPlace(a, sheet);
    if (!place) return missed(a.page, 'The page it stood on is no longer there.');
    const block = {
      id: a.blockId,
      kind: 'vocabulary' as const,
      audience: 'learner' as const,
      title: a.title,
      entries: a.entries,
    };
    return { edits: [{ edit: 'insert-block', block, ...place }], missed: [] };
  },
  describe: (a) => `Hard words are explained: ${a.entries.map((e) => e.word).join(', ')}.`,
  judge(a, c) {
    const page = c.basis.pages.find((p) => p.id === a.page);
    const words = new Set(a.entries.map((e) => plainWords(e.word)));
    const says = page?.blocks.some((b) => keyWordsOf(b).some((k) => words.has(plainWords(k))));
    return says
      ? modification('A word it explains is the answer of a question on the page.')
      : accommodation('Words are explained; none of them is an answer on the page.');
  },
  review(a, sheet) {
    const place = reviewPlace(a, sheet, a.entries.map((e) => e.word).join(' · '));
    const page = sheet.basisPage(a.page);
    if (!page || place.outcome !== 'untouched') return place;
    const hard = proposeHardWords(page);
    const gone = a.was.filter((w) => !hard.includes(w));
    const fresh = hard.filter((w) => !a.was.includes(w) && !a.entries.some((e) => e.word === w));
    if (gone.length === 0 && fresh.length === 0) return place;
    const left = a.entries.filter((e) => !gone.includes(e.word));
    const keep: Glossary = { ...a, was: hard };
    if (fresh.length === 0)
      return {
        outcome: 'carried',
        target: a.page,
        why: `The page no longer says ${gone.join(', ')}: the glossary leaves it out.`,
        result: left.length ? { ...keep, entries: left } : null,
      };
    return {
      outcome: 'to-decide',
      target: a.page,
      field: 'entries',
      why: `The page has new hard words: ${fresh.join(', ')}.`,
      old: a.was.join(' · '),
      master: hard.join(' · '),
      version: a.entries.map((e) => e.word).join(' · '),
      proposed: [...left.map((e) => e.word), ...fresh].join(' · '),
      choices: [
        { choice: 'version', label: 'Keep this glossary', result: keep },
        {
          choice: 'combined',
          label: 'Add the new words, to be explained',
          result: {
            ...keep,
            entries: [
              ...left,
              ...fresh.map((word) => ({ id: `${a.blockId}-${word}`.slice(0, 64), word, meaning: '' })),
            ],
          },
        },
        { choice: 'master', label: 'Take the glossary away', result: null },
      ],
    };
  },
};
