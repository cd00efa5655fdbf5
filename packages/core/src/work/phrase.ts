import { idSchema } from '../activity/block';
import { z } from '../zod';

/** As many phrases are kept. */
export const MOST_PHRASES = 200;

/** Words that a teacher says often to learners' work; `[name]` stands for what the learner is called. */
export const phraseSchema = z.object({
  id: idSchema,
  text: z.string().min(1).max(500),
  /** The same for the family, in their report; empty for none. */
  family: z.string().max(500).default(''),
});
export type Phrase = z.infer<typeof phraseSchema>;

const NAME = /\[name\]/giu;

/** The words with a name in its places. */
export const withName = (text: string, name: string): string => text.replace(NAME, () => name);

/** Words that were written to one learner as a phrase for all: the name's places are open again. */
export function asPhrase(text: string, name: string): string {
  if (name === '') return text;
  const word = name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  return text.replace(new RegExp(`(?<![\\p{L}])${word}(?![\\p{L}])`, 'gu'), '[name]');
}

/** Words with others behind them, each once. */
export const joinedWords = (before: string, more: string): string =>
  before.includes(more) ? before : [before.trim(), more].filter(Boolean).join(' ');
