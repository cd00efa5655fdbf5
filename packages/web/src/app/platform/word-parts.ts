import { type Span, type Words, wordsOf } from './word-text';

type Parter = (word: string) => readonly string[];
const parters = new Map<string, Promise<Parter>>();
const PATTERNS: Readonly<Record<string, () => Promise<{ default: Hyphen }>>> = {
  en: async () => await import('hyphen/en-gb'),
  es: async () => await import('hyphen/es'),
  fr: async () => await import('hyphen/fr'),
  uk: async () => await import('hyphen/uk'),
};
interface Hyphen {
  hyphenateSync(text: string, how: { hyphenChar: string; minWordLength: number }): string;
}

/** What parts the words of a language; undefined where that is not known. Fetched when first asked for. */
export function partsIn(lang: string): Promise<Parter> | undefined {
  const [language = ''] = lang.split('-');
  const load = PATTERNS[language];
  if (!load) return undefined;
  const known =
    parters.get(language) ??
    load().then(
      ({ default: hyphen }): Parter =>
        (word) =>
          hyphen.hyphenateSync(word, { hyphenChar: '\u00AD', minWordLength: 4 }).split('\u00AD'),
    );
  parters.set(language, known);
  return known;
}

/** Every other part of the words of a text that have more than one. */
export async function partSpans(text: Words): Promise<Span[]> {
  const parts = await partsIn(text.lang);
  if (!parts) return [];
  return wordsOf(text).flatMap((w) => everyOther(parts(text.text.slice(w.from, w.to)), w.from));
}

function everyOther(parts: readonly string[], from: number): Span[] {
  let at = from;
  return parts.flatMap((p, i) => {
    const span = { from: at, to: (at += p.length) };
    return i % 2 ? [span] : [];
  });
}
