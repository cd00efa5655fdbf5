import { automatedReadability } from 'automated-readability';
import { colemanLiau } from 'coleman-liau';
import { daleChallFormula } from 'dale-chall-formula';
import { flesch } from 'flesch';
import { fleschKincaid } from 'flesch-kincaid';
import { gunningFog } from 'gunning-fog';
import { smogFormula } from 'smog-formula';
import { spache } from 'spache';
import { spacheFormula } from 'spache-formula';
import { syllable } from 'syllable';
import { isHard, isIn } from './hard';
import { sentencesIn, withFieldsAsWords, wordsIn } from './words';

/** A text shorter than this gives formulas nothing to hold on to: their authors took samples of 100 words. */
export const LEAST_WORDS = 30;

const spacheWords = new Set(spache);

/** What the formulas count in a text. Counts of two texts add up to those of both. */
export interface TextCount {
  readonly words: number;
  readonly sentences: number;
  readonly syllables: number;
  readonly letters: number;
  /** Letters and digits. */
  readonly characters: number;
  /** Words of three syllables and more. */
  readonly long: number;
  /** Words that the Dale–Chall list lacks, each time they stand. */
  readonly hard: number;
  /** The same, each once, in small letters. */
  readonly hardWords: readonly string[];
  /** Different words that Spache's list lacks. */
  readonly unfamiliar: readonly string[];
}

export function countText(written: string): TextCount {
  const text = withFieldsAsWords(written);
  const words = wordsIn(text);
  const hard = words.filter(isHard);
  const syllables = words.map((w) => Math.max(1, syllable(w)));
  const joined = words.join('');
  const lower = [...new Set(words.map((w) => w.toLowerCase()))];
  return {
    words: words.length,
    sentences: sentencesIn(text).length,
    syllables: syllables.reduce((n, s) => n + s, 0),
    letters: joined.replace(/[^\p{L}]/gu, '').length,
    characters: joined.length,
    long: syllables.filter((s) => s >= 3).length,
    hard: hard.length,
    hardWords: [...new Set(hard.map((w) => w.toLowerCase()))],
    unfamiliar: lower.filter((w) => !isIn(spacheWords, w)),
  };
}

export function addCounts(counts: readonly TextCount[]): TextCount {
  const sum = (of: (c: TextCount) => number) => counts.reduce((n, c) => n + of(c), 0);
  return {
    words: sum((c) => c.words),
    sentences: sum((c) => c.sentences),
    syllables: sum((c) => c.syllables),
    letters: sum((c) => c.letters),
    characters: sum((c) => c.characters),
    long: sum((c) => c.long),
    hard: sum((c) => c.hard),
    hardWords: [...new Set(counts.flatMap((c) => c.hardWords))],
    unfamiliar: [...new Set(counts.flatMap((c) => c.unfamiliar))],
  };
}

/** A published formula: where it comes from, how to read its figure, and what text it needs to mean anything. */
export interface Formula {
  readonly id: FormulaId;
  readonly name: string;
  readonly source: string;
  /** How its figure is read. */
  readonly scale: string;
  readonly limits: string;
  readonly leastWords: number;
  readonly leastSentences: number;
  of(c: TextCount): number;
}

export type FormulaId = 'kincaid' | 'ease' | 'dale-chall' | 'spache' | 'coleman-liau' | 'automated' | 'fog' | 'smog';

const US_GRADE = 'US school grade';

export const FORMULAS: readonly Formula[] = [
  {
    id: 'kincaid',
    name: 'Flesch–Kincaid',
    source: 'Kincaid and others 1975',
    scale: US_GRADE,
    limits: 'Made for running text; counts sentence length and syllables only.',
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => fleschKincaid({ sentence: c.sentences, word: c.words, syllable: c.syllables }),
  },
  {
    id: 'ease',
    name: 'Flesch ease',
    source: 'Flesch 1948',
    scale: '100 easy, 0 hard',
    limits: 'Samples of 100 words; counts sentence length and syllables only.',
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => flesch({ sentence: c.sentences, word: c.words, syllable: c.syllables }),
  },
  {
    id: 'dale-chall',
    name: 'Dale–Chall',
    source: 'Dale and Chall 1948, word list of 1995',
    scale: '4.9 and below is grade 4; 9 is grade 13',
    limits: 'Says little below grade 4.',
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => daleChallFormula({ sentence: c.sentences, word: c.words, difficultWord: c.hard }),
  },
  {
    id: 'spache',
    name: 'Spache',
    source: 'Spache 1953, revised 1974',
    scale: US_GRADE,
    limits: 'For texts of the first three grades.',
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => spacheFormula({ sentence: c.sentences, word: c.words, unfamiliarWord: c.unfamiliar.length }),
  },
  {
    id: 'coleman-liau',
    name: 'Coleman–Liau',
    source: 'Coleman and Liau 1975',
    scale: US_GRADE,
    limits: 'Counts letters, not syllables.',
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => colemanLiau({ sentence: c.sentences, word: c.words, letter: c.letters }),
  },
  {
    id: 'automated',
    name: 'Automated index',
    source: 'Senter and Smith 1967',
    scale: US_GRADE,
    limits: 'Counts letters, not syllables.',
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => automatedReadability({ sentence: c.sentences, word: c.words, character: c.characters }),
  },
  {
    id: 'fog',
    name: 'Fog',
    source: 'Gunning 1952',
    scale: US_GRADE,
    limits: 'Needs samples of 100 words; names count as long words here.',
    leastWords: 100,
    leastSentences: 1,
    of: (c) => gunningFog({ sentence: c.sentences, word: c.words, complexPolysillabicWord: c.long }),
  },
  {
    id: 'smog',
    name: 'SMOG',
    source: 'McLaughlin 1969',
    scale: US_GRADE,
    limits: 'Needs 30 sentences.',
    leastWords: 100,
    leastSentences: 30,
    of: (c) => smogFormula({ sentence: c.sentences, polysillabicWord: c.long }),
  },
];

export const measures = (f: Formula, c: TextCount): boolean =>
  c.words >= f.leastWords && c.sentences >= f.leastSentences;

export interface Readability {
  readonly words: number;
  readonly sentences: number;
  readonly wordsPerSentence: number;
  readonly hardWords: readonly string[];
  /** Figures of the formulas by their ids; one that the text is too short for is not there. */
  readonly figures: Readonly<Partial<Record<FormulaId, number>>>;
}

export function readabilityOf(c: TextCount): Readability {
  return {
    words: c.words,
    sentences: c.sentences,
    wordsPerSentence: c.sentences ? c.words / c.sentences : 0,
    hardWords: c.hardWords,
    figures: Object.fromEntries(FORMULAS.filter((f) => measures(f, c)).map((f) => [f.id, f.of(c)])),
  };
}

export const readability = (text: string): Readability => readabilityOf(countText(text));
