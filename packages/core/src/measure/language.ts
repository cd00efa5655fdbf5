import { francAll } from 'franc-min';
import type { Language } from '../activity/language';

/** The languages that are told apart, by the names that franc has for them. */
const NAMES: Readonly<Record<string, Language>> = {
  eng: 'en',
  deu: 'de',
  spa: 'es',
  fra: 'fr',
  ita: 'other',
  nld: 'other',
  por: 'other',
  pol: 'other',
  tur: 'other',
  ukr: 'other',
  rus: 'other',
  arb: 'other',
  swe: 'other',
  ron: 'other',
};
/** Shorter texts tell too little. */
const LEAST_LETTERS = 40;
/** English comes so near to the first guess that it is English: most texts here are. */
const NEAR = 0.93;
/** How far the second guess must stay behind, for a text to be taken for another language. */
const CLEAR = 0.12;
/** Those of one family are near each other always. */
const FAMILY = new Set(['spa', 'por', 'ita', 'fra', 'ron']);
const CLEAR_IN_FAMILY = 0.05;

/**
 * The language of a text, as franc finds it by groups of three letters; null where the text is too short to tell, or a list of
 * names as like one as another. Texts are taken for English where they may well be.
 */
export function findLanguage(text: string): Language | null {
  if ((text.match(/\p{L}/gu) ?? []).length < LEAST_LETTERS) return null;
  const found = francAll(text, { only: Object.keys(NAMES) });
  const [first] = found;
  if (!first || first[0] === 'und') return 'other';
  const english = found.find(([name]) => name === 'eng')?.[1] ?? 0;
  if (english >= NEAR) return 'en';
  const [second, score] = found[1] ?? ['', 0];
  const clear = FAMILY.has(first[0]) && FAMILY.has(second) ? CLEAR_IN_FAMILY : CLEAR;
  return 1 - score >= clear ? (NAMES[first[0]] ?? 'other') : null;
}
