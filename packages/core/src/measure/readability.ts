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
import type { Language } from '../activity/language';
import { isHard, isIn } from './hard';
import { findLanguage } from './language';
import { withoutMarks } from './sentences';
import { sentencesIn, withFieldsAsWords, wordsIn } from './words';

/** A text shorter than this gives formulas nothing to hold on to: their authors took samples of 100 words. */
export const LEAST_WORDS = 30;

const spacheWords = new Set(spache);

/** What the formulas count in a text of one language. Counts of two texts of it add up to those of both. */
export interface TextCount {
  readonly language: Language;
  readonly words: number;
  readonly sentences: number;
  readonly syllables: number;
  readonly letters: number;
  /** Letters and digits. */
  readonly characters: number;
  /** Words of three syllables and more. */
  readonly long: number;
  /** Words of one syllable. */
  readonly short: number;
  /** Words of more than six letters. */
  readonly wide: number;
  /** Words that the Dale–Chall list lacks, each time they stand. */
  readonly hard: number;
  /** The same, each once, in small letters. */
  readonly hardWords: readonly string[];
  /** Different words that Spache's list lacks. */
  readonly unfamiliar: readonly string[];
}

/** Vowels that are spoken together, by language; the rest of a word's vowels are a syllable each. */
const TOGETHER: Readonly<Partial<Record<Language, RegExp>>> = {
  de: /aa|ee|ie|oo|au|äu|ei|ai|eu|[aeiouäöüy]/g,
  es: /[iu]?[aeoáéó][iuy]?|[iuíúü]|y$/g,
  fr: /[aeiouyàâéèêëîïôöûüùœæ]+/g,
};

/** How many syllables a word has: by the package for English, by groups of vowels for German, Spanish and French. */
export function syllablesIn(word: string, language: Language): number {
  const together = TOGETHER[language];
  if (!together)
    return word.split(/[-‐‑]/).reduce((n, part) => n + Math.max(1, syllable(part.replace(/[’‘]/g, "'"))), 0);
  const small = word.toLowerCase();
  // A French "e" at the end is silent.
  const spoken = language === 'fr' && small.length > 3 ? small.replace(/(?<=[^aeiouyéè])e(?:s|nt)?$/, '') : small;
  return Math.max(1, spoken.match(together)?.length ?? 0);
}

/** Names count as familiar (Dale and Chall 1948): words that have a capital within a sentence, wherever they stand. */
function namesIn(sentences: readonly (readonly string[])[]): Set<string> {
  const isCapital = (w: string) => /^\p{Lu}/u.test(w);
  const within = new Set(sentences.flatMap((words) => words.slice(1).filter(isCapital)));
  // What stands in small letters as well is no name.
  for (const w of sentences.flat()) if (!isCapital(w)) within.delete(w.charAt(0).toUpperCase() + w.slice(1));
  return within;
}

export function countText(written: string, language: Language = 'en'): TextCount {
  const text = withFieldsAsWords(written);
  const sentences = sentencesIn(text)
    .map((s) => wordsIn(withoutMarks(s)))
    .filter((s) => s.length > 0);
  const words = sentences.flat();
  const names = language === 'en' ? namesIn(sentences) : new Set<string>();
  const known = (w: string) => names.has(w.replace(/['’]s$/, ''));
  const hard = language === 'en' ? words.filter((w) => !known(w) && isHard(w)) : [];
  const syllables = words.map((w) => syllablesIn(w, language));
  const joined = words.join('').replace(/[^\p{L}\p{N}]/gu, '');
  const lower = [...new Set(words.filter((w) => !known(w)).map((w) => w.toLowerCase()))];
  return {
    language,
    words: words.length,
    sentences: sentences.length,
    syllables: syllables.reduce((n, s) => n + s, 0),
    letters: joined.replace(/[^\p{L}]/gu, '').length,
    characters: joined.length,
    long: syllables.filter((s) => s >= 3).length,
    short: syllables.filter((s) => s === 1).length,
    wide: words.filter((w) => w.replace(/[^\p{L}]/gu, '').length > 6).length,
    hard: hard.length,
    hardWords: [...new Set(hard.map((w) => w.toLowerCase()))],
    unfamiliar: language === 'en' ? lower.filter((w) => !isIn(spacheWords, w)) : [],
  };
}

export function addCounts(counts: readonly TextCount[]): TextCount {
  const sum = (of: (c: TextCount) => number) => counts.reduce((n, c) => n + of(c), 0);
  return {
    // Of several languages it is that of the most words.
    language: [...counts].sort((a, b) => b.words - a.words)[0]?.language ?? 'en',
    words: sum((c) => c.words),
    sentences: sum((c) => c.sentences),
    syllables: sum((c) => c.syllables),
    letters: sum((c) => c.letters),
    characters: sum((c) => c.characters),
    long: sum((c) => c.long),
    short: sum((c) => c.short),
    wide: sum((c) => c.wide),
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
  /** The languages it was made for. */
  readonly languages: readonly Language[];
  readonly leastWords: number;
  readonly leastSentences: number;
  of(c: TextCount): number;
}

export type FormulaId =
  | 'kincaid'
  | 'ease'
  | 'dale-chall'
  | 'spache'
  | 'coleman-liau'
  | 'automated'
  | 'fog'
  | 'smog'
  | 'wiener'
  | 'huerta'
  | 'kandel-moles'
  | 'lix';

const US_GRADE = 'US school grade';

export const FORMULAS: readonly Formula[] = [
  {
    id: 'kincaid',
    name: 'Flesch–Kincaid',
    source: 'Kincaid and others 1975',
    scale: US_GRADE,
    limits: 'Made for running text; counts sentence length and syllables only.',
    languages: ['en'],
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
    languages: ['en'],
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => flesch({ sentence: c.sentences, word: c.words, syllable: c.syllables }),
  },
  {
    id: 'dale-chall',
    name: 'Dale–Chall',
    source: 'Dale and Chall 1948, word list of 1995',
    scale: '4.9 and below is grade 4; 9 is grade 13',
    limits:
      'Says little below grade 4. From 5 in 100 hard words on 3.6 is added at once, as its authors have it: a text just over that line seems three grades harder than one just under it.',
    languages: ['en'],
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
    languages: ['en'],
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
    languages: ['en'],
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
    languages: ['en'],
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
    languages: ['en'],
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
    languages: ['en'],
    leastWords: 100,
    leastSentences: 30,
    of: (c) => smogFormula({ sentence: c.sentences, polysillabicWord: c.long }),
  },
  {
    id: 'wiener',
    name: 'Wiener Sachtextformel',
    source: 'Bamberger and Vanecek 1984, the first of four',
    scale: 'Austrian school grade, 4 to 15',
    limits: 'Made for factual texts in German; syllables are counted by groups of vowels here.',
    languages: ['de'],
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => (19.35 * c.long + 12.97 * c.wide - 3.27 * c.short) / c.words + 0.1672 * (c.words / c.sentences) - 0.875,
  },
  {
    id: 'huerta',
    name: 'Fernández Huerta',
    source: 'Fernández Huerta 1959',
    scale: '100 easy, 0 hard',
    limits: 'Flesch’s formula for Spanish; syllables are counted by groups of vowels here.',
    languages: ['es'],
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => 206.84 - 60 * (c.syllables / c.words) - 1.02 * (c.words / c.sentences),
  },
  {
    id: 'kandel-moles',
    name: 'Kandel–Moles',
    source: 'Kandel and Moles 1958',
    scale: '100 easy, 0 hard',
    limits: 'Flesch’s formula for French; syllables are counted by groups of vowels here.',
    languages: ['fr'],
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => 207 - 1.015 * (c.words / c.sentences) - 73.6 * (c.syllables / c.words),
  },
  {
    id: 'lix',
    name: 'LIX',
    source: 'Björnsson 1968',
    scale: 'below 30 very easy, above 60 very hard',
    limits: 'Made for Swedish, and used for other languages in Latin letters; counts sentence length and long words.',
    languages: ['de', 'es', 'fr'],
    leastWords: LEAST_WORDS,
    leastSentences: 1,
    of: (c) => c.words / c.sentences + (100 * c.wide) / c.words,
  },
];

/** The formula that is shown first for a language; for any other none was made that is known here. */
export const FIRST_FORMULA: Readonly<Record<Language, FormulaId | null>> = {
  en: 'kincaid',
  de: 'wiener',
  es: 'huerta',
  fr: 'kandel-moles',
  other: null,
};

export const measures = (f: Formula, c: TextCount): boolean =>
  f.languages.includes(c.language) && c.words >= f.leastWords && c.sentences >= f.leastSentences;

/** How sure a figure is: the formulas' authors took samples of 100 words, and three of them of a text. */
export type Sureness = 'rough' | 'fair' | 'good';
const SAMPLE = 100;
export const surenessOf = (words: number): Sureness =>
  words < SAMPLE ? 'rough' : words < 3 * SAMPLE ? 'fair' : 'good';
export const SURENESS_SAYS: Readonly<Record<Sureness, string>> = {
  rough: 'a rough sign: under 100 words',
  fair: 'a fair sign: under 300 words',
  good: 'over 300 words',
};

/** A figure as it is said: below the first grade no formula tells one text from another. */
export function figureSaid(f: Formula, value: number | undefined): string {
  if (value === undefined) return '–';
  if (f.scale.startsWith('US') && value < 1) return 'below 1';
  return value.toFixed(1);
}

export interface Readability {
  readonly language: Language;
  readonly sure: Sureness;
  readonly words: number;
  readonly sentences: number;
  readonly wordsPerSentence: number;
  readonly hardWords: readonly string[];
  /** Figures of the formulas by their ids; one that the text is too short for is not there. */
  readonly figures: Readonly<Partial<Record<FormulaId, number>>>;
}

export function readabilityOf(c: TextCount): Readability {
  return {
    language: c.language,
    sure: surenessOf(c.words),
    words: c.words,
    sentences: c.sentences,
    wordsPerSentence: c.sentences ? c.words / c.sentences : 0,
    hardWords: c.hardWords,
    figures: Object.fromEntries(FORMULAS.filter((f) => measures(f, c)).map((f) => [f.id, f.of(c)])),
  };
}

/** The readability of a text in the language it is found to be in; in `language` where that is given. */
export const readability = (text: string, language?: Language): Readability =>
  readabilityOf(countText(text, language ?? findLanguage(text) ?? 'en'));
