import { automatedReadability } from 'automated-readability';
import { colemanLiau } from 'coleman-liau';
import { daleChall } from 'dale-chall';
import { daleChallFormula } from 'dale-chall-formula';
import { flesch } from 'flesch';
import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';

/** A text shorter than this gives formulas nothing to hold on to: their authors took samples of 100 words. */
export const LEAST_WORDS = 30;

const known = new Set(daleChall);

export function wordsIn(text: string): string[] {
  return text.match(/[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*/gu) ?? [];
}

/** Sentences end at . ! ? or a line's end; a question's numbering is no sentence. */
export function sentencesIn(text: string): string[] {
  return text
    .split(/(?<=[.!?…])\s+|\n+/u)
    .map((s) => s.trim())
    .filter((s) => wordsIn(s).length > 0);
}

/** Whether the Dale–Chall list of familiar words (1995, 2,941 words) lacks a word and its plain forms. */
export function isHard(word: string): boolean {
  const w = word.toLowerCase().replace(/['’]s$/, '');
  if (/\d/.test(w) || w.length < 2) return false;
  const forms = [
    w,
    w.replace(/s$/, ''),
    w.replace(/es$/, ''),
    w.replace(/ies$/, 'y'),
    w.replace(/ed$/, ''),
    w.replace(/d$/, ''),
  ];
  forms.push(
    w.replace(/ing$/, ''),
    w.replace(/ing$/, 'e'),
    w.replace(/ly$/, ''),
    w.replace(/er$/, ''),
    w.replace(/est$/, ''),
  );
  forms.push(w.replace(/(.)\1(ed|ing)$/, '$1'));
  return !forms.some((f) => known.has(f));
}

export interface Readability {
  readonly words: number;
  readonly sentences: number;
  readonly wordsPerSentence: number;
  readonly hardWords: readonly string[];
  /** Null where the text is shorter than LEAST_WORDS. */
  readonly formulas: {
    /** US school grade; Kincaid et al. 1975. */
    readonly fleschKincaidGrade: number;
    /** 0 hard to 100 easy; Flesch 1948. */
    readonly fleschEase: number;
    /** Raw score, 4.9 and below is grade 4; Dale & Chall 1948, Chall & Dale 1995. */
    readonly daleChall: number;
    /** US school grade; Coleman & Liau 1975. */
    readonly colemanLiau: number;
    /** US school grade; Senter & Smith 1967. */
    readonly automated: number;
  } | null;
}

export function readability(text: string): Readability {
  const words = wordsIn(text);
  const sentence = sentencesIn(text).length;
  const hard = words.filter(isHard);
  const hardWords = [...new Set(hard.map((w) => w.toLowerCase()))];
  const word = words.length;
  const wordsPerSentence = sentence ? word / sentence : 0;
  const base = { words: word, sentences: sentence, wordsPerSentence, hardWords };
  if (word < LEAST_WORDS || sentence === 0) return { ...base, formulas: null };
  const syllables = words.reduce((n, w) => n + Math.max(1, syllable(w)), 0);
  const letter = words.join('').replace(/[^\p{L}]/gu, '').length;
  const character = words.join('').length;
  return {
    ...base,
    formulas: {
      fleschKincaidGrade: fleschKincaid({ sentence, word, syllable: syllables }),
      fleschEase: flesch({ sentence, word, syllable: syllables }),
      daleChall: daleChallFormula({ sentence, word, difficultWord: hard.length }),
      colemanLiau: colemanLiau({ sentence, word, letter }),
      automated: automatedReadability({ sentence, word, character }),
    },
  };
}
